import { defaultsOf } from "../core/structures";
import { trestleSpec, type TrestleValues } from "../core/structures/whole-trestle/parameters";
import { trestleCheck } from "../core/structures/whole-trestle/check";
import { trestleFrame } from "../core/structures/whole-trestle/frame";
import { stockLookup } from "../core/job";
import { scaleOf, feet, inches } from "../core/units";
import { resolve, interferences, bearings, connectedGroups } from "../core/frame";
const scale = scaleOf("HO");
const { stock } = stockLookup({ stock: { milling: "full-sawn", series: ["scale"], choices: {}, sticks: {} } } as never, scale);
const base = { ...defaultsOf(trestleSpec), groundBy: "heights", heights: [feet(9), feet(20), feet(33), feet(24), feet(12)], length: feet(60), braces: "none", girts: "none", bulkheads: false, guards: false } as TrestleValues;
const cur = { curve: "model", modelRadius: 760 } as const;
const cases: Record<string, Partial<TrestleValues>> = {
  base: {}, guards: { guards: true }, girts: { girts: "every" }, braces: { braces: "every" }, bulk: { bulkheads: true }, corb: { corbels: true }, grade: { grade: 2.5 }, gradecorb: { grade: 2.5, corbels: true },
  curve: cur, curveg: { ...cur, grade: -2.5, guards: true }, curves: { ...cur, superelevation: inches(6), guards: true }, curvesg: { ...cur, superelevation: inches(6), grade: 3, guards: true, bulkheads: true },
  right: { ...cur, hand: "right", superelevation: inches(6), grade: 3, guards: true, bulkheads: true },
  shims: { ...cur, superelevation: inches(6), superBy: "shims" }, shimsg: { ...cur, superelevation: inches(6), superBy: "shims", grade: 3, bulkheads: true },
  lam: { ...cur, stringerSet: "laminated" }, lamg: { ...cur, stringerSet: "laminated", grade: 3, guards: true }, lams: { ...cur, stringerSet: "laminated", superelevation: inches(6), guards: true, grade: 2 },
  lamcorb: { ...cur, stringerSet: 'laminated', corbels: true }, lamcorbg: { ...cur, stringerSet: 'laminated', corbels: true, grade: 2 },
  lamt: { ...cur, tangentStart: feet(20), stringerSet: "laminated", superelevation: inches(6), guards: true, grade: 2 },
  tang: { ...cur, tangentStart: feet(20), tangentEnd: feet(10), superelevation: inches(4), grade: 2, guards: true },
  walk: { walkway: "both", refugeEvery: 2, barrelEvery: 2 }, walkc: { ...cur, walkway: "both", refugeEvery: 2, barrelEvery: 1, grade: 2, superelevation: inches(5) },
  skew: { skewStart: 15, skewEnd: -20, guards: true, bulkheads: true }, ped: { footing: "pedestal" }, pile: { bentKind: "pile" }, pilesq: { bentKind: "pile", pileSize: "12×12", girts: "outer", braces: "every" }, pileb: { bentKind: "pile", girts: "outer", braces: "every" },
  sash: { between: "sash", girts: "outer", braces: "every" }, both: { between: "both", girts: "outer", braces: "every" }, bracec: { ...cur, grade: 3, braces: "every", girts: "outer", superelevation: inches(6) },
  tracks: { tracks: 2, capSet: "overhang", posts: 6, spacings: [feet(6), feet(6), feet(6)], guards: true, walkway: "both", refugeEvery: 2 }, bays: { bentSet: "each" },
};
for (const [name, c] of Object.entries(cases)) {
  if (process.argv[2] && !name.startsWith(process.argv[2])) continue;
  const v = { ...base, ...c } as TrestleValues;
  const ch = trestleCheck(v);
  if (ch.length) { console.log(name, "REFUSED", ch); continue; }
  try {
    const t0 = performance.now();
    const r = resolve(trestleFrame(v, { structure: "t", scale, stock }));
    const t1 = performance.now();
    const i = interferences(r), f = bearings(r), b = f.filter((x) => !x.ok), g = connectedGroups(r, f).sort((a, b) => b.length - a.length);
    console.log(name, r.sticks.length, `${(t1 - t0).toFixed(0)} ms`, i.length || b.length || g.length > 1 ? "BAD" : "ok", i.slice(0, 4).map((x) => `${x.a} × ${x.b} ${x.depth.toFixed(3)}`), b.slice(0, 4).map((x) => `${x.a} on ${x.b} ${x.kind} ${x.borne.toFixed(2)}/${x.wanted.toFixed(2)}`), g.slice(1, 3).map((x) => x[0]));
  } catch (e) { console.log(name, "ERR", (e as Error).message); }
}
