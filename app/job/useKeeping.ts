import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { Issue, JobDoc } from "core/job";
import { keep, keepMine, startKeeping, type Act, type Keeping } from "core/keeping";
import { tellIn } from "core/units";
import type { JobState } from "~/data/jobs.server";
import type { Kept } from "~/data/keep.server";
import { claimTab, readLeft, storeLeft, takeOrphans } from "./pendingStore";
import { Away, post } from "./post";

type State = Keeping<JobDoc, Issue>;
export const newEntryId = (): string => crypto.randomUUID();
/** How long after a silence it is tried again, ms: soon at first, then every few seconds. */
const RETRY_MS = [500, 1000, 2000, 4000];

/** What one tab tells the others when something of its own is kept. */
interface News {
  readonly revision: number;
  readonly event: boolean;
}

export interface KeepingApi {
  readonly state: State;
  /** Whether all is kept, on its way, or the server is away. */
  readonly standing: "kept" | "keeping" | "away" | "gone";
  /** What the server says of its own fault, while it is away with one. */
  readonly fault: string | undefined;
  /** Does an act of the person's at once; it is sent behind. Errors: PatchError where it has no place. */
  act(a: Act<JobDoc, Issue>): State;
  settle(mine: boolean): void;
  /** Settles when nothing waits any more; answers whether that came within a few seconds. */
  whenKept(): Promise<boolean>;
  /** Fetches what further history there is. */
  more(): Promise<void>;
}

