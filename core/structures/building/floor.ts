import type { Plane, Vec2 } from "../../geometry";
import type { Builder } from "../builder";
import type { Timber } from "../timber";
import { floorSeen, rootOf, type BuildingLayout, type Part } from "./layout";
import { frameOutline, turned } from "./outlineFloor";
import { panel } from "./panel";
import { placed, type Local } from "./place";
import { rest } from "./rest";
import { buttJoint, touching } from "./wallKit";

/** A rectangle to be floored, in its own axes: joists run along q, planks along p. `top` is the planks' upper side, model mm. */
export interface FloorSet {
  readonly root: string;
  readonly p: readonly [number, number];
  readonly q: readonly [number, number];
  readonly top: number;
  readonly loose?: boolean;
  /** Nobody sees it: a sheet as thick as the planks lies on the joists. */
  readonly sheet?: boolean;
  /** How far the planks run past the rims: at both ends and on the side of the lesser q. */
  readonly over: number;
  /** An opening for a stair, headed off between the joists beside it. */
  readonly hole?: { readonly p: readonly [number, number]; readonly q: readonly [number, number] };
}
const NEAR = 1e-6;
/** Strips narrower than this are not laid, model mm: the gap is less than a joint opens. */
const LEAST_PLANK = 0.1;

/** Rims, joists, blocking and planks of one rectangle. */
export function frameFloor(b: Local, l: BuildingLayout, f: FloorSet): void {
  const { v, t, mm } = l;
  const { joist, plank } = t;
  const assembly = f.root;
  const top = f.top - plank.w;
  const loose = f.loose ? { loose: true } : {};
  const stick = (
    id: string,
    role: string,
    letter: string,
    timber: Timber,
    a: readonly [number, number],
    c: readonly [number, number],
    square: boolean,
    w: "centre" | "+" | "-" = "centre",
  ): string =>
    b.stick({
      id: `${f.root}/${id}`,
      assembly,
      role,
      letter,
      timber,
      a: [a[0], a[1], top],
      b: [c[0], c[1], top],
      up: [0, 0, 1],
      seat: ["+", w],
      square,
      ...loose,
    }).id;
  // rims run through at both ends of the joists; along +p their +w looks to −q
  const [p0, p1] = f.p;
  const [q0, q1] = f.q;
  const low = stick("rim/1", "rim joist", "RJ", joist, [p0, q0], [p1, q0], true, "+");
  const high = stick("rim/2", "rim joist", "RJ", joist, [p0, q1], [p1, q1], true, "-");
  const half = joist.w / 2;
  const stations = [p0 + half];
  for (let p = p0 + mm(v.joistSpacing); p < p1 - 3 * half - 0.2; p += mm(v.joistSpacing))
    if (p > p0 + 3 * half + 0.2) stations.push(p);
  stations.push(p1 - half);
  const { hole } = f;
  const cut = (p: number): boolean => hole !== undefined && p + half > hole.p[0] + NEAR && p - half < hole.p[1] - NEAR;
  const name = (i: number): string => `${f.root}/joist/${i + 1}`;
  const heads = hole && headers();
  const joists = stations.map((p, i) => {
    const end = i === 0 || i === stations.length - 1;
    const role = end ? "end joist" : "joist";
    if (heads && cut(p)) {
      const near = stick(`joist/${i + 1}`, role, "JO", joist, [p, q0], [p, heads.q[0]], false);
      const far = stick(`joist/${i + 1}-far`, role, "JO", joist, [p, heads.q[1]], [p, q1], false);
      b.join(buttJoint(near, 0, low, "-w"));
      b.join(buttJoint(near, 1, heads.ids[0]!, "+w"));
      b.join(buttJoint(far, 0, heads.ids[1]!, "-w"));
      b.join(buttJoint(far, 1, high, "+w"));
      return near;
    }
    const id = stick(`joist/${i + 1}`, role, "JO", joist, [p, q0], [p, q1], false);
    b.join(buttJoint(id, 0, low, "-w"));
    b.join(buttJoint(id, 1, high, "+w"));
    return id;
  });
  /** Headers at both ends of the opening, between the joists that run on beside it. */
  function headers(): { readonly ids: readonly string[]; readonly q: readonly [number, number] } | undefined {
    if (!hole || !stations.some(cut)) return undefined;
    const first = stations.findIndex(cut);
    const last = stations.length - 1 - [...stations].reverse().findIndex(cut);
    if (first === 0 || last === stations.length - 1)
      throw new Error("A stair opening in a floor reaches its edge: leave a joist on both sides of it.");
    const [c, d] = hole.q;
    const ids = ([c, d] as const).map((q, k) => {
      const id = stick(
        `header/${k + 1}`,
        "header",
        "H",
        joist,
        [stations[first - 1]!, q],
        [stations[last + 1]!, q],
        false,
        k === 0 ? "-" : "+",
      );
      b.join(buttJoint(id, 0, name(first - 1), "+w"));
      b.join(buttJoint(id, 1, name(last + 1), "-w"));
      return id;
    });
    return { ids, q: [c - joist.w, d + joist.w] };
  }
  if (f.sheet) {
    sheetFloor(b, l, f, [low, high, ...joists]);
    return;
  }
  for (let row = 1; row <= v.floorBlocking; row++) {
    const q = q0 + ((q1 - q0) * row) / (v.floorBlocking + 1);
    stations.slice(1).forEach((p, i) => {
      const before = stations[i]!;
      if (p - before - joist.w < joist.w / 2) return;
      // staggered, every other block steps aside so that each can be nailed through the joist
      const step = v.blockingSet === "staggered" ? ((i % 2 ? 1 : -1) * joist.w) / 2 : 0;
      if (heads && (cut(p) || cut(before)) && q + step + joist.w > heads.q[0] && q + step - joist.w < heads.q[1])
        return;
      const on = (k: number): string =>
        heads && cut(stations[k]!) && q > heads.q[0] ? `${joists[k]!}-far` : joists[k]!;
      const id = stick(`blocking/${row}-${i + 1}`, "blocking", "B", joist, [before, q + step], [p, q + step], false);
      // joists run along +q: their +w looks to +p
      b.join(buttJoint(id, 0, on(i), "+w"));
      b.join(buttJoint(id, 1, on(i + 1), "-w"));
    });
  }
  // which stick of a joist carries a plank from q on: none where the opening has taken it
  const under = (k: number, q: number): string | undefined => {
    if (!heads || !cut(stations[k]!)) return joists[k]!;
    if (q + t.plank.v <= heads.q[0] + NEAR) return joists[k]!;
    return q >= heads.q[1] - NEAR ? `${joists[k]!}-far` : undefined;
  };
  const others = heads ? [...heads.ids, low, high] : [low, high];
  planks(b, l, f, stations, under, others);
}

