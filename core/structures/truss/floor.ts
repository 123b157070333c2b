import { type Vec3, ALIKE, NEAR } from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { defaultsOf } from "../spec";
import { timberOf, type Timber } from "../timber";
import { bentSpec } from "../trestle/parameters";
import type { TrussLayout } from "./layout";
import { chordSeat, type SideTruss } from "./sideTruss";
import type { TrussValues } from "./parameters";

/** From middle to middle of the rails there is the gauge and a rail head, prototype mm: 2 1/2 in. */
export const HEAD = 63.5;

/** How far from a bearing there is room for a beam under the chord: past the block, and past a pier's cap with the braces on its faces. Model mm. */
function besideBearing(v: TrussValues, ctx: Context, l: TrussLayout): number {
  const block = v.blocks ? timberOf(v.block, ctx.stock(v.block)).w : 0;
  const pier = defaultsOf(bentSpec);
  const cap = v.piers === "none" ? 0 : narrow(pier.cap, ctx) + 2 * narrow(pier.swayBrace, ctx);
  return Math.max(block, cap) / 2 + l.mm(25.4);
}
/** The narrower side of a timber: a cap stands upright, a brace lies flat. */
const narrow = (name: string, ctx: Context): number => {
  const t = timberOf(name, ctx.stock(name));
  return Math.min(t.v, t.w);
};

