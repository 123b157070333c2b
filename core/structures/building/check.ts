import { parseNominal } from "../../lumber";
import { feet, inches, printFeetInches } from "../../units";
import { flight, stairRemarks } from "../../carpentry";
import type { Remark } from "../kind";
import { nominalMm } from "../trestle/layout";
import { unusual } from "../unusual";
import { SIZES } from "./layout";
import { standFaults } from "./stand";
import { roughOpening } from "./openings";
import { buildingSpec, SIDES, type BuildingValues } from "./parameters";

const fi = (mm: number): string => printFeetInches(mm);
const isHip = (v: BuildingValues): boolean => v.roof === "hip" || v.roof === "hipdeck";
const sloped = (v: BuildingValues): boolean => v.roof !== "none" && v.roof !== "flat";
const hasGables = (v: BuildingValues): boolean => sloped(v) && !isHip(v);

/** The walls' framing, nominal prototype mm: thickness of the wall, and of what stands and lies in it. */
function wallSizes(v: BuildingValues): { wall: number; thick: number; plates: number; beside: number } {
  const s = nominalMm(v.framing === "posts" ? v.post : v.stud);
  if (v.framing === "posts")
    return { wall: s.width, thick: s.thickness, plates: s.thickness, beside: nominalMm(v.girt).thickness };
  return {
    wall: s.width,
    thick: s.thickness,
    plates: v.topPlates * s.thickness,
    beside: (v.openingFrame === "jacks" ? 2 : 1) * s.thickness,
  };
}
/** Length of a wall and the height of its plates; undefined where a wing has none on that side. */
function wallOfPart(v: BuildingValues, part: number, side: string): { length: number; top: number } | undefined {
  if (part === 0) return wallOf(v, side);
  const w = v.wings[part - 1];
  if (!w || (w.kind !== "gable" && w.kind !== "lean")) return undefined;
  const facing = { front: "back", back: "front", left: "right", right: "left" }[w.side];
  if (side === facing) return undefined;
  return { length: side === w.side ? w.length : w.depth, top: w.height };
}
/** Length of a wall of the main part, and the height of its plates. */
function wallOf(v: BuildingValues, side: string): { length: number; top: number } {
  const length = side === "front" || side === "back" ? v.length : v.width;
  const turned = isHip(v) ? v.width > v.length : v.ridgeAlong === "width" && v.roof !== "flat" && v.roof !== "none";
  const eave = turned
    ? side === "right"
      ? "S"
      : side === "left"
        ? "N"
        : ""
    : side === "front"
      ? "S"
      : side === "back"
        ? "N"
        : "";
  const across = turned ? v.length : v.width;
  const k = v.rise / 12;
  let top: number = v.wallHeight;
  if (v.roof === "flat") top += v.parapet;
  if (v.roof === "saltbox" && eave === "S") top += 2 * v.ridgeShift * k;
  if (v.roof === "shed" && eave === "N") top += (across - wallSizes(v).wall) * k;
  return { length, top };
}

