import { roughOpening } from "../../../carpentry";
import { NEAR } from "../../../geometry";
import { nominalMm } from "../../../lumber";
import { feet, inches } from "../../../units";
import { overBay, overBayAt, eaveSide, fi, TOLD, sloped, wallOf, wallSizes, ridgeBelowPlates } from "../plan/nominal";
import { shallow } from "./roofFaults";
import { type BuildingValues } from "../parameters";

export function wingFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  const s = wallSizes(v);
  v.wings.forEach((w, i) => {
    if (w.kind === "platform" || w.kind === "canopy") {
      if (w.kind === "canopy" && w.depth + TOLD < feet(3))
        out.push(`Canopy ${i + 1} is ${fi(w.depth)} deep; its brackets need at least ${fi(feet(3))}.`);
      return;
    }
    const wing = w.kind === "bay" ? `Bay ${i + 1}` : `Wing ${i + 1}`;
    const wall = wallOf(v, w.side);
    if (w.at < -NEAR || w.at + w.length > wall.length + NEAR)
      return void out.push(
        `${wing} stands from ${fi(w.at)} to ${fi(w.at + w.length)} of a ${w.side} wall ${fi(wall.length)} long; keep it between its corners.`,
      );
    if (w.kind === "bay") return void out.push(...bayFaults(v, w, wing, wall));
    if (Math.min(w.length, w.depth) + TOLD < 6 * s.wall)
      out.push(`${wing} is ${fi(w.length)} by ${fi(w.depth)}; it has no room inside walls of ${fi(s.wall)}.`);
    if (w.height + TOLD < s.plates + s.thick + inches(18))
      out.push(`${wing} has plates at ${fi(w.height)}; make them at least ${fi(s.plates + s.thick + inches(18))}.`);
    if (w.kind === "gable" && ridgeBelowPlates(v, w.length / 2, v.rise) > 0)
      out.push(
        `${wing}'s ridge board of ${v.ridge} would hang ${fi(ridgeBelowPlates(v, w.length / 2, v.rise))} below its plates; make the wing wider, the roof steeper, or the ridge less deep.`,
      );
    const k = v.rise / 12;
    const above = nominalMm(v.rafter).width * Math.hypot(1, k);
    out.push(...crossedOpenings(v, w, i, above));
    const level = Math.abs(w.height - wall.top) < NEAR;
    if (w.kind === "gable" && level && (v.roof === "gable" || v.roof === "saltbox") && eaveSide(v, w.side)) {
      // a gable's lookouts run back to the second rafter, which has to be whole
      const end =
        v.gableOverhang > 0
          ? Math.max(feet(1), v.rafterSpacing + nominalMm(v.hipRafter).thickness * 2 + inches(4))
          : feet(1);
      const room = Math.max(
        inches(6) + nominalMm(v.hipRafter).thickness * 2 + v.overhang,
        v.gableOverhang > 0 ? end : 0,
      );
      const flush =
        Math.abs(w.at) < TOLD ? "left" : Math.abs(w.at + w.length - wall.length) < TOLD ? "right" : undefined;
      const [before, after] = [
        flush === "left" ? room : w.at,
        flush === "right" ? room : wall.length - w.at - w.length,
      ];
      if (before + TOLD < room || after + TOLD < room)
        out.push(
          `${wing} meets the main roof in valleys, which need ${fi(room)} of eave beside them; move it from the corner, or set it flush with that at ${fi(before + TOLD < room ? 0 : wall.length - w.length)}, or lower its plates so that it ends against the wall.`,
        );
      if (flush && Math.abs(v.gableOverhang - v.overhang) > TOLD)
        out.push(
          `${wing} is flush with the ${flush} end, where its eave runs on into the gable's overhang: make both as wide, ${fi(v.overhang)} or ${fi(v.gableOverhang)}.`,
        );
      const run = v.roof === "saltbox" ? runOf(v, w.side) : (v.ridgeAlong === "width" ? v.length : v.width) / 2;
      // the long valley runs on from one of its corners to the main ridge, to the side that has room: of a flush wing from the corner that it shares
      const [lo, hi] = [w.at, w.at + w.length];
      const ends = [
        { from: hi - run, to: hi, open: flush !== "left" },
        { from: lo, to: lo + run, open: flush !== "right" },
      ].filter((x) => x.open);
      const short = Math.min(
        ...ends.map((x) =>
          Math.max(flush === "left" ? 0 : end - x.from, flush === "right" ? 0 : x.to - wall.length + end, 0),
        ),
      );
      if (short > TOLD)
        out.push(
          `${wing}'s long valley would meet the main ridge past its end, or among the lookouts there; move the wing by ${fi(short)}.`,
        );
      out.push(...shallow(v, `${wing}'s valley rafters`));
      if (w.length / 2 > run - feet(1))
        out.push(
          `${wing} is ${fi(w.length)} wide; its ridge would come within a foot of the main one. Make it at most ${fi(2 * (run - feet(1)))} wide.`,
        );
      return;
    }
    const rise = w.kind === "gable" ? (w.length / 2 + 0) * k : w.depth * k;
    const peak = w.height + above + rise;
    const clear =
      v.roof === "flat" || v.roof === "none"
        ? // under the coping, with its own covering
          wall.top - inches(4)
        : eaveSide(v, w.side)
          ? wall.top - above - v.overhang * k - inches(2)
          : wall.top;
    // beside a gable's corners the main eaves hang past the wall
    const past = (w.kind === "gable" ? v.overhang : v.gableOverhang) + inches(3);
    const low = v.wallHeight - above - v.overhang * k - nominalMm(v.fasciaSize).width;
    if (
      sloped(v) &&
      !eaveSide(v, w.side) &&
      v.gableOverhang > 0 &&
      peak > low &&
      (w.at < past || w.at + w.length > wall.length - past)
    )
      out.push(
        `${wing}'s roof would run into the main eaves at the corner; move it ${fi(past)} from both corners, or lower its plates by ${fi(peak - low)}.`,
      );
    if (peak > clear)
      out.push(
        `${wing} reaches ${fi(peak)} with its roof; against the ${w.side} wall there is room up to ${fi(clear)}. Lower its plates by ${fi(peak - clear)}${w.kind === "gable" && eaveSide(v, w.side) ? `, or set them level with the main ones at ${fi(wall.top)} for valleys` : ""}.`,
      );
  });
  v.wings.forEach((w, i) => {
    if (w.kind !== "platform" && w.kind !== "canopy") return;
    // what hangs lowest over the wall: tails and the rafters of a gable's overhang
    const eave =
      v.wallHeight -
      (sloped(v) ? nominalMm(v.rafter).width * Math.hypot(1, v.rise / 12) + (v.overhang * v.rise) / 12 : 0) -
      inches(6);
    if (w.kind === "platform" && v.foundation === "bents")
      out.push(
        `Platform ${i + 1} would stand on posts among the bents of the heavy stand, whose feet spread; leave it out, or take another foundation.`,
      );
    if (w.kind === "platform" && w.height > Math.min(v.wallHeight / 2, eave))
      out.push(
        `Platform ${i + 1} at ${fi(w.height)} would run into the eaves or halfway up the wall; keep it below ${fi(Math.min(v.wallHeight / 2, eave))}.`,
      );
    if (w.kind === "canopy" && w.height > eave)
      out.push(`Canopy ${i + 1} at ${fi(w.height)} would run into the eaves; keep it below ${fi(eave)}.`);
    if (w.kind === "canopy" && w.height - w.depth + TOLD < inches(18))
      out.push(
        `Canopy ${i + 1} is ${fi(w.depth)} deep and ${fi(w.height)} high; its brackets would reach the floor. Raise it or make it less deep.`,
      );
    v.wings.forEach((o, n) => {
      if (
        n === i ||
        (o.kind === w.kind && n < i) ||
        (o.kind !== w.kind && (o.kind === "platform" || o.kind === "canopy"))
      )
        return;
      const room = o.kind === w.kind ? 0 : v.overhang + feet(1);
      if (w.kind === "platform" && o.kind !== "platform" && o.kind !== "canopy" && o.side === w.side)
        return void out.push(...aroundFaults(w, `Platform ${i + 1}`, o, `wing ${n + 1}`));
      const [a, c] = [planOf(v, w), planOf(v, o)];
      if (
        a[0] + TOLD < c[2] + room &&
        c[0] + TOLD < a[2] + room &&
        a[1] + TOLD < c[3] + room &&
        c[1] + TOLD < a[3] + room
      )
        out.push(
          `${w.kind === "platform" ? "Platform" : "Canopy"} ${i + 1} and wing ${n + 1} stand in each other; ${room > 0 ? `part them by ${fi(room)}` : "move one of them"}.`,
        );
    });
  });
  const walls = v.wings.filter((w) => w.kind === "gable" || w.kind === "lean" || w.kind === "bay");
  walls.forEach((a, i) =>
    walls.slice(i + 1).forEach((b) => {
      if (a.side !== b.side) return;
      const gap = Math.max(a.at, b.at) - Math.min(a.at + a.length, b.at + b.length);
      const need = 2 * v.overhang + feet(1);
      if (gap + TOLD < need)
        out.push(
          `Two wings against the ${a.side} wall are ${fi(Math.max(0, gap))} apart; their eaves need ${fi(need)}.`,
        );
    }),
  );
  return out;
}

