import type { Step } from "../assembly";
import type { GlueDoc, StructureDesign } from "../job";
import { lookOf } from "../lumber";
import type { OrderMistake } from "./mistakes";

/** Whether something is joined in a step: it is no coat, and none that was added by hand. */
export const isGlued = (s: Pick<Step, "coat" | "own">): boolean => s.coat === undefined && s.own === undefined;
/** The steps of an order, each with the joining that was chosen for it, or for all that would take its own. */
export const withGlues = (steps: readonly Step[], glues: readonly GlueDoc[]): readonly Step[] =>
  glues.length === 0
    ? steps
    : steps.map((s) => {
        const g = isGlued(s) ? (glues.findLast((x) => x.step === s.id) ?? glues.findLast((x) => x.step === undefined && x.instead === s.joining)) : undefined; // prettier-ignore
        return g ? { ...s, joining: g.with, chosen: { name: g.name, instead: s.joining } } : s;
      });
/** What a step would be joined with where nothing was chosen. */
export const usualOf = (s: Pick<Step, "joining" | "chosen">): string => s.chosen?.instead ?? s.joining;
/** The choices after one more: what it takes the place of goes. `instead` is the joining that is usual, so that a choice can be chosen away again. */
export function glueChosen(glues: readonly GlueDoc[], next: GlueDoc): GlueDoc[] {
  const rest = glues.filter((g) => (next.step === undefined ? g.instead !== next.instead : g.step !== next.step));
  return next.step === undefined && next.instead === next.with ? rest : [...rest, next];
}

const WATER = new Set(["white", "aliphatic"]);
const CYANO = new Set(["ca-thin", "ca-thick"]);
/** What a joining does not hold, or spoils, of what it was chosen for. Common practice. */
export function glueMistakes(s: StructureDesign, steps: readonly Step[]): OrderMistake[] {
  const stock = new Map(s.resolved.sticks.map((k) => [k.id, k.stock] as const));
  const structure = s.structure.id;
  return steps.flatMap((st): OrderMistake[] => {
    if (st.chosen === undefined || !isGlued(st)) return [];
    const look = (x: string): string => lookOf(stock.get(x) ?? "");
    const of = (l: string): readonly string[] => st.sticks.filter((x) => look(x) === l);
    const say = (text: string, sticks: readonly string[]): OrderMistake => ({ key: `${structure}:glue:${st.id}`, level: "warning", text: `“${st.title}” is joined with ${st.chosen!.name.toLowerCase()}, ${text}`, structure, sticks }); // prettier-ignore
    if (st.joining === "solvent" && of("timber").length > 0) return [say("which does not hold wood or card: take white glue, or thick cyanoacrylate where it meets plastic.", of("timber"))]; // prettier-ignore
    if (WATER.has(st.joining) && st.sticks.length > 0 && of("styrene").length === st.sticks.length) return [say("which does not hold plastic: take solvent cement.", st.sticks)]; // prettier-ignore
    if (CYANO.has(st.joining) && of("glass").length > 0) return [say("whose fumes fog clear sheet: take contact cement, or white glue at the edges.", of("glass"))]; // prettier-ignore
    return [];
  });
}
