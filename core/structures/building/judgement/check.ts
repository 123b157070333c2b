import { NEAR } from "../../../geometry";
import { flight } from "../../../carpentry";
import { nominalMm, parseNominal } from "../../../lumber";
import { feet, inches } from "../../../units";
import type { Context } from "../../kind";
import { SIZES } from "../plan/layout";
import { dormerFaults } from "./dormerFaults";
import { outlineFaults } from "./outlineFaults";
import { groundFaults } from "./groundFaults";
import {
  crossedByPartition,
  eaveSide,
  fi,
  TOLD,
  hasLoftFlight,
  hasOwnFeet,
  isHip,
  sloped,
  wallOf,
  wallSizes,
  feetOf,
} from "../plan/nominal";
import { openingFaults } from "./openingFaults";
import { realSizes } from "../plan/realSizes";
import { hipFaults, overhangFaults, roofFaults } from "./roofFaults";
import { buildingSpec, type BuildingValues } from "../parameters";
import { loftFlight, loftHeadroom } from "../platform/loftFlight";
import { standFaults } from "../floors/standBents";
import { wingFaults } from "./wingFaults";

/** Why a building's values cannot go together, a sentence each; empty when they can. Sizes are nominal; with a context what has to fit into a wall is judged by the stock chosen, too. */
export function buildingCheck(v: BuildingValues, context?: Context): string[] {
  const nominal = nominalFaults(v);
  return nominal.length > 0 || !context ? nominal : realFaults(v, context);
}

/** What has no room once the stock chosen is thicker or wider than its name, a sentence each. */
function realFaults(v: BuildingValues, context: Context): string[] {
  const own = realSizes(v, context);
  return [
    ...openingFaults(own, context.scale.ratio),
    ...dormerFaults(own),
    ...letInFaults(own),
    ...proudFaults(own),
    ...capFaults(own),
    ...leanFaults(own),
    ...overhangFaults(own, context.scale.ratio),
    ...hipFaults(own),
  ].map((x) => `In the stock chosen: ${x}`);
}

/** How much of a stud's depth a brace let into it may take. Common practice, no source. */
const DEEPEST_BRACE = 0.6;
function letInFaults(v: BuildingValues): string[] {
  const depth = nominalMm(v.framing === "posts" ? v.post : v.stud).width;
  const brace = nominalMm(v.brace).thickness;
  if (v.wallBrace !== "letin" || brace <= DEEPEST_BRACE * depth) return [];
  return [
    `Braces ${fi(brace)} thick would cut through what they are let into, ${fi(depth)} deep; lay them on the inside, or take thinner ones.`,
  ];
}

/** Legs of a knee brace over its timber's depth: below this its ends run past the posts. */
const SHORTEST_KNEE = 1.5;
/** What would stand proud inside the wall, a sentence each: girts in the corner posts, headers and knees in the lining. */
function proudFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  const proud = v.framing === "posts" ? nominalMm(v.girt).width - nominalMm(v.post).width : 0;
  const jacks = v.framing === "studs" && v.openingFrame === "jacks" && v.openings.length > 0;
  // a partition that comes to a wall behind an opening meets what is over that
  const met = v.partitions.some((p) => crossedByPartition(v, p.at).length > 0);
  const header = (v.lined || met) && jacks ? nominalMm(v.header).thickness - nominalMm(v.stud).width : 0;
  const corner =
    v.framing === "studs" && v.corner === "solid" ? nominalMm(v.cornerPost).width - nominalMm(v.stud).width : 0;
  if (corner > NEAR)
    out.push(`Corner posts ${fi(nominalMm(v.cornerPost).width)} deep would stand ${fi(corner)} in the end walls; take ones no deeper than the studs.`); // prettier-ignore
  const knee = v.framing === "posts" && v.knees > 0 ? nominalMm(v.knee).thickness - nominalMm(v.post).width : 0;
  const least = SHORTEST_KNEE * nominalMm(v.knee).width;
  if (v.framing === "posts" && v.knees > 0 && v.knees + TOLD < least)
    out.push(`Knee braces of ${v.knee} with legs of ${fi(v.knees)} are blocks; make their legs at least ${fi(least)}, or 0 for none.`); // prettier-ignore
  const clear = v.wallHeight - nominalMm(v.post).thickness - inches(6);
  if (v.framing === "posts" && v.knees > 0 && v.knees + least / 2 > clear + TOLD)
    out.push(`Knee braces with legs of ${fi(v.knees)} have no room under plates at ${fi(v.wallHeight)}; make their legs ${fi(Math.max(0, clear - least / 2))} at most, or 0 for none.`); // prettier-ignore
  if (proud > NEAR)
    out.push(`Girts ${fi(nominalMm(v.girt).width)} deep would stand ${fi(proud)} proud of the posts; take girts no deeper than the posts.`); // prettier-ignore
  if (header > NEAR)
    out.push(
      `Headers stand ${fi(header)} proud of the studs inside, where ${v.lined ? "the lining lies" : "a partition comes"}; take thinner ones.`,
    );
  if (knee > NEAR)
    out.push(
      `Knee braces stand ${fi(knee)} proud of the posts, where those round a corner meet, and lining and partitions come; take thinner ones.`,
    );
  return out;
}

