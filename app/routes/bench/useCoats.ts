import { useCallback, useEffect, useState } from "react";
import { toast } from "sonner";
import { COATS } from "core/finish";
import type { CoatDoc } from "core/job";
import type { CoatUsed } from "~/data/coatsUsed.server";
import { post } from "~/job/post";

interface Answer {
  readonly coats?: readonly CoatDoc[];
  readonly used?: readonly CoatUsed[];
  readonly sentence?: string;
}
/** The builder's own coats as the server has them, what was painted with them before, and how to keep a change. */
export function useCoats() {
  const [known, setKnown] = useState<{ readonly coats: readonly CoatDoc[]; readonly used: readonly CoatUsed[] }>({ coats: COATS, used: [] }); // prettier-ignore
  const take = useCallback((a: Answer): void => void (a.coats && setKnown({ coats: a.coats, used: a.used ?? [] })), []);
  useEffect(() => {
    let gone = false;
    fetch("/drawer/coats")
      .then((r) => r.json() as Promise<Answer>)
      .then((a) => !gone && take(a))
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [take]);
  const keep = async (next: readonly CoatDoc[]): Promise<void> => {
    try {
      const a = await post<Answer>("/drawer/coats", next);
      if (a.sentence) toast.error(a.sentence);
      take(a);
    } catch (e) {
      toast.error((e as Error).message);
    }
  };
  return { ...known, keep };
}
