import type { Member } from "../../../frame";
import { dot, normalize, planeAt, type Vec3, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { rest } from "../cladding/rest";
import { boardBreaks, holds } from "../floors/boardRows";
import { monitorHoles } from "./monitor";
import { dormerHoles } from "./dormer";
import { headedHoles, holePlanes, roofHolesOf, type RoofHole } from "./roofHoles";
import { boundPlane, facetsOf, leftAt, onFacet, rightAt, trueShape, type Bound, type Facet } from "./facets";
import { rootOf, type BuildingLayout, type Part } from "../plan/layout";
import { panel, plumbBevels } from "./panel";
import { rectangleHole } from "../../panel";
import { inverse, move, placed, turn } from "../../place";
import { alongOf, upslope } from "./slopes";
import type { Interruption } from "./valley";
import { touching } from "../walls/wallKit";

/** A rafter as the covering meets it: where it stands along the eave, and from where to where inward. */
interface Under {
  readonly id: string;
  readonly x: number;
  readonly from: number;
  readonly to: number;
}
/** Strips narrower than this are not laid, model mm. */
export const LEAST_STRIP = 0.25;

/** Boards or sheets on every slope of a part. */
export function covering(b: Builder, l: BuildingLayout, part: Part, interrupted: readonly Interruption[]): void {
  const { v } = l;
  const sheet = v.covering === "sheet" || !v.seenRoof;
  if (v.covering === "none" && v.seenRoof) return;
  for (const f of facetsOf(l, part, interrupted)) {
    const under = raftersUnder(b, l, part, f);
    if (sheet) sheetOn(b, l, part, f, under);
    else boards(b, l, part, f, under);
  }
}

/** Where nothing covers the main slopes: chimneys, a monitor, dormers. */
export const coverHoles = (l: BuildingLayout): RoofHole[] => [...roofHolesOf(l), ...monitorHoles(l), ...dormerHoles(l)];

/** The rafters whose tops lie in a facet, in the order of its x. */
function raftersUnder(b: Builder, l: BuildingLayout, part: Part, f: Facet): Under[] {
  const prefix = `${rootOf(l, part.name)}/roof/${f.slope.side}/`;
  const sign = f.slope.side === "S" || f.slope.side === "E" ? 1 : -1;
  const endwise = f.slope.side === "S" || f.slope.side === "N";
  const n = placedNormal(part, f);
  const o = move(part.place, onFacet(part, f.slope, 0, 0));
  const holes = part === l.main ? headedHoles(l).filter((h) => h.side === f.slope.side) : [];
  const ids = new Set(b.members.map((m) => m.id));
  return b.members
    .filter((m) => m.id.startsWith(prefix) && /rafter|jack/.test(m.role))
    .flatMap((m): Under[] => {
      if (m.body.shape !== "straight") return [];
      if (Math.abs(dot(n, m.body.a) - dot(n, o)) > 1e-4 || Math.abs(dot(n, m.body.b) - dot(n, o)) > 1e-4) return [];
      const [p, q] = [inverse(part.place, m.body.a), inverse(part.place, m.body.b)];
      const inward = (w: Vec3): number =>
        f.slope.side === "S"
          ? w[1] - part.q[0]
          : f.slope.side === "N"
            ? part.q[1] - w[1]
            : f.slope.side === "E"
              ? part.p[1] - w[0]
              : w[0] - part.p[0];
      const x = sign * (endwise ? p[0] : p[1]);
      // of a rafter that a chimney has cut, the part that is left
      const cut = holes.find((h) => x > h.x[0] - l.t.rafter.w && x < h.x[1] + l.t.rafter.w);
      const over = m.id.endsWith("-over");
      const headed = cut !== undefined && (over || ids.has(`${m.id}-over`));
      return [
        {
          id: m.id,
          x,
          from: headed && over ? cut.inward[1] : inward(p),
          to: headed && !over ? cut.inward[0] : inward(q),
        },
      ];
    })
    .sort((s, t) => s.x - t.x);
}
function placedNormal(part: Part, f: Facet): Vec3 {
  const up = upslope(f.slope);
  const e = alongOf(f.slope.side);
  return turn(
    part.place,
    normalize([e[1] * up[2] - e[2] * up[1], e[2] * up[0] - e[0] * up[2], e[0] * up[1] - e[1] * up[0]]),
  );
}

/** Rows of boards from the eave up; the last is ripped at the ridge, ends are cut plumb over hips and valleys. */
function boards(b: Builder, l: BuildingLayout, part: Part, f: Facet, under: readonly Under[]): void {
  const { v, t, mm } = l;
  const local = placed(b, part.place);
  const board = t.roofBoard;
  const cos = 1 / Math.hypot(1, f.slope.k);
  const length = (f.to - f.from) / cos;
  const step = v.covering === "spaced" ? Math.max(mm(v.roofBoardSpacing), board.v) : board.v;
  const root = `${rootOf(l, part.name)}/roof/cover-${f.name}`;
  const up = upslope(f.slope);
  const inwardAt = (d: number): number => f.from + d * cos;
  const rows = Math.ceil((length - NEAR) / step);
  const half = t.rafter.w / 2;
  const letIn = new Set(b.joints.flatMap((j) => (j.kind === "notch" && j.b.includes("/lookout-") ? [j.a] : [])));
  local.datum(`${root}/top`, planeAt(onFacet(part, f.slope, 0, f.to), [up[0], up[1], 0]));
  // over a break of the slope the lowest board is cut plumb as the one below it
  const broken = f.from > 0;
  if (broken) local.datum(`${root}/foot`, planeAt(onFacet(part, f.slope, 0, f.from), [-up[0], -up[1], 0]));
  const bounds = (list: readonly Bound[], left: boolean) =>
    list.map((x, i) => ({
      x,
      name: local.datum(`${root}/${left ? "left" : "right"}${i + 1}`, boundPlane(part, f.slope, x, left)),
    }));
  const [lefts, rights] = [bounds(f.left, true), bounds(f.right, false)];
  const holes = part === l.main ? coverHoles(l).filter((h) => h.side === f.slope.side) : [];
  for (let i = 0; i < rows; i++) {
    const d0 = i * step;
    const d1 = Math.min(d0 + board.v, length);
    if (d1 - d0 < LEAST_STRIP) break;
    const ripped = d0 + board.v > length + NEAR;
    const [i0, i1] = [inwardAt(d0), inwardAt(d1)];
    const widest = (g: (f: Facet, at: number) => number, pick: (...x: number[]) => number): number =>
      pick(g(f, i0), g(f, i1));
    const [x0, x1] = [widest(leftAt, Math.min), widest(rightAt, Math.max)];
    if (
      x1 - x0 < 2 * LEAST_STRIP ||
      Math.min(rightAt(f, i0) - leftAt(f, i0), rightAt(f, i1) - leftAt(f, i1)) < -LEAST_STRIP * 4
    )
      continue;
    const own = under.filter((u) => u.from < i0 + NEAR + 0.01 && u.to > i1 - NEAR - 0.01);
    const breaks = boardBreaks(
      [x0, x1],
      own.map((u) => u.x),
      mm(v.roofBoardLength),
      i,
    );
    // a spaced board that would lie on nothing but the ridge is left to the ridge boards
    const ridged = !["shed", "hip", "hipdeck"].includes(part.roof) && (part.roof !== "gambrel" || f.from > 0);
    if (
      v.covering === "spaced" &&
      (ridged || part.roof === "hip") &&
      i0 > f.to - t.ridge.w / (part.roof === "lean" ? 1 : 2) - NEAR
    )
      continue;
    // on a shed dormer its rafters end on their nailer before its slope does
    if (v.covering === "spaced" && i1 > (part.onRoof?.nailed ?? Infinity) + NEAR) continue;
    const opened = holes.filter((h) => h.inward[0] <= i0 + NEAR && h.inward[1] >= i1 - NEAR);
    const pieces = breaks.slice(1).flatMap((end, j) =>
      rest(
        [breaks[j]!, end],
        opened.map((h) => h.x),
      ),
    );
    pieces.forEach(([start, end], j) => {
      const id = `${root}/board/${i + 1}-${j + 1}`;
      const slantedL = start === breaks[0] && active(f.left, i0, i1, true).some((k) => f.left[k]!.m !== 0);
      const slantedR =
        end === breaks[breaks.length - 1] && active(f.right, i0, i1, false).some((k) => f.right[k]!.m !== 0);
      const ends: Member["ends"] = [
        slantedL ? undefined : { kind: "square", beyond: 0 },
        slantedR ? undefined : { kind: "square", beyond: 0 },
      ];
      local.stick({
        id,
        assembly: root,
        role: "roof board",
        letter: "RD",
        timber: board,
        a: onFacet(part, f.slope, start, i0),
        b: onFacet(part, f.slope, end, i0),
        up,
        seat: ["-", "-"],
        ends,
      });
      // a slanting end may run on past a break near it, into the next board
      // the lower edge of its upper side stands further out than that of its underside
      const levels = [i0 - board.w * f.slope.k * cos, i0, i1];
      const runsL = start < Math.max(...levels.map((x) => leftAt(f, x))) - NEAR;
      const runsR = end > Math.min(...levels.map((x) => rightAt(f, x))) + NEAR;
      if (slantedL || runsL)
        for (const k of active(f.left, i0, i1, true))
          b.join({ kind: "trim", id: `${id}/l${k}`, a: id, datum: lefts[k]!.name, as: "end0", contact: "gap" });
      if (slantedR || runsR)
        for (const k of active(f.right, i0, i1, false))
          b.join({ kind: "trim", id: `${id}/r${k}`, a: id, datum: rights[k]!.name, as: "end1", contact: "gap" });
      if (ripped) b.join({ kind: "trim", id: `${id}/rip`, a: id, datum: `${root}/top`, as: "length", contact: "gap" });
      if (broken && i === 0)
        b.join({ kind: "trim", id: `${id}/foot`, a: id, datum: `${root}/foot`, as: "length", contact: "gap" });
      for (const h of holes)
        if (
          !opened.includes(h) &&
          h.inward[0] < i1 - NEAR &&
          h.inward[1] > i0 + NEAR &&
          h.x[0] < end - NEAR &&
          h.x[1] > start + NEAR
        )
          b.join({
            kind: "notch",
            id: `${id}>${h.name}`,
            a: id,
            b: under[0]!.id,
            contact: "gap",
            faces: holePlanes(b, l, f.slope, h),
          });
      const first = Math.max(leftAt(f, i0), leftAt(f, i1), start) - half;
      const last = Math.min(rightAt(f, i0), rightAt(f, i1), end) + half;
      const usable = own.filter((u) => u.x > first && u.x < last);
      // the last strip may lie between the rafters' ends and the ridge, which they are shortened for
      const onRidge = f.to - i0 < t.ridge.w && ripped && ridged;
      if (onRidge) {
        const prefix = `${rootOf(l, part.name)}/roof/`;
        const [ridge, ledger, row] = [`${prefix}ridge`, `${prefix}ledger`, `${root}/board/${i}-`];
        for (const m of b.members.filter((x) => x.id === ridge || x.id === ledger || (i > 0 && x.id.startsWith(row))))
          b.join(touching(id, m.id, "-v", "+v"));
        const crossed = own.filter((u) => u.x > start - half && u.x < end + half);
        for (const u of new Set([crossed[0], crossed[crossed.length - 1]]))
          if (u) b.join(touching(id, u.id, "-w", "+v"));
        return;
      }
      // a rafter at a gable may be notched all along for lookouts as wide as the board, which lies on those
      const notched = (u: Under): boolean => t.lookout.v > 0.9 * board.v && letIn.has(u.id);
      holds(
        usable.map((u) => u.x),
        start,
        end,
        half,
      ).forEach(({ at }) => {
        b.join({
          kind: "lap",
          id: `${id}>${usable[at]!.id.split("/").pop()}`,
          a: id,
          b: usable[at]!.id,
          aFace: "-w",
          bFace: "+v",
          contact: (part.roof === "hip" && i1 > f.to - t.rafter.w - NEAR) || notched(usable[at]!) ? "gap" : "line",
        });
      });
      if (usable.some(notched))
        for (const m of b.members.filter((x) => x.role === "lookout" && x.id.startsWith(`${rootOf(l, part.name)}/`)))
          b.join(touching(id, m.id, "-w", "+w"));
      // near a peak the commons end before their lines do
      if (usable.length === 0 || (part.roof === "hip" && i1 > f.to - t.rafter.w - NEAR)) {
        // a short board at a hip lies on nothing but the hip
        const [row, roof] = [`${root}/board/${i}-`, `${rootOf(l, part.name)}/roof/`];
        for (const m of b.members.filter((x) => x.id.startsWith(row))) b.join(touching(id, m.id, "-v", "+v"));
        const hip = b.members.filter(
          (m) =>
            (m.id.startsWith(roof) && /hip|ridge|jack|common|barge rafter/.test(m.role)) || m.role === "valley rafter",
        );
        hip.forEach((m) => b.join(touching(id, m.id, "-w", "+v")));
      }
    });
  }
}
/** Which bounds cut a row between two levels. */
function active(list: readonly Bound[], i0: number, i1: number, left: boolean): number[] {
  const at = (b: Bound, i: number): number => (left ? 1 : -1) * (b.x + b.m * i);
  return list
    .map((_, k) => k)
    .filter((k) => [i0, i1].some((i) => at(list[k]!, i) > Math.max(...list.map((b) => at(b, i))) - NEAR));
}

/** One sheet of a facet's true shape, its edges bevelled plumb where it meets another slope. */
function sheetOn(b: Builder, l: BuildingLayout, part: Part, f: Facet, under: readonly Under[]): void {
  const { outline, edges } = trueShape(f);
  if (outline.length < 3) return;
  const assembly = `${rootOf(l, part.name)}/roof/cover-${f.name}`;
  const u = alongOf(f.slope.side);
  const v = upslope(f.slope);
  const up = (inward: number): number => (inward - f.from) * Math.hypot(1, f.slope.k);
  const id = panel(b, l, part.place, {
    id: `${assembly}/sheet`,
    assembly,
    role: "roof sheet",
    letter: "RS",
    origin: onFacet(part, f.slope, 0, f.from),
    u,
    v,
    outline,
    bevel: plumbBevels(
      u,
      v,
      outline,
      (i) => (edges[i] === "eave" && f.from <= 0) || (edges[i] === "top" && part.roof === "shed"),
    ),
    thickness: l.v.roofSheet,
    holes: (part === l.main ? coverHoles(l).filter((h) => h.side === f.slope.side) : []).map((h) =>
      rectangleHole(h.name, h.x, [up(h.inward[0]), up(h.inward[1])]),
    ),
  });
  // a rafter that lies under the middle of it
  const middle = (f.from + f.to) / 2;
  const lies = under.filter(
    (u) => u.from < middle && u.to > middle && u.x > leftAt(f, middle) && u.x < rightAt(f, middle),
  );
  const on = lies[Math.floor(lies.length / 2)] ?? under[Math.floor(under.length / 2)];
  if (on) b.join({ kind: "bearing", id: `${id}>rafter`, a: id, b: on.id, aFace: "-w", bFace: "+v", contact: "line" });
}
