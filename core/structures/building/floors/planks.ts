import { NEAR } from "../../../geometry";
import type { Plane } from "../../../geometry";
import type { BuildingLayout } from "../plan/layout";
import type { Local } from "../../place";
import { rest } from "../cladding/rest";
import { touching } from "../walls/wallKit";
import type { FloorSet } from "./floor";
import { boardBreaks, holds } from "./boardRows";

/** Strips narrower than this are not laid, model mm: the gap is less than a joint opens. */
const LEAST_PLANK = 0.1;

/** Rows of planks across the joists: the last is ripped to what is left, long ones are butted over joists, staggered. */
export function planks(
  b: Local,
  l: BuildingLayout,
  f: FloorSet,
  stations: readonly number[],
  under: (k: number, q: number) => string | undefined,
  others: readonly string[],
): void {
  const { v, t, mm } = l;
  const { plank } = t;
  const [from, to] = [f.q[0] - f.over, f.q[1]];
  const step = plank.v + mm(v.plankGap);
  const longest = mm(v.plankLength);
  const loose = f.loose ? { loose: true } : {};
  const rows = Math.ceil((to - from - NEAR) / step);
  for (let i = 0; i < rows; i++) {
    const q = from + i * step;
    if (to - q < LEAST_PLANK) break;
    // the last strip may lie on the rim alone
    const onRim = q > to - t.joist.w - NEAR;
    // and so may a narrow first one that overhangs
    const onFirst = !onRim && q + plank.v < f.q[0] + t.joist.w + NEAR;
    const ripped = q + plank.v > to + NEAR;
    const there = stations.flatMap((s, k) => {
      const joist = under(k, q);
      return joist === undefined ? [] : [{ s, k, joist }];
    });
    const at = there.map((x) => x.s);
    const breaks = boardBreaks([f.p[0] - f.over, f.p[1] + f.over], at, longest, i);
    const { hole } = f;
    const over = hole && hole.q[0] < q + plank.v - NEAR && hole.q[1] > q + NEAR;
    const whole = over && hole.q[0] <= q + NEAR && hole.q[1] >= q + plank.v - NEAR;
    const pieces = breaks
      .slice(1)
      .flatMap((end, j) => (whole ? rest([breaks[j]!, end], [hole.p]) : [[breaks[j]!, end] as const]));
    pieces.forEach(([start, end], j) => {
      const id = `${f.root}/plank/${i + 1}-${j + 1}`;
      b.stick({
        id,
        assembly: f.root,
        role: "plank",
        letter: "PL",
        timber: plank,
        a: [start, q, f.top],
        b: [end, q, f.top],
        up: [0, 1, 0],
        seat: ["-", "+"],
        square: true,
        ...loose,
      });
      // along +p with its width to +q its +w looks up
      if (ripped)
        b.join({
          kind: "trim",
          id: `${id}/rip`,
          a: id,
          datum: b.datum(`${f.root}/edge`, { n: [0, 1, 0], d: to }),
          as: "length",
          contact: "gap",
        });
      if (over && !whole && hole.p[0] < end - NEAR && hole.p[1] > start + NEAR) {
        const side = (n: string, plane: Plane): { datum: string } => ({
          datum: b.datum(`${f.root}/opening-${n}`, plane),
        });
        b.join({
          kind: "notch",
          id: `${id}>opening`,
          a: id,
          b: `${f.root}/joist/1`,
          contact: "gap",
          faces: [
            side("left", { n: [-1, 0, 0], d: -hole.p[0] }),
            side("right", { n: [1, 0, 0], d: hole.p[1] }),
            side("near", { n: [0, -1, 0], d: -hole.q[0] }),
            side("far", { n: [0, 1, 0], d: hole.q[1] }),
          ],
        });
      }
      if (onRim || onFirst) {
        b.join({
          kind: "lap",
          id: `${id}>rim`,
          a: id,
          b: `${f.root}/rim/${onRim ? 2 : 1}`,
          aFace: "-w",
          bFace: "+v",
          contact: "line",
        });
        return;
      }
      // a short piece beside an opening may lie on its headers alone
      const held = holds(at, start, end, t.joist.w / 2);
      if (!held.some((x) => x.whole)) for (const o of others) b.join(touching(id, o, "-w", "+v"));
      held.forEach(({ at: nth, whole }) => {
        const { k, joist } = there[nth]!;
        b.join({
          kind: "lap",
          id: `${id}>j${k + 1}`,
          a: id,
          b: joist,
          aFace: "-w",
          bFace: "+v",
          contact:
            whole && !ripped && q > f.q[0] + t.joist.w - NEAR && q + plank.v < f.q[1] - t.joist.w + NEAR
              ? "face"
              : "line",
        });
      });
    });
  }
}
