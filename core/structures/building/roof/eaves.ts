import { NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import type { Vec3 } from "../../../geometry";
import type { BuildingLayout, Part, Side } from "../plan/layout";
import { inverse, placed, type Local } from "../../place";
import { eaveDatum, over, planeZ, roofKit } from "./slopes";
import type { Interruption } from "./valley";

/** Shorter fascias are not cut, model mm. */
const LEAST_FASCIA = 0.2;
/** Fascia boards along the eaves: mitred at the corners of a hip roof, square at gables. Their tops lie under the slope at their outside. */
export function fascias(b: Builder, l: BuildingLayout, part: Part, interrupted: readonly Interruption[]): void {
  const { v, t } = l;
  if (v.fascia !== "board" || part.roof === "none" || part.roof === "flat") return;
  const local = placed(b, part.place);
  const { root } = roofKit(local, l, part);
  const { out } = part;
  const hip = part.roof === "hip" || part.roof === "hipdeck";
  const sides = (hip ? ["S", "E", "N", "W"] : part.slopes.N ? ["S", "N"] : ["S"]) as Side[];
  const id = (side: Side, n = 1): string => `${root}/roof/${side}/fascia${n}`;
  const over0 = part.open === "W" ? 0 : part.gableOut;
  for (const side of sides) {
    const s = part.slopes[side]!;
    const z = planeZ(s, -out);
    const put = (a: number, c: number, n: number, square: boolean | readonly [boolean, boolean]): string => {
      // beside a wing flush with the gable nothing is left of the eave
      if (c - a < LEAST_FASCIA) return "";
      // seen from outside it runs to the right: its +w looks out
      const [from, to] = side === "S" || side === "E" ? [a, c] : [c, a];
      const at = (x: number): Vec3 => over(part, side, x, -out, z);
      const f = id(side, n);
      local.stick({
        id: f,
        assembly: `${root}/roof/slope-${side}`,
        role: "fascia",
        letter: "F",
        timber: t.fascia,
        a: at(from),
        b: at(to),
        up: [0, 0, 1],
        seat: ["+", "+"],
        square,
      });
      // every tail ends on it
      const prefix = `${root}/roof/${side}/`;
      const tails = new Set(b.joints.flatMap((j) => (j.id.endsWith("/tail") ? [j.id] : [])));
      const [lo, hi] = [Math.min(a, c), Math.max(a, c)];
      for (const m of b.members.filter(
        (x) => x.id.startsWith(prefix) && /rafter|jack/.test(x.role) && x.body.shape === "straight",
      )) {
        if (!tails.has(`${m.id}/tail`)) continue;
        const place = m.body.shape === "straight" ? alongOfPoint(side, m.body.a, local) : 0;
        if (place > lo && place < hi)
          b.join({ kind: "bearing", id: `${m.id}>fascia`, a: m.id, b: f, aFace: "end0", bFace: "-w", contact: "line" });
      }
      return f;
    };
    if (hip) {
      const [lo, hi] = side === "S" || side === "N" ? part.p : part.q;
      put(lo - out, hi + out, 1, false);
      continue;
    }
    // a wing's eave begins at the inner corner with the main one's; the main one's is parted by it
    const on = part.onRoof?.ridged && { ...part.onRoof, ...part.onRoof.ridged };
    const start = on ? on.x + on.m * out : part.open === "W" && part.valley ? out : part.p[0] - over0;
    const cuts = interrupted.filter((i) => i.side === side).sort((m, n) => m.at - n.at);
    let from = start;
    cuts.forEach((c, n) => {
      put(from, c.at - c.half - out, n + 1, true);
      from = c.at + c.half + out;
    });
    const last = put(from, part.p[1] + part.gableOut, cuts.length + 1, on ? [side === "N", side === "S"] : true);
    if (on)
      b.join({
        kind: "trim",
        id: `${last}/slope`,
        a: last,
        datum: on.datum,
        as: side === "S" ? "end0" : "end1",
        contact: "gap",
      });
  }
  if (hip)
    for (const [side, next] of [
      ["S", "E"],
      ["E", "N"],
      ["N", "W"],
      ["W", "S"],
    ] as const) {
      b.join({ kind: "mitre", id: `${id(side)}>${next}`, a: id(side), end: 1, b: id(next), bEnd: 0, contact: "face" });
    }
}
function alongOfPoint(side: Side, p: Vec3, local: Local): number {
  const q = inverse(local.place, p);
  return side === "S" || side === "N" ? q[0] : q[1];
}

/** Barge boards on the outside of each gable's last rafters, flush with their tops. */
export function bargeBoards(b: Builder, l: BuildingLayout, part: Part): void {
  const { v, t } = l;
  if (!v.barge || part.roof === "none" || part.roof === "flat" || part.roof === "hip" || part.roof === "hipdeck")
    return;
  const local = placed(b, part.place);
  const kit = roofKit(local, l, part);
  const { root } = kit;
  // the boards cover the whole eave, in front of a fascia too
  for (const s of Object.values(part.slopes)) eaveDatum(kit, s, part.out);
  const flies = b.members.filter(
    (m) => m.id.startsWith(`${root}/roof/`) && /\/barge-(left|right)(-upper)?$/.test(m.id),
  );
  const own = b.members.filter(
    (m) => m.id.startsWith(`${root}/roof/`) && /common|upper/.test(m.role) && !m.id.includes("/barge-"),
  );
  const ridge = {
    S: local.datum(`${root}/ridge-line-S`, { n: [0, 1, 0], d: part.peak[0] }),
    N: local.datum(`${root}/ridge-line-N`, { n: [0, -1, 0], d: -part.peak[0] }),
  };
  for (const right of [false, true]) {
    if (part.open === "W" && !right) continue;
    const named = flies.filter((m) => m.id.includes(right ? "barge-right" : "barge-left"));
    const last = named.length > 0 ? named : endmost(own, part, right);
    for (const m of last) {
      if (m.body.shape !== "straight") continue;
      const shift = (right ? 1 : -1) * (t.rafter.w / 2 + t.fascia.w / 2);
      const [p, q] = [inverse(part.place, m.body.a), inverse(part.place, m.body.b)];
      const id = `${m.id}-board`;
      local.stick({
        id,
        assembly: m.assembly,
        role: "barge board",
        letter: "BB",
        timber: t.fascia,
        a: [p[0] + shift, p[1], p[2]],
        b: [q[0] + shift, q[1], q[2]],
        up: [0, 0, 1],
        seat: ["+", "centre"],
        ends: m.ends,
      });
      // cut as its rafter is: at the eave, where two slopes break, at the line of the ridge
      for (const x of b.joints.filter((y) => y.a === m.id)) {
        if (x.kind === "trim" && (x.as === "end0" || x.as === "end1"))
          b.join({
            ...x,
            id: `${id}/${x.as}-${x.datum.split("/").pop()}`,
            a: id,
            datum: x.datum.replace(/-tails$/, ""),
          });
        if (x.kind === "mitre") b.join({ ...x, id: `${id}>upper`, a: id, b: `${x.b}-board`, contact: "line" });
        if (x.kind === "butt" && x.end === 1) {
          const lower = Math.min(p[1], q[1]) < part.peak[0] - NEAR;
          b.join({
            kind: "trim",
            id: `${id}/ridge`,
            a: id,
            datum: lower ? ridge.S : ridge.N,
            as: "end1",
            contact: "gap",
          });
        }
      }
      const looks = sideOut(m.id, right);
      b.join({
        kind: "lap",
        id: `${id}>rafter`,
        a: id,
        b: m.id,
        aFace: looks === "+w" ? "-w" : "+w",
        bFace: looks,
        contact: "line",
      });
    }
  }
}
const sideOut = (id: string, right: boolean): "+w" | "-w" => (/\/roof\/S\//.test(id) === right ? "+w" : "-w");
function endmost<M extends { body: { shape: string } }>(list: readonly M[], part: Part, right: boolean): M[] {
  const at = (m: M): number => inverse(part.place, (m.body as unknown as { a: Vec3 }).a)[0];
  const best = list.reduce((x, m) => (right ? Math.max(x, at(m)) : Math.min(x, at(m))), right ? -Infinity : Infinity);
  return list.filter((m) => Math.abs(at(m) - best) < NEAR);
}
