import { parseNumber } from "core/units";
import { useState } from "react";
import { toast } from "sonner";
import type { Joining } from "core/assembly";
import { post } from "~/job/post";

/** The table of glues and their times, the same for all jobs; each line is kept when it is left. */
export function Glues({ all, changed }: { all: readonly Joining[]; changed: (all: readonly Joining[]) => void }) {
  const keep = async (next: readonly Joining[]): Promise<void> => {
    try {
      const a = await post<{ joinings?: readonly Joining[]; sentence?: string }>("/drawer/joinings", next);
      if (a.joinings) changed(a.joinings);
      else toast.error(a.sentence ?? "The table was not kept.");
    } catch (e) {
      toast.error((e as Error).message);
    }
  };
  const set = (id: string, change: Partial<Joining>): void => void keep(all.map((j) => (j.id === id ? { ...j, ...change } : j))); // prettier-ignore
  return (
    <>
      <p className="mb-3 max-w-3xl text-[17px] text-ink-2">
        Times in minutes, as they are for you: the clocks of the steps run by them. The same table serves every job.
      </p>
      <table className="list text-[15px]">
        <thead>
          <tr>
            <th>Glue</th>
            <th>For</th>
            <th className="w-24">Moves for</th>
            <th className="w-24">Handle after</th>
            <th className="w-24">Strong after</th>
            <th>Beware</th>
            <th>
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {all.map((j) => (
            <tr key={j.id}>
              <td>{j.name}</td>
              <td>{j.for}</td>
              {(["open", "handle", "full"] as const).map((k) => (
                <td key={k}>
                  <Minutes label={`${j.name}: ${k}, minutes`} value={j[k]} keep={(n) => set(j.id, { [k]: n })} />
                </td>
              ))}
              <td className="max-w-72">{j.beware}</td>
              <td>
                {j.id.startsWith("own-") && (
                  <button className="link" onClick={() => void keep(all.filter((x) => x !== j))}>
                    Remove
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Another add={(j) => void keep([...all, j])} />
    </>
  );
}
function Minutes({ label, value, keep }: { label: string; value: number; keep: (n: number) => void }) {
  const [text, setText] = useState(String(value));
  return (
    <input
      className="field"
      aria-label={label}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={() => {
        const n = parseNumber(text);
        if (n >= 0 && n !== value) keep(n);
        else setText(String(value));
      }}
    />
  );
}
function Another({ add }: { add: (j: Joining) => void }) {
  const [name, setName] = useState("");
  return (
    <form
      className="mt-3 flex items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        const id = `own-${name
          .toLowerCase()
          .replace(/[^a-z0-9]+/g, "-")
          .slice(0, 30)}`;
        add({ id, name: name.trim().slice(0, 60), for: "", open: 5, handle: 30, full: 1440, beware: "" });
        setName("");
      }}
    >
      <label className="flex flex-col text-[15px]">
        Another glue
        <input className="field !w-64" value={name} onChange={(e) => setName(e.target.value)} />
      </label>
      <button className="btn min-h-11" disabled={name.trim() === ""}>
        Add it
      </button>
    </form>
  );
}
