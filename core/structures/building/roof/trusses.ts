import type { Member } from "../../../frame";
import { normalize, planeAt, type Vec3, NEAR } from "../../../geometry";
import { rafterStations } from "./rafterStations";
import { hasTrusses } from "../plan/nominal";
import { over, planeZ, plateId, sideFace, slopePlane, wallOn, type RoofKit } from "./slopes";
import { buttJoint, TOP } from "../walls/wallKit";
import { purlinLines, trussStations } from "./trussPlan";

/**
 * King-post or queen-post trusses under a gable roof: tie beams on the plates, principals whose tops lie under the rafters,
 * king posts under the ridge or queen posts with a straining beam between their heads, struts; purlins between the principals carry the rafters, at the gables on posts of their own.
 * Errors: rafters too close for a truss between them, principals that find no room on the tie beam.
 */
export function roofTrusses(members: readonly Member[], k: RoofKit): void {
  const { b, l, part, root } = k;
  const { v, t } = l;
  if (!hasTrusses(v) || part !== l.main) return;
  const stations = trussStations(k);
  if (stations.length === 0)
    throw new Error("The rafters stand too close for a truss between them: space them further apart.");
  const slopes = (["S", "N"] as const).map((side) => part.slopes[side]!);
  const run = (part.q[1] - part.q[0]) / 2;
  const { pitch, stretch, under, plate, tieTop, heel, face, at: purlinsAt } = purlinLines(k);
  // the principal's lower end, cut level, is as long as its plumb depth over the pitch
  const heelEnd = heel + (t.principal.v * stretch) / pitch;
  if (heel < 0 || heelEnd > face - t.principal.v)
    throw new Error(
      "The trusses have no room under the roof: make the roof steeper or wider, or the tie beam and the principals lighter.",
    );
  const queens = v.roofFrame === "queens";
  const ridgeUnder = planeZ(slopes[0]!, run - t.ridge.w / 2) - t.ridge.v;
  // struts meet the principals under the purlin nearest to their middle
  const strutAt = purlinsAt[Math.floor(purlinsAt.length / 2)] ?? (heel + face) / 2;
  type Stick = (id: string, role: string, letter: string, timber: typeof t.tie, a: Vec3, c: Vec3, up: Vec3, seat: readonly ["centre" | "+" | "-", "centre"]) => string; // prettier-ignore
  const onTie = t.kingPost.w <= t.tie.w + NEAR ? "face" : "line";
  /** One post under the ridge, which both principals meet; plumb, its width across the building, its +v looking to +q. */
  const kingPost = (stick: Stick, tie: string, p: number): readonly [string, string] => {
    const [x, y] = [p, part.peak[0]];
    const king = stick("king", "king post", "KP", t.kingPost, [x, y, tieTop], [x, y, ridgeUnder], [0, 1, 0], ["centre", "centre"]); // prettier-ignore
    b.join(buttJoint(king, 0, tie, "+v", onTie));
    b.join(buttJoint(king, 1, `${root}/roof/ridge`, "-v", "line"));
    return [king, king];
  };
  /** A post at the inner end of each principal up to under the rafters, and the beam that keeps their heads apart. */
  const queenPosts = (stick: Stick, tie: string, p: number): readonly [string, string] => {
    const middle = face + t.kingPost.v / 2;
    const posts = slopes.map((s) => {
      const at = (z: number): Vec3 => over(part, s.side, p, middle, z);
      const id = stick(`queen-${s.side}`, "queen post", "QP", t.kingPost, at(tieTop), at(under(middle)), [0, 1, 0], ["centre", "centre"]); // prettier-ignore
      b.join(buttJoint(id, 0, tie, "+v", onTie));
      const top = b.datum(`${root}/under-${s.side}`, slopePlane(part, s, -t.rafter.v));
      b.join({ kind: "trim", id: `${id}/top`, a: id, datum: top, as: "end1", contact: "gap" });
      return id;
    }) as [string, string];
    // its top level with the outer corners of their heads
    const z = under(face);
    const [from, to] = slopes.map((s) => over(part, s.side, p, middle, z)) as [Vec3, Vec3];
    const beam = stick("straining", "straining beam", "SN", t.straining, from, to, [0, 0, 1], ["+", "centre"]);
    const fits = t.straining.w <= t.kingPost.w + NEAR ? "face" : "line";
    b.join(buttJoint(beam, 0, posts[0], "+v", fits));
    b.join({ ...buttJoint(beam, 1, posts[1], "-v", fits), id: `${beam}>far` });
    return posts;
  };
  const trusses = stations.map((p, n) => {
    const truss = `${root}/roof/truss${n + 1}`;
    const stick = (
      id: string,
      role: string,
      letter: string,
      timber: typeof t.tie,
      a: Vec3,
      c: Vec3,
      up: Vec3,
      seat: readonly ["centre" | "+" | "-", "centre"],
    ): string => b.stick({ id: `${truss}/${id}`, assembly: truss, role, letter, timber, a, b: c, up, seat }).id;
    const tie = stick(
      "tie",
      "tie beam",
      "TB",
      t.tie,
      [p, part.q[0], plate],
      [p, part.q[1], plate],
      [0, 0, 1],
      ["-", "centre"],
    );
    slopes.forEach((s, j) => {
      const as = j === 0 ? "end0" : "end1";
      const outside = b.datum(
        `${root}/outside-${s.side}`,
        planeAt(over(part, s.side, 0, 0, 0), [0, j === 0 ? -1 : 1, 0]),
      );
      const top = b.datum(`${root}/roof-${s.side}`, slopePlane(part, s));
      b.join({ kind: "trim", id: `${tie}/out${s.side}`, a: tie, datum: outside, as, contact: "gap" });
      b.join({ kind: "trim", id: `${tie}/top${s.side}`, a: tie, datum: top, as, contact: "gap" });
      b.join({
        kind: "lap",
        id: `${tie}>plate${s.side}`,
        a: tie,
        b: plateId(l, wallOn(part, s.side)!),
        aFace: "-v",
        bFace: TOP,
        contact: "line",
      });
    });
    const posts = queens ? queenPosts(stick, tie, p) : kingPost(stick, tie, p);
    const principals = slopes.map((s, j) => {
      const [post, toKing] = [posts[j]!, j === 0 ? ("-v" as const) : ("+v" as const)];
      const at = (inward: number): Vec3 => over(part, s.side, p, inward, under(inward));
      const id = stick(
        `principal-${s.side}`,
        "principal rafter",
        "PR",
        t.principal,
        at(heel),
        at(run),
        [0, 0, 1],
        ["+", "centre"],
      );
      const fits = t.principal.w <= Math.min(t.tie.w, t.kingPost.w) + NEAR;
      b.join(buttJoint(id, 0, tie, "+v", fits ? "face" : "line"));
      b.join({ ...buttJoint(id, 1, post, toKing, "line"), id: `${id}>king` });
      const meets = under(strutAt) - t.principal.v * stretch;
      const across = face - strutAt;
      // its lower edge leaves the king post over the tie beam
      const rise = meets - tieTop - t.strut.v * 0.75;
      const z = tieTop + (t.strut.v / 2) * Math.hypot(1, rise / across) + 0.1;
      if (meets - z < 0.4 * across) return id;
      const strut = stick(
        `strut-${s.side}`,
        "strut",
        "SR",
        t.strut,
        over(part, s.side, p, face, z),
        over(part, s.side, p, strutAt, meets),
        [0, 0, 1],
        ["centre", "centre"],
      );
      b.join(buttJoint(strut, 0, post, toKing, "line"));
      b.join({ ...buttJoint(strut, 1, id, "-v", "line"), id: `${strut}>principal` });
      return id;
    });
    return { p, principals };
  });
  slopes.forEach((s, j) => {
    const rafters = raftersOf(members, k, s.side as "S" | "N");
    purlinsAt.forEach((inward, n) => {
      const at = (p: number): Vec3 => over(part, s.side, p, inward, under(inward));
      const up = normalize(over({ p: [0, 0], q: [0, 0] }, s.side, 0, -pitch, 1));
      const half = t.principal.w / 2;
      const [lo, hi] = [part.p[0] + l.wall - t.stud.w, part.p[1] - l.wall + t.stud.w];
      const edges = [lo, ...trusses.flatMap((x) => [x.p - half, x.p + half]), hi];
      for (let i = 0; i + 1 < edges.length; i += 2) {
        const [from, to] = [edges[i]!, edges[i + 1]!];
        const bay = i / 2;
        const id = `${root}/roof/purlin/${s.side}${n + 1}-${bay + 1}`;
        const [before, after] = [trusses[bay - 1], trusses[bay]];
        b.stick({
          id,
          assembly: `${root}/roof/purlins`,
          role: "purlin",
          letter: "PU",
          timber: t.purlin,
          a: at(from),
          b: at(to),
          up,
          seat: ["+", "centre"],
          square: [!before, !after],
        });
        if (before) b.join(buttJoint(id, 0, before.principals[j]!, sideFace(s.side, true), "line"));
        if (after)
          b.join({ ...buttJoint(id, 1, after.principals[j]!, sideFace(s.side, false), "line"), id: `${id}>after` });
        for (const r of rafters.filter((x) => x.p > from && x.p < to))
          b.join({
            kind: "lap",
            id: `${r.id}>purlin${n + 1}`,
            a: r.id,
            b: id,
            aFace: "-v",
            bFace: "+v",
            contact: r.whole ? "line" : "gap",
          });
        for (const gable of [before ? undefined : ("W" as const), after ? undefined : ("E" as const)]) {
          const wall = gable && wallOn(part, gable);
          if (!wall) continue;
          const p = gable === "W" ? part.p[0] + l.wall - t.stud.w / 2 : part.p[1] - l.wall + t.stud.w / 2;
          // under the middle of the purlin's underside
          const foot = inward + (t.purlin.v * pitch) / stretch;
          const post = b.stick({
            id: `${root}/roof/purlin-post/${gable}${s.side}${n + 1}`,
            assembly: `${root}/roof/purlins`,
            role: "purlin post",
            letter: "PP",
            timber: t.stud,
            a: over(part, s.side, p, foot, wall.top),
            b: over(part, s.side, p, foot, under(inward) - t.purlin.v / stretch),
            up: [0, 1, 0],
          }).id;
          b.join(buttJoint(post, 0, plateId(l, wall), TOP, "face"));
          b.join({ ...buttJoint(post, 1, id, "-v", "line"), id: `${post}>purlin` });
        }
      }
    });
  });
}
/** The rafters of a slope with where they stand along p; of one that a chimney parts, both pieces. */
function raftersOf(
  members: readonly Member[],
  k: RoofKit,
  side: "S" | "N",
): { id: string; p: number; whole: boolean }[] {
  const ids = new Set(members.map((m) => m.id));
  return rafterStations(k).flatMap((p, i): { id: string; p: number; whole: boolean }[] => {
    const id = `${k.root}/roof/${side}/${i + 1}`;
    return ids.has(`${id}-over`)
      ? [id, `${id}-over`].map((x) => ({ id: x, p, whole: false }))
      : [{ id, p, whole: true }];
  });
}