/** Strips of a platform beside and before a wing narrower than this are not framed, prototype mm: common practice, no source. */
const LEAST_STRIP = feet(1.5);
/** Why a platform cannot be framed round a wing or bay that stands in it. */
function aroundFaults(
  w: BuildingValues["wings"][number],
  platform: string,
  o: BuildingValues["wings"][number],
  wing: string,
): string[] {
  const edge = inches(6);
  const [a, c] = [o.at - edge, o.at + o.length + edge];
  if (c <= w.at || a >= w.at + w.length) return [];
  const out: string[] = [];
  for (const strip of [a - w.at, w.at + w.length - c, w.depth - o.depth - edge])
    if (strip > 0 && strip + TOLD < LEAST_STRIP)
      out.push(
        `${platform} leaves a strip of ${fi(strip)} along ${wing}, too narrow for joists; let it end at the wing, or give it ${fi(LEAST_STRIP)}.`,
      );
  if (w.height > o.height / 2)
    out.push(`${platform} at ${fi(w.height)} would stand more than halfway up ${wing}; lower it.`);
  return out;
}

/** Why a bay window has no room: between its sides, under the eaves, for its roof. */
function bayFaults(
  v: BuildingValues,
  w: BuildingValues["wings"][number],
  name: string,
  wall: { readonly length: number; readonly top: number },
): string[] {
  const out: string[] = [];
  const s = wallSizes(v);
  const k = v.rise / 12;
  const angle = (v.baySlant * Math.PI) / 180;
  const half = Math.tan(angle / 2);
  const above = nominalMm(v.rafter).width * Math.hypot(1, k);
  const room = v.bayOverhang / Math.sin(angle) + inches(6);
  if (w.at + TOLD < room || w.at + w.length - TOLD > wall.length - room)
    out.push(`${name} has its eaves past the corner; keep it ${fi(room)} from both.`);
  // the hips meet the main wall nearer to the middle than the front's corners
  const flat = w.length - 2 * (w.depth / Math.tan(angle) + w.depth * half);
  const least = inches(14) + 2 * nominalMm(v.hipRafter).thickness;
  if (flat + TOLD < least)
    out.push(
      `${name} is ${fi(w.length)} wide and ${fi(w.depth)} deep; the hips of its roof would meet. Make it ${fi(w.length + least - flat)} wide, or less deep.`,
    );
  const side = w.depth / Math.sin(angle) - s.wall / Math.tan(angle) - s.wall * half;
  if (side + TOLD < 4 * s.thick)
    out.push(
      `${name}'s sides have no room for their studs; make it deeper by ${fi((4 * s.thick - side) * Math.sin(angle))}.`,
    );
  if (w.height + TOLD < s.plates + s.thick + inches(18))
    out.push(`${name} has plates at ${fi(w.height)}; make them at least ${fi(s.plates + s.thick + inches(18))}.`);
  const peak = w.height + above + w.depth * k;
  const under =
    v.roof !== "flat" && v.roof !== "none" && eaveSide(v, w.side)
      ? wall.top - above - v.overhang * k - Math.max(inches(2), nominalMm(v.fasciaSize).width - above)
      : wall.top - Math.max(s.plates, inches(4));
  const frieze = v.frieze && (v.roof === "flat" || eaveSide(v, w.side)) ? nominalMm(v.friezeBoard).width : 0;
  const clear = under - frieze;
  if (peak > clear)
    out.push(
      `${name} reaches ${fi(peak)} with its roof; against the ${w.side} wall there is room up to ${fi(clear)}. Lower its plates by ${fi(peak - clear)}, or make it less deep.`,
    );
  out.push(...shallow(v, `${name}'s hips`));
  v.openings.forEach((o, n) => {
    if (o.part !== 0 || o.wall !== w.side) return;
    const [p, q] = [o.at - o.width / 2 - s.beside - inches(4), o.at + o.width / 2 + s.beside + inches(4)];
    const edge = s.wall / Math.sin(angle) + inches(3);
    const inside = p > w.at + edge && q < w.at + w.length - edge && o.sill + o.height < w.height - s.plates - inches(8);
    const beside = q < w.at - room || p > w.at + w.length + room;
    if (!inside && !beside && !overBay(v, w, o))
      out.push(
        `Opening ${n + 1} in the ${w.side} wall is crossed by ${name.toLowerCase()}; move one of them, or set it over the bay's roof at ${fi(overBayAt(v, w))}.`,
      );
  });
  return out;
}

