import { newStructure, type StructureDoc } from "core/job";
import { KINDS } from "core/structures/all";

/** Everything that can be framed, as pictures: pressing one frames it. */
export default function KindChooser({ choose }: { choose: (s: StructureDoc) => void }) {
  return (
    <div className="space-y-7">
      {KINDS.filter((k) => k.starts).map((k) => (
        <section key={k.id} aria-label={k.name}>
          <h3 className="head text-[20px]">{k.name}</h3>
          <p className="text-[15px] text-ink-2">{k.purpose}</p>
          <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(170px,1fr))] gap-3">
            {k.starts!.map((s, n) => (
              <li key={s.name}>
                <button
                  className="flex h-full w-full flex-col border border-hair text-left hover:border-vermilion"
                  aria-label={`Frame: ${s.name}`}
                  onClick={() =>
                    choose(newStructure(k.id, `s${crypto.randomUUID().slice(0, 6)}`, s.name, structuredClone(s.params)))
                  }
                >
                  <span className="block h-[112px] w-full bg-shade p-2">
                    <img
                      src={`/starts/${k.id}-${n}.svg`}
                      alt=""
                      loading="lazy"
                      className="h-full w-full object-contain"
                    />
                  </span>
                  <span className="head px-2 py-1.5 text-[16px] leading-tight">{s.name}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
