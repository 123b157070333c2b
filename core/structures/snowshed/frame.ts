import type { Contact, Face, Frame } from "../../frame";
import { addScaled, cross, dot, normalize, planeAt, sub, type Vec3, NEAR } from "../../geometry";
import { builder, type Builder } from "../builder";
import type { Context } from "../kind";
import type { Timber } from "../timber";
import { frameRoot, snowshedLayout, type SnowshedLayout } from "./layout";
import type { SnowshedValues } from "./parameters";
import { roofPlanks, wallPlanks } from "./planks";

const butt = (a: string, end: 0 | 1, b: string, face: Face, contact: Contact = "face") =>
  ({ kind: "butt", id: `${a}>${b.slice(b.indexOf("/") + 1)}`, a, end, b, face, contact }) as const;

/** Frames, what ties them along the track, and planks: every bay a chord. Errors: none that check does not say. */
export function snowshedFrame(v: SnowshedValues, ctx: Context): Frame {
  const l = snowshedLayout(v, ctx);
  const b = builder(ctx.structure);
  l.places.forEach((_, i) => oneFrame(b, ctx, l, i));
  for (let i = 0; i < v.bays; i++) bayOf(b, ctx, l, i);
  return b.frame();
}

function oneFrame(b: Builder, ctx: Context, l: SnowshedLayout, i: number): void {
  const { t, v, mm } = l;
  const root = frameRoot(ctx, i);
  const place = l.places[i]!;
  const high = mm(v.height);
  const at = (left: number, z: number): Vec3 => l.at(i, 0, left, z);
  const stick = (
    id: string,
    role: string,
    letter: string,
    timber: Timber,
    a: Vec3,
    c: Vec3,
    up: Vec3,
    seat: readonly ["centre" | "+", "centre"],
    square: boolean | readonly [boolean, boolean],
  ) => b.stick({ id: `${root}/${id}`, assembly: root, role, letter, timber, a, b: c, up, seat, square }).id;
  const cap = stick(
    "cap",
    "cap",
    "C",
    t.cap,
    at(-l.capHalf, l.capTop),
    at(l.capHalf, l.capTop),
    [0, 0, 1],
    ["+", "centre"],
    true,
  );
  const zt = (left: number): number => l.capTop + l.k * (l.capHalf - Math.abs(left));
  const rafters = ([1, -1] as const).map((side) => {
    const name = side > 0 ? "left" : "right";
    const post = stick(
      `post/${name}`,
      "post",
      "P",
      t.post,
      at(side * (l.half + t.post.v / 2), 0),
      at(side * (l.half + t.post.v / 2), high),
      place.left,
      ["centre", "centre"],
      [true, false],
    );
    b.join(butt(post, 1, cap, "-v", t.post.w <= t.cap.w + NEAR ? "face" : "line"));
    const length = Math.min(l.half * 0.5, 0.9 * sillRoom(l, i, side));
    const sill = b.stick({
      id: `${root}/mudsill/${name}`,
      assembly: root,
      role: "mudsill",
      letter: "D",
      timber: t.mudsill,
      a: l.at(i, -length / 2, side * (l.half + t.post.v / 2), 0),
      b: l.at(i, length / 2, side * (l.half + t.post.v / 2), 0),
      up: place.left,
      seat: ["centre", "+"],
      square: true,
    }).id;
    b.join({
      kind: "bearing",
      id: `${post}>mudsill`,
      a: post,
      b: sill,
      aFace: "end0",
      bFace: "+w",
      contact: t.post.v <= t.mudsill.v + NEAR ? "face" : "line",
    });
    const reach = mm(v.kneeReach);
    if (reach > 0) {
      const knee = stick(
        `knee/${name}`,
        "knee brace",
        "N",
        t.knee,
        at(side * l.half, high - reach),
        at(side * (l.half - reach), high),
        [place.left[0] * side, place.left[1] * side, 1],
        ["centre", "centre"],
        false,
      );
      const fits = t.knee.w <= Math.min(t.post.w, t.cap.w) + NEAR ? "face" : "line";
      b.join(butt(knee, 0, post, side > 0 ? "-v" : "+v", fits));
      b.join(butt(knee, 1, cap, "-v", fits));
    }
    const rafter = stick(
      `rafter/${name}`,
      "rafter",
      "R",
      t.rafter,
      at(side * l.capHalf, zt(l.capHalf)),
      at(0, zt(0)),
      [0, 0, 1],
      ["+", "centre"],
      false,
    );
    b.join(butt(rafter, 0, cap, "+v", t.rafter.w <= t.cap.w + NEAR ? "face" : "line"));
    return rafter;
  });
  b.join({
    kind: "mitre",
    id: `${rafters[0]!}>right`,
    a: rafters[0]!,
    end: 1,
    b: rafters[1]!,
    bEnd: 1,
    contact: "face",
  });
  if (v.kingPost) {
    const king = stick(
      "king",
      "king post",
      "K",
      t.knee,
      at(0, l.capTop),
      at(0, zt(0) - t.rafter.v),
      place.left,
      ["centre", "centre"],
      false,
    );
    b.join(butt(king, 0, cap, "+v", t.knee.w <= t.cap.w + NEAR ? "face" : "line"));
    rafters.forEach((r) => b.join(butt(king, 1, r, "-v", "gap")));
  }
  b.datums[`${root}/plane`] = planeAt(place.at, place.along);
  b.datums[`${root}/back`] = planeAt(place.at, [-place.along[0], -place.along[1], 0]);
}

