import { sheetMatches, textureOf, type SheetMatch } from "core/lumber";
import { printNumber, toModel, toPrototype } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";

const signed = (n: number): string => `${n > 0 ? "+" : ""}${printNumber(n, 1)}`;

/** The textured sheets that the walls ask for: what is wanted, which sheet stands in for it, and what else would do. */
export function Sheets() {
  const { doc, design, edit } = useJob();
  const { P, M } = useUnits();
  if (design.sheets.size === 0) return null;
  const choose = (name: string, m: SheetMatch | undefined): void =>
    void edit(m ? `${name} from ${m.item.name}` : `${name}: nearest again`, (d) => {
      if (m) d.stock.choices[name] = { item: m.item.id, plies: 1, along: "thickness" };
      else delete d.stock.choices[name];
    });
  return (
    <section className="mt-6">
      <h2 className="label">Sheets</h2>
      <table className="list text-[15px]">
        <thead>
          <tr>
            <th>Sheet</th>
            <th className="num">Wanted pitch</th>
            <th>Cut from</th>
            <th className="num">Really</th>
            <th className="num">Off by</th>
            <th className="num">Thick</th>
          </tr>
        </thead>
        <tbody>
          {[...design.sheets].map(([name, m]) => {
            const texture = textureOf(m.wanted.texture);
            const others = sheetMatches(m.wanted, design.scale);
            const pitch = m.item.texture!.pitch;
            return (
              <tr key={name}>
                <td className="head text-[18px]">{capital(texture.name)}</td>
                <td className="num">
                  {P(m.wanted.pitch)}
                  <br />
                  {M(toModel(design.scale, m.wanted.pitch), 2)}
                </td>
                <td>
                  <select
                    aria-label={`Sheet for ${texture.name}`}
                    className="field"
                    value={doc.stock.choices[name] ? m.item.id : ""}
                    onChange={(e) => choose(name, others.find((o) => o.item.id === e.target.value))} // prettier-ignore
                  >
                    <option value="">nearest: {others[0]!.item.name}</option>
                    {others.map((o) => (
                      <option key={o.item.id} value={o.item.id}>
                        {o.item.name}, {signed(o.error.percent)} %
                      </option>
                    ))}
                  </select>
                </td>
                <td className="num">
                  {P(toPrototype(design.scale, pitch))}
                  <br />
                  {M(pitch, 2)}
                </td>
                <td className={`num font-semibold ${Math.abs(m.error.percent) >= 12 ? "text-ochre" : ""}`}>
                  {signed(m.error.percent)} %
                </td>
                <td className="num">{M(m.item.thickness, 2)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-3 text-[15px] text-ink-2">
        The nearest is the one whose pitch comes nearest as a ratio. Sheets are sold{" "}
        {[...design.sheets.values()][0]!.item.sizes.map(([a, b]) => `${M(a, 0)} × ${M(b, 0)}`).join(" and ")}, their
        lines along the longer side.
      </p>
    </section>
  );
}
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
