import { bodyOf, isFree, partnersOf, type Step } from "../assembly";
import type { OrderEditDoc, StructureDesign } from "../job";
import type { OrderMistake } from "./mistakes";
import { comesAfter, inOrder, shown } from "./partialOrder";

/** An order as it was changed by hand, and what of the changes cannot be: those are left out. */
export interface EditedOrder {
  readonly steps: readonly Step[];
  readonly mistakes: readonly OrderMistake[];
}
const afterOf = (steps: readonly Step[]): ReadonlyMap<string, ReadonlySet<string>> => new Map(steps.map((s) => [s.id, new Set(s.after)] as const)); // prettier-ignore
const named = (steps: readonly Step[], id: string): Step | undefined => steps.find((s) => s.id === id);
const quoted = (s: Step): string => `“${s.title}”`;

/** Why a step cannot be done right before another (at the end where none is named); undefined where it can. */
export function moveFault(steps: readonly Step[], id: string, before: string | undefined): string | undefined {
  const at = steps.findIndex((s) => s.id === id);
  const to = before === undefined ? steps.length : steps.findIndex((s) => s.id === before);
  if (at < 0 || to < 0) return "One of these is no step any more.";
  const after = afterOf(steps);
  const step = steps[at]!;
  const needs = steps.slice(to, at).find((s) => comesAfter(after, id, s.id));
  if (needs) return `${quoted(step)} cannot come before ${quoted(needs)}: it lies on it, or would close its way.`;
  const needed = steps.slice(at + 1, to).find((s) => comesAfter(after, s.id, id));
  return needed ? `${quoted(needed)} cannot come before ${quoted(step)}: it lies on it, or would close its way.` : undefined; // prettier-ignore
}
/** Why two steps cannot be done as one; undefined where they can. */
export function joinFault(steps: readonly Step[], id: string, other: string): string | undefined {
  const [a, b] = [named(steps, id), named(steps, other)];
  if (!a || !b || a === b) return "One of these is no step any more.";
  if (a.place !== b.place || (a.place === "board" && a.unit !== b.unit) || a.coat || a.own) return `${quoted(a)} and ${quoted(b)} are not done at one place: on one board, or where it stands.`; // prettier-ignore
  const after = afterOf(steps);
  const between = steps.find((s) => s !== a && s !== b && ((comesAfter(after, s.id, a.id) && comesAfter(after, b.id, s.id)) || (comesAfter(after, s.id, b.id) && comesAfter(after, a.id, s.id)))); // prettier-ignore
  return between ? `${quoted(between)} has to be done between ${quoted(a)} and ${quoted(b)}.` : undefined;
}
/** Why these pieces cannot be a step of their own after or before the rest of theirs; undefined where they can. */
export function splitFault(
  s: StructureDesign,
  steps: readonly Step[],
  id: string,
  sticks: readonly string[],
): string | undefined {
  // prettier-ignore
  const step = named(steps, id);
  if (!step) return "This is no step any more.";
  if (step.coat || step.own) return `${quoted(step)} is a coat or was added by hand: it has no pieces to part.`;
  const taken = new Set(sticks);
  const rest = step.sticks.filter((x) => !taken.has(x));
  if (rest.length === 0 || rest.length === step.sticks.length || sticks.some((x) => !step.sticks.includes(x)))
    return `Take some of the ${step.sticks.length} pieces of ${quoted(step)}, not all and not others.`;
  const of = new Map(s.resolved.sticks.map((k) => [k.id, k] as const));
  const moves = step.moves.map((m) => ({ ...m, body: bodyOf(m.sticks[0]!, m.sticks.flatMap((x) => of.get(x) ?? [])), goes: m.sticks.every((x) => taken.has(x)) })); // prettier-ignore
  if (moves.some((m) => !m.goes && m.sticks.some((x) => taken.has(x)))) return `Pieces of ${quoted(step)} that are moved as one stay together.`; // prettier-ignore
  if (goFirst(moves)) return undefined;
  const partners = partnersOf(s.resolved.frame);
  for (const [i, m] of moves.entries()) {
    if (!m.goes) continue;
    for (const later of moves.slice(i + 1)) {
      if (later.goes) continue;
      const joined = later.body.sticks.some((k) =>
        m.body.sticks.some((o) => partners.get(k.member.id)?.has(o.member.id)),
      );
      if (joined || !isFree(m.body, later.body, m.path)) return `${m.sticks[0]} cannot come after ${later.sticks[0]}, which lies on it or closes its way: take those that come last, or first.`; // prettier-ignore
    }
  }
  return undefined;
}
/** Whether what is parted off came first all along. */
const goFirst = (moves: readonly { readonly goes: boolean }[]): boolean =>
  moves.findLastIndex((m) => m.goes) < moves.findIndex((m) => !m.goes);

