/** Work that takes a while: what it is at, which share is done where that is known, and how it is stopped. */
export interface Work {
  readonly progress: { readonly what: string; readonly done?: number } | undefined;
  readonly stop: () => void;
}

/** How far heavy work is, with a button to stop it. */
export function WorkProgress({ work }: { work: Work }) {
  const p = work.progress;
  if (!p) return null;
  return (
    <div className="space-y-1.5">
      <p className="text-[15px]" aria-live="polite">
        {p.what} …
      </p>
      <div className="flex items-center gap-3">
        <progress
          aria-label={p.what}
          className="h-2 flex-1 accent-[var(--verdigris)]"
          {...(p.done === undefined ? {} : { value: p.done, max: 1 })}
        />
        <button className="btn" onClick={work.stop}>
          Stop
        </button>
      </div>
    </div>
  );
}
