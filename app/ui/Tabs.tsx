/** Tabs over a stage: the one that is open is underlined. */
export function Tabs<T extends string>({
  tabs,
  now,
  choose,
}: {
  tabs: Readonly<Record<T, string>>;
  now: T;
  choose: (t: T) => void;
}) {
  return (
    <div role="tablist" className="flex gap-4">
      {(Object.keys(tabs) as T[]).map((t) => (
        <button
          key={t}
          role="tab"
          aria-selected={now === t}
          onClick={() => choose(t)}
          className={`head pb-0.5 text-[18px] ${now === t ? "border-b-2 border-vermilion" : "text-ink-2"}`}
        >
          {tabs[t]}
        </button>
      ))}
    </div>
  );
}
