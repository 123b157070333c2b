import { ALIKE } from "../../geometry";
import { nominalMm } from "../../lumber";
import { flight } from "../../carpentry";
import { feet, inches, printFeetInches, prototype, type Prototype } from "../../units";
import { buildingCheck } from "./judgement/check";
import type { BuildingValues, OpeningRow } from "./parameters";

const fi = (mm: number): string => printFeetInches(mm);

/** Length and depth that a building takes from above, prototype mm: with its eaves and with what stands against it. */
export function footprint(v: BuildingValues): { readonly length: number; readonly depth: number } {
  const hip = v.roof === "hip" || v.roof === "hipdeck";
  const none = v.roof === "none" || v.roof === "flat";
  const turned = v.ridgeAlong === "width" && !hip;
  const [alongX, alongY] = none
    ? [0, 0]
    : hip
      ? [v.overhang, v.overhang]
      : turned
        ? [v.overhang, v.gableOverhang]
        : [v.gableOverhang, v.overhang];
  const reach = { front: alongY, back: alongY, left: alongX, right: alongX } as Record<string, number>;
  for (const w of v.wings)
    reach[w.side] = Math.max(
      reach[w.side]!,
      w.depth + (w.kind === "gable" || w.kind === "lean" ? v.overhang : w.kind === "bay" ? v.bayOverhang : 0),
    );
  // a stair takes its run, to where level ground would be
  for (const s of v.stairs)
    if (s.level + v.groundDepth > 0)
      reach[s.side] = Math.max(
        reach[s.side]!,
        s.out + flight(prototype(s.level + v.groundDepth), s.tread, s.riser).run,
      );
  let [x0, x1] = [-reach.left!, v.length + reach.right!];
  for (const w of v.wings) if (w.side === "front") [x0, x1] = [Math.min(x0, w.at), Math.max(x1, w.at + w.length)];
  return { length: x1 - x0, depth: v.width + reach.front! + reach.back! };
}

/** The wall that runs away from a side. */
const across = (side: string): string => (side === "front" || side === "back" ? "right" : "front");

/** What its walls are built in steps of: bays of posts, boards on end, or studs. */
export const stepOf = (v: BuildingValues): Prototype =>
  prototype(
    v.framing === "posts"
      ? v.bay
      : v.siding === "vertical" || v.siding === "batten"
        ? nominalMm(v.sidingBoard).width
        : v.studSpacing,
  );

/** A building made to fit, and what was given up for it, a sentence each. */
export interface Compressed {
  readonly values: BuildingValues;
  readonly given: readonly string[];
  readonly fits: boolean;
}

/**
 * Fits a building into a spot (prototype mm; 0 is as much as it likes) by taking out whole bays, boards or stud spaces.
 * Doors, windows and lumber keep their sizes; openings slide to where the step puts them, and those that no longer go in
 * are left out, the ones in the thickest crowd first.
 */
export function compressBuilding(
  v: BuildingValues,
  spot: { readonly length: number; readonly depth: number },
): Compressed {
  const given: string[] = [];
  const step = stepOf(v);
  const before = footprint(v);
  const drop = (over: number, side: Prototype, least: number): Prototype => {
    if (over <= 0) return side;
    const n = Math.min(Math.ceil(over / step - ALIKE), Math.max(0, Math.floor((side - least) / step)));
    return prototype(side - n * step);
  };
  const length =
    spot.length > 0 ? drop(before.length - spot.length, prototype(v.length), feet(6)) : prototype(v.length);
  const width = spot.depth > 0 ? drop(before.depth - spot.depth, prototype(v.width), feet(5)) : prototype(v.width);
  const words =
    v.framing === "posts" ? "bay" : v.siding === "vertical" || v.siding === "batten" ? "board" : "stud space";
  for (const [name, old, now] of [
    ["length", v.length, length],
    ["width", v.width, width],
  ] as const)
    if (now < old) {
      const n = Math.round((old - now) / step);
      given.push(
        `${n} ${words}${n === 1 ? "" : "s"} of the ${name}: ${fi(old)} became ${fi(now)}, ${Math.round((100 * now) / old)} % of it.`,
      );
    }
  const scaleOn = (side: string): number => (side === "front" || side === "back" ? length / v.length : width / v.width);
  // places go with the wall, then to the next step from its left corner
  const slid = (o: OpeningRow): OpeningRow => {
    const k = scaleOn(o.wall);
    return k === 1 ? o : { ...o, at: prototype(Math.max(step, Math.round((o.at * k) / step) * step)) };
  };
  const wings = v.wings.map((w) => {
    const k = scaleOn(w.side);
    return k === 1
      ? w
      : {
          ...w,
          at: prototype(w.at * k),
          length: prototype(w.kind === "platform" || w.kind === "canopy" ? w.length * k : w.length),
        };
  });
  const along = (side: string, at: number): Prototype => prototype(at * scaleOn(side));
  const partitions = v.partitions.map((p) => ({ ...p, at: along("front", p.at), doorAt: along("right", p.doorAt) }));
  const roofHoles = v.roofHoles.map((h) => ({
    ...h,
    at: along(h.side, h.at),
    inward: along(across(h.side), h.inward),
  }));
  const dormers = v.dormers.map((d) => ({ ...d, at: along(d.side, d.at), inward: along(across(d.side), d.inward) }));
  const stairs = v.stairs.map((s) => ({ ...s, at: prototype(s.at * scaleOn(s.side)) }));
  let values: BuildingValues = {
    ...v,
    length,
    width,
    wings,
    stairs,
    partitions,
    roofHoles,
    dormers,
    openings: v.openings.map(slid),
  };
  for (const [key, noun] of [
    ["partitions", "partition"],
    ["roofHoles", "chimney"],
    ["dormers", "dormer"],
  ] as const) {
    const rows = values[key] as readonly object[];
    // one after another, those that still go with what is there
    let without = { ...values, openings: [], [key]: [] } as BuildingValues;
    rows.forEach((row, n) => {
      const more = { ...without, [key]: [...(without[key] as readonly object[]), row] } as BuildingValues;
      if (buildingCheck(more).length <= buildingCheck(without).length) without = more;
      else given.push(`The ${noun} ${n + 1}: there is no room for it.`);
    });
    values = { ...values, [key]: without[key] };
  }
  // an opening that stands on its neighbour is slid half a step at a time before it is given up
  const most = buildingCheck({ ...values, openings: [] }).length;
  const kept: OpeningRow[] = [];
  for (const [i, o] of values.openings.entries()) {
    const places = [0, 0.5, -0.5, 1, -1, 1.5, -1.5, 2, -2, 3, -3].map((n) => ({
      ...o,
      at: prototype(Math.max(0, o.at + n * step)),
    }));
    const goes = places.find((p) => buildingCheck({ ...values, openings: [...kept, p] }).length <= most);
    if (goes) kept.push(goes);
    else
      given.push(
        `The ${o.kind} ${i + 1} in the ${o.wall} wall, ${fi(o.width)} by ${fi(o.height)}: there is no room for it.`,
      );
  }
  values = { ...values, openings: kept };
  const after = footprint(values);
  const slack = inches(0.01);
  const fits =
    (spot.length <= 0 || after.length <= spot.length + slack) && (spot.depth <= 0 || after.depth <= spot.depth + slack);
  if (!fits)
    given.push(
      `It still takes ${fi(after.length)} by ${fi(after.depth)} of a spot of ${spot.length > 0 ? fi(spot.length) : "any length"} by ${spot.depth > 0 ? fi(spot.depth) : "any depth"}: shorten its overhangs or what stands against it.`,
    );
  return { values, given, fits };
}
