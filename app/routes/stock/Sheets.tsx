import { sheetMatches, textureOf, type SheetMatch } from "core/lumber";
import { sheetSums } from "core/job";
import { printArea, printNumber, toModel, toPrototype } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";

const signed = (n: number): string => `${n > 0 ? "+" : ""}${printNumber(n, 1)}`;

/** The textured sheets that the walls ask for: what is wanted, which sheet stands in for it, and what else would do. */
export function Sheets() {
  const { doc, design, edit } = useJob();
  const { P, M } = useUnits();
  const area = (mm2: number): string => printArea(mm2, doc.brief.units.model);
  const sums = sheetSums(design.pieces);
  if (design.sheets.size === 0 && sums.length === 0) return null;
  const choose = (name: string, m: SheetMatch | undefined): void =>
    void edit(m ? `${name} from ${m.item.name}` : `${name}: nearest again`, (d) => {
      if (m) d.stock.choices[name] = { item: m.item.id, plies: 1, along: "thickness" };
      else delete d.stock.choices[name];
    });
  return (
    <section className="mt-6">
      <h2 className="label">Sheets</h2>
      {design.sheets.size > 0 && (
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
      )}
      <table className="list mt-4 text-[15px]">
        <thead>
          <tr>
            <th>Taken of</th>
            <th className="num">Panels</th>
            <th className="num">Longest × widest</th>
            <th className="num">Rectangles</th>
            <th className="num">Kept of them</th>
            <th className="num">Sheets at least</th>
          </tr>
        </thead>
        <tbody>
          {sums.map((x) => (
            <tr key={x.item.id}>
              <td>{x.item.name}</td>
              <td className="num">{x.panels}</td>
              <td className="num">
                {M(x.long, 1)} × {M(x.wide, 1)}
              </td>
              <td className="num">{area(x.gross)}</td>
              <td className="num">{area(x.net)}</td>
              <td className="num">
                {x.atLeast} of {M(x.item.sizes.at(-1)![0], 0)} × {M(x.item.sizes.at(-1)![1], 0)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 text-[15px] text-ink-2">
        The nearest is the one whose pitch comes nearest as a ratio; a texture&rsquo;s lines run along the longer side
        of its sheet. How many sheets it takes is reckoned by area alone, with nothing lost between the panels.
      </p>
    </section>
  );
}
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