/** One sheet in place of the planks and the blocking. */
function sheetFloor(b: Local, l: BuildingLayout, f: FloorSet, under: readonly string[]): void {
  const [w, d] = [f.p[1] - f.p[0], f.q[1] - f.q[0]];
  const id = panel(b, l, b.place, {
    id: `${f.root}/sheet`,
    assembly: f.root,
    role: "floor sheet",
    letter: "FS",
    origin: [f.p[0], f.q[0], f.top - l.t.plank.w],
    u: [1, 0, 0],
    v: [0, 1, 0],
    outline: [
      [0, 0],
      [w, 0],
      [w, d],
      [0, d],
    ],
    thickness: l.t.plank.w,
    ...(f.loose ? { loose: true } : {}),
  });
  for (const m of under)
    b.join({
      kind: "bearing",
      id: `${id}>${m.slice(f.root.length + 1)}`,
      a: id,
      b: m,
      aFace: "-w",
      bFace: "+v",
      contact: "line",
    });
}

/** Rows of planks across the joists: the last is ripped to what is left, long ones are butted over joists, staggered. */
function planks(
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
    const ripped = q + plank.v > to + NEAR;
    const breaks = boardBreaks(
      [f.p[0] - f.over, f.p[1] + f.over],
      stations.filter((_, k) => under(k, q) !== undefined),
      longest,
      i,
    );
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
      if (onRim) {
        b.join({
          kind: "lap",
          id: `${id}>rim`,
          a: id,
          b: `${f.root}/rim/2`,
          aFace: "-w",
          bFace: "+v",
          contact: "line",
        });
        return;
      }
      const there = stations.flatMap((s, k) => (under(k, q) === undefined ? [] : [{ s, k }]));
      // a short piece beside an opening may lie on its headers alone
      const held = holds(
        there.map((x) => x.s),
        start,
        end,
        t.joist.w / 2,
      );
      if (!held.some((x) => x.whole)) for (const o of others) b.join(touching(id, o, "-w", "+v"));
      held.forEach(({ at, whole }) => {
        const k = there[at]!.k;
        b.join({
          kind: "lap",
          id: `${id}>j${k + 1}`,
          a: id,
          b: under(k, q)!,
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

/** Where the sticks of a row end: over supports, none longer than the longest, every other row broken half a stick off. */
export function boardBreaks(
  range: readonly [number, number],
  stations: readonly number[],
  longest: number,
  row: number,
): number[] {
  const [from, to] = range;
  const out = [from];
  let limit = row % 2 === 1 && to - from > longest ? longest / 2 : longest;
  for (;;) {
    const start = out[out.length - 1]!;
    if (to - start <= limit + NEAR) break;
    const next = [...stations].reverse().find((s) => s <= start + limit + NEAR && s > start + NEAR && s < to - NEAR);
    if (next === undefined) break;
    out.push(next);
    limit = longest;
  }
  return [...out, to];
}
/** The first and the last support that a stick of a row crosses whole; where there is none, one that it touches. */
export function holds(
  stations: readonly number[],
  start: number,
  end: number,
  half: number,
): { at: number; whole: boolean }[] {
  const at = stations.map((s, i) => ({ s, i }));
  const whole = at.filter(({ s }) => s - half > start - NEAR && s + half < end + NEAR);
  if (whole.length > 0)
    return [...new Set([whole[0]!.i, whole[whole.length - 1]!.i])].map((i) => ({ at: i, whole: true }));
  const touched = at.filter(({ s }) => s + half > start + NEAR && s - half < end - NEAR);
  return touched.slice(0, 2).map(({ i }) => ({ at: i, whole: false }));
}

/** Floors of all parts: under the walls, or inside the main part's walls with play all round. */
export function floors(b: Builder, l: BuildingLayout): void {
  const { v, mm } = l;
  if (v.floor === "none") return;
  const list: readonly Part[] = v.floor === "lift" ? [l.main] : l.parts;
  for (const part of list) {
    const braces = (v.wallBrace === "inside" ? l.t.brace.w : 0) + (v.lined ? l.t.lining.w : 0);
    const inset =
      v.floor === "lift"
        ? Math.max(l.wall + braces, v.foundation === "none" ? 0 : Math.max(l.t.sillBeam.v, l.t.pier.v)) + v.floorPlay
        : 0;
    const p = [part.p[0] + inset, part.p[1] - inset] as const;
    const q = [part.q[0] + inset, part.q[1] - inset] as const;
    const set = {
      root: `${rootOf(l, part.name)}/floor`,
      top: 0,
      over: 0,
      loose: v.floor === "lift",
      sheet: !floorSeen(v, part.name),
    };
    if (v.framing === "none" && v.outline.length > 2) {
      const corners = v.outline.map((c): Vec2 => [mm(c.x - v.length / 2), mm(c.y - v.width / 2)]);
      const across = v.plankWay === "across";
      // a quarter turn on: p' = q, q' = −p
      const seen = across ? corners.map(([x, y]): Vec2 => [y, -x]) : corners;
      const quarters = across ? 1 : 0;
      frameOutline(placed(b, { quarters, at: [0, 0] }), l, { root: set.root, top: 0, outline: turned(seen) });
      continue;
    }
    // planks along the building run along x; a part that is turned has them along its q
    const alongX = part.place.quarters % 2 === 0;
    // over bents the joists run from cap to cap
    const along = v.plankWay === "along" && v.foundation !== "bents";
    if (along === alongX) frameFloor(placed(b, part.place), l, { ...set, p, q });
    else {
      // a quarter turn on: p' = q, q' = −p
      const quarters = ((part.place.quarters + 1) % 4) as Part["place"]["quarters"];
      frameFloor(placed(b, { quarters, at: part.place.at }), l, { ...set, p: q, q: [-p[1], -p[0]] });
    }
  }
}
/** Joins the soles of the walls to the planks they stand on. */
export function solesOnFloor(b: Builder, l: BuildingLayout): void {
  if (l.v.floor !== "under") return;
  for (const part of l.parts)
    for (const w of part === l.main ? [...part.walls, ...l.partitions] : part.walls) {
      const planks = b.members.filter(
        (m) => m.id.startsWith(`${rootOf(l, part.name)}/floor/plank/`) && m.body.shape === "straight",
      );
      const sheet = b.members.find((m) => m.id === `${rootOf(l, part.name)}/floor/sheet`);
      for (const sole of b.members.filter((m) => m.id.startsWith(`${rootOf(l, w.name)}/sole/`))) {
        if (sheet) {
          b.join({
            kind: "bearing",
            id: `${sole.id}>floor`,
            a: sole.id,
            b: sheet.id,
            aFace: "+w",
            bFace: "+w",
            contact: "line",
          });
          continue;
        }
        const all = planks.filter(
          (m) =>
            m.body.shape === "straight" &&
            sole.body.shape === "straight" &&
            crosses(m.body.a, m.body.b, sole.body.a, sole.body.b),
        );
        // some of them are sure to lie under it
        const few = [...new Set([0.1, 0.3, 0.5, 0.7, 0.9].map((k) => all[Math.floor(all.length * k)]))];
        for (const under of few)
          if (under)
            b.join({
              kind: "lap",
              id: `${sole.id}>${under.id.split("/").pop()}`,
              a: sole.id,
              b: under.id,
              aFace: "+w",
              bFace: "+w",
              contact: "gap",
            });
      }
    }
}
type P = readonly [number, number, number];
/** Whether the boxes round two lines from above overlap. */
function crosses(a: P, b: P, c: P, d: P): boolean {
  return [0, 1].every(
    (k) =>
      Math.min(a[k]!, b[k]!) <= Math.max(c[k]!, d[k]!) + 0.3 && Math.min(c[k]!, d[k]!) <= Math.max(a[k]!, b[k]!) + 0.3,
  );
}

/** A loft inside the main part: a floor between the walls, its rims against the long walls' studs, with a stair opening if asked for. */
export function loft(b: Builder, l: BuildingLayout): void {
  const { v, mm, main } = l;
  if (!v.loft || main.walls.length === 0 || !floorSeen(v, "main")) return;
  const inset = l.wall + (v.lined ? l.t.lining.w : 0);
  const p = [main.p[0] + inset, main.p[1] - inset] as const;
  const q = [main.q[0] + inset, main.q[1] - inset] as const;
  const root = `${rootOf(l, main.name)}/loft`;
  const [a, c] = [main.p[0] + mm(v.loftStairAt), main.q[0] + mm(v.loftStairIn)];
  const hole = v.loftStair
    ? { p: [a, a + mm(v.loftStairWidth)] as const, q: [c, c + mm(v.loftStairLength)] as const }
    : undefined;
  frameFloor(placed(b, main.place), l, { root, p, q, top: mm(v.loftHeight), over: 0, ...(hole ? { hole } : {}) });
  for (const [side, rim] of [
    ["S", 1],
    ["N", 2],
  ] as const) {
    const w = main.walls.find((x) => x.side === side)!;
    const own = b.members.filter(
      (m) => m.id.startsWith(`${rootOf(l, w.name)}/`) && /stud|post|lining plank|girt/.test(m.role),
    );
    for (const m of own) b.join(touching(`${root}/rim/${rim}`, m.id, rim === 1 ? "+w" : "-w", "-v"));
  }
}
