import { scaleLabel, scaleOf } from "../units";
import { kindOf, type Params } from "../structures";
import { cutSticks, type Issue } from "./issue";
import { chosenVariant } from "./chosenVariant";
import type { JobDoc } from "./document";

/** Stages in which a person has decided something: a usual value is no decision. */
export function designStages(doc: JobDoc): string[] {
  const b = doc.brief;
  const { choices, sticks } = doc.stock;
  return [
    ...(b.place || b.railroad || b.decisions.length > 0 || b.spotLength > 0 || b.era ? ["brief"] : []),
    ...(doc.drawings.length > 0 ? ["drawings"] : []),
    ...(doc.structures.length > 0 ? ["framing"] : []),
    ...(Object.keys(choices).length + Object.keys(sticks).length > 0 ? ["stock"] : []),
  ];
}
/** Stages in which something was done with what is decided: cut, printed. */
export function benchStages(issues: readonly Pick<Issue, "kind" | "sticks" | "pieces">[]): string[] {
  const cut = cutSticks(issues as readonly Issue[]).size > 0;
  const printed = issues.some((i) => i.kind === "print");
  return [...(cut ? ["cutting"] : []), ...(printed ? ["jigs"] : []), ...(issues.length > 0 ? ["bench"] : [])];
}
/** What a card on the Shelf says of a job: nothing of it is framed for that. */
export function cardWords(doc: JobDoc): {
  readonly name: string;
  readonly railroad: string;
  readonly scale: string;
  readonly what: string;
  readonly stages: readonly string[];
} {
  const s = doc.structures[0];
  const variant = s && chosenVariant(s);
  const more = doc.structures.length - 1;
  return {
    name: doc.name,
    railroad: doc.brief.railroad,
    scale: scaleLabel(scaleOf(doc.brief.scale.id, doc.brief.scale.ratio)),
    what:
      s && variant
        ? `${kindOf(s.kind).describe(variant.params as Params)}${more > 0 ? `, and ${more} more` : ""}`
        : "nothing framed yet",
    stages: designStages(doc),
  };
}
