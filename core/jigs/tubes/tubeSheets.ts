import { line, outline, text, type Drawing, type Entity } from "../../drawing";
import type { Piece } from "../../frame";
import type { Vec2 } from "../../geometry";
import type { StructureDesign } from "../../job";
import { stockName, textureOf } from "../../lumber";
import { roundOnce, tubesLayout, type TubesLayout } from "../../structures/tubes/layout";
import type { TubesValues } from "../../structures/tubes/parameters";
import { printMm } from "../../units";
import { buildSheets } from "../buildSheets";
import type { NamedDrawing } from "../kindSheets";
import { partSheets } from "../partSheets";
import { isLoosePart } from "../sheet/sheetBuildingSheets";

/** How much of the tube a pattern of its top shows below the lowest place of the cut, mm. */
const SHOWS = 25;
/** Places round a tube at which a pattern is reckoned. */
const STEPS = 144;

/** A row of tubes is built on templates of what is flat: panels, deck, headhouse; its wrap as it lies before it is bent, and the pattern of tops that are cut aslant. */
export function tubeSheets(s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] {
  const l = tubesLayout(s.variant.params as unknown as TubesValues, s.context);
  return [
    ...buildSheets(s, pieces),
    ...(l.wrap ? [{ what: "wrap laid flat", drawing: wrapFlat(s, l) }] : []),
    ...(l.k > 0 ? [{ what: "pattern for the tops", drawing: topPattern(l) }] : []),
    ...partSheets(s, pieces, (k) => isLoosePart(k.member.id)),
  ];
}
/** A wrap once round as it is cut, with its lines, its halves and where hoops lie. */
function wrapFlat(s: StructureDesign, l: TubesLayout): Drawing {
  const { item } = l.wrap!;
  const long = roundOnce(l.tube.width / 2, item.thickness);
  const high = l.high - l.k * l.radius;
  const lines: Entity[] = [];
  if (item.texture) {
    const { pitch, id } = item.texture;
    const upright = textureOf(id).runs === "upright";
    for (let at: number = pitch; at < (upright ? long : high) - 1e-6; at += pitch)
      lines.push(upright ? line([at, 0], [at, high], "thin") : line([0, at], [long, at], "thin"));
  }
  const hoops = l.hoops.flatMap((z, i): Entity[] => [line([0, z], [long, z], "hidden"), text([long + 2, z - 0.7], `hoop ${i + 1}: ${printMm(z, 2)}`, 1.9)]); // prettier-ignore
  return {
    layers: [
      { name: "members", entities: [outline([[0, 0], [long, 0], [long, high], [0, high]], "outline")] }, // prettier-ignore
      ...(lines.length > 0 ? [{ name: "texture", entities: lines }] : []),
      { name: "halves", entities: [line([long / 2, 0], [long / 2, high], "centre"), ...hoops] },
      {
        name: "words",
        entities: [
          text([0, high + 3], `${stockName(s.context.scale, item.id)}: ${printMm(long, 2)} once round a tube of ${printMm(l.tube.width, 2)}, ${printMm(high, 2)} high`, 2.2), // prettier-ignore
          text([0, -5], `${l.v.tubes} ${l.v.tubes === 1 ? "tube" : "tubes"}; two halves of ${printMm(long / 2, 2)} each meet at the sides. π times the diameter of the middle of the sheet.`, 1.9), // prettier-ignore
        ],
      },
    ],
  };
}
/** The pattern that is wrapped round a tube to mark its slanting top: along it the circle of the outside, from the left side round by the front; up it the height over the lowest place. */
export function topCurve(l: Pick<TubesLayout, "tube" | "k">): Vec2[] {
  const r = l.tube.width / 2;
  return Array.from({ length: STEPS + 1 }, (_, i): Vec2 => {
    const t = (i / STEPS) * 2 * Math.PI;
    // at a quarter it has come to the front, the lowest place
    return [r * t, l.k * r * (1 - Math.sin(t))];
  });
}
function topPattern(l: TubesLayout): Drawing {
  const curve = topCurve(l);
  const round = curve.at(-1)![0];
  const put = ([x, y]: Vec2): Vec2 => [x, y + SHOWS];
  return {
    layers: [
      { name: "members", entities: [outline([[0, 0], [round, 0], ...[...curve].reverse().map(put)], "outline")] }, // prettier-ignore
      { name: "sides", entities: [0.25, 0.5, 0.75].map((f) => line([round * f, 0], [round * f, SHOWS], "hidden")) },
      {
        name: "words",
        entities: [
          ...[["left", 0.02], ["front", 0.25], ["right", 0.5], ["back", 0.75]].map(([w, f]) => text([round * Number(f) + 1, 2], String(w), 1.9)), // prettier-ignore
          text([0, -5], `Wrap it round the tube, ends meeting at the left, its curve up; ${printMm(round, 2)} goes round ${printMm(l.tube.width, 2)}. Mark along the curve.`, 1.9), // prettier-ignore
        ],
      },
    ],
  };
}
