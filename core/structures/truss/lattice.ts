import type { Face, Member } from "../../frame";
import { normalize, planeAt, sub, type Vec2, type Vec3, ALIKE } from "../../geometry";
import type { Builder } from "../builder";
import type { SidePlace, TrussLayout } from "./layout";
import type { ChordStick, WebStick } from "./sideTruss";

/**
 * Planks of a lattice in two layers that cross face to face, between chord planks on both outsides: nothing is cut at a
 * crossing. The chords and end posts of the layout stand for the outer ones; here each is a pair that laps on the layers.
 */
export function latticePlanks(b: Builder, l: TrussLayout, place: SidePlace, chords: readonly ChordStick[]): WebStick[] {
  const plank = l.timbers.plank;
  const at = (name: string) => l.topology.points[name]!;
  const ends = new Set<string>(l.topology.supports.map((s) => `vertical/${s}-${s.replace("L", "U")}`));
  // each chord becomes a pair of planks, one on either side of both layers
  for (const c of chords) {
    b.members.splice(b.members.indexOf(c.member), 1);
    const body = c.member.body as Extract<Member["body"], { shape: "straight" }>;
    for (const side of [-1, 1]) {
      const y = side * (plank.w + l.chord.w / 2);
      const shift = (p: Vec3): Vec3 => [p[0], p[1] + y, p[2]];
      b.add({
        ...c.member,
        id: `${place.root}/${c.chord}/${side < 0 ? "near" : "far"}`,
        body: { ...body, a: shift(body.a), b: shift(body.b) },
      });
    }
  }
  const span = at(l.topology.supports[1])[0];
  const depth = at("U0")[1];
  const half = l.chord.v / 2;
  for (const [name, x, z, n] of [
    ["foot", 0, -half, [0, 0, -1]],
    ["head", 0, depth + half, [0, 0, 1]],
    ["start", -plank.v / 2, 0, [-1, 0, 0]],
    ["finish", span + plank.v / 2, 0, [1, 0, 0]],
  ] as const)
    b.datums[`${place.root}/${name}`] = planeAt(place.at(x, 0, z), place.turn(n));
  const posts: string[] = [];
  const chordEnds = new Set(l.topology.chords.flatMap((c) => [c.points[0]!, c.points[c.points.length - 1]!]));
  const webs: WebStick[] = [];
  for (const w of l.topology.webs) {
    const [p, q] = [at(w.a), at(w.b)];
    const low = p[1] <= q[1];
    const [lo, hi] = low ? [p, q] : [q, p];
    if (ends.has(w.id)) {
      ([-1, 1] as const).forEach((side) => {
        const id = `${place.root}/${w.id}/${side < 0 ? "near" : "far"}`;
        b.stick({
          id,
          assembly: place.root,
          role: "end post",
          letter: "E",
          timber: plank,
          a: place.at(lo[0], side * (plank.w + plank.w / 2), lo[1]),
          b: place.at(hi[0], side * (plank.w + plank.w / 2), hi[1]),
          up: place.turn([-1, 0, 0]),
        });
        posts.push(id);
        const [below, above] = ["bottom", "top"].map((c) => `${place.root}/${c}/${side < 0 ? "near" : "far"}`);
        b.join({ kind: "butt", id: `${id}>foot`, a: id, end: 0, b: below!, face: "+v", contact: "line" });
        b.join({ kind: "butt", id: `${id}>head`, a: id, end: 1, b: above!, face: "-v", contact: "line" });
      });
      continue;
    }
    const y = (Math.sign(w.lane) * plank.w) / 2;
    const id = `${place.root}/${w.id}`;
    const d = normalize(sub([hi[0], 0, hi[1]], [lo[0], 0, lo[1]]));
    const member = b.stick({
      id,
      assembly: place.root,
      role: "lattice plank",
      letter: "G",
      timber: plank,
      a: place.at(lo[0], y, lo[1]),
      b: place.at(hi[0], y, hi[1]),
      up: place.turn([-d[2], 0, d[0]]),
    });
    webs.push({ id, web: w, y, timber: plank, member });
    const side = w.lane > 0 ? "far" : "near";
    // w = u × v with v in the truss's plane looks to -y, however the plank leans
    const outside: Face = w.lane > 0 ? "-w" : "+w";
    ([0, 1] as const).forEach((end) => {
      const name = end === 0 ? (low ? w.a : w.b) : low ? w.b : w.a;
      const post = /^[EF]/.test(name);
      const bottom = name.startsWith("L");
      const onto = post
        ? posts.find((x) => x.includes(name.startsWith("E") ? "L0" : l.topology.supports[1]) && x.endsWith(side))!
        : `${place.root}/${bottom ? "bottom" : "top"}/${side}`;
      const bFace: Face = w.lane > 0 ? "+w" : "-w";
      b.join({
        kind: "lap",
        id: `${id}>${end}`,
        a: id,
        b: onto,
        aFace: outside,
        bFace,
        // at a chord's own end a plank may lap past it
        contact: chordEnds.has(name) ? "line" : "face",
      });
      // flush with the outer edge of what it lies on
      const edge = post ? (name.startsWith("E") ? "start" : "finish") : bottom ? "foot" : "head";
      b.join({
        kind: "trim",
        id: `${id}>${end}:edge`,
        a: id,
        datum: `${place.root}/${edge}`,
        as: end === 0 ? "end0" : "end1",
        contact: "gap",
      });
    });
  }
  // crossing planks are pinned face to face where they meet
  for (const p of webs)
    for (const q of webs)
      if (p.web.lane > 0 && q.web.lane < 0 && crosses(at(p.web.a), at(p.web.b), at(q.web.a), at(q.web.b)))
        b.join({ kind: "lap", id: `${p.id}×${q.web.id}`, a: p.id, b: q.id, aFace: "+w", bFace: "-w", contact: "face" });
  return webs;
}

function crosses(a: Vec2, b: Vec2, c: Vec2, d: Vec2): boolean {
  const [rx, ry, sx, sy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const det = rx * sy - ry * sx;
  if (Math.abs(det) < ALIKE) return false;
  const t = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / det;
  const u = ((c[0] - a[0]) * ry - (c[1] - a[1]) * rx) / det;
  return t > 0.02 && t < 0.98 && u > 0.02 && u < 0.98;
}
