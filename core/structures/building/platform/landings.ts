import { feet, inches } from "../../../units";
import type { Remark } from "../../kind";
import { fi, TOLD } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** A step at the head of a stair higher than this is stumbled over, prototype mm. Common practice. */
const STUMBLE = inches(1);
/** Two people pass, or a hand truck turns, on no less of a platform. Common practice, no source. */
const LEAST_PLATFORM = feet(5);

/** Stairs that end beside what they lead to, and platforms too narrow for people and carts. Prototype mm. */
export const landingRemarks = (v: BuildingValues): Remark[] => [
  ...v.stairs.flatMap((_, i) => landing(v, i)),
  ...narrow(v),
];

/** What is at the head of a stair: the platform that it reaches, else the wall with its floor; nothing between them. */
function landing(v: BuildingValues, i: number): Remark[] {
  const stair = v.stairs[i]!;
  const name = `Stair ${i + 1}`;
  const before = v.wings
    .map((w, n) => ({ w, n }))
    .filter(({ w }) => w.kind === "platform" && w.side === stair.side && stair.at > w.at && stair.at < w.at + w.length);
  const at = before.find(({ w }) => Math.abs(stair.out - w.depth) <= v.plankOver + STUMBLE);
  const [what, level] = at ? [`platform ${at.n + 1}`, at.w.height] : ["the floor", 0];
  if (!at && stair.out > STUMBLE) {
    const to = before[0]?.w.depth ?? 0;
    return [
      {
        level: "warning",
        param: `stairs.${i}.out`,
        text: `${name} ends ${fi(stair.out)} from the ${stair.side} wall, where nothing is: ${before[0] ? `platform ${before[0].n + 1} reaches ${fi(to)} out` : "no platform stands there"}.`,
        fix: { label: before[0] ? `Let it land at ${fi(to)}` : "Let it land at the wall", value: to },
      },
    ];
  }
  // what leads to a door or hatch in the wall lands where that is
  const doors = v.openings.filter(
    (o) => o.part === 0 && o.wall === stair.side && Math.abs(o.at - stair.at) < o.width / 2,
  );
  if (!at && doors.some((o) => Math.abs(o.sill - stair.level) <= STUMBLE)) return [];
  const off = stair.level - level;
  if (Math.abs(off) <= STUMBLE) return [];
  return [
    {
      level: "warning",
      param: `stairs.${i}.level`,
      text: `${name} lands ${fi(Math.abs(off))} ${off > 0 ? "over" : "under"} ${what}.`,
      fix: { label: `Let it land at ${fi(level)}`, value: level },
    },
  ];
}

function narrow(v: BuildingValues): Remark[] {
  return v.wings.flatMap((w, i): Remark[] => {
    if (w.kind !== "platform") return [];
    const beside = v.wings.filter((o) => ["gable", "lean", "bay"].includes(o.kind) && o.side === w.side && o.at < w.at + w.length && o.at + o.length > w.at && o.depth < w.depth); // prettier-ignore
    const least = Math.min(w.depth, ...beside.map((o) => w.depth - o.depth));
    if (least + TOLD >= LEAST_PLATFORM) return [];
    return [
      {
        param: `wings.${i}.depth`,
        text: `Platform ${i + 1} is ${fi(least)} deep${least < w.depth ? " before what stands in it" : ""}: people and carts do not pass on less than ${fi(LEAST_PLATFORM)}.`,
        fix: { label: `Make it ${fi(w.depth - least + LEAST_PLATFORM)} deep`, value: w.depth - least + LEAST_PLATFORM },
      },
    ];
  });
}