/** Why a building's values cannot go together, a sentence each; empty when they can. Sizes are nominal here; what real stock makes of them the findings say. */
export function buildingCheck(v: BuildingValues): string[] {
  const label = (k: string): string => (buildingSpec as unknown as Record<string, { label: string }>)[k]!.label;
  const bad = SIZES.filter((k) => !parseNominal(String(v[k])));
  if (bad.length > 0)
    return bad.map((k) => `${label(k)} is “${String(v[k])}”, which is no nominal size; write one such as 2×4.`);
  const out: string[] = SIZES.filter((k) => parseNominal(String(v[k]))!.round).map(
    (k) => `${label(k)} is “${String(v[k])}”; only sticks with corners frame a building.`,
  );
  if (out.length > 0) return out;
  const s = wallSizes(v);
  const short = Math.min(v.length, v.width);
  if (short < 6 * s.wall)
    out.push(
      `A building ${fi(short)} wide has no room inside walls of ${fi(s.wall)}; make it at least ${fi(6 * s.wall)}.`,
    );
  if (v.wallHeight < s.plates + s.thick + inches(18))
    out.push(
      `Walls of ${fi(v.wallHeight)} leave no room between sole and plate; make them at least ${fi(s.plates + s.thick + inches(18))}.`,
    );
  if (v.framing === "none") {
    if (v.roof !== "none") out.push("A floor alone carries no roof: give it walls, or set the roof to none.");
    if (v.openings.length > 0)
      out.push("A floor alone has no walls for its openings; take them out, or give it walls.");
    if (v.wings.length > 0)
      out.push("A floor alone has no walls for wings to stand against; take them out, or give it walls.");
    if (v.floor !== "under") out.push("A floor alone needs its floor: set it to framed under the walls.");
  }
  if (v.foundation === "bents") {
    if (v.floor !== "under") out.push("A heavy stand carries a floor: set the floor to framed under the walls.");
    out.push(...standFaults(v));
  }
  v.partitions.forEach((p, i) => {
    const room = 2 * s.wall + inches(6);
    if (p.at < room || p.at > v.length - room)
      out.push(
        `Partition ${i + 1} stands ${fi(p.at)} from the left end; inside there is room from ${fi(room)} to ${fi(v.length - room)}.`,
      );
    v.partitions.slice(0, i).forEach((q, n) => {
      if (Math.abs(q.at - p.at) < 2 * s.wall)
        out.push(`Partitions ${n + 1} and ${i + 1} stand in each other; part them by ${fi(2 * s.wall)}.`);
    });
    const edge = s.wall + s.beside + s.thick + inches(1);
    if (p.door && (p.doorAt - p.doorWidth / 2 < edge || p.doorAt + p.doorWidth / 2 > v.width - edge))
      out.push(
        `The doorway of partition ${i + 1} reaches its ends; keep it between ${fi(edge)} and ${fi(v.width - edge)} from the front.`,
      );
    if (p.door && v.wallHeight < inches(82) + s.plates + nominalMm(v.header).width)
      out.push(`Walls of ${fi(v.wallHeight)} are too low for a doorway in partition ${i + 1}.`);
    if (v.floor === "lift")
      out.push(
        "A floor that lifts out cannot pass partitions that stand to the plates: frame it under the walls, or take them out.",
      );
    if (v.wallBrace === "inside")
      out.push("Braces on the inside of the walls stand where partitions meet them; let them in.");
    if (v.lined || v.locating)
      out.push("Lining and locating strips stand where partitions meet the walls; take out one or the other.");
  });
  if (v.loft && v.framing !== "none") {
    const deep = nominalMm(v.joist).width + nominalMm(v.plank).thickness;
    if (v.loftHeight > v.wallHeight - s.plates - inches(6) || v.loftHeight < deep + inches(18))
      out.push(
        `A loft at ${fi(v.loftHeight)} does not go between floor and plates; there is room from ${fi(deep + inches(18))} to ${fi(v.wallHeight - s.plates - inches(6))}.`,
      );
    if (v.partitions.length > 0) out.push("Partitions stand to the plates through a loft; leave out one or the other.");
    if (v.wallBrace === "inside")
      out.push("Braces on the inside of the walls stand where a loft's rims lie; let them in.");
    const turned = isHip(v) ? v.width > v.length : v.ridgeAlong === "width" && v.roof !== "flat" && v.roof !== "none";
    const [along, across] = turned ? [v.width, v.length] : [v.length, v.width];
    const edge =
      s.wall + v.joistSpacing + 2 * nominalMm(v.joist).thickness + (v.lined ? nominalMm(v.lining).thickness : 0);
    const side = s.wall + 3 * nominalMm(v.joist).thickness + (v.lined ? nominalMm(v.lining).thickness : 0) + inches(2);
    if (v.loftStair && (v.loftStairAt < edge || v.loftStairAt + v.loftStairWidth > along - edge))
      out.push(`The loft's stair opening reaches its edge along; keep it between ${fi(edge)} and ${fi(along - edge)}.`);
    if (v.loftStair && (v.loftStairIn < side || v.loftStairIn + v.loftStairLength > across - side))
      out.push(
        `The loft's stair opening reaches its edge across; keep it between ${fi(side)} and ${fi(across - side)}.`,
      );
  }
  if (v.lined && v.wallBrace === "inside")
    out.push("Braces on the inside of the walls stand where they are lined; let them in, or leave them out.");
  if (v.lined && v.locating)
    out.push("A roof's locating strips slip inside the walls, where they are lined; leave out one or the other.");
  if (v.lined && v.roof === "flat")
    out.push("A flat roof's ledgers lie on the inside of the walls, where they are lined; leave out the lining.");
  out.push(...openingFaults(v), ...roofFaults(v), ...wingFaults(v));
  return out;
}

function openingFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  const s = wallSizes(v);
  const name = (i: number): string => `Opening ${i + 1}`;
  const rows = v.openings.map((o, i) => ({ o, i, r: roughOpening(o, 0) }));
  rows.forEach(({ o, i }) => {
    if (!wallOfPart(v, o.part, o.wall))
      out.push(
        v.wings[o.part - 1]
          ? `${name(i)} is in the ${o.wall} wall of wing ${o.part}, which has none there; choose another wall.`
          : `${name(i)} is in wing ${o.part}, and there is none; choose 0 for the main part.`,
      );
  });
  const parts = [0, ...v.wings.map((_, n) => n + 1)];
  for (const [side, part] of SIDES.flatMap((x) => parts.map((n) => [x, n] as const))) {
    const wall = wallOfPart(v, part, side);
    if (!wall) continue;
    const { length, top } = wall;
    const own = rows.filter((x) => x.o.wall === side && x.o.part === part).sort((a, b) => a.o.at - b.o.at);
    // a corner takes the wall beside it and what stands there
    const casing = v.casings ? nominalMm(v.casing).width : 0;
    const trim = v.siding !== "none" && v.cornerBoards ? nominalMm(v.cornerBoard).width + casing : casing + s.wall;
    const corner = Math.max(Math.max(s.wall + s.thick, cornerRoom(v)) + s.beside, trim) + inches(1);
    own.forEach(({ o, i, r }, n) => {
      if (!(r.width > inches(4) && r.height > inches(4)))
        return void out.push(
          `${name(i)} leaves no rough opening: its casting of ${fi(o.width)} by ${fi(o.height)} is hidden by its flange of ${fi(o.lap)}.`,
        );
      const [a, b] = [o.at - r.width / 2, o.at + r.width / 2];
      if (a < corner || b > length - corner)
        out.push(
          `${name(i)} in the ${side} wall reaches from ${fi(a)} to ${fi(b)}; between the corners there is room from ${fi(corner)} to ${fi(length - corner)}.`,
        );
      const header =
        v.framing === "posts"
          ? nominalMm(v.girt).thickness
          : v.openingFrame === "jacks"
            ? nominalMm(v.header).width
            : s.thick;
      // with the fit of a casting at any scale
      const room = top - s.plates - Math.max(header, casing) - v.fit * 160;
      if (r.head > room + 1e-6)
        out.push(
          `${name(i)} in the ${side} wall ends at ${fi(r.head)}; under its header and the plate there is room up to ${fi(room)}. Lower it or raise the wall.`,
        );
      const least = s.thick + Math.max(casing, v.framing === "posts" ? nominalMm(v.girt).thickness : s.thick);
      if (o.kind === "window" && r.sill < least)
        out.push(
          `${name(i)} in the ${side} wall begins at ${fi(r.sill)}; a window needs ${fi(least)} for its sill over the sole. Raise it, or make it a door.`,
        );
      if (o.kind !== "window" && o.sill > 1e-6)
        out.push(
          `${name(i)} is a door ${fi(o.sill)} over the floor; a door or hatch stands on it. Set its bottom to 0, or make it a window.`,
        );
      const before = own[n - 1];
      if (before) {
        const gap = a - (before.o.at + before.r.width / 2);
        const need = 2 * Math.max(s.beside, casing) + inches(0.75);
        if (gap < need)
          out.push(
            `${name(before.i)} and ${name(i).toLowerCase()} in the ${side} wall are ${fi(Math.max(0, gap))} apart; the studs between them need ${fi(need)}.`,
          );
      }
    });
  }
  return out;
}
/** How far what a corner is made of reaches along a long wall. */
function cornerRoom(v: BuildingValues): number {
  const s = wallSizes(v);
  if (v.framing === "posts") return s.thick;
  return v.corner === "blocked"
    ? 3 * s.thick
    : v.corner === "turned"
      ? s.thick + s.wall
      : v.corner === "solid"
        ? nominalMm(v.cornerPost).thickness
        : s.thick;
}

function roofFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  if (v.roof === "flat" && v.wallBrace === "inside")
    out.push(
      "Braces on the inside of the studs stand where a flat roof's ledgers lie; let them in, or leave them out.",
    );
  if (!sloped(v)) return out;
  const rafterDepth = 0.4 * nominalMm(v.rafter).width;
  v.roofHoles.forEach((h, i) => {
    const { length } = wallOf(v, h.side);
    const turnedAt = isHip(v) || eaveSide(v, h.side) || (v.roof === "shed" && h.side === "front");
    if (!turnedAt)
      return void out.push(
        `Chimney ${i + 1} stands on the ${h.side} side, which has no slope; choose a side with an eave.`,
      );
    const half = h.width / 2 + v.rafterSpacing;
    if (h.at - half < 0 || h.at + half > length)
      out.push(
        `Chimney ${i + 1} is too near the end of its slope: from the ${h.side} wall's corners it needs ${fi(half)}.`,
      );
    const under = (h.inward - h.length / 2) * (v.rise / 12) - rafterDepth;
    if (v.ceiling !== "none" && under < nominalMm(v.ceilingJoist).width + inches(3))
      out.push(`Chimney ${i + 1} is headed off lower than the ceiling joists; move it further in.`);
    if (h.inward - h.length / 2 < nominalMm(v.stud).width + inches(4))
      out.push(`Chimney ${i + 1} reaches over the wall; move it in.`);
  });
  const fascia = v.fascia === "board" ? nominalMm(v.fasciaSize).thickness : 0;
  if (v.overhang < fascia + (fascia > 0 ? inches(1) : 0))
    out.push(
      `An overhang of ${fi(v.overhang)} leaves no tail behind a fascia; make it at least ${fi(fascia + inches(1))}, or leave the tails bare.`,
    );
  const turned = isHip(v) ? v.width > v.length : v.ridgeAlong === "width";
  const [long, across] = turned ? [v.width, v.length] : [v.length, v.width];
  const rafter = nominalMm(v.rafter);
  if (v.monitor && v.roof === "gable") {
    const slope = Math.hypot(1, v.rise / 12);
    if (v.monitorWidth > across - feet(4))
      out.push(
        `A monitor ${fi(v.monitorWidth)} wide leaves no roof beside it on ${fi(across)}; make it at most ${fi(across - feet(4))}.`,
      );
    if (long - 2 * v.monitorInset < 3 * v.rafterSpacing)
      out.push(
        `A monitor ${fi(long - 2 * v.monitorInset)} long stands on too few rafters ${fi(v.rafterSpacing)} apart; it needs ${fi(3 * v.rafterSpacing)}.`,
      );
    if (2 * v.monitorInset > long - feet(4))
      out.push(
        `A monitor that stands in ${fi(v.monitorInset)} from both gables leaves nothing of ${fi(long)}; bring its ends nearer to them.`,
      );
    if (
      v.monitorHeight <
      nominalMm(v.rafter).width * slope + (v.overhang * v.rise) / 12 + nominalMm(v.stud).thickness * 2 + inches(6)
    )
      out.push(
        `A monitor ${fi(v.monitorHeight)} high has its eaves on the main roof; raise it, or shorten the overhang.`,
      );
    if (v.monitorInset < v.gableOverhang + inches(6))
      out.push(
        `The monitor's own overhang of ${fi(v.gableOverhang)} would pass the gables; set it in by ${fi(v.gableOverhang + inches(6))}.`,
      );
    if (v.wings.some((w) => w.kind === "gable") || v.roofHoles.length > 0 || v.caps)
      out.push(
        "With a monitor there are no valleys, chimneys or ridge boards on the main roof here; leave out one or the other.",
      );
    if (v.collar !== "none") out.push("Collar ties would stand where the monitor's light falls; leave them out.");
  }
  if (isHip(v)) {
    const ridge = v.roof === "hip" ? long - across : long - across + v.deckWidth;
    const least = 2 * rafter.thickness + inches(1);
    if (v.roof === "hip" && ridge > 1e-6 && ridge < least)
      out.push(
        `The ridge would be only ${fi(ridge)} long: make the building square for a point, or ${fi(least - ridge)} longer.`,
      );
    if (v.roof === "hipdeck" && v.deckWidth > across - feet(3))
      out.push(
        `A deck ${fi(v.deckWidth)} wide leaves no slopes on ${fi(across)}; make it at most ${fi(across - feet(3))}.`,
      );
    if (v.roof === "hipdeck" && v.deckWidth < inches(18))
      out.push(`A deck ${fi(v.deckWidth)} wide is no deck; make it at least ${fi(inches(18))}, or take a hip roof.`);
    if (nominalMm(v.hipRafter).width < rafter.width)
      out.push(
        `Hips of ${v.hipRafter} are less deep than the rafters of ${v.rafter} that meet them; take at least the same depth.`,
      );
  }
  if (v.roof === "saltbox") {
    if (v.ridgeShift > across / 2 - feet(1.5))
      out.push(
        `The ridge is moved ${fi(v.ridgeShift)} to the front, which leaves no front slope on ${fi(across)}; move it at most ${fi(across / 2 - feet(1.5))}.`,
      );
  }
  if (v.roof === "gambrel" && v.upperRise >= v.rise)
    out.push(`A gambrel's upper slope is the flatter one: ${v.upperRise} in 12 is not below ${v.rise} in 12.`);
  if (hasGables(v) && v.gableOverhang > 1e-6 && v.gableOverhang < rafter.thickness + inches(0.5))
    out.push(
      `An overhang of ${fi(v.gableOverhang)} at the gables has no room for a rafter ${fi(rafter.thickness)} thick; make it 0 or at least ${fi(rafter.thickness + inches(0.5))}.`,
    );
  return out;
}

function wingFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  const s = wallSizes(v);
  v.wings.forEach((w, i) => {
    if (w.kind === "platform" || w.kind === "canopy") {
      if (w.kind === "canopy" && w.depth < feet(3))
        out.push(`Canopy ${i + 1} is ${fi(w.depth)} deep; its brackets need at least ${fi(feet(3))}.`);
      return;
    }
    const wing = `Wing ${i + 1}`;
    const wall = wallOf(v, w.side);
    if (w.at < -1e-6 || w.at + w.length > wall.length + 1e-6)
      return void out.push(
        `${wing} stands from ${fi(w.at)} to ${fi(w.at + w.length)} of a ${w.side} wall ${fi(wall.length)} long; keep it between its corners.`,
      );
    if (Math.min(w.length, w.depth) < 6 * s.wall)
      out.push(`${wing} is ${fi(w.length)} by ${fi(w.depth)}; it has no room inside walls of ${fi(s.wall)}.`);
    if (w.height < s.plates + s.thick + inches(18))
      out.push(`${wing} has plates at ${fi(w.height)}; make them at least ${fi(s.plates + s.thick + inches(18))}.`);
    const k = v.rise / 12;
    const above = nominalMm(v.rafter).width * Math.hypot(1, k);
    out.push(...crossedOpenings(v, w, i, above));
    const level = Math.abs(w.height - wall.top) < 1e-6;
    if (w.kind === "gable" && level && (v.roof === "gable" || v.roof === "saltbox") && eaveSide(v, w.side)) {
      const room = inches(6) + nominalMm(v.hipRafter).thickness * 2 + v.overhang;
      if (w.at < room || w.at + w.length > wall.length - room)
        out.push(
          `${wing} meets the main roof in valleys, which need ${fi(room)} of eave on both sides; move it from the corner, or lower its plates so that it ends against the wall.`,
        );
      const run = v.roof === "saltbox" ? runOf(v, w.side) : (v.ridgeAlong === "width" ? v.length : v.width) / 2;
      // the long valley runs on from its corner to the main ridge
      const [lo, hi] = (v.ridgeAlong === "width" ? w.side === "right" : w.side === "front")
        ? [w.at + w.length - run, w.at + w.length]
        : [w.at, w.at + run];
      if (lo < feet(1) || hi > wall.length - feet(1))
        out.push(
          `${wing}'s long valley would meet the main ridge past its end; move the wing by ${fi(Math.max(feet(1) - lo, hi - wall.length + feet(1)))}.`,
        );
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
        ? wall.top
        : eaveSide(v, w.side)
          ? wall.top - above - v.overhang * k - inches(2)
          : wall.top;
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
    if (w.kind === "platform" && w.height > Math.min(v.wallHeight / 2, eave))
      out.push(
        `Platform ${i + 1} at ${fi(w.height)} would run into the eaves or halfway up the wall; keep it below ${fi(Math.min(v.wallHeight / 2, eave))}.`,
      );
    if (w.kind === "canopy" && w.height > eave)
      out.push(`Canopy ${i + 1} at ${fi(w.height)} would run into the eaves; keep it below ${fi(eave)}.`);
    if (w.kind === "canopy" && w.height - w.depth < inches(18))
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
      const [a, c] = [planOf(v, w), planOf(v, o)];
      if (a[0] < c[2] + room && c[0] < a[2] + room && a[1] < c[3] + room && c[1] < a[3] + room)
        out.push(
          `${w.kind === "platform" ? "Platform" : "Canopy"} ${i + 1} and wing ${n + 1} stand in each other; part them by ${fi(room)}.`,
        );
    });
  });
  const walls = v.wings.filter((w) => w.kind === "gable" || w.kind === "lean");
  walls.forEach((a, i) =>
    walls.slice(i + 1).forEach((b) => {
      if (a.side !== b.side) return;
      const gap = Math.max(a.at, b.at) - Math.min(a.at + a.length, b.at + b.length);
      const need = 2 * v.overhang + feet(1);
      if (gap < need)
        out.push(
          `Two wings against the ${a.side} wall are ${fi(Math.max(0, gap))} apart; their eaves need ${fi(need)}.`,
        );
    }),
  );
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
    if (!inside && !beside && r.sill - room < w.height + above)
      return [`Opening ${n + 1} in the ${o.wall} wall is crossed by a wall of wing ${i + 1}; move one of them.`];
    if (p < b + out && q > a - out && r.head + room > low && r.sill - room < high)
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
function eaveSide(v: BuildingValues, side: string): boolean {
  if (isHip(v)) return true;
  const turned = v.ridgeAlong === "width";
  const eave = turned ? side === "right" || side === "left" : side === "front" || side === "back";
  return v.roof === "shed" ? eave && side !== (turned ? "left" : "back") : eave;
}
function runOf(v: BuildingValues, side: string): number {
  const turned = v.ridgeAlong === "width";
  const half = (turned ? v.length : v.width) / 2;
  const front = side === (turned ? "right" : "front");
  return front ? half - v.ridgeShift : half + v.ridgeShift;
}

