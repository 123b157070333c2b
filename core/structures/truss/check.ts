import { NEAR } from "../../geometry";
import { nominalMm, parseNominal } from "../../lumber";
import { inches, model, printFeetInches, printMm, printNumber } from "../../units";
import type { Context, Remark } from "../kind";
import { timberOf } from "../timber";
import { unusual } from "../unusual";
import { countered, takesCounters, topologyOf } from "./counters";
import { outlineOf } from "./layout";
import { trussSpec, type TrussValues } from "./parameters";
import { realFaults } from "./realSizes";
import { spanUnderTrain, STIFF } from "./span";
import { forcesOf, STIFF_CHORDS } from "./forces";
import { panelsOf, plankReach } from "./topology";

const fi = (mm: number): string => printFeetInches(mm);
const SIZES = [
  "block",
  "chord",
  "endPost",
  "vertical",
  "diagonal",
  "counter",
  "plank",
  "floorBeam",
  "stringer",
  "tie",
  "guard",
  "lateral",
  "strut",
] as const;
const MAY_BE_ROUND: readonly string[] = ["vertical", "diagonal", "counter"];
const plain = (name: string): string => (parseNominal(name)?.round ? "1×1" : name);
const isRoof = (v: TrussValues): boolean => v.kind === "fink" || v.kind === "scissors";

