import { useState } from "react";
import type { Caution } from "core/assembly";

const KEY = "cardo-cautions";
const seen = (): ReadonlySet<string> => new Set((sessionStorage.getItem(KEY) ?? "").split(" ").filter(Boolean));
/** Cautions beside the act they belong to: each until it was seen once in a session of the browser. */
export function Cautions({ all }: { all: readonly Caution[] }) {
  const [known, setKnown] = useState(seen);
  const fresh = all.filter((c) => !known.has(c.id));
  if (fresh.length === 0) return null;
  return (
    <div role="note" className="mt-2 border-l-[3px] border-ochre bg-shade px-4 py-1.5 text-[16px]">
      {fresh.map((c) => (
        <p key={c.id}>
          <b>Caution.</b> {c.text}
        </p>
      ))}
      <button
        className="link min-h-11"
        onClick={() => {
          const next = new Set([...known, ...fresh.map((c) => c.id)]);
          sessionStorage.setItem(KEY, [...next].join(" "));
          setKnown(next);
        }}
      >
        Understood, for this session
      </button>
    </div>
  );
}