/** Openings of the main part that a wing's walls or its roof cross. */
function crossedOpenings(v: BuildingValues, w: BuildingValues["wings"][number], i: number, above: number): string[] {
  const s = wallSizes(v);
  const k = v.rise / 12;
  const room = s.beside + (v.casings ? nominalMm(v.casing).width : 0) + inches(1);
  const [a, b] = [w.at, w.at + w.length];
  const out = (w.kind === "gable" ? v.overhang : v.gableOverhang) + room;
  const low = w.height - above - (w.kind === "gable" ? v.overhang * k : 0) - room - nominalMm(v.fasciaSize).width;
  const high = w.height + above + (w.kind === "gable" ? w.length / 2 : w.depth) * k + room + inches(4);
  return v.openings.flatMap((o, n): string[] => {
    if (o.wall !== w.side || o.part !== 0) return [];
    const r = roughOpening(o, 0);
    const [p, q] = [o.at - r.width / 2 - room, o.at + r.width / 2 + room];
    const inside = p > a + s.wall && q < b - s.wall;
    const beside = q < a || p > b;
    if (!inside && !beside && r.sill - room + TOLD < w.height + above)
      return [`Opening ${n + 1} in the ${o.wall} wall is crossed by a wall of wing ${i + 1}; move one of them.`];
    if (p + TOLD < b + out && q - TOLD > a - out && r.head + room - TOLD > low && r.sill - room + TOLD < high)
      return [
        `Opening ${n + 1} in the ${o.wall} wall is crossed by the roof of wing ${i + 1}; move one of them, or lower the wing's plates.`,
      ];
    return [];
  });
}

/** The rectangle a wing takes from above: least x and y, greatest x and y from the building's middle. */
function planOf(v: BuildingValues, w: BuildingValues["wings"][number]): readonly [number, number, number, number] {
  const [x, y] = [v.length / 2, v.width / 2];
  switch (w.side) {
    case "front":
      return [w.at - x, -y - w.depth, w.at + w.length - x, -y];
    case "right":
      return [x, w.at - y, x + w.depth, w.at + w.length - y];
    case "back":
      return [x - w.at - w.length, y, x - w.at, y + w.depth];
    default:
      return [-x - w.depth, y - w.at - w.length, -x, y - w.at];
  }
}

function runOf(v: BuildingValues, side: string): number {
  const turned = v.ridgeAlong === "width";
  const half = (turned ? v.length : v.width) / 2;
  const front = side === (turned ? "right" : "front");
  return front ? half - v.ridgeShift : half + v.ridgeShift;
}