/** Why a truss's values cannot go together, a sentence each; empty when they can. */
export function trussCheck(v: TrussValues, context?: Context): string[] {
  const bad = SIZES.filter((k) => !parseNominal(v[k]));
  if (bad.length > 0)
    return bad.map(
      (k) => `${trussSpec[k].label} is “${v[k]}”, which is no nominal size; write one such as 8×10, or ⌀2 for a rod.`,
    );
  const out = SIZES.filter((k) => parseNominal(v[k])!.round && !MAY_BE_ROUND.includes(k)).map(
    (k) => `${trussSpec[k].label} is “${v[k]}”; only verticals, diagonals and counters may be rods.`,
  );
  const n = panelsOf(v);
  const panel = v.span / n;
  const chord = nominalMm(v.chord);
  if (isRoof(v) && v.position !== "roof")
    out.push(`A ${v.kind === "fink" ? "Fink" : "scissors"} truss carries a roof: set the track to “none”.`);
  if (panel < 3 * chord.width)
    out.push(
      `Panels of ${fi(panel)} are too short for chords ${fi(chord.width)} deep: take fewer panels or a longer span.`,
    );
  if (v.depth < 4 * chord.width)
    out.push(
      `A depth of ${fi(v.depth)} leaves no room between chords ${fi(chord.width)} deep; the least is ${fi(4 * chord.width)}.`,
    );
  if (v.kind === "polygonal") {
    if (n < Number(v.slopes) + 1 - (Number(v.slopes) === 3 ? 1 : 0))
      out.push(`A top chord of ${v.slopes} slopes needs at least ${Number(v.slopes) + 1} panels.`);
    if (v.hipDepth > v.depth)
      out.push(`The end posts' heads (${fi(v.hipDepth)}) are higher than the middle (${fi(v.depth)}).`);
    if (v.hipDepth < 4 * chord.width) out.push(`The end posts' heads are too low: at least ${fi(4 * chord.width)}.`);
  }
  if (v.kind === "plank" && n < 2 * plankReach(v))
    out.push(
      `A lattice ${fi(v.depth)} deep needs at least ${2 * plankReach(v)} panels of ${fi(panel)}, so that every panel point has its planks.`,
    );
  const wide =
    v.chordShape === "plies" ? v.chordPlies * chord.thickness + (v.chordPlies - 1) * v.packing : chord.thickness;
  const rod = parseNominal(v.vertical)!;
  if (rod.round && ["howe", "king", "queen"].includes(v.kind)) {
    const paired = countered(outlineOf(v)).length === 0 && v.kind === "howe";
    const need = paired
      ? nominalMm(v.diagonal).thickness + 2 * inches(rod.thickness) + inches(1)
      : inches(rod.thickness) + inches(1);
    if (wide < need)
      out.push(
        `The rods stand beside the diagonals and need chords ${fi(need)} wide; these are ${fi(wide)}. Add a ply, or take timber verticals.`,
      );
  }
  if (trussShown(v, "counter") && v.kind !== "plank" && topologyOf(outlineOf(v)).webs.some((w) => w.lane === 1)) {
    const inner = nominalMm(plain(v.counter)).thickness;
    if (wide < inner + nominalMm(plain(v.diagonal)).thickness / 2)
      out.push(
        `The diagonals pass the counters (${v.counter}) on both sides and would meet only the edge of chords ${fi(wide)} wide, or miss them: take wider chords, thinner counters or none.`,
      );
  }
  if (v.gussets && (v.kind === "scissors" || v.kind === "plank"))
    out.push("Gusset plates are for trusses whose members meet in one plane: leave them off here.");
  if (v.gussets && v.gap > 0) {
    const thin = (["vertical", "diagonal"] as const).filter(
      (k) => trussShown(v, k) && nominalMm(plain(v[k])).thickness < wide - 1,
    );
    if (thin.length > 0)
      out.push(
        `Members that stop short hang on their gusset plates, so they have to be as thick as the chord (${fi(wide)}): ${thin.map((k) => `${trussSpec[k].label.toLowerCase()} ${v[k]}`).join(" and ")} would hang on nothing. Let them meet (0), or thicken them.`,
      );
  }
  if (isRoof(v) && v.spans > 1) out.push("Roof trusses are framed one at a time: set the spans to 1.");
  if (v.kind === "scissors" && nominalMm(plain(v.vertical)).thickness > nominalMm(v.endPost).thickness)
    out.push(
      `The king post (${v.vertical}) passes between the scissors, which lap on the rafters (${v.endPost}): it must not be thicker than those.`,
    );
  if (context && v.kind === "scissors" && out.length === 0) {
    const thick = (name: string): number => timberOf(name, context.stock(name)).w;
    if (thick(v.vertical) > thick(v.endPost) + NEAR)
      out.push(
        `The king post (${v.vertical}) passes between the scissors, and in the stock chosen it is thicker than the rafters (${v.endPost}): choose one thickness for both in Stock.`,
      );
  }
  if (v.chordShape === "plies" && v.packing > 0 && v.chordPlies % 2 === 0) {
    const thin = (["vertical", "diagonal", "counter"] as const).filter(
      (k) => trussShown(v, k) && inches(parseNominal(v[k])!.thickness) <= v.packing + 1,
    );
    if (thin.length > 0)
      out.push(
        `${trussSpec[thin[0]!].label} ${v[thin[0]!]} would slip between the plies, which stand ${fi(v.packing)} apart: take an odd number of plies or less packing.`,
      );
  }
  if (trussShown(v, "lateral") && v.laterals && nominalMm(v.lateral).thickness > nominalMm(v.chord).width)
    out.push(
      `Laterals of ${v.lateral} are thicker than the chords they lie between (${v.chord}): take thinner ones, or deeper chords.`,
    );
  const built = v.chordShape !== "plies";
  if (built && ["plank", "fink", "scissors"].includes(v.kind))
    out.push("Built-up chords are framed for bridge trusses with posts and diagonals: take timbers side by side.");
  if (v.packing > 0 && v.chordPlies > 1 && !built && ["plank", "fink", "scissors"].includes(v.kind))
    out.push("Packed plies are framed for bridge trusses with posts and diagonals: set the packing to 0.");
  const web = chord.width - inches(2 * v.plate);
  if (v.chordShape === "I" && trussShown(v, "lateral") && v.laterals && nominalMm(v.lateral).thickness > web)
    out.push(
      `Laterals of ${v.lateral} pass between the flanges of the chords, which leave ${fi(Math.max(0, web))}: take thinner ones, deeper chords, or boxes.`,
    );
  if (v.kind === "plank" && v.camber > 0) out.push("A plank lattice is framed without camber: set it to 0.");
  if (v.kind === "plank" && plankReach(v) * panel < 0.4 * v.depth)
    out.push("The planks would stand too steep: take more panels to the depth.");
  if (v.kind === "plank" && panel < 1.6 * nominalMm(v.plank).width)
    out.push(`Planks of ${v.plank} in panels of ${fi(panel)} would lie on each other.`);
  if (v.kind === "scissors" && (v.innerDepth > 0.7 * v.depth || v.innerDepth < 0.1 * v.depth))
    out.push("The scissors cross between a tenth and seven tenths of the depth.");
  if (v.kind === "fink" || v.kind === "scissors") {
    if (v.depth < v.span / 8) out.push(`A roof ${fi(v.depth)} high over ${fi(v.span)} is too flat for these trusses.`);
    if (nominalMm(v.endPost).width * 5 > v.span / 2)
      out.push(`Rafters of ${v.endPost} are too heavy for a span of ${fi(v.span)}.`);
  }
  if (v.position !== "roof" && v.trusses) {
    if (v.kind === "king" && v.position === "deck")
      out.push("A king post truss has no top chord to carry a deck: run the track through it.");
    if (v.floor === "ties" && v.position !== "deck") out.push("Ties right on the chords want a deck bridge.");
    if (v.floor === "ties" && v.kind === "warren" && v.ends === "inclined" && n < 3)
      out.push("There is too little top chord for ties: take more panels.");
    const inside = v.apart - wide;
    const need = (v.tracks - 1) * v.trackCentres + v.clearWidth;
    if (v.position !== "deck" && inside < need)
      out.push(
        `Between the trusses are ${fi(inside)}; ${v.tracks} track${v.tracks > 1 ? "s" : ""} with a clearance of ${fi(v.clearWidth)} need${v.tracks > 1 ? "" : "s"} ${fi(need)}. Set the trusses ${fi(need + wide)} apart.`,
      );
    if (v.position === "through") {
      const floor =
        chord.width / 2 -
        0 +
        (v.floor === "beams" ? -chord.width + nominalMm(v.stringer).width + nominalMm(v.tie).width : 0);
      const under =
        Math.min(v.depth, v.kind === "polygonal" ? v.hipDepth : v.depth) - floor - nominalMm(v.strut).width / 2;
      if (v.portals && under < v.clearHeight)
        out.push(
          `Under the overhead struts are ${fi(under)} over the ties; a clearance of ${fi(v.clearHeight)} is asked. Make the truss deeper or run the track on top.`,
        );
    }
    if (v.tieSpacing < nominalMm(v.tie).thickness + inches(1))
      out.push(`Ties of ${v.tie} every ${fi(v.tieSpacing)} leave no gap.`);
    if (v.tracks > 1 && v.trackCentres < v.tieLength + inches(2))
      out.push(`Tracks ${fi(v.trackCentres)} apart have no room for ties of ${fi(v.tieLength)}.`);
    if (
      v.position !== "deck" &&
      v.floor === "beams" &&
      v.tieLength / 2 + ((v.tracks - 1) * v.trackCentres) / 2 > inside / 2
    )
      out.push(`Ties of ${fi(v.tieLength)} do not fit between the trusses.`);
    const over = v.gauge + inches(2.5) + v.stringerPlies * nominalMm(v.stringer).thickness;
    if (v.floor === "beams" && v.tieLength < over)
      out.push(`Ties of ${fi(v.tieLength)} do not reach over both stringers; they need at least ${fi(over)}.`);
  }
  if (out.length > 0) return out;
  if (context) out.push(...realFaults(v, context, trussShown(v, "lateral") && v.laterals));
  const f = forcesOf(outlineOf(v));
  if (!f.ok) out.push(f.reason);
  return out;
}

