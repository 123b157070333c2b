import { randomTruss } from "../core/structures/truss/randomTruss";
import { trussCheck } from "../core/structures/truss/check";
import { trussFrame } from "../core/structures/truss/frame";
import fc from "fast-check";
import { stockLookup } from "../core/job";
import { scaleOf } from "../core/units";
import { resolve, interferences, bearings, connectedGroups } from "../core/frame";
const seed = Number(process.argv[2] ?? 1), n = Number(process.argv[3] ?? 20);
const scale = scaleOf("HO");
const { stock } = stockLookup({ stock: { milling: "full-sawn", series: ["scale"], choices: {}, sticks: {} } } as never, scale);
let ok = 0, refused = 0, bad = 0; const why: Record<string, number> = {};
const kinds: Record<string, number> = {};
for (const v of fc.sample(randomTruss, { seed, numRuns: n })) {
  const c = trussCheck(v);
  if (c.length) { refused++; why[c[0]!.slice(0, 60)] = (why[c[0]!.slice(0, 60)] ?? 0) + 1; continue; }
  try {
    const r = resolve(trussFrame(v, { structure: "t", scale, stock }));
    const i = interferences(r); const found = bearings(r);
    const b = found.filter((x) => !x.ok); const g = connectedGroups(r, found);
    if (i.length || b.length || g.length > 1) {
      bad++;
      const tag = (s: string) => s.replace(/\d+/g, "N");
      for (const x of i) kinds["PEN " + tag(x.a) + " × " + tag(x.b)] = Math.max(kinds["PEN " + tag(x.a) + " × " + tag(x.b)] ?? 0, x.depth);
      for (const x of b) kinds["BEAR " + tag(x.a) + " on " + tag(x.b)] = Math.min(kinds["BEAR " + tag(x.a) + " on " + tag(x.b)] ?? 9, x.borne / x.wanted);
      if (g.length > 1) for (const q of g.filter((q) => q !== g.reduce((a, b) => a.length > b.length ? a : b)).slice(0, 3)) kinds["APART " + tag(q[0]!)] = q.length;
      if (bad <= 40 && [...i.map((x) => x.a + x.b), ...b.map((x) => x.a + x.b)].some((x) => x.includes(process.argv[4] ?? ""))) console.log(JSON.stringify({ kind: v.kind, pos: v.position, ends: v.ends, n: v.panels, c: v.counters, rods: v.vertical, dg: v.diagonal, shape: v.chordShape, plies: v.chordPlies, camber: v.camber, floor: v.floor, guss: v.gussets, gap: v.gap, grade: v.grade, tr: v.trusses, piers: v.piers }), r.sticks.length, i.filter((x) => (x.a+x.b).includes(process.argv[4] ?? "")).slice(0, 2), b.filter((x) => (x.a+x.b).includes(process.argv[4] ?? "")).slice(0, 2).map((x) => [x.a, x.b, x.kind, x.borne, x.wanted]), g.length);
    } else ok++;
  } catch (e) { bad++; const k = "ERR " + (e as Error).message.replace(/\d+/g, "N").slice(0, 120); kinds[k] = (kinds[k] ?? 0) + 1; if (k.includes("Three")) console.log("3P", v.kind, v.position, v.floor, v.gussets); }
}
console.log({ ok, refused, bad }, why);
console.log(Object.entries(kinds).sort().slice(0, 40));