/** The changes made by hand to the order of a structure, one after the other. */
export function edited(s: StructureDesign, made: readonly Step[], edits: readonly OrderEditDoc[]): EditedOrder {
  const structure = s.structure.id;
  let steps: readonly Step[] = made;
  const mistakes: OrderMistake[] = [];
  edits.forEach((e, i) => {
    const own = e.step.startsWith(`${structure}/`);
    if (!own) return;
    const done = applied(s, steps, e);
    if (typeof done === "string")
      mistakes.push({ key: `${structure}:by-hand:${i}`, level: "remark", text: `${done} This change of the order by hand is left out.`, structure, sticks: [] }); // prettier-ignore
    else steps = done;
  });
  return { steps, mistakes };
}
/** The steps after a change, or why it cannot be. */
export function applied(s: StructureDesign, steps: readonly Step[], e: OrderEditDoc): readonly Step[] | string {
  if (e.kind === "add") return added(s, steps, e);
  const step = named(steps, e.step);
  if (!step) return `“${e.title ?? e.step}” is no step any more: the design went on.`;
  if (e.kind === "move") {
    const wrong = moveFault(steps, e.step, e.before);
    if (wrong) return wrong;
    const rest = steps.filter((x) => x !== step);
    const to = e.before === undefined ? rest.length : rest.findIndex((x) => x.id === e.before);
    return shown([...rest.slice(0, to), step, ...rest.slice(to)]);
  }
  if (e.kind === "join") {
    const wrong = joinFault(steps, e.step, e.with ?? "");
    if (wrong) return wrong;
    const other = named(steps, e.with!)!;
    // the one that comes first keeps its name
    const [a, b] = steps.indexOf(step) < steps.indexOf(other) ? [step, other] : [other, step];
    const tail = b.unit && b.title.startsWith(`${b.unit}: `) ? b.title.slice(b.unit.length + 2) : b.title;
    const one: Step = { ...a, title: `${a.title}, ${tail.charAt(0).toLowerCase()}${tail.slice(1)}`, sticks: [...a.sticks, ...b.sticks], moves: [...a.moves, ...b.moves], after: [...new Set([...a.after, ...b.after])].filter((x) => x !== a.id && x !== b.id), checks: [...new Set([...a.checks, ...b.checks])], lifts: a.lifts || b.lifts, ...(a.fixture ?? b.fixture ? { fixture: a.fixture ?? b.fixture } : {}) }; // prettier-ignore
    return inOrder(steps.flatMap((x) => (x === a ? [one] : x === b ? [] : [{ ...x, after: x.after.map((y) => (y === b.id ? a.id : y)) }]))); // prettier-ignore
  }
  const sticks = e.sticks ?? [];
  const wrong = splitFault(s, steps, e.step, sticks);
  if (wrong) return wrong;
  const taken = new Set(sticks);
  const moves = step.moves.map((m) => ({ m, goes: m.sticks.every((x) => taken.has(x)) }));
  const first = goFirst(moves);
  const number = 1 + steps.filter((x) => x.id.startsWith(`${step.id}~`)).length;
  const partOf = (goes: boolean): Step => {
    const own = moves.filter((x) => x.goes === goes).map((x) => x.m);
    const some = own.flatMap((m) => m.sticks);
    return { ...step, id: goes ? `${step.id}~${number}` : step.id, title: retitled(step, some.length), sticks: some, moves: own }; // prettier-ignore
  };
  const [rest, part] = [partOf(false), partOf(true)];
  // what came after the step comes after both of its parts
  return shown(steps.flatMap((x) => (x === step ? (first ? [part, rest] : [rest, part]) : [{ ...x, after: x.after.includes(step.id) ? [...x.after, part.id] : x.after }]))); // prettier-ignore
}
/** "Front wall: 12 studs" of fewer pieces. */
const retitled = (s: Step, n: number): string =>
  s.title.replace(/(^|: )(\d+)(?= )/, (_, lead: string) => `${lead}${n}`);

function added(s: StructureDesign, steps: readonly Step[], e: OrderEditDoc): readonly Step[] | string {
  const after = e.with === undefined ? undefined : named(steps, e.with);
  const before = e.before === undefined ? undefined : named(steps, e.before);
  if ((e.with !== undefined && !after) || (e.before !== undefined && !before)) return `“${e.title ?? "A step"}” was added beside one that is no step any more.`; // prettier-ignore
  if (after && before && comesAfter(afterOf(steps), after.id, before.id)) return `“${e.title ?? "A step"}” would come after ${quoted(after)} and before ${quoted(before)}, which come the other way round.`; // prettier-ignore
  const near = after ?? before ?? steps.at(-1);
  const step: Step = { id: e.step, structure: s.structure.id, title: e.title ?? "A step of one's own", place: "own", unit: near?.unit, sticks: [], there: near?.there ?? [], view: near?.view ?? { right: [1, 0, 0], up: [0, 0, 1], eye: [0, -1, 0] }, way: "", moves: [], after: after ? [after.id] : [], joining: "dry", checks: e.text ? [e.text] : [], lifts: false, fixture: undefined, own: { minutes: e.minutes ?? 15, rest: e.rest ?? 0 } }; // prettier-ignore
  const at = before ? steps.indexOf(before) : after ? steps.indexOf(after) + 1 : steps.length;
  const linked = before ? steps.map((x) => (x === before ? { ...x, after: [...x.after, step.id] } : x)) : steps;
  return inOrder([...linked.slice(0, at), step, ...linked.slice(at)]);
}