/** Half a car's width and its height over the rail: AAR Plate C is 10 ft 8 in by 15 ft 6 in, from memory. */
const CAR = { half: feet(5, 4), high: feet(15, 6) };
/** How high a car's floor usually is over the rail. Common practice. */
const CAR_FLOOR = [feet(3, 6), feet(4, 6)] as const;
/** What a passing car, and its floor, have to say of eaves, canopies and docks. */
function trackRemarks(v: BuildingValues): Remark[] {
  if (v.track === "none") return [];
  const out: Remark[] = [];
  const reach = (name: string, depth: number, low: number, param: string): void => {
    const clear = v.trackOff - depth;
    if (low + v.railBelow < CAR.high && clear < CAR.half + inches(6))
      out.push({
        param,
        text: `${name} comes within ${fi(Math.max(0, clear))} of the track's centre at ${fi(low + v.railBelow)} over the rail; a car takes ${fi(CAR.half)} on each side, up to ${fi(CAR.high)}. Move the track to ${fi(depth + CAR.half + inches(6))} from the wall, or shorten it.`,
      });
  };
  if (sloped(v) && eaveSide(v, v.track))
    reach(
      "The eave",
      v.overhang,
      wallOf(v, v.track).top - (v.overhang * v.rise) / 12 - nominalMm(v.rafter).width,
      "overhang",
    );
  v.wings.forEach((w, i) => {
    if (w.side !== v.track) return;
    if (w.kind === "canopy") reach(`Canopy ${i + 1}`, w.depth, w.height - w.depth / 6 - feet(1), `wings.${i}.depth`);
    if (w.kind !== "platform") return;
    const over = v.railBelow + w.height;
    if (over > inches(12)) reach(`Platform ${i + 1}`, w.depth + v.plankOver, w.height, `wings.${i}.depth`);
    if (over > feet(2) && (over < CAR_FLOOR[0] || over > CAR_FLOOR[1]))
      out.push({
        param: `wings.${i}.height`,
        text: `Platform ${i + 1} is ${fi(over)} over the rail and a car's floor about 4′-0″: dock, car floor and rail do not agree.`,
        fix: { label: "Set it level with the cars", value: feet(4) - v.railBelow },
      });
    if (
      v.openings.some((o) => o.kind === "door" && o.wall === w.side && o.part === 0) &&
      Math.abs(w.height) > inches(9)
    )
      out.push({
        param: `wings.${i}.height`,
        text: `Platform ${i + 1} lies ${fi(Math.abs(w.height))} ${w.height > 0 ? "over" : "under"} the floor that the doors behind it open on.`,
        fix: { label: "Set it level with the floor", value: 0 },
      });
  });
  return out;
}

