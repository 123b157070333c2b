import { printMm, toModel, type Prototype, type Scale } from "../../../units";
import type { Remark } from "../../kind";
import { wallOf, wallSizes } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** What goes through an opening, and how far in it reaches, model mm. Common practice: measured on hands and No. 1 brushes. */
const HAND = { narrow: 45, wide: 80, reach: 150 };
const BRUSH = { narrow: 12, wide: 12, reach: 110 };

/** A room as it is reached: the opening that is left, and how deep it is behind that. Model mm. */
interface Reached {
  readonly name: string;
  readonly opening: readonly [number, number];
  readonly deep: number;
}
/** Rooms of the main part from the left end, prototype mm along the front. */
function rooms(
  v: BuildingValues,
): { readonly name: string; readonly long: number; readonly first: boolean; readonly last: boolean }[] {
  const { wall } = wallSizes(v);
  const walls = [wall / 2, ...v.partitions.map((p) => p.at).sort((a, b) => a - b), v.length - wall / 2];
  return walls.slice(1).map((x, i) => ({
    name: walls.length === 2 ? "the inside" : `room ${i + 1}`,
    long: x - walls[i]! - wall,
    first: i === 0,
    last: i === walls.length - 2,
  }));
}

/** Where neither hand nor brush reaches while the inside is being finished, and what is left off, or not, for it. */
export function reachRemarks(v: BuildingValues, scale: Scale): Remark[] {
  if (!v.interior || v.framing === "none") return [];
  const off = v.locating && v.leftOff === "none" ? "roof" : v.leftOff;
  if (off === "none")
    return v.roof === "none"
      ? []
      : [
          {
            param: "leftOff",
            text: "The inside is seen, and with the last wall on neither brush nor hand reaches it: leave the roof or a wall off until it is done, or let the roof lift off.",
            fix: { label: "The roof is left off", value: "roof" },
          },
        ];
  const mm = (x: number): number => toModel(scale, x as Prototype);
  const { wall } = wallSizes(v);
  const across = v.width - 2 * wall;
  const reached = rooms(v).flatMap((r): Reached[] => {
    if (off === "roof") return [{ name: r.name, opening: [mm(r.long), mm(across)], deep: mm(v.wallHeight) }];
    const high = wallOf(v, off).top;
    if (off === "front" || off === "back") return [{ name: r.name, opening: [mm(r.long), mm(high)], deep: mm(across) }];
    // through an end only the room behind it is reached
    const own = off === "left" ? r.first : r.last;
    return [
      own
        ? { name: r.name, opening: [mm(across), mm(high)], deep: mm(r.long) }
        : { name: r.name, opening: [0, 0], deep: 0 },
    ];
  });
  const out = reached.flatMap((r): Remark[] => {
    const [narrow, wide] = [...r.opening].sort((a, b) => a - b) as [number, number];
    const how = narrow >= HAND.narrow && wide >= HAND.wide ? HAND : narrow >= BRUSH.narrow ? BRUSH : undefined;
    const through =
      off === "roof"
        ? "With the roof off"
        : `With the ${off} ${off === "left" || off === "right" ? "end" : "wall"} off`;
    if (!how)
      return [
        {
          param: "leftOff",
          text: `${through} neither hand nor brush gets into ${r.name}: finish it on the bench before the walls are joined, or leave something else off.`,
        },
      ];
    if (r.deep <= how.reach) return [];
    return [
      {
        param: "leftOff",
        text: `${through}, ${r.name} is ${printMm(r.deep, 0)} deep behind an opening of ${printMm(r.opening[0], 0)} by ${printMm(r.opening[1], 0)}: a ${how === HAND ? "hand" : "brush"} reaches ${how.reach} mm. Finish the last ${printMm(r.deep - how.reach, 0)} before the walls are joined.`,
      },
    ];
  });
  if (off === "roof" && v.loft)
    out.push({
      param: "leftOff",
      text: "With the roof off the loft still closes the room under it: finish that before the loft goes in, or leave a wall off.",
    });
  return out;
}