/** Ridge caps too narrow for their thickness on a steep slope, as a sentence: the plumb cut at the ridge takes thickness times slope. */
function capFaults(v: BuildingValues): string[] {
  const { thickness, width } = nominalMm(v.capBoard);
  const taken = (thickness * v.rise) / 12 + inches(0.5);
  if (!v.caps || !sloped(v) || width > taken) return [];
  return [
    `Caps ${fi(thickness)} thick and ${fi(width)} wide come to an edge on a slope of ${v.rise} in 12; take boards wider than ${fi(taken)}, or thinner ones.`,
  ];
}

/** A clapboard leans by its thickness over its exposure; more than this it stands rather than lies (its sine; 37°). */
const STEEPEST_LEAN = 0.6;
function leanFaults(v: BuildingValues): string[] {
  const { thickness, width } = nominalMm(v.sidingBoard);
  const step = Math.min(v.exposure, width * 0.95);
  if (v.siding !== "clapboard" || v.framing === "none" || thickness <= STEEPEST_LEAN * step) return [];
  return [
    `Clapboards ${fi(thickness)} thick that show ${fi(step)} would stand out rather than lie on each other; take thinner boards, or show more of them.`,
  ];
}

/** Stairs that stand in each other, or lead up under the eave or over the wall, a sentence each. */
function stairFaults(v: BuildingValues): string[] {
  const over = v.stairs.flatMap((x, i) =>
    v.stairs.slice(i + 1).flatMap((y, k) => {
      const beside = x.side !== y.side || Math.abs(x.at - y.at) >= (x.width + y.width) / 2 - NEAR;
      const run = (s: typeof x): number => flight(Math.max(inches(1), v.groundDepth + s.level), s.tread, s.riser).run;
      if (beside || x.out >= y.out + run(y) || y.out >= x.out + run(x)) return [];
      return [
        `Stairs ${i + 1} and ${i + k + 2} stand in each other on the ${x.side} side; move one along or further out.`,
      ];
    }),
  );
  if (v.framing === "none" || v.roof === "none") return over;
  const high = v.stairs.flatMap((x, i) => {
    const { top } = wallOf(v, x.side);
    const eaves = sloped(v) && x.out < v.overhang && eaveSide(v, x.side);
    const under = eaves ? top - (v.overhang * v.rise) / 12 - nominalMm(v.rafter).width : top;
    if (x.level <= under - inches(12)) return [];
    return [
      `Stair ${i + 1} leads to ${fi(x.level)}, and the ${eaves ? "eave" : "wall's top"} is at ${fi(under)}: nobody could step off it. Let it lead no higher than ${fi(under - inches(12))}.`,
    ];
  });
  return [...over, ...high];
}

/** Rows of girts or blocking that would lie on one another, as a sentence. */
function rowFaults(v: BuildingValues): string[] {
  const s = wallSizes(v);
  const thick = nominalMm(v.framing === "posts" ? v.girt : v.stud).thickness;
  const knees = v.framing === "posts" && v.knees > 0 ? v.knees + nominalMm(v.knee).width : 0;
  const room = (v.wallHeight - s.plates - s.thick - knees) / (v.blockingRows + 1);
  const rows = v.framing === "posts" ? "girts" : "blocking";
  return v.blockingRows > 0 && v.framing !== "none" && room < thick + inches(2)
    ? [`${v.blockingRows} rows of ${rows} do not fit into walls of ${fi(v.wallHeight)}; take fewer.`]
    : [];
}