/** What is unusual or wants a second look. */
export function buildingRemarks(v: BuildingValues): Remark[] {
  const out = [...unusual(buildingSpec, v, (p) => buildingShown(v, p)), ...trackRemarks(v)];
  if (v.loft)
    v.openings.forEach((o, i) => {
      if (o.part === 0 && o.sill < v.loftHeight && o.sill + o.height > v.loftHeight - nominalMm(v.joist).width)
        out.push({
          param: "loftHeight",
          text: `Opening ${i + 1} from ${fi(o.sill)} to ${fi(o.sill + o.height)} is crossed by the loft at ${fi(v.loftHeight)}, which shows behind it.`,
        });
    });
  if (v.interior && v.roof !== "none" && v.leftOff === "none" && !v.locating)
    out.push({
      param: "leftOff",
      text: "The inside is seen, and with the last wall on neither brush nor hand reaches it: leave the roof or a wall off until it is done, or let the roof lift off.",
      fix: { label: "The roof lifts off", value: "roof" },
    });
  const s = wallSizes(v);
  v.openings.forEach((o, i) => {
    if (o.kind === "door" && o.height < feet(6, 8) - 1e-6)
      out.push({
        param: `openings.${i}.height`,
        text: `Door ${i + 1} is ${fi(o.height)} high; people need ${fi(feet(6, 8))}.`,
        fix: { label: `Set ${fi(feet(6, 8))}`, value: feet(6, 8) },
      });
    if (v.framing === "posts") {
      const length = wallOfPart(v, o.part, o.wall)?.length ?? v.length;
      const bay = length / Math.max(1, Math.round(length / v.bay));
      const room = bay - nominalMm(v.post).thickness;
      if (o.width > room)
        out.push({
          param: `openings.${i}.width`,
          text: `Opening ${i + 1} is ${fi(o.width)} wide; its bay leaves ${fi(room)} between posts, so a post is left out for it.`,
        });
    }
  });
  if (v.framing === "studs" && v.corner === "solid" && nominalMm(v.cornerPost).width < s.wall - 1e-6)
    out.push({
      param: "cornerPost",
      text: `A corner post of ${v.cornerPost} is thinner than the wall, which is ${fi(s.wall)}: walls and post do not meet without a rebate.`,
    });
  if (v.fascia === "board" && sloped(v)) {
    const plumb = nominalMm(v.rafter).width * Math.hypot(1, v.rise / 12);
    const board = nominalMm(v.fasciaSize).width;
    if (board < plumb * 0.75)
      out.push({
        param: "fasciaSize",
        text: `The rafters' plumb cuts are ${fi(plumb)} high and the fascia of ${v.fasciaSize} covers only ${fi(board)} of them.`,
      });
  }
  v.stairs.forEach((r, i) => {
    const rise = v.groundDepth + r.level;
    if (rise > inches(3))
      stairRemarks(flight(rise, r.tread, r.riser)).forEach((text, n) =>
        out.push({ param: `stairs.${i}.${n === 0 ? "riser" : "tread"}`, text: `Stair ${i + 1}: ${text}` }),
      );
    if (r.rail === false && rise > inches(30))
      out.push({
        param: `stairs.${i}.rail`,
        text: `Stair ${i + 1} rises ${fi(rise)} without a railing; more than ${fi(inches(30))} wants one.`,
        fix: { label: "Add railings", value: true },
      });
  });
  if (v.siding === "vertical" || v.siding === "batten") {
    const board = nominalMm(v.sidingBoard).width;
    for (const [side, length, key] of [
      ["front and back", v.length, "length"],
      ["ends", v.width, "width"],
    ] as const) {
      const corner = nominalMm(v.cornerBoard);
      const trim = v.cornerBoards ? 2 * (corner.width - (key === "width" ? corner.thickness : 0)) : 0;
      const rest = (length - trim) % board;
      if (rest > 1 && board - rest > 1)
        out.push({
          param: key,
          text: `The ${side} take ${Math.floor((length - trim) / board)} boards of ${fi(board)} and a strip of ${fi(rest)}; a good wall ends on a full board.`,
          fix: {
            label: rest < board / 2 ? `${fi(rest)} shorter` : `${fi(board - rest)} longer`,
            value: rest < board / 2 ? length - rest : length + board - rest,
          },
        });
    }
  }
  if (v.floor !== "none") {
    const board = nominalMm(v.plank).width + v.plankGap;
    const across = v.plankWay === "along" ? v.width : v.length;
    const rest = across % board;
    if (rest > 1 && rest < board / 4)
      out.push({
        param: v.plankWay === "along" ? "width" : "length",
        text: `The last floor plank is a sliver of ${fi(rest)}.`,
      });
  }
  if (v.floor === "lift" && v.ceiling !== "none" && !v.locating)
    out.push({
      param: "locating",
      text: "The floor lifts out, but the roof with its ceiling joists is fixed over it: let the roof lift off too.",
      fix: { label: "Roof lifts off", value: true },
    });
  for (const [i, w] of v.wings.entries())
    if (w.kind === "platform" && w.side === "front" && Math.abs(w.height) > feet(4, 6))
      out.push({
        param: `wings.${i}.height`,
        text: `Platform ${i + 1} is ${fi(w.height)} off the floor; a dock is level with it.`,
      });
  return out;
}