/** How far apart the mudsills of frame i and its nearer neighbour stand where they are nearest, model mm. */
function sillRoom(l: SnowshedLayout, i: number, side: 1 | -1): number {
  const [inner, outer] = [-1, 1].map((k) => side * (l.half + (l.t.post.v + k * l.t.mudsill.v) / 2)) as [number, number];
  const next = [i - 1, i + 1].filter((k) => k >= 0 && k < l.places.length);
  return Math.min(
    ...next.flatMap((k) => [inner, outer].map((left) => Math.hypot(...sub(l.at(k, 0, left, 0), l.at(i, 0, left, 0))))),
  );
}

/** Girts, purlins and planks of a bay: between two frames that need not be parallel. */
function bayOf(b: Builder, ctx: Context, l: SnowshedLayout, i: number): void {
  const { t, v, mm } = l;
  const root = `${ctx.structure}/bay${i + 1}`;
  const chord = normalize(sub(l.at(i + 1, 0, 0, 0), l.at(i, 0, 0, 0)));
  const across: Vec3 = [-chord[1], chord[0], 0];
  const open = i >= v.bays - v.openBays;
  const contact: Contact = l.curved ? "line" : "face";
  const high = mm(v.height);
  for (const side of [1, -1] as const) {
    const name = side > 0 ? "left" : "right";
    const outer = l.half + t.post.v;
    const out: Vec3 = [across[0] * side, across[1] * side, 0];
    // the wall's plane: outside of every corner of both posts that stands in this bay
    const corners = [
      l.at(i, 0, side * outer, 0),
      l.at(i, t.post.w / 2, side * outer, 0),
      l.at(i + 1, 0, side * outer, 0),
      l.at(i + 1, -t.post.w / 2, side * outer, 0),
    ];
    const d = Math.max(...corners.map((p) => dot(out, p)));
    const onWall = (p: Vec3): Vec3 => addScaled(p, out, d - dot(out, p));
    const girts: string[] = [];
    for (let r = 1; r <= v.girts; r++) {
      const z = (high * r) / (v.girts + 1);
      const id = `${root}/girt/${name}${r}`;
      const [p, q] = [onWall(l.at(i, 0, side * outer, z)), onWall(l.at(i + 1, 0, side * outer, z))];
      // its +w looks to the right of the track
      b.stick({
        id,
        assembly: root,
        role: "girt",
        letter: "G",
        timber: t.girt,
        a: p,
        b: q,
        up: [0, 0, 1],
        seat: ["centre", side > 0 ? "-" : "+"],
      });
      // a girt thicker than the post is wide stands proud inside
      const whole = t.girt.w <= t.post.v + NEAR ? contact : "line";
      b.join(butt(id, 0, `${frameRoot(ctx, i)}/post/${name}`, "-w", whole));
      b.join(butt(id, 1, `${frameRoot(ctx, i + 1)}/post/${name}`, "+w", whole));
      girts.push(id);
    }
    if (!open && (v.planked === "both" || v.planked === name)) wallPlanks(b, ctx, l, i, side, out, d, girts, high);
    // the slope's plane: over every corner of both rafters' tops
    const up: Vec3 = normalize([-out[0], -out[1], l.k]);
    const n = side > 0 ? cross(up, chord) : cross(chord, up);
    const up_n: Vec3 = n[2] > 0 ? n : [-n[0], -n[1], -n[2]];
    const zt = (left: number): number => l.capTop + l.k * (l.capHalf - left);
    const tops = [0, l.capHalf].flatMap((left) => [
      l.at(i, 0, side * left, zt(left)),
      l.at(i, t.rafter.w / 2, side * left, zt(left)),
      l.at(i + 1, 0, side * left, zt(left)),
      l.at(i + 1, -t.rafter.w / 2, side * left, zt(left)),
    ]);
    // and over the corners of both caps' ends
    const ends = [
      l.at(i, t.cap.w / 2, side * l.capHalf, l.capTop),
      l.at(i + 1, -t.cap.w / 2, side * l.capHalf, l.capTop),
    ];
    const dn = Math.max(...[...tops, ...ends].map((p) => dot(up_n, p)));
    const onSlope = (p: Vec3): Vec3 => [p[0], p[1], p[2] + (dn - dot(up_n, p)) / up_n[2]];
    const purlins: string[] = [];
    const [lowest, highest] = purlinRange(
      t.rafter.v,
      t.purlin,
      l.capHalf,
      l.k,
      v.kingPost && t.knee.w > t.rafter.w ? t.knee.v : 0,
    );
    for (let r = 1; r <= v.purlins; r++) {
      const left = lowest - ((lowest - highest) * (r - 1)) / Math.max(1, v.purlins - 1);
      const id = `${root}/purlin/${name}${r}`;
      const [p, q] = [onSlope(l.at(i, 0, side * left, zt(left))), onSlope(l.at(i + 1, 0, side * left, zt(left)))];
      b.stick({
        id,
        assembly: root,
        role: "purlin",
        letter: "U",
        timber: t.purlin,
        a: p,
        b: q,
        up: up_n,
        seat: ["+", "centre"],
      });
      // of the left rafter -w looks along the track, of the right one +w
      const fits = t.purlin.v <= t.rafter.v + NEAR ? contact : "line";
      b.join(butt(id, 0, `${frameRoot(ctx, i)}/rafter/${name}`, side > 0 ? "-w" : "+w", fits));
      b.join(butt(id, 1, `${frameRoot(ctx, i + 1)}/rafter/${name}`, side > 0 ? "+w" : "-w", fits));
      purlins.push(id);
    }
    if (!open && v.roofed) roofPlanks(b, ctx, l, i, { side, out, up, n: up_n, d: dn, chord, purlins });
  }
}

/**
 * How far from the centre line the lowest and the highest purlin of a slope stand. The feet of the rafters are cut level on
 * the cap: the lowest purlin stands where they are whole and its own lower edge clears the cap; the highest keeps clear of
 * its opposite, and of a king post `king` wide that is thicker than the rafters. A rafter 10 in deep at 6 in 12 is whole 10 / sin 26.57° = 22.4 in in from the cap's end.
 */
export function purlinRange(
  rafter: number,
  purlin: { readonly v: number; readonly w: number },
  capHalf: number,
  k: number,
  king = 0,
): readonly [number, number] {
  const [sin, cos] = [k / Math.hypot(1, k), 1 / Math.hypot(1, k)];
  const foot = Math.max(rafter / sin, (purlin.w / 2 + purlin.v / k) * cos);
  const low = capHalf - 1.02 * foot;
  return [low, Math.max(0.04 * low + 1.92 * purlin.w, 1.02 * (king / 2 + purlin.v * sin + (purlin.w / 2) * cos))];
}
