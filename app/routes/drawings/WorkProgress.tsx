import type { useWork } from "~/sources/useWork";

/** How far heavy work is, with a button to stop it. */
export function WorkProgress({ work }: { work: ReturnType<typeof useWork> }) {
  const p = work.progress;
  if (!p) return null;
  return (
    <div className="space-y-1.5">
      <p className="text-[15px]" aria-live="polite">
        {p.what} …
      </p>
      <div className="flex items-center gap-3">
        <progress className="h-2 flex-1 accent-[var(--verdigris)]" value={p.done} max={1} />
        <button className="btn" onClick={work.stop}>
          Stop
        </button>
      </div>
    </div>
  );
}
