import { parseNominal } from "../../lumber";
import { feet, inches } from "../../units";
import { nominalMm } from "../trestle/layout";
import { SIZES } from "./layout";
import { dormerFaults } from "./dormerFaults";
import { outlineFaults } from "./outlineFaults";
import { groundFaults } from "./groundFaults";
import {
  crossedByPartition,
  eaveSide,
  fi,
  hasGables,
  hasLoftFlight,
  hasOwnFeet,
  hasSoffit,
  hasTrusses,
  isHip,
  sloped,
  wallOf,
  wallOfPart,
  wallSizes,
} from "./nominal";
import { roughOpening } from "./openings";
import { SIDES, buildingSpec, type BuildingValues } from "./parameters";
import { loftFlight, loftHeadroom } from "./stairs";
import { standFaults } from "./stand";
import { wingFaults } from "./wingFaults";

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
    if (v.outline.length > 0) out.push(...outlineFaults(v));
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
    // with no floor under it and no plates over it, it hangs on the walls it ends against
    if (v.floor === "none" && v.roof === "flat")
      for (const n of crossedByPartition(v, p.at))
        out.push(`Partition ${i + 1} would end in opening ${n + 1}; move one of them.`);
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
  v.unseenRooms.forEach((r, i) => {
    const rooms = r.part === 0 ? v.partitions.length + 1 : 1;
    const wing = v.wings[r.part - 1];
    if (r.part > 0 && (!wing || (wing.kind !== "gable" && wing.kind !== "lean")))
      out.push(`Unseen room ${i + 1} is in wing ${r.part}, which has no rooms; choose 0 for the main part.`);
    else if (r.room > rooms)
      out.push(
        `Unseen room ${i + 1} is room ${r.room}, and ${r.part === 0 ? "the main part" : `wing ${r.part}`} has ${rooms}: choose one of them, or add a partition.`,
      );
  });
  if (v.loft && v.framing !== "none") {
    const deep = nominalMm(v.joist).width + nominalMm(v.plank).thickness;
    if (v.loftHeight > v.wallHeight - s.plates - inches(6) || v.loftHeight < deep + inches(18))
      out.push(
        `A loft at ${fi(v.loftHeight)} does not go between floor and plates; there is room from ${fi(deep + inches(18))} to ${fi(v.wallHeight - s.plates - inches(6))}.`,
      );
    const [a, c] = v.ridgeAlong === "width" && !isHip(v) ? [v.seenLeft, v.seenRight] : [v.seenFront, v.seenBack];
    if (!a && !c)
      out.push(
        "A loft's rims lie against the studs of its long walls, and neither is seen: let one be seen, or leave the loft out.",
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
  if (hasLoftFlight(v)) {
    const f = loftFlight(v);
    const lined = v.lined ? nominalMm(v.lining).thickness : 0;
    const room = v.loftStairIn + v.loftStairLength - s.wall - lined - nominalMm(v.tread).width;
    if (f.run > room)
      out.push(
        `The stair to the loft runs ${fi(f.run)} and inside there is room for ${fi(Math.max(0, room))}: move its opening from the front, or take shorter treads or higher risers.`,
      );
    const head = loftHeadroom(v);
    if (head < feet(4))
      out.push(
        `The loft's opening is too short for its stair: ${fi(Math.max(0, head))} are left over the treads under its near edge. Make it longer, or the stair steeper.`,
      );
    if (v.loftStairWidth < feet(1.5) + 2 * nominalMm(v.joist).thickness)
      out.push(`A stair in an opening ${fi(v.loftStairWidth)} wide has no room; make it wider.`);
  }
  if (v.lined && v.wallBrace === "inside")
    out.push("Braces on the inside of the walls stand where they are lined; let them in, or leave them out.");
  if (v.lined && v.locating)
    out.push("A roof's locating strips slip inside the walls, where they are lined; leave out one or the other.");
  if (v.lined && v.roof === "flat")
    out.push("A flat roof's ledgers lie on the inside of the walls, where they are lined; leave out the lining.");
  if (
    hasOwnFeet(v) &&
    v.framing === "studs" &&
    v.corner === "solid" &&
    nominalMm(v.cornerPost).width < s.wall - 1e-6 &&
    feetOf(v).some(([, f]) => f !== v.footFront)
  )
    out.push(
      `Walls that begin at levels of their own hold by their corner posts, and a post of ${v.cornerPost} does not reach through a wall of ${fi(s.wall)}; take a thicker one.`,
    );
  if (hasOwnFeet(v))
    for (const [side, foot] of feetOf(v)) {
      const { top } = wallOf(v, side);
      if (foot > 0 && foot < 2 * s.thick + inches(1))
        out.push(
          `The ${side} wall's foot is ${fi(foot)} below the floor; make it 0 or at least ${fi(2 * s.thick + inches(1))}, so that sole and threshold go under a door.`,
        );
      v.wings.forEach((w, i) => {
        if (foot !== 0 && w.side === side && w.kind !== "platform" && w.kind !== "canopy")
          out.push(
            `Wing ${i + 1} stands against the ${side} wall, whose foot is not level with the floor; set that to 0, or move the wing.`,
          );
      });
      if (top + foot < s.plates + s.thick + inches(18))
        out.push(`The ${side} wall has no room between sole and plate; let its foot down.`);
    }
  out.push(...openingFaults(v), ...roofFaults(v), ...wingFaults(v), ...dormerFaults(v), ...groundFaults(v));
  return out;
}

function openingFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  const s = wallSizes(v);
  const name = (i: number): string => `Opening ${i + 1}`;
  const rows = v.openings.map((o, i) => ({ o, i, r: roughOpening(o, 0) }));
  rows.forEach(({ o, i }) => {
    if (v.wings[o.part - 1]?.kind === "bay" && o.kind !== "window")
      out.push(`${name(i)} is a door in a bay window; make it a window.`);
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
      const up = o.part === 0 && hasOwnFeet(v) ? -feetOf(v).find(([x]) => x === side)![1] : 0;
      if (up > 0 && o.kind !== "window")
        out.push(
          `${name(i)} is a door in the ${side} wall, which stands ${fi(up)} over the floor; let the wall's foot down.`,
        );
      const least =
        Math.max(0, up) + s.thick + Math.max(casing, v.framing === "posts" ? nominalMm(v.girt).thickness : s.thick);
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
        const need = 2 * Math.max(s.beside, casing) + inches(0.75) + v.fit * 320;
        if (gap < need)
          out.push(
            `${name(before.i)} and ${name(i).toLowerCase()} in the ${side} wall are ${fi(Math.max(0, gap))} apart; the studs between them need ${fi(need)}.`,
          );
      }
    });
  }
  return out;
}

