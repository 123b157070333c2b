import { feet, model, printFeetInches, printMm, printNumber } from "../../units";
import type { Context, Remark } from "../kind";
import { unusual } from "../unusual";
import { trestleShown } from "./check";
import { thickPosts } from "../trestle/check";
import { bentValues, trestleLayout } from "./layout";
import { trestleSpec, type TrestleValues } from "./parameters";

/** What is unusual or wants a second look; with a context also what the model's plies and ground have to say. */
export const trestleRemarks = (v: TrestleValues, context?: Context): Remark[] => [
  ...unusual(trestleSpec, v, (p) => trestleShown(v, p)),
  ...thickPosts(bentValues(v, feet(20))).filter((r) => v.bentKind === "framed" || r.param === "cap"),
  ...(context ? [...stiffPlies(v, context), ...beyondGround(v, context)] : []),
];

/** A dry strip of wood breaks at about this bend: radius over thickness. Common practice, from memory; styrene bends tighter. */
const BENDS_COLD = 100;
const MOST_PLIES = trestleSpec.laminations.max;
/** Plies too thick to be bent cold to the sharpest curve they take. */
function stiffPlies(v: TrestleValues, context: Context): Remark[] {
  const l = trestleLayout(v, context);
  if (!l.laminated) return [];
  const radius = 1 / Math.abs(l.alignment.curvature) - Math.max(...l.packs.map((p) => Math.abs(p.y)));
  const ratio = radius / l.strip.v;
  if (ratio >= BENDS_COLD) return [];
  const bends = (n: number): boolean => trestleLayout({ ...v, laminations: n }, context).strip.v * BENDS_COLD <= radius;
  const plies = Array.from({ length: MOST_PLIES - v.laminations }, (_, i) => v.laminations + i + 1).find(bends);
  return [
    {
      level: "warning",
      param: "laminations",
      text: `Plies of ${printMm(model(l.strip.v), 2)} are bent to a radius of ${printMm(model(radius), 0)}, ${printNumber(ratio, 0)} times their thickness: dry wood breaks under ${BENDS_COLD}. Soak or steam them${plies ? `, or take ${plies} thinner ones` : ""}.`,
      ...(plies ? { fix: { label: `Take ${plies} plies`, value: plies } } : {}),
    },
  ];
}

/** Bents past the ends of the ground's profile: there it is taken to run on level. */
function beyondGround(v: TrestleValues, context: Context): Remark[] {
  if (v.groundBy !== "profile" || v.profile.length === 0) return [];
  const l = trestleLayout(v, context);
  const [from, to] = [v.profile[0]![0], v.profile[v.profile.length - 1]![0]];
  const out = l.bents.filter((b) => b.station < l.mm(from) - 0.5 || b.station > l.mm(to) + 0.5).map((b) => b.number);
  if (out.length === 0) return [];
  return [
    {
      level: "warning",
      param: "profile",
      text: `${out.length === 1 ? "Bent" : "Bents"} ${out.join(", ")} ${out.length === 1 ? "stands" : "stand"} beside no ground: the profile reaches from ${printFeetInches(from)} to ${printFeetInches(to)}, and past its ends it is taken as level. Draw the ground on.`,
    },
  ];
}
