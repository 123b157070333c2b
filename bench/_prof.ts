import { elevation, VIEWS } from "../core/drawing";
import { piecesOf, resolve } from "../core/frame";
import { stockLookup } from "../core/job";
import { trestleFrame } from "../core/structures/whole-trestle/frame";
import { largeTrestle } from "./largeTrestleValues";
import { scaleOf } from "../core/units";
const scale = scaleOf("HO");
const { stock } = stockLookup({ stock: { milling: "full-sawn", series: ["scale"], choices: {}, sticks: {} } } as never, scale);
for (let i = 0; i < 8; i++) { const f = trestleFrame(largeTrestle(120, i), { structure: "t", scale, stock }); const r = resolve(f); elevation(r.sticks, VIEWS.side); if (process.argv[2]) piecesOf(r.sticks); }
