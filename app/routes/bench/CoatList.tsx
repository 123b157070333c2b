import { useState } from "react";
import { COAT_WORDS } from "core/finish";
import { COAT_KINDS, type CoatDoc, type CoatKind } from "core/job";
import { parseNumber } from "core/units";
import type { CoatUsed } from "~/data/coatsUsed.server";
import { TextField } from "~/ui/Fields";

/** The builder's own coats, the same for every job, and where each was used before. */
export function CoatList({
  coats,
  used,
  keep,
}: {
  coats: readonly CoatDoc[];
  used: readonly CoatUsed[];
  keep: (next: readonly CoatDoc[]) => Promise<void>;
}) {
  const [find, setFind] = useState("");
  const set = (id: string, change: Partial<CoatDoc>): void => void keep(coats.map((c) => (c.id === id ? { ...c, ...change } : c))); // prettier-ignore
  const number = (c: CoatDoc, k: "touch" | "over" | "covers", label: string) => (
    <TextField
      label={<span className="sr-only">{`${c.name}: ${label}`}</span>}
      value={String(c[k])}
      keep={(t) => {
        const n = parseNumber(t);
        if (!(n >= (k === "covers" ? 1 : 0))) return [`Read “${t}”; write a number.`];
        set(c.id, { [k]: n });
      }}
    />
  );
  const wanted = find.trim().toLowerCase();
  const hits = used.filter((u) => `${u.name} ${u.mix} ${u.title} ${u.job}`.toLowerCase().includes(wanted));
  return (
    <details className="mt-5">
      <summary className="label cursor-pointer">Your own coats, for every job</summary>
      <table className="list mt-1 text-[15px]">
        <thead>
          <tr>
            <th>Coat</th>
            <th>Sort</th>
            <th>Mix</th>
            <th className="w-28">Touch after, min</th>
            <th className="w-28">Paint over after, min</th>
            <th className="w-24">Covers, cm²/ml</th>
            <th>
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {coats.map((c) => (
            <tr key={c.id}>
              <td>
                <TextField
                  label={<span className="sr-only">Name of {c.name}</span>}
                  value={c.name}
                  keep={(t) => (t.trim() === "" ? ["Write a name."] : set(c.id, { name: t.trim().slice(0, 60) }))}
                />
              </td>
              <td>{COAT_WORDS[c.kind]}</td>
              <td>
                <TextField
                  label={<span className="sr-only">Usual mix of {c.name}</span>}
                  value={c.mix}
                  keep={(t) => set(c.id, { mix: t.trim().slice(0, 300) })}
                />
              </td>
              <td>{number(c, "touch", "minutes to touch")}</td>
              <td>{number(c, "over", "minutes to paint over")}</td>
              <td>{number(c, "covers", "cm² a millilitre covers")}</td>
              <td>
                {c.id.startsWith("own-") && (
                  <button className="link" onClick={() => void keep(coats.filter((x) => x !== c))}>
                    Remove
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <AnotherCoat taken={coats} add={(c) => void keep([...coats, c])} />
      <section className="mt-4" aria-label="Painted before">
        <h2 className="label">Painted before, in all jobs</h2>
        {used.length === 0 ? (
          <p className="text-[15px] text-ink-2">Nothing yet. A coat that is marked as done stands here with its mix.</p>
        ) : (
          <>
            <label className="flex max-w-xs flex-col text-[15px]">
              Find a colour, a mix or a job
              <input className="field" value={find} onChange={(e) => setFind(e.target.value)} />
            </label>
            <ul className="text-[15px]">
              {hits.map((u) => (
                <li key={u.at + u.title} className="row py-1">
                  <b>{u.name}</b>
                  {u.mix && `, ${u.mix}`}: {u.title.replace(/:.*$/, "")}, {u.job}, {u.at.slice(0, 10)}
                </li>
              ))}
              {hits.length === 0 && <li>Nothing painted has “{find}” in it.</li>}
            </ul>
          </>
        )}
      </section>
    </details>
  );
}
function AnotherCoat({ taken, add }: { taken: readonly CoatDoc[]; add: (c: CoatDoc) => void }) {
  const [name, setName] = useState("");
  const [kind, setKind] = useState<CoatKind>("paint");
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        const root = `own-${name
          .toLowerCase()
          .replace(/[^a-z0-9]+/g, "-")
          .slice(0, 28)}`;
        let id = root;
        for (let n = 2; taken.some((c) => c.id === id); n++) id = `${root}-${n}`;
        add({ id, name: name.trim().slice(0, 60), kind, mix: "", touch: 30, over: 720, covers: 100 });
        setName("");
      }}
    >
      <label className="flex flex-col text-[15px]">
        Another coat
        <input className="field !w-64" value={name} onChange={(e) => setName(e.target.value)} />
      </label>
      <label className="flex flex-col text-[15px]">
        Sort
        <select className="field !w-40" value={kind} onChange={(e) => setKind(e.target.value as CoatKind)}>
          {COAT_KINDS.map((k) => (
            <option key={k} value={k}>
              {COAT_WORDS[k]}
            </option>
          ))}
        </select>
      </label>
      <button className="btn min-h-11" disabled={name.trim() === ""}>
        Add it
      </button>
    </form>
  );
}
