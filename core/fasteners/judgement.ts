import type { FastenerDoc, StructureDesign } from "../job";
import { model, printMm } from "../units";
import { holesOf, type Hole } from "./holes";

export const FASTENER_WORDS: Readonly<Record<FastenerDoc["kind"], string>> = { pin: "pin", dowel: "dowel", screw: "screw", bolt: "bolt with nut", magnet: "pair of magnets" }; // prettier-ignore
/** Wood that stays round a hole, and how much of its own width a screw has to be in for to hold, a nut is high. Common practice, no source. */
const [RIM, GRIP, NUT] = [0.3, 1.5, 0.8];
/** A fastener that does not do, with what would. */
export interface FastenerFault {
  readonly fastener: string;
  readonly level: "fault" | "warning" | "remark";
  readonly text: string;
  readonly sticks: readonly string[];
}
const mm = (x: number): string => printMm(model(x), 1);

/** What is wrong with the fasteners of a structure: too long, too short, too thick for what they go through; a part that lifts off and goes on both ways round. */
export function fastenerFaults(s: StructureDesign, all: readonly FastenerDoc[]): FastenerFault[] {
  return all.filter((f) => f.structure === s.structure.id).flatMap((f): FastenerFault[] => {
    const holes = holesOf(s, f);
    const [first, second] = f.joint.split(">") as [string, string];
    const words = `${FASTENER_WORDS[f.kind]} ${mm(f.diameter)} thick${f.kind === "magnet" ? "" : ` and ${mm(f.length)} long`}`;
    const say = (level: FastenerFault["level"], text: string, of: readonly Hole[]): FastenerFault => ({ fastener: f.id, level, text, sticks: [...new Set(of.flatMap((h) => [h.a.id, h.b.id]))] }); // prettier-ignore
    if (holes.length === 0) return [say("remark", `No ${first} meets a ${second} any more: the ${words} has no place.`, [])];
    const out: FastenerFault[] = [];
    const both = (h: Hole): number => h.deep[0] + h.deep[1];
    const least = Math.min(...holes.map(both));
    if (f.kind === "magnet") {
      const thin = Math.min(...holes.flatMap((h) => h.deep));
      if (f.length > thin - RIM) out.push(say("fault", `A magnet ${mm(f.length)} high comes through ${mm(thin)} of ${first} or ${second}: take one of ${mm(Math.max(0, thin - RIM))} at most.`, holes)); // prettier-ignore
    } else if (f.kind === "bolt") {
      const most = Math.max(...holes.map(both)) + NUT * f.diameter;
      if (f.length < most) out.push(say("fault", `A ${words} goes through ${mm(most - NUT * f.diameter)} and has no thread left for its nut: take one of ${mm(most)} at least.`, holes)); // prettier-ignore
    } else {
      if (f.length > least + 1e-6) out.push(say("fault", `A ${words} goes through ${mm(least)} of ${first} and ${second} and stands out by ${mm(f.length - least)}: take one of ${mm(least)} at most.`, holes.filter((h) => both(h) < f.length))); // prettier-ignore
      const needs = Math.max(...holes.map((h) => h.deep[0])) + GRIP * f.diameter;
      if (f.length < needs && needs <= least) out.push(say("warning", `A ${words} hardly reaches into the ${second}, behind ${mm(needs - GRIP * f.diameter)} of ${first}: take one of ${mm(needs)} at least.`, holes)); // prettier-ignore
    }
    const tight = holes.filter((h) => h.room < f.diameter / 2 + RIM);
    if (tight.length > 0) {
      const room = Math.min(...tight.map((h) => h.room));
      const most = 2 * (room - RIM);
      out.push(say("fault", `A ${words} breaks out of the face between ${first} and ${second}, ${mm(2 * room)} wide there: ${most > 0.2 ? `take one of ${mm(most)} at most` : "glue alone holds it"}.`, tight)); // prettier-ignore
    }
    const lifts = holes.some((h) => h.a.member.loose || h.b.member.loose);
    if (lifts && f.kind !== "magnet" && goesOnBothWays(holes)) out.push(say("remark", `The holes between ${first} and ${second} lie alike when the part that lifts off is turned round: move one, or mark which end is which.`, holes)); // prettier-ignore
    return out;
  }); // prettier-ignore
}
/** Whether holes come upon one another when all of them are turned half round about their middle. */
export function goesOnBothWays(holes: readonly Hole[]): boolean {
  const k = holes.length;
  const middle = [0, 1, 2].map((i) => holes.reduce((t, h) => t + h.at[i]!, 0) / k);
  return holes.every((h) =>
    holes.some((o) => [0, 1].every((i) => Math.abs(h.at[i]! + o.at[i]! - 2 * middle[i]!) < 0.3)),
  );
}