/** How far below the floor each main wall begins. */
const feetOf = (v: BuildingValues) =>
  [
    ["front", v.footFront],
    ["right", v.footRight],
    ["back", v.footBack],
    ["left", v.footLeft],
  ] as const;

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
    if (v.flashing && h.inward - h.length / 2 - v.flashWidth < -v.overhang)
      out.push(
        `The flashing of chimney ${i + 1} hangs over the eave; move the chimney in, or make the flashing narrower.`,
      );
    if (h.inward - h.length / 2 < nominalMm(v.stud).width + inches(4))
      out.push(`Chimney ${i + 1} reaches over the wall; move it in.`);
  });
  if (hasTrusses(v)) out.push(...trussFaults(v));
  const fascia = v.fascia === "board" ? nominalMm(v.fasciaSize).thickness : 0;
  if (v.overhang < fascia + (fascia > 0 ? inches(1) : 0))
    out.push(
      `An overhang of ${fi(v.overhang)} leaves no tail behind a fascia; make it at least ${fi(fascia + inches(1))}, or leave the tails bare.`,
    );
  if (hasSoffit(v) && v.overhang < fascia + inches(6))
    out.push(
      `An overhang of ${fi(v.overhang)} leaves no room for a soffit; make it at least ${fi(fascia + inches(6))}.`,
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

/** What a roof's trusses do not go together with. */
function trussFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  if (v.collar !== "none" || v.ceiling !== "none")
    out.push("Tie beams and purlins stand where collar ties and ceiling joists lie; leave out one or the other.");
  if (v.dormers.length > 0) out.push("Purlins would cross the dormers' openings; leave out one or the other.");
  if (v.wings.some((w) => w.kind === "gable" && Math.abs(w.height - v.wallHeight) < 1e-6 && eaveSide(v, w.side)))
    out.push("Valley rafters would stand in the purlins; lower the wing's plates, or carry the roof by its rafters.");
  const [long, across] = v.ridgeAlong === "width" ? [v.width, v.length] : [v.length, v.width];
  const sizes = [v.tieBeam, v.principal, v.kingPost].map(nominalMm);
  const room = v.rafterSpacing - nominalMm(v.rafter).thickness - inches(1);
  const thick = Math.max(...sizes.map((s) => s.thickness));
  if (room < thick)
    out.push(
      `Rafters ${fi(v.rafterSpacing)} apart leave ${fi(Math.max(0, room))} between them for trusses ${fi(thick)} thick; space them further apart.`,
    );
  if (long < 2 * v.rafterSpacing + feet(2))
    out.push(`A roof ${fi(long)} long has no room for a truss between its gables.`);
  const k = v.rise / 12;
  const stretch = Math.hypot(1, k);
  const above = nominalMm(v.rafter).width * stretch * 0.6;
  const heel = (sizes[0]!.width - above + nominalMm(v.rafter).width * stretch) / k;
  const foot = heel + (sizes[1]!.width * stretch) / k;
  const least = 2 * (foot + sizes[2]!.width / 2 + sizes[1]!.width + inches(4));
  if (across < least)
    out.push(
      `King-post trusses of these timbers at ${v.rise} in 12 need a building ${fi(least)} wide, and it is ${fi(across)}: make it wider, steeper, or the timbers lighter.`,
    );
  const low = heel + (across / 2 - sizes[2]!.width / 2 - heel) / (v.purlins + 1);
  const under = above + low * k - (nominalMm(v.rafter).width + nominalMm(v.purlin).width) * stretch;
  if (under < nominalMm(v.stud).width)
    out.push("The lowest purlin has no room over the gable walls' plates: take fewer purlins, or lighter ones.");
  if (nominalMm(v.purlin).width > sizes[1]!.width)
    out.push(`Purlins of ${v.purlin} are deeper than the principals of ${v.principal} that they meet.`);
  v.roofHoles.forEach((h, i) => {
    if ((h.inward - h.length / 2) * k < sizes[0]!.width + nominalMm(v.rafter).width * 0.4 + inches(3))
      out.push(`Chimney ${i + 1} is headed off lower than the tie beams; move it further in.`);
    for (let n = 1; n <= v.purlins; n++) {
      const at = heel + ((across / 2 - sizes[2]!.width / 2 - heel) * n) / (v.purlins + 1);
      if (Math.abs(h.inward - at) < h.length / 2 + nominalMm(v.purlin).thickness + inches(3))
        out.push(
          `Chimney ${i + 1} stands where purlin ${n} runs, ${fi(at)} in from the wall; move it up or down the slope.`,
        );
    }
  });
  return out;
}