/** Whether a parameter plays a part for these values. */
export function trussShown(v: TrussValues, path: string): boolean {
  const roof = v.position === "roof";
  const bridge = !roof && v.trusses;
  const web = !["fink", "scissors", "plank"].includes(v.kind);
  switch (path) {
    case "panels":
      return !["king", "queen", "fink", "scissors"].includes(v.kind);
    case "ends":
      return ["howe", "pratt", "warren", "warren-verticals"].includes(v.kind);
    case "slopes":
    case "hipDepth":
      return v.kind === "polygonal";
    case "innerDepth":
      return v.kind === "scissors";
    case "camber":
      return web;
    case "counters":
    case "counter":
    case "liveOverDead":
      return takesCounters(v.kind) && (path !== "counter" || v.counters !== "none");
    case "trusses":
      return !roof;
    case "apart":
    case "gauge":
    case "floor":
    case "laterals":
      return bridge;
    case "tracks":
    case "stringer":
    case "stringerPlies":
    case "floorBeam":
      return bridge && v.floor === "beams";
    case "trackCentres":
      return bridge && v.floor === "beams" && v.tracks > 1;
    case "tie":
    case "tieLength":
    case "tieSpacing":
    case "guards":
      return bridge && v.floor !== "none";
    case "guard":
      return bridge && v.floor !== "none" && v.guards;
    case "lateral":
      return bridge && (v.laterals || (v.position === "deck" && v.sway));
    case "portals":
    case "clearWidth":
    case "clearHeight":
      return bridge && v.position === "through";
    case "strut":
    case "knee":
      return bridge && v.position === "through" && v.portals;
    case "sway":
      return bridge && v.position === "deck";
    case "piers":
      return v.blocks && !isRoof(v);
    case "pierHeight":
      return v.blocks && v.piers !== "none" && !isRoof(v);
    case "block":
      return v.blocks && !isRoof(v);
    case "chordPlies":
    case "packing":
      return v.chordShape === "plies";
    case "plate":
      return v.chordShape !== "plies";
    case "vertical":
      return web && v.kind !== "warren" && v.kind !== "double";
    case "diagonal":
      return v.kind !== "plank" && v.kind !== "king" && v.kind !== "scissors";
    case "plank":
      return v.kind === "plank";
    case "gussets":
      return v.kind !== "scissors" && v.kind !== "plank";
    case "gussetReach":
    case "gap":
      return v.gussets;
    case "trainWeight":
    case "material":
      return !roof;
    default:
      return true;
  }
}

