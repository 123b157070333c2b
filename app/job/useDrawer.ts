import { useCallback, useEffect, useState } from "react";
import type { Holding } from "core/drawer";
import { useJob } from "./JobContext";

/** What the drawer holds, as it was last told, and the least offcut that goes back into it, mm. */
export interface DrawerState {
  readonly held: readonly Holding[];
  readonly least: number;
}
const EMPTY: DrawerState = { held: [], least: 40 };

/** What lies in the drawer; undefined until it is known. A server that does not answer has an empty one: plans go on from what is sold. */
export function useDrawer(): DrawerState | undefined {
  const { id, issues, whenKept } = useJob();
  const [state, setState] = useState<DrawerState>();
  const look = useCallback(
    () =>
      fetch(`/drawer/state?job=${id}`)
        .then((r) => (r.ok ? (r.json() as Promise<DrawerState>) : EMPTY))
        .catch(() => EMPTY)
        .then(setState),
    [id],
  );
  // what was cut or taken back is in the ledger once it is kept
  useEffect(() => {
    let gone = false;
    void whenKept().then(() => (gone ? undefined : look()));
    return () => {
      gone = true;
    };
  }, [issues.length, look, whenKept]);
  return state;
}
