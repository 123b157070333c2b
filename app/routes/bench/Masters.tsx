import { useState } from "react";
import { emptyBuild, masterPlans, type MasterDoc } from "core/job";
import { minutesWords } from "core/assembly";
import { parseNumber } from "core/units";
import { useJob } from "~/job/JobContext";
import { TextField } from "~/ui/Fields";

/** Pieces of a mark from which it may pay to cast or print them. Common practice. */
const MANY = 6;
/** What is made many times from one master: how many with spares, how often the mould is filled, and when it is free again. */
export function Masters() {
  const { doc, design, edit } = useJob();
  const plans = masterPlans(design);
  const masters = doc.build?.masters ?? [];
  const change = (label: string, f: (all: MasterDoc[]) => void): void => void edit(label, (d) => f((d.build ??= emptyBuild()).masters)); // prettier-ignore
  const roles = new Map<string, { structure: string; role: string; most: number }>();
  for (const p of design.pieces)
    for (const s of doc.structures) {
      const n = p.sticks.filter((x) => x.startsWith(`${s.id}/`)).length;
      const key = `${s.id}|${p.role}`;
      const known = roles.get(key);
      if (n >= MANY && (!known || known.most < n) && !masters.some((m) => m.structure === s.id && m.role === p.role))
        roles.set(key, { structure: s.id, role: p.role, most: n });
    }
  const open = [...roles.values()].sort((a, b) => b.most - a.most);
  const [chosen, setChosen] = useState("");
  const nameOf = (id: string): string => doc.structures.find((s) => s.id === id)?.name ?? id;
  return (
    <section className="mt-7 max-w-5xl" aria-label="From one master">
      <h2 className="label">From one master</h2>
      <p className="text-[15px] text-ink-2">
        What is needed many times can be cast or printed: then only the master is cut, and each fill of the mould is a
        step with its own clock.
      </p>
      {masters.map((m, i) => {
        const own = plans.filter((p) => p.master.structure === m.structure && p.master.role === m.role);
        const number = (k: "atOnce" | "spare" | "minutes", label: string, least: number) => (
          <div className="w-36">
            <TextField
              label={label}
              value={String(m[k])}
              keep={(t) => {
                const n = parseNumber(t, "min");
                if (!(n >= least && n <= 500_00 && (k === "minutes" || (Number.isInteger(n) && n <= 500)))) return [`Read “${t}”; write a number from ${least}.`]; // prettier-ignore
                change(`${label} of the ${m.role}`, (all) => void (all[i]![k] = n));
              }}
            />
          </div>
        );
        return (
          <div key={`${m.structure}|${m.role}`} className="row py-2">
            <div className="flex flex-wrap items-end gap-4">
              <b className="w-56">
                {m.role}
                <span className="block text-[15px] font-normal text-ink-2">{nameOf(m.structure)}</span>
              </b>
              <label className="flex flex-col text-[15px]">
                Made by
                <select
                  className="field min-h-10"
                  value={m.by}
                  onChange={(e) => change(`How the ${m.role} is made`, (all) => void (all[i]!.by = e.target.value as MasterDoc["by"]))} // prettier-ignore
                >
                  <option value="cast">casting</option>
                  <option value="printed">printing</option>
                </select>
              </label>
              {number("atOnce", "At once", 1)}
              {number("spare", "To spare, of each mark", 0)}
              {number("minutes", "Free again after, min", 0)}
              <button
                className="link min-h-10"
                onClick={() => change(`Cut the ${m.role} again`, (all) => void all.splice(i, 1))}
              >
                Cut them instead
              </button>
            </div>
            <ul className="mt-1 text-[16px]">
              {own.map((p) => (
                <li key={p.mark}>
                  <b className="head">{p.mark}</b>{" "}
                  {`${p.sticks.length} needed and ${m.spare} to spare: ${p.pours} ${p.pours === 1 ? "fill" : "fills"} of ${m.atOnce}, ${p.pours === 1 ? `to be taken out ${minutesWords(m.minutes)} later` : `the last one out after ${minutesWords(p.pours * m.minutes)} of setting`}.`}
                </li>
              ))}
              {own.length === 0 && <li className="text-ink-2">The design has none of them any more.</li>}
            </ul>
          </div>
        );
      })}
      {open.length > 0 && (
        <form
          className="mt-2 flex flex-wrap items-end gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            const [structure, role] = (chosen || `${open[0]!.structure}|${open[0]!.role}`).split("|") as [string, string]; // prettier-ignore
            change(`Make the ${role} from a master`, (all) => void all.push({ structure, role, by: "cast", atOnce: 6, spare: 2, minutes: 60 })); // prettier-ignore
            setChosen("");
          }}
        >
          <label className="flex flex-col text-[15px]">
            Needed many times
            <select className="field !w-80 min-h-11" value={chosen} onChange={(e) => setChosen(e.target.value)}>
              {open.map((r) => (
                <option key={`${r.structure}|${r.role}`} value={`${r.structure}|${r.role}`}>
                  {`${r.role}, ${r.most} alike (${nameOf(r.structure)})`}
                </option>
              ))}
            </select>
          </label>
          <button className="btn min-h-11">Make them from a master</button>
        </form>
      )}
    </section>
  );
}