/** The shell round `core/keeping`: sends one entry after another, stores what waits in the browser, follows other tabs. */
export function useKeeping(initial: JobState): KeepingApi {
  const url = `/jobs/${initial.id}`;
  const [state, setState] = useState<State>(() => startKeeping(initial.confirmed));
  const [away, setAway] = useState<{ readonly words: string | undefined }>();
  const latest = useRef(state);
  const channel = useRef<BroadcastChannel>(undefined);
  const running = useRef(false);
  const alive = useRef(true);
  const waiters = useRef<(() => void)[]>([]);

  const put = useCallback(
    (next: State) => {
      latest.current = next;
      setState(next);
      if (!storeLeft(initial.id, next) && next.pending.length > 0)
        toast.error("This browser does not store what is not kept yet. Leave the page open until it says “Kept”.", {
          id: "no-store",
        });
      if (next.pending.length === 0) waiters.current.splice(0).forEach((w) => w());
      return next;
    },
    [initial.id],
  );

  const moved = useCallback(
    (s: JobState) => put(keep(latest.current, { do: "moved", to: s.confirmed, kept: new Set(s.entries) })),
    [put],
  );

  /** Sends what waits, in its order, until nothing does. A lost connection is tried again for as long as the page lives. */
  const pump = useCallback(async () => {
    if (running.current) return;
    running.current = true;
    let silence = 0;
    while (alive.current) {
      const k = latest.current;
      const e = k.gone ? undefined : k.theirs ? k.pending.find((x) => x.kind === "event") : k.pending[0];
      if (!e) break;
      try {
        const a = await post<Kept>(`${url}/revisions`, e);
        silence = 0;
        setAway(undefined);
        if (a.ok) {
          put(keep(latest.current, { do: "kept", id: e.id, revision: a.revision, at: a.at }));
          channel.current?.postMessage({ revision: a.revision, event: e.kind === "event" } satisfies News);
        } else if (a.why === "conflict") moved(a.state);
        else if (a.why === "refused") {
          const { units } = latest.current.head.doc.brief;
          toast.error(tellIn(a.sentences[0] ?? "That could not be kept.", units), { duration: 12000 });
          put(keep(latest.current, { do: "refused", id: e.id }));
        } else put(keep(latest.current, { do: "gone", gone: true }));
      } catch (x) {
        if (!(x instanceof Away)) throw x;
        setAway({ words: x.words });
        const wait = RETRY_MS[Math.min(silence++, RETRY_MS.length - 1)]!;
        await new Promise<void>((r) => {
          setTimeout(r, wait);
          window.addEventListener("online", () => r(), { once: true });
        });
      }
    }
    running.current = false;
  }, [moved, put, url]);

  const act = useCallback(
    (a: Act<JobDoc, Issue>): State => {
      const next = put(keep(latest.current, a));
      void pump();
      return next;
    },
    [pump, put],
  );

  const refresh = useCallback(
    async (known?: number): Promise<boolean> => {
      const since = latest.current.confirmed.revision;
      try {
        const r = await fetch(`${url}/state?since=${known ?? since}`);
        if (r.status === 410) put(keep(latest.current, { do: "gone", gone: true }));
        if (r.status !== 200) return false;
        moved((await r.json()) as JobState);
        return latest.current.confirmed.revision > since;
      } catch {
        // the server is away: what is here stays, and the next edit tells
        return false;
      }
    },
    [moved, put, url],
  );

  // what an earlier visit of this tab, or a tab that is closed, could not keep
  useEffect(() => {
    alive.current = true;
    const known = new Set(initial.entries);
    const left = readLeft(initial.id);
    if (left && latest.current.pending.length === 0) put(startKeeping(initial.confirmed, left, known));
    void claimTab().then(() =>
      takeOrphans(initial.id, (orphan) => {
        if (latest.current.pending.length > 0 || latest.current.theirs) return false;
        put(startKeeping(latest.current.confirmed, orphan, known));
        toast("Work of a tab that was closed before it was kept has come back.");
        return true;
      }).then(() => pump()),
    );
    void pump();
    return () => {
      alive.current = false;
    };
  }, [initial, pump, put]);

  useEffect(() => {
    const c = new BroadcastChannel(`cardo-${initial.id}`);
    channel.current = c;
    c.onmessage = ({ data }: MessageEvent<News>) => {
      if (latest.current.pending.length > 0) return;
      // a cut or a print makes no revision, so it has to be fetched whatever the revision is
      if (data.event) return void refresh(-1);
      if (data.revision <= latest.current.confirmed.revision) return;
      void refresh().then(
        (did) => did && toast("Another tab changed this job; what you see is what it kept.", { id: "other-tab" }),
      );
    };
    const seen = (): void => void (document.visibilityState === "visible" && refresh());
    document.addEventListener("visibilitychange", seen);
    return () => {
      c.close();
      document.removeEventListener("visibilitychange", seen);
    };
  }, [initial.id, refresh]);

  // closing asks only while the server is away: all else is kept before one could answer
  useEffect(() => {
    if (!away) return;
    const ask = (e: BeforeUnloadEvent): void => e.preventDefault();
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, [away]);

  const gone = state.gone;
  useEffect(() => {
    if (!gone) return;
    const putBack = async (): Promise<void> => {
      await fetch("/?index", { method: "POST", body: new URLSearchParams({ do: "restore", job: initial.id }) });
      act({ do: "gone", gone: false });
    };
    toast.error("This job was taken off the shelf in another tab. What you do here waits in this browser.", {
      id: "gone",
      duration: Infinity,
      action: { label: "Put it back", onClick: () => void putBack() },
    });
    return () => void toast.dismiss("gone");
  }, [gone, act, initial.id]);

  const settle = useCallback(
    (mine: boolean) => {
      const { theirs, confirmed, head } = latest.current;
      if (!theirs) return;
      const patches = mine
        ? keepMine(confirmed.doc, head.doc, theirs.doc, clockOf(new Date()), () => newEntryId().slice(0, 8))
        : undefined;
      act({ do: "settle", id: newEntryId(), label: "Keep mine", mine: patches });
    },
    [act],
  );
  const whenKept = useCallback(
    () =>
      latest.current.pending.length === 0
        ? Promise.resolve(true)
        : new Promise<boolean>((done) => {
            waiters.current.push(() => done(true));
            setTimeout(() => done(latest.current.pending.length === 0), 8000);
          }),
    [],
  );
  const more = useCallback(async () => {
    const r = await fetch(`${url}/state?since=-1`).catch(() => undefined);
    if (r?.ok && latest.current.pending.length === 0) moved((await r.json()) as JobState);
  }, [moved, url]);

  const standing = state.gone ? "gone" : state.pending.length === 0 ? "kept" : away ? "away" : "keeping";
  return useMemo(
    () => ({ state, standing, fault: away?.words, act, settle, whenKept, more }),
    [state, standing, away, act, settle, whenKept, more],
  );
}

/** "20:14". */
export const clockOf = (d: Date): string =>
  `${String(d.getHours()).padStart(2, "0")}:${String(d.getMinutes()).padStart(2, "0")}`;