/** Values out of the usual range, what the statics say of the kind, and proportions that are odd. */
export function trussRemarks(v: TrussValues, context?: Context): Remark[] {
  const out = unusual(trussSpec, v, (p) => trussShown(v, p));
  if (context) out.push(...limber(v, context));
  const f = forcesOf(outlineOf(v));
  if (f.ok && f.caveat === STIFF_CHORDS)
    out.push({ param: "panels", text: f.caveat, fix: { label: `Take ${v.panels + 1} panels`, value: v.panels + 1 } });
  else if (f.ok && f.caveat)
    out.push({ param: "counters", text: f.caveat, fix: { label: "Cross the panel", value: "needed" } });
  if (f.ok) out.push(...pressedRods(v, f.forces));
  const ratio = v.span / v.depth;
  if (!isRoof(v) && v.kind !== "king" && (ratio < 3.5 || ratio > 12))
    out.push({
      param: "depth",
      text: `The span is ${ratio.toFixed(1)} times the depth; 4 to 10 is usual for timber trusses.`,
    });
  return out;
}

/** A model span that its train overloads, or makes to sag so that it is seen. */
function limber(v: TrussValues, context: Context): Remark[] {
  const s = v.position === "roof" ? undefined : spanUnderTrain(v, context);
  if (!s) return [];
  const train = `Under a train of ${printNumber(v.trainWeight, 0)} g per 100 mm`;
  const sag = `sags ${printMm(model(s.sag), 2)} on a span of ${printMm(model(s.span), 0)}`;
  if (s.stress > s.allowable)
    return [
      {
        level: "warning",
        param: "trainWeight",
        text: `${train} the bridge is too weak: its worst member takes ${printNumber(s.stress, 1)} N/mm² where ${s.material} should carry ${printNumber(s.allowable, 1)}, and it ${sag}. Take larger sections or a deeper truss.`,
      },
    ];
  if (s.sagRatio >= STIFF) return [];
  return [
    {
      level: "warning",
      param: "depth",
      text: `${train} the bridge ${sag}, a ${printNumber(s.sagRatio, 0)}th: more than a ${STIFF}th is seen. Make the truss deeper, or its chords larger.`,
    },
  ];
}

/** Rods stand for webs that are pulled; one that is pressed under a full load buckles. Forces are positive in tension. */
function pressedRods(v: TrussValues, forces: ReadonlyMap<string, number>): Remark[] {
  const { webs } = topologyOf(outlineOf(v));
  return (["vertical", "diagonal"] as const).flatMap((role): Remark[] => {
    const rod = parseNominal(v[role]);
    const pressed = webs.filter((w) => w.role === role && (forces.get(w.id) ?? 0) < -PRESSED);
    if (!rod?.round || pressed.length === 0) return [];
    const which = pressed.length === webs.filter((w) => w.role === role).length ? "The" : `${pressed.length} of the`;
    return [
      {
        param: role,
        text: `${which} ${role}s are pressed under a full load, and a rod of ${v[role]} buckles there: that takes a timber.`,
        fix: { label: `Take ${TIMBER}`, value: TIMBER },
      },
    ];
  });
}
/** Forces under a load of 1 at every panel point that a rod gives way to: crossed panels share some, which a slack rod does not take. */
const PRESSED = 0.25;
/** A timber such as pressed webs of short bridges were made of. Common practice, no source. */
const TIMBER = "8×10";