function nominalFaults(v: BuildingValues): string[] {
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
  if (short + TOLD < 6 * s.wall)
    out.push(
      `A building ${fi(short)} wide has no room inside walls of ${fi(s.wall)}; make it at least ${fi(6 * s.wall)}.`,
    );
  if (v.wallHeight + TOLD < s.plates + s.thick + inches(18))
    out.push(
      `Walls of ${fi(v.wallHeight)} leave no room between sole and plate; make them at least ${fi(s.plates + s.thick + inches(18))}.`,
    );
  if (v.framing === "none" && v.outline.length > 0) out.push(...outlineFaults(v));
  v.stairs.forEach((x, i) => {
    v.wings.forEach((w, n) => {
      const beside = x.at + x.width / 2 <= w.at || x.at - x.width / 2 >= w.at + w.length;
      if (w.kind === "platform" && w.side === x.side && !beside && x.out < w.depth - NEAR)
        out.push(
          `Stair ${i + 1} comes up inside the platform of wing ${n + 1}; set it out by ${fi(w.depth)} to its edge, or put it beside it.`,
        );
    });
    if (
      x.at + TOLD < x.width / 2 ||
      x.at - TOLD > (x.side === "front" || x.side === "back" ? v.length : v.width) - x.width / 2
    )
      out.push(`Stair ${i + 1} reaches past the end of the ${x.side} side; move it in.`);
  });
  out.push(...letInFaults(v), ...rowFaults(v), ...capFaults(v), ...leanFaults(v), ...stairFaults(v));
  const least = nominalMm(v.plank).width - inches(1);
  if (v.wings.some((w) => w.kind === "platform") && v.plankOver > least)
    out.push(
      `Planks ${v.plank} that overhang by ${fi(v.plankOver)} leave the first one nothing to lie on; let them overhang by ${fi(Math.max(0, least))} at most.`,
    );
  out.push(...proudFaults(v));
  if (v.foundation === "bents") {
    if (v.floor !== "under") out.push("A heavy stand carries a floor: set the floor to framed under the walls.");
    out.push(...standFaults(v));
  }
  v.partitions.forEach((p, i) => {
    const room = 2 * s.wall + inches(6);
    if (p.at + TOLD < room || p.at - TOLD > v.length - room)
      out.push(
        `Partition ${i + 1} stands ${fi(p.at)} from the left end; inside there is room from ${fi(room)} to ${fi(v.length - room)}.`,
      );
    v.partitions.slice(0, i).forEach((q, n) => {
      if (Math.abs(q.at - p.at) + TOLD < 2 * s.wall)
        out.push(`Partitions ${n + 1} and ${i + 1} stand in each other; part them by ${fi(2 * s.wall)}.`);
    });
    // with no floor under it and no plates over it, it hangs on the walls it ends against
    if (v.floor === "none" && v.roof === "flat")
      for (const n of crossedByPartition(v, p.at))
        out.push(`Partition ${i + 1} would end in opening ${n + 1}; move one of them.`);
    const edge = s.wall + s.beside + s.thick + inches(1);
    if (p.door && (p.doorAt - p.doorWidth / 2 + TOLD < edge || p.doorAt + p.doorWidth / 2 - TOLD > v.width - edge))
      out.push(
        `The doorway of partition ${i + 1} reaches its ends; keep it between ${fi(edge)} and ${fi(v.width - edge)} from the front.`,
      );
    if (p.door && v.wallHeight + TOLD < inches(82) + s.plates + nominalMm(v.header).width)
      out.push(`Walls of ${fi(v.wallHeight)} are too low for a doorway in partition ${i + 1}.`);
    if (v.floor === "lift")
      out.push(
        "A floor that lifts out cannot pass partitions that stand to the plates: frame it under the walls, or take them out.",
      );
    if (v.wallBrace === "inside")
      out.push("Braces on the inside of the walls stand where partitions meet them; let them in.");
  });
  if (v.loft && v.framing !== "none") {
    const deep = nominalMm(v.joist).width + nominalMm(v.plank).thickness;
    if (v.loftHeight - TOLD > v.wallHeight - s.plates - inches(6) || v.loftHeight + TOLD < deep + inches(18))
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
    if (v.loftStair && (v.loftStairAt + TOLD < edge || v.loftStairAt + v.loftStairWidth - TOLD > along - edge))
      out.push(`The loft's stair opening reaches its edge along; keep it between ${fi(edge)} and ${fi(along - edge)}.`);
    if (v.loftStair && (v.loftStairIn + TOLD < side || v.loftStairIn + v.loftStairLength - TOLD > across - side))
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
    if (head + TOLD < feet(4))
      out.push(
        `The loft's opening is too short for its stair: ${fi(Math.max(0, head))} are left over the treads under its near edge. Make it longer, or the stair steeper.`,
      );
    if (v.loftStairWidth + TOLD < feet(1.5) + 2 * nominalMm(v.joist).thickness)
      out.push(`A stair in an opening ${fi(v.loftStairWidth)} wide has no room; make it wider.`);
  }
  if (v.lined && v.wallBrace === "inside")
    out.push("Braces on the inside of the walls stand where they are lined; let them in, or leave them out.");
  if (
    hasOwnFeet(v) &&
    v.framing === "studs" &&
    v.corner === "solid" &&
    nominalMm(v.cornerPost).width < s.wall - NEAR &&
    feetOf(v).some(([, f]) => f !== v.footFront)
  )
    out.push(
      `Walls that begin at levels of their own hold by their corner posts, and a post of ${v.cornerPost} does not reach through a wall of ${fi(s.wall)}; take a thicker one.`,
    );
  if (hasOwnFeet(v))
    for (const [side, foot] of feetOf(v)) {
      const { top } = wallOf(v, side);
      if (foot > 0 && foot + TOLD < 2 * s.thick + inches(1))
        out.push(
          `The ${side} wall's foot is ${fi(foot)} below the floor; make it 0 or at least ${fi(2 * s.thick + inches(1))}, so that sole and threshold go under a door.`,
        );
      v.wings.forEach((w, i) => {
        if (foot !== 0 && w.side === side && w.kind !== "platform" && w.kind !== "canopy")
          out.push(
            `Wing ${i + 1} stands against the ${side} wall, whose foot is not level with the floor; set that to 0, or move the wing.`,
          );
      });
      if (top + foot + TOLD < s.plates + s.thick + inches(18))
        out.push(`The ${side} wall has no room between sole and plate; let its foot down.`);
    }
  out.push(...openingFaults(v), ...roofFaults(v), ...wingFaults(v), ...dormerFaults(v), ...groundFaults(v));
  return out;
}
