import type { Assembly, Step } from "../assembly";
import type { CoatDoc, StructureDesign } from "../job";
import { surfaceOf } from "../finish";
import { COAT_VERBS } from "../finish";
import { GROUP_WORDS, isGlazing } from "../finish";
import type { FinishPart } from "../finish";
import { comesAfter, inOrder } from "./partialOrder";

/**
 * The steps of a structure with those of its finish among them. What is painted loose is so before any of it is joined; on
 * the board when all of it lies there, before the sub-assembly is lifted; where it stands when all of it is there. Paint
 * comes before glazing, and before what closes (a roof over trim), as far as the frame allows.
 */
export function withFinish(s: StructureDesign, a: Assembly, parts: readonly FinishPart[]): Assembly {
  const own = parts.filter((p) => p.structure === s.structure.id && p.coats.length > 0);
  if (own.length === 0 || a.steps.length === 0) return a;
  const after = new Map(a.steps.map((st) => [st.id, new Set(st.after)] as const));
  const fresh: Step[] = [];
  const stick = new Map(s.resolved.sticks.map((k) => [k.id, k] as const));
  const glazes = (st: Step): boolean => st.sticks.some((id) => isGlazing(stick.get(id)!));
  const home = a.steps.findLast((st) => st.place === "join")?.view ?? a.steps[0]!.view;
  /** One step for each coat, one after the other; gives the ids of the first and the last. */
  const chain = (
    id: string,
    what: string,
    coats: readonly CoatDoc[],
    sticks: readonly string[],
    base: Omit<Step, "id" | "title" | "sticks" | "after" | "coat">,
    first: Iterable<string>,
    area: number,
  ): string => {
    // prettier-ignore
    let last: string | undefined;
    coats.forEach((c, i) => {
      const own = `${id}/${c.id}${coats.slice(0, i).filter((o) => o.id === c.id).length || ""}`;
      fresh.push({ ...base, id: own, title: `${COAT_VERBS[c.kind]} ${what}: ${c.name}`, sticks, after: [], coat: { ...c, area }, checks: checksOf(c) }); // prettier-ignore
      after.set(own, new Set(last ? [last] : first));
      last = own;
    });
    return last!;
  };
  const before = (last: string, later: Iterable<string>): void => {
    for (const x of later) if (x !== last && !comesAfter(after, last, x)) after.get(x)!.add(last);
  };
  for (const p of own) {
    const ids = new Set(p.sticks.map((k) => k.id));
    const words = GROUP_WORDS[p.group];
    const root = `${p.structure}/finish/${p.group}/${p.when}`;
    const has = (st: Step): boolean => st.sticks.some((x) => ids.has(x));
    const board = a.steps.filter((st) => st.place === "board");
    const units = p.when === "board" ? [...new Set(board.filter(has).map((st) => st.unit!))] : [];
    const onBoard = new Map(units.map((u) => [u, board.filter((st) => st.unit === u && has(st))] as const));
    const boarded = new Set([...onBoard.values()].flatMap((list) => list.flatMap((st) => st.sticks.filter((x) => ids.has(x))))); // prettier-ignore
    const areaOf = (some: readonly string[]): number => p.sticks.reduce((t, k) => t + (some.includes(k.id) ? surfaceOf(k) : 0), 0); // prettier-ignore
    for (const [u, mine] of onBoard) {
      const there = [...new Set(board.filter((st) => st.unit === u).flatMap((st) => st.sticks))];
      const sticks = there.filter((x) => ids.has(x));
      const first = mine[0]!;
      const last = chain(`${root}/${u}`, `the ${words} of ${u.replace(/, from (inside|below)$/, "")}`, p.coats, sticks, { ...blank(p.structure, first.view, u), there: there.filter((x) => !ids.has(x)) }, mine.map((st) => st.id), areaOf(sticks)); // prettier-ignore
      const lifted = a.steps.filter((st) => st.place === "join" && st.sticks.some((x) => there.includes(x)));
      before(
        last,
        [...lifted, ...board.filter((st) => st.unit === u && glazes(st))].map((st) => st.id),
      );
    }
    // what never lies on a board is painted before it is joined
    const rest = p.when === "standing" ? [] : [...ids].filter((x) => !boarded.has(x));
    if (rest.length > 0) {
      const last = chain(root, `the ${words}`, p.coats, rest, { ...blank(p.structure, home), there: [] }, [], areaOf(rest)); // prettier-ignore
      for (const st of a.steps) if (st.sticks.some((x) => rest.includes(x)) && (st.place === "board" || !st.lifts)) after.get(st.id)!.add(last); // prettier-ignore
    }
    if (p.when === "standing") {
      const mine = a.steps.filter(has).map((st) => st.id);
      const there = s.resolved.sticks.map((k) => k.id).filter((x) => !ids.has(x));
      const last = chain(root, `the ${words}`, p.coats, [...ids], { ...blank(p.structure, home), there }, mine, p.area);
      const closes = p.group === "roof" ? [] : a.steps.filter((st) => st.place === "join" && st.sticks.length > 0 && !has(st) && st.sticks.every((x) => CLOSES.test(stick.get(x)!.member.role))); // prettier-ignore
      before(
        last,
        [...closes, ...a.steps.filter((st) => st.place === "join" && glazes(st))].map((st) => st.id),
      );
    }
  }
  const all = [...a.steps, ...fresh].map((st) => ({ ...st, after: [...after.get(st.id)!] }));
  return { ...a, steps: inOrder(all) };
}
/** What closes a roof over what is under it. */
export const CLOSES = /roof (board|plank|sheet|cover)|starter strip|ridge cap|flashing|gutter|downpipe/;
const blank = (structure: string, view: Step["view"], unit?: string): Omit<Step, "id" | "title" | "sticks" | "after" | "there" | "coat"> => ({ structure, place: "finish", unit, view, way: "", moves: [], joining: "dry", checks: [], lifts: false, fixture: undefined }); // prettier-ignore
function checksOf(c: CoatDoc): string[] {
  const mix = c.mix ? [`Mix: ${c.mix}.`] : [];
  if (c.kind === "stain") return [...mix, "Wipe it off while it is wet; let it dry before any glue."];
  if (c.kind === "decal") return [...mix, "On a smooth face; press out the air."];
  return [...mix, "Mask or scrape the faces that will be glued: glue wants bare material."];
}