/** Floor beams at the panel points, stringers, ties and guard timbers of one span. */
export function bridgeFloor(
  b: Builder,
  v: TrussValues,
  ctx: Context,
  l: TrussLayout,
  pair: readonly [SideTruss, SideTruss],
): void {
  if (v.floor === "none") return;
  const [right, left] = pair;
  const place = right.place;
  const root = `${ctx.structure}/span${place.span}/floor`;
  const y0 = -place.y;
  const at = (x: number, y: number, z: number): Vec3 => place.at(x, y + y0, z);
  const timber = (name: string, flat = false): Timber => timberOf(name, ctx.stock(name), flat);
  const deck = v.position === "deck";
  const lattice = right.lattice;
  const points = l.topology.points;
  const tie = timber(v.tie);
  const half = l.mm(v.tieLength) / 2;
  let under: {
    readonly z: number;
    readonly ids: readonly { id: string; face: "+v" | "+w" }[];
    readonly from: number;
    readonly to: number;
  };
  if (v.floor === "ties") {
    const own = right.chords.filter((c) => c.chord === "top" && c.role !== "end post");
    const xs = own.flatMap((c) => c.points.map((p) => points[p]![0]));
    const { z } = chordSeat(l, right, "top", (Math.min(...xs) + Math.max(...xs)) / 2, 1, 1);
    under = { z, ids: [], from: Math.min(...xs), to: Math.max(...xs) };
  } else {
    const beam = timber(v.floorBeam);
    const rods = l.timbers.vertical.round ? (beam.w + l.timbers.vertical.w) / 2 + l.mm(25.4) : 0;
    const chord = deck ? "top" : "bottom";
    const list = l.topology.chords
      .find((c) => c.id === chord)!
      .points.filter((p) => p !== "" && (deck ? p.startsWith("U") : true));
    const middle = l.topology.points[l.topology.supports[1]]![0] / 2;
    const ply = timber(v.stringer, true);
    const rail = l.mm(v.gauge + HEAD);
    // over a deck bridge's chords and, where its tracks reach further out, under them
    const carried = deck ? (rail + l.mm(v.trackCentres) * (v.tracks - 1) + v.stringerPlies * ply.v) / 2 : 0;
    const reach = Math.max((left.place.y - right.place.y) / 2 + l.chord.w / 2, carried) + l.mm(304.8);
    const beams: { id: string; x: number; z: number }[] = [];
    for (const p of list) {
      const [px] = points[p]!;
      // beside the rods, at a bearing beside its block and the pier under it: towards the middle
      const ends = p === l.topology.supports[0] || p === l.topology.supports[1];
      const aside = ends && !deck ? besideBearing(v, ctx, l) + beam.w / 2 : rods;
      const x = px + (px < middle - NEAR ? aside : -aside);
      const { z } = chordSeat(l, right, chord, x, beam.w, deck ? 1 : -1);
      const id = `${root}/beam/${p}`;
      b.stick({
        id,
        assembly: root,
        role: "floor beam",
        letter: "F",
        timber: beam,
        a: at(x, -reach, z),
        b: at(x, reach, z),
        up: place.turn([0, 0, 1]),
        seat: [deck ? "-" : "+", "centre"],
        square: true,
      });
      const on = pair.flatMap((t) => chordSeat(l, t, chord, x, beam.w, deck ? 1 : -1).on);
      if (on.length === 0) b.members.pop();
      if (on.length === 0) continue;
      for (const c of on)
        b.join({
          kind: "lap",
          id: `${id}>${c.slice(ctx.structure.length + 1)}`,
          a: id,
          b: c,
          aFace: deck ? "-v" : "+v",
          bFace: deck ? "+v" : "-v",
          contact:
            v.camber > 0 ||
            v.chordShape !== "plies" ||
            v.packing > 0 ||
            lattice ||
            p === list[0] ||
            p === list[list.length - 1]
              ? "line"
              : "face",
        });
      beams.push({ id, x, z: deck ? z + beam.v : z });
    }
    if (beams.length < 2) return;
    const tracks = Array.from({ length: v.tracks }, (_, t) => (t - (v.tracks - 1) / 2) * l.mm(v.trackCentres));
    const inside = l.mm(v.apart) / 2 - l.chord.w / 2;
    const top = Math.max(...beams.map((x) => x.z));
    const ids: { id: string; face: "+w" }[] = [];
    // between the trusses they run out over the bearings as far as the chords do
    const [from, to] = deck
      ? [beams[0]!.x - beam.w / 2, beams[beams.length - 1]!.x + beam.w / 2]
      : [-l.mm(v.chordEnd), 2 * middle + l.mm(v.chordEnd)];
    tracks.forEach((ty, t) =>
      ([-1, 1] as const).forEach((side) => {
        for (let k = 0; k < v.stringerPlies; k++) {
          const y = ty + (side * rail) / 2 + (k - (v.stringerPlies - 1) / 2) * ply.v;
          if (!deck && Math.abs(y) + ply.v / 2 > inside)
            throw new Error("The stringers do not fit between the trusses: set the trusses further apart.");
          const id = `${root}/stringer/track${t + 1}/${side < 0 ? "right" : "left"}/ply${k + 1}`;
          b.add({
            ...b.stick({
              id,
              assembly: root,
              role: "stringer",
              letter: "S",
              timber: ply,
              a: at(from, y, top),
              b: at(to, y, top),
              up: place.turn([0, 1, 0]),
              seat: ["centre", "-"],
              square: true,
            }),
            spliceOver: beams.slice(1, -1).map((x) => x.x - from),
          });
          b.members.splice(b.members.length - 2, 1);
          for (const x of beams)
            b.join({
              kind: "lap",
              id: `${id}>${x.id.slice(root.length + 1)}`,
              a: id,
              b: x.id,
              aFace: "-w",
              bFace: "+v",
              contact: top - x.z > 0.004 ? "gap" : "face",
            });
          ids.push({ id, face: "+w" });
        }
      }),
    );
    under = { z: top + ply.w, ids, from, to };
  }
  // ties, each on one stick of every pack
  const pitch = l.mm(v.tieSpacing);
  const n = Math.floor((under.to - under.from - tie.w) / pitch + ALIKE);
  const tracks =
    v.floor === "ties"
      ? [0]
      : Array.from({ length: v.tracks }, (_, t) => (t - (v.tracks - 1) / 2) * l.mm(v.trackCentres));
  const reach = v.floor === "ties" ? Math.max(half, l.mm(v.apart) / 2 + l.chord.w / 2) : half;
  const guardAt = timber(v.guard);
  tracks.forEach((ty, t) => {
    const carried = under.ids.filter((x) => x.id.includes(`/track${t + 1}/`) && x.id.endsWith("/ply1"));
    const ties: string[] = [];
    const heights: number[] = [];
    const start = under.from + (under.to - under.from - n * pitch) / 2;
    for (let i = 0; i <= n; i++) {
      const id = `${root}/tie/track${t + 1}/${i + 1}`;
      const x = start + i * pitch;
      const z = v.floor === "ties" ? chordSeat(l, right, "top", x, tie.w, 1).z : under.z;
      b.stick({
        id,
        assembly: root,
        role: "tie",
        letter: "X",
        timber: tie,
        a: at(x, ty - reach, z),
        b: at(x, ty + reach, z),
        up: place.turn([0, 0, 1]),
        seat: ["-", "centre"],
        square: true,
      });
      const flat = v.kind !== "polygonal" && v.camber === 0 && v.chordShape === "plies" && v.packing === 0;
      const on: { id: string; face: "+v" | "+w" }[] =
        v.floor === "ties"
          ? pair.flatMap((q) => chordSeat(l, q, "top", x, tie.w, 1).on).map((c) => ({ id: c, face: "+v" }))
          : [...carried];
      for (const c of on)
        b.join({
          kind: "lap",
          id: `${id}>${c.id.slice(ctx.structure.length + 1)}`,
          a: id,
          b: c.id,
          aFace: "-v",
          bFace: c.face,
          contact: v.floor === "ties" && (!flat || lattice) ? "line" : "face",
        });
      heights.push(z);
      ties.push(id);
    }
    if (!v.guards || ties.length < 2) return;
    ([-1, 1] as const).forEach((side) => {
      const id = `${root}/guard/track${t + 1}/${side < 0 ? "right" : "left"}`;
      const y = ty + side * (reach - l.mm(101.6) - guardAt.v / 2);
      const z = Math.max(...heights) + tie.v;
      b.stick({
        id,
        assembly: root,
        role: "guard timber",
        letter: "U",
        timber: guardAt,
        a: at(start - tie.w / 2, y, z),
        b: at(start + n * pitch + tie.w / 2, y, z),
        up: place.turn([0, 1, 0]),
        seat: ["centre", "-"],
        square: true,
      });
      ties.forEach((tieId, i) =>
        b.join({
          kind: "lap",
          id: `${id}>${tieId.slice(root.length + 1)}`,
          a: id,
          b: tieId,
          aFace: "-w",
          bFace: "+v",
          contact: z - tie.v - heights[i]! > 0.004 ? "gap" : "face",
        }),
      );
    });
  });
}
