import { useSheet } from "../sheet";

/** The layers of a vector drawing, each on or off. */
export function Layers() {
  const { drawing, lines, change } = useSheet();
  if (!drawing.lines || !lines || lines.layers.length < 2) return null;
  const used = new Set(lines.entities.map((e) => e.layer));
  const hidden = new Set(drawing.lines.hidden);
  return (
    <section>
      <h2 className="label">Layers</h2>
      <ul className="text-[15px]">
        {lines.layers.map(
          (name, i) =>
            used.has(i) && (
              <li key={name}>
                <label className="flex min-h-[28px] items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4 accent-[var(--ink)]"
                    checked={!hidden.has(name)}
                    onChange={(e) => {
                      const on = e.target.checked;
                      change(`${on ? "Show" : "Hide"} the layer ${name}`.slice(0, 100), (d) => {
                        d.lines!.hidden = on ? d.lines!.hidden.filter((n) => n !== name) : [...d.lines!.hidden, name];
                      });
                    }}
                  />
                  <span className="truncate">{name}</span>
                </label>
              </li>
            ),
        )}
      </ul>
    </section>
  );
}
