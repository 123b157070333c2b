import { useState } from "react";
import { toast } from "sonner";
import { SOURCE_KINDS, sourceCounts, sourcedDimensions, SOURCE_WORDS, toFindOut, type SourceDoc, type SourceKind, type StructureDoc } from "core/job"; // prettier-ignore
import { printParam } from "core/structures";
import { hasWords, tellIn } from "core/units";
import { useJob } from "~/job/JobContext";
import { usePaper } from "~/job/usePaper";
import { TextField } from "~/ui/Fields";

const INK: Readonly<Record<SourceKind, string>> = { measured: "text-verdigris", counted: "text-verdigris", "stand-in": "text-ink", estimated: "text-ochre", assumed: "text-ochre" }; // prettier-ignore

/** Where every dimension comes from: measured, counted, from a plan that stands in, estimated or assumed, with the reason beside it. */
export function Sources() {
  const { doc } = useJob();
  const [paper] = usePaper();
  const [only, setOnly] = useState(false);
  const [find, setFind] = useState("");
  const print = async (): Promise<void> => {
    try {
      const [{ sourcePages }, { savePdf }] = await Promise.all([import("core/lists/sourcePages"), import("~/job/savePdf")]); // prettier-ignore
      const date = new Date().toISOString().slice(0, 10);
      await savePdf([{ name: "To be found out", plan: sourcePages(doc, paper, date) }], `${doc.name}: to be found out`, "To be found out.pdf"); // prettier-ignore
    } catch (e) {
      toast.error(`The sheet could not be printed: ${(e as Error).message}`);
    }
  };
  return (
    <div className="h-full overflow-auto px-8 py-5">
      <div className="flex flex-wrap items-end gap-4">
        <p className="mr-auto max-w-2xl text-ink-2">
          What is known of each dimension, and from where. What is only assumed stays visible, and can be found out.
        </p>
        <label className="flex flex-col text-[15px]">
          Find a dimension
          <input className="field !w-56" type="search" value={find} onChange={(e) => setFind(e.target.value)} />
        </label>
        <label className="flex min-h-10 items-center gap-2 text-[15px]">
          <input
            type="checkbox"
            className="size-4.5 accent-[var(--vermilion)]"
            checked={only}
            onChange={(e) => setOnly(e.target.checked)}
          />
          only what is to be found out
        </label>
        <button className="btn min-h-10" onClick={() => void print()}>
          Print what is to be found out (PDF)
        </button>
      </div>
      {doc.structures.length === 0 && <p className="mt-6">Nothing is framed yet.</p>}
      {doc.structures.map((s) => (
        <StructureSources key={s.id} s={s} only={only} find={find} />
      ))}
    </div>
  );
}

function StructureSources({ s, only, find }: { s: StructureDoc; only: boolean; find: string }) {
  const { doc, edit } = useJob();
  const all = sourcedDimensions(s);
  const n = sourceCounts(all);
  const shown = all.filter((d) => (!only || toFindOut(d)) && (find.trim() === "" || hasWords(`${d.spec.label} ${d.spec.group}`, find))); // prettier-ignore
  const set = (path: string, label: string, part: Partial<SourceDoc>): void =>
    void edit(`Where ${label.toLowerCase()} comes from`, (d) => {
      const own = d.structures.find((x) => x.id === s.id)!;
      const now = (own.sources ??= {})[path];
      own.sources[path] = { ...(now ?? { how: "assumed" as const, from: "", why: "" }), ...part };
    });
  const drop = (path: string, label: string): void =>
    void edit(`Where ${label.toLowerCase()} comes from`, (d) => void delete d.structures.find((x) => x.id === s.id)!.sources?.[path]); // prettier-ignore
  return (
    <section className="mt-6" aria-label={s.name}>
      <h2 className="head text-[24px]">{s.name}</h2>
      <p className="mb-1 text-[15px] text-ink-2">
        {`${n.measured} measured, ${n.counted} counted, ${n["stand-in"]} from plans that stand in; ${n.estimated} estimated, ${n.assumed} assumed, ${n["not said"]} not said.`}
      </p>
      <table className="list text-[15px]">
        <thead>
          <tr>
            <th className="w-64">Dimension</th>
            <th className="num w-36">Now</th>
            <th className="w-56">Comes from</th>
            <th>Which one, where</th>
            <th>Why so</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((d) => (
            <tr key={d.path}>
              <td>
                {d.spec.label}
                <span className="block text-[14px] text-ink-2">{d.spec.group}</span>
              </td>
              <td className="num">
                {tellIn(printParam(d.spec, d.value), doc.brief.units)}
                {d.usual && <span className="block text-[14px] text-ink-2">as one begins</span>}
              </td>
              <td>
                <select
                  className={`field ${d.source ? INK[d.source.how] : "text-ink-2"}`}
                  aria-label={`Where ${d.spec.label} comes from`}
                  value={d.source?.how ?? ""}
                  onChange={(e) =>
                    e.target.value === ""
                      ? drop(d.path, d.spec.label)
                      : set(d.path, d.spec.label, { how: e.target.value as SourceKind })
                  }
                >
                  <option value="">not said</option>
                  {SOURCE_KINDS.map((k) => (
                    <option key={k} value={k}>
                      {SOURCE_WORDS[k]}
                    </option>
                  ))}
                </select>
              </td>
              {(["from", "why"] as const).map((k) => (
                <td key={k}>
                  <TextField
                    label={<span className="sr-only">{`${d.spec.label}: ${k === "from" ? "which one" : "why"}`}</span>}
                    value={d.source?.[k] ?? ""}
                    placeholder={k === "from" ? "sheet 3, a photograph" : ""}
                    keep={(t) => set(d.path, d.spec.label, { [k]: t.trim().slice(0, k === "from" ? 300 : 2000) })}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length === 0 && all.length > 0 && (
        <p className="text-[15px]">
          {find.trim() ? `No dimension has “${find.trim()}”.` : "Nothing is left to be found out."}
        </p>
      )}
    </section>
  );
}
