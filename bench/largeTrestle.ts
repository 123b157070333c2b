/** How long a whole trestle takes to frame, group into pieces and lay out for drawing, from 10 to 240 bents, and after an edit of one bay. Run: npx tsx bench/largeTrestle.ts */
import { elevation, VIEWS } from "../core/drawing";
import { piecesOf, resolve } from "../core/frame";
import { fullSawn } from "../core/structures/sound.fixture";
import { trestleFrame } from "../core/structures/whole-trestle/frame";
import { largeTrestle } from "./largeTrestleValues";
import { scaleOf } from "../core/units";

const scale = scaleOf("HO");
const median = (n: number[]): number => [...n].sort((a, b) => a - b)[Math.floor(n.length / 2)]!;
console.log("bents  members  frame ms  cut ms  drawn ms  pieces ms (of each)  all ms   (medians of 7)");
for (const bents of [10, 30, 60, 120, 240]) {
  const rows: number[][] = [];
  let members = 0;
  let pieces = 0;
  for (let i = 0; i < 7; i++) {
    const v = largeTrestle(bents, i);
    const t0 = performance.now();
    const frame = trestleFrame(v, fullSawn(scale));
    const t1 = performance.now();
    const r = resolve(frame);
    const t2 = performance.now();
    elevation(r.sticks, VIEWS.side);
    const t3 = performance.now();
    pieces = piecesOf(r.sticks).length;
    const t4 = performance.now();
    members = frame.members.length;
    rows.push([t1 - t0, t2 - t1, t3 - t2, t4 - t3, t4 - t0]);
  }
  const m = [0, 1, 2, 3, 4].map((k) => median(rows.map((r) => r[k]!)).toFixed(0));
  console.log(
    `${String(bents).padStart(5)}  ${String(members).padStart(7)}  ${m[0]!.padStart(8)}  ${m[1]!.padStart(6)}  ${m[2]!.padStart(8)}  ${m[3]!.padStart(9)} (${pieces})  ${m[4]!.padStart(6)}`,
  );
}
