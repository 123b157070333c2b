import type { Assembly, Step } from "../assembly";
import { sheetOf } from "../lumber";
import type { Design, StructureDesign } from "../job";
import { GROUP_WORDS, isGlazing } from "../finish";
import { glueMistakes } from "./glues";
import { comesAfter } from "./partialOrder";
import type { FinishPart } from "../finish";

/** A mistake of order or of finish before it is made, with what would cure it. */
export interface OrderMistake {
  readonly key: string;
  readonly level: "fault" | "warning" | "remark";
  readonly text: string;
  readonly structure: string;
  readonly sticks: readonly string[];
}
/** Glues that water stain does not get through, once they are dry. */
const SHOWS = new Set(["white", "aliphatic"]);
/** Glues that soften styrene, and how thin a sheet warps under them, model mm. Common practice: ten thousandths of an inch. */
const SOFTENS = new Set(["solvent", "contact"]);
const THIN = 0.26;

/** What would go wrong with an order, its finish in it: pieces without a way, glazing before paint, paint that a roof has closed, stain over glue, slick plastic without primer, glue on paint, cement on thin sheet. */
export function orderMistakes(s: StructureDesign, a: Assembly, parts: readonly FinishPart[]): OrderMistake[] {
  const id = s.structure.id;
  const own = parts.filter((p) => p.structure === id && p.coats.length > 0);
  const after = new Map(a.steps.map((st) => [st.id, new Set(st.after)] as const));
  const stick = new Map(s.resolved.sticks.map((k) => [k.id, k] as const));
  const out: OrderMistake[] = a.noWay.map((n, i): OrderMistake => ({ key: `${id}:no-way:${i}`, level: "fault", text: n.text, structure: id, sticks: n.sticks })); // prettier-ignore
  const say = (key: string, level: OrderMistake["level"], text: string, sticks: readonly string[]): void => void out.push({ key: `${id}:${key}`, level, text, structure: id, sticks }); // prettier-ignore
  const coatSteps = (p: FinishPart): Step[] => a.steps.filter((st) => st.coat && st.id.startsWith(`${id}/finish/${p.group}/`)); // prettier-ignore
  const glazing = a.steps.filter((st) => !st.coat && st.sticks.some((x) => stick.has(x) && isGlazing(stick.get(x)!)));
  const joined = new Map(a.steps.filter((st) => !st.coat && !st.own).flatMap((st) => st.sticks.map((x) => [x, st] as const))); // prettier-ignore
  for (const p of own) {
    const words = GROUP_WORDS[p.group];
    const ids = p.sticks.map((k) => k.id);
    const mine = coatSteps(p);
    const late = glazing.filter((g) => mine.some((c) => (c.unit === undefined || c.unit === g.unit) && comesAfter(after, c.id, g.id))); // prettier-ignore
    if (late.length > 0)
      say(`glazing:${p.group}`, "warning", `The glazing is in before the ${words} are painted (${late.length} ${late.length === 1 ? "step" : "steps"}): paint them before they are joined, or mask every pane.`, late.flatMap((g) => g.sticks)); // prettier-ignore
    if (p.when === "standing") {
      const roof = a.steps.filter((st) => st.place === "join" && st.sticks.some((x) => /roof (board|plank|sheet|cover)/.test(stick.get(x)?.member.role ?? ""))); // prettier-ignore
      if (p.group !== "roof" && roof.some((r) => mine.some((c) => comesAfter(after, c.id, r.id))))
        say(`roof:${p.group}`, "warning", `The roof is on before the ${words} are painted: no brush reaches what is under the eaves. Paint them loose or on the board.`, ids); // prettier-ignore
    }
    const stain = p.coats.find((c) => c.kind === "stain");
    const glued = new Set(ids.filter((x) => SHOWS.has(joined.get(x)?.joining ?? "")));
    if (stain && p.when !== "loose" && glued.size > 0)
      say(`stain:${p.group}`, "warning", `The ${words} are stained after they are glued: ${stain.name} does not take where white glue was. Stain them loose, or tint the glue.`, [...glued]); // prettier-ignore
    if (p.coats.indexOf(stain!) > 0)
      say(`stain-over:${p.group}`, "warning", `${stain!.name} comes over ${p.coats[p.coats.indexOf(stain!) - 1]!.name} on the ${words}: stain goes on bare wood first.`, ids); // prettier-ignore
    const first = p.coats.find((c) => c.kind !== "stain");
    if (p.material === "styrene" && first && (first.kind === "paint" || first.kind === "weathering"))
      say(`primer:${p.group}`, "warning", `The ${words} are of slick plastic, and ${first.name} goes on it bare: prime it first, or it rubs off.`, ids); // prettier-ignore
    if (p.material === "styrene" && stain)
      say(`stain-plastic:${p.group}`, "warning", `${stain.name} does not soak into plastic: the ${words} want primer and paint.`, ids); // prettier-ignore
    const paints = p.coats.some((c) => c.kind === "paint" || c.kind === "primer" || c.kind === "clear");
    const later = paints && p.when !== "standing" ? ids.filter((x) => { const j = joined.get(x); return j && j.joining !== "dry" && (p.when === "loose" || j.place === "join"); }) : []; // prettier-ignore
    if (later.length > 0)
      say(`bare:${p.group}`, "remark", `${later.length} ${later.length === 1 ? "piece" : "pieces"} of the ${words} ${later.length === 1 ? "is" : "are"} glued after being painted: mask the glue faces, or scrape them bare.`, later); // prettier-ignore
  }
  const thin = [...joined].filter(([x, st]) => SOFTENS.has(st.joining) && stick.get(x)?.member.body.shape === "panel" && sheetOf(stick.get(x)!.stock)?.material === "styrene" && stick.get(x)!.size[1] < THIN).map(([x]) => x); // prettier-ignore
  if (thin.length > 0)
    say("thin", "warning", `${thin.length} ${thin.length === 1 ? "piece" : "pieces"} of sheet thinner than .010 in are cemented over their whole face: the cement warps them. Tape them on, or wet both sides alike.`, thin); // prettier-ignore
  return [...out, ...glueMistakes(s, a.steps)];
}

/** The same for everything that a job makes. */
export const allMistakes = (
  d: Pick<Design, "structures">,
  orders: readonly Assembly[],
  parts: readonly FinishPart[],
): OrderMistake[] =>
  // prettier-ignore
  d.structures.flatMap((s, i) => orderMistakes(s, orders[i]!, parts));
