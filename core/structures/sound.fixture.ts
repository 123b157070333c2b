import {
  bearings,
  connectedGroups,
  interferences,
  resolve,
  type Frame,
  type Resolved,
  type ResolvedFrame,
} from "../frame";
import { chooseSheet, chooseStock, parseNominal, type Match } from "../lumber";
import { scaleOf, type Scale } from "../units";
import type { Context } from "./kind";

/** What a structure of scale lumber is framed with in tests and long runs. */
export function fullSawn(scale: Scale = scaleOf("HO")): Context {
  const known = new Map<string, Match>();
  const stock = (name: string): Match => {
    const before = known.get(name);
    if (before) return before;
    const m = chooseStock(parseNominal(name)!, name, { milling: "full-sawn", series: ["scale"], choices: {} }, scale);
    known.set(name, m);
    return m;
  };
  return { structure: "t", scale, stock, sheet: (w) => chooseSheet(w, {}, scale) };
}

/** What is wrong with a frame: sticks that stand in each other, joints that do not bear as they should, parts that hang on nothing. Empty when it is sound. With `tells` a joint that says itself why it may not bear, and what would do, is none. */
export function faultsOf(frame: Frame, tells = false): { readonly faults: string[]; readonly resolved: ResolvedFrame } {
  const resolved = resolve(frame);
  const found = bearings(resolved);
  // a post of stock thicker than its cap bears with part of its end: the joint itself says so, and what would do
  const told = new Set(tells ? frame.joints.filter((j) => j.kind === "butt" && j.remedy).map((j) => j.id) : []);
  const groups = connectedGroups(resolved, found);
  const largest = groups.reduce((a, b) => (b.length > a.length ? b : a), []);
  return {
    resolved,
    faults: [
      ...interferences(resolved).map((i) => `${i.a} stands ${i.depth.toFixed(4)} mm in ${i.b}`),
      ...found
        .filter((b) => !b.ok && !(told.has(b.joint) && b.touches))
        .map((b) => `${b.a} on ${b.b} (${b.kind}) bears ${b.borne.toFixed(2)} of ${b.wanted.toFixed(2)} mm²`),
      ...resolved.sticks.filter(fallsApart).map((k) => `${k.id} falls apart`),
      ...groups.filter((g) => g !== largest).map((g) => `${g[0]} hangs on nothing`),
    ],
  };
}

/** Whether a notch has cut a stick through: then what is listed as one piece is two. */
function fallsApart(k: Resolved): boolean {
  if (k.parts.length < 2 || k.member.body.shape !== "straight") return false;
  const { u } = k.axes;
  const spans = k.parts
    .map((p) => p.faces.flatMap((f) => f.corners.map((c) => c[0] * u[0] + c[1] * u[1] + c[2] * u[2])))
    .map((x) => [Math.min(...x), Math.max(...x)] as const)
    .sort((a, b) => a[0] - b[0]);
  let end = spans[0]![1];
  return spans.slice(1).some(([from, to]) => {
    const apart = from > end + 1e-6;
    end = Math.max(end, to);
    return apart;
  });
}
