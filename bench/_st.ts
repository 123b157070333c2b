import { forcesOf } from "../core/structures/truss/statics";
import { countered, TRUSS_KINDS } from "../core/structures/truss/topology";
const base = { position: "through", span: 6, panels: 6, depth: 1, ends: "inclined", slopes: 5, hipDepth: 0.8, camber: 0, counters: "none", innerDepth: 0.4, liveOverDead: 2 };
for (const k of TRUSS_KINDS) for (const ends of ["inclined", "vertical"]) {
  const v = { ...base, kind: k.value, ends, depth: k.value === "plank" ? 2 : 1.2 };
  const f = forcesOf(v);
  console.log(k.value, ends, f.ok ? `redundant ${f.redundant} ${f.caveat ? "CAVEAT" : ""} ` + [...f.forces].map(([a, b]) => `${a} ${b.toFixed(2)}`).slice(0, 9).join(", ") : f.reason, countered({ ...v, counters: "needed" }));
}