/** Which parameters matter for these values. */
export function buildingShown(v: BuildingValues, path: string): boolean {
  const [p, , column] = path.split(".") as [keyof BuildingValues, string?, string?];
  if (column === "part") return v.wings.some((w) => w.kind === "gable" || w.kind === "lean");
  const posts = v.framing === "posts";
  const walls = v.framing !== "none";
  const roof = sloped(v);
  const wings = v.wings.some((w) => w.kind === "gable" || w.kind === "lean");
  const anyRoof = roof || wings;
  const decks = v.wings.some((w) => w.kind === "platform");
  const canopy = v.wings.some((w) => w.kind === "canopy");
  switch (p) {
    case "wallHeight":
    case "wings":
    case "openings":
    case "faceUp":
    case "blockingRows":
    case "wallBrace":
    case "siding":
    case "lined":
    case "seenFront":
    case "seenRight":
    case "seenBack":
    case "seenLeft":
      return walls;
    case "trackOff":
    case "railBelow":
      return v.track !== "none";
    case "interior":
      return walls;
    case "leftOff":
      return walls && v.interior;
    case "lining":
      return walls && v.lined;
    case "standBents":
    case "standHeight":
    case "standPosts":
    case "standBatter":
    case "standStory":
    case "standCap":
    case "standPost":
    case "standBrace":
    case "standGirt":
    case "standFooting":
      return v.foundation === "bents";
    case "stud":
    case "studSpacing":
    case "studFrom":
    case "topPlates":
    case "corner":
    case "openingFrame":
      return walls && !posts;
    case "cornerPost":
      return walls && !posts && v.corner === "solid";
    case "header":
      return walls && !posts && v.openingFrame === "jacks";
    case "brace":
      return walls && v.wallBrace !== "none";
    case "post":
    case "bay":
    case "girt":
    case "knees":
      return posts;
    case "knee":
      return (posts && v.knees > 0) || canopy;
    case "joist":
    case "joistSpacing":
    case "plank":
    case "plankLength":
    case "plankGap":
      return v.floor !== "none" || decks;
    case "floorBlocking":
      return v.floor !== "none" || decks;
    case "blockingSet":
      return (v.floor !== "none" || decks) && v.floorBlocking > 0;
    case "plankWay":
      return v.floor !== "none";
    case "plankOver":
      return decks;
    case "floorPlay":
      return v.floor === "lift";
    case "stringer":
    case "tread":
      return v.stairs.length > 0;
    case "sillBeam":
    case "pierSpacing":
    case "pier":
      return (v.foundation !== "none" && v.foundation !== "bents") || decks;
    case "groundDepth":
    case "groundFall":
    case "groundBack":
      return (v.foundation !== "none" && v.foundation !== "bents") || decks || v.stairs.length > 0;
    case "ridgeAlong":
      return hasGables(v);
    case "rise":
    case "rafter":
    case "overhang":
    case "tail":
    case "fascia":
      return anyRoof;
    case "rafterSpacing":
      return anyRoof || v.roof === "flat" || canopy;
    case "upperRise":
    case "breakAt":
      return v.roof === "gambrel";
    case "ridgeShift":
      return v.roof === "saltbox";
    case "deckWidth":
      return v.roof === "hipdeck";
    case "ridge":
      return roof || canopy || wings;
    case "hipRafter":
      return isHip(v) || v.wings.some((w) => w.kind === "gable");
    case "backing":
      return isHip(v);
    case "collar":
    case "ceiling":
      return hasGables(v) && v.roof !== "shed";
    case "collarSize":
      return hasGables(v) && v.roof !== "shed" && v.collar !== "none";
    case "collarAt":
      return hasGables(v) && v.roof !== "shed" && v.roof !== "gambrel" && v.collar !== "none";
    case "ceilingJoist":
      return hasGables(v) && v.roof !== "shed" && v.ceiling !== "none";
    case "parapet":
      return v.roof === "flat";
    case "locating":
      return v.roof !== "none";
    case "gableOverhang":
    case "barge":
      return hasGables(v) || wings;
    case "lookout":
      return (
        ((hasGables(v) || wings) && v.gableOverhang > 0) || v.roof === "flat" || canopy || v.stairs.some((x) => x.rail)
      );
    case "fasciaSize":
      return anyRoof && (v.fascia === "board" || v.barge);
    case "canopyBracket":
      return canopy;
    case "covering":
      return v.roof !== "none" && v.seenRoof;
    case "roofBoard":
      return v.roof !== "none" && v.seenRoof && (v.covering === "boards" || v.covering === "spaced");
    case "roofBoardLength":
      return roof && v.seenRoof && (v.covering === "boards" || v.covering === "spaced");
    case "roofBoardSpacing":
      return roof && v.seenRoof && v.covering === "spaced";
    case "monitor":
      return v.roof === "gable";
    case "monitorWidth":
    case "monitorHeight":
    case "monitorInset":
      return v.roof === "gable" && v.monitor;
    case "partitions":
      return walls;
    case "roofHoles":
      return roof && v.roof !== "gambrel";
    case "caps":
      return roof && v.roof !== "shed" && v.covering !== "none";
    case "capBoard":
      return v.caps && roof && v.covering !== "none";
    case "shingle":
      return roof || wings;
    case "roofSheet":
      return v.covering === "sheet" || !v.seenRoof || !(v.seenFront && v.seenBack && v.seenLeft && v.seenRight);
    case "sidingBoard":
    case "skirt":
    case "cornerBoards":
      return v.siding !== "none";
    case "loft":
      return walls;
    case "loftHeight":
    case "loftStair":
      return walls && v.loft;
    case "loftStairAt":
    case "loftStairIn":
    case "loftStairWidth":
    case "loftStairLength":
      return walls && v.loft && v.loftStair;
    case "waterTable":
    case "frieze":
      return walls;
    case "waterBoard":
      return walls && v.waterTable;
    case "friezeBoard":
      return walls && v.frieze;
    case "exposure":
      return v.siding === "clapboard";
    case "batten":
      return v.siding === "batten";
    case "cornerBoard":
      return v.siding !== "none" && v.cornerBoards;
    case "casings":
      return v.openings.length > 0;
    case "casing":
      return v.casings;
    case "fit":
      return v.openings.length > 0;
    case "seenRoof":
      return roof;
    default:
      return true;
  }
}
