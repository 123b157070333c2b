import { NEAR } from "../../../geometry";
import type { Timber } from "../../timber";
import type { BuildingLayout } from "../plan/layout";
import { panel } from "../roof/panel";
import type { Local } from "../../place";
import { buttJoint } from "../walls/wallKit";
import { planks } from "./planks";

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
