import type { Step } from "./step";

/** A caution of the trade, told beside the act that it belongs to. */
export interface Caution {
  readonly id: string;
  readonly text: string;
}
const ALL = {
  solvent: "Solvent cement only with fresh air, away from flames, and not on the skin.",
  ca: "Cyanoacrylate only with fresh air and eye protection; it joins skin at once, and a drop of it on cotton gets hot.",
  epoxy: "Epoxy with gloves, and fresh air while it sets.",
  contact: "Contact cement only with fresh air and away from flames.",
  spray: "Spray and primer only with fresh air or an extractor, a mask that is made for paint, and away from flames.",
  dust: "A dust mask when resin, fibreboard or plaster is sanded or mixed; gloves for resin.",
  drill: "Eye protection at the drill, the part clamped and not held in the hand.",
} as const;
/** Which glue asks for which caution. */
const OF_GLUE: Readonly<Record<string, keyof typeof ALL>> = { solvent: "solvent", "ca-thin": "ca", "ca-thick": "ca", epoxy: "epoxy", contact: "contact" }; // prettier-ignore
/** The cautions that a step asks for with a glue: of what is coated that of the coat, of what is cast that of resin. */
export function cautionsOf(step: Pick<Step, "coat" | "own" | "id">, joining: string): Caution[] {
  const ids: (keyof typeof ALL)[] = [];
  if (step.coat && ["primer", "clear", "paint"].includes(step.coat.kind)) ids.push("spray");
  else if (!step.coat && !step.own && OF_GLUE[joining]) ids.push(OF_GLUE[joining]);
  if (step.id.includes("/master/")) ids.push("dust");
  return ids.map((id) => ({ id, text: ALL[id] }));
}
