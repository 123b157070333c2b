import type { Face, Frame, Member, NodeEnd } from "../../frame";
import { normalize, sub, type Vec2, ALIKE, NEAR } from "../../geometry";
import { model } from "../../units";
import { builder, type Builder } from "../builder";
import type { Context } from "../kind";
import { bridgeFloor } from "./floor";
import { bridgeBracing } from "./bracing";
import { gussetPlates } from "./gussets";
import { isEndPost, isThroughRod, lanesOf, pierces, throughRods } from "./lanes";
import { latticePlanks } from "./lattice";
import { piersAndBlocks } from "./piers";
import { topEnd, trussLayout, type ChordSection, type SidePlace, type TrussLayout } from "./layout";
import type { TrussValues } from "./parameters";
import type { ChordStick, SideTruss, WebStick } from "./sideTruss";
import { bearingChord, type Chord, type Web } from "./topology";

/** The frame of a truss or a truss bridge. Axes: x along it, y to the left, z up; the work line of the chord that bears at z = 0. Model mm. */
export function trussFrame(v: TrussValues, ctx: Context): Frame {
  const l = trussLayout(v, ctx);
  const b = builder(ctx.structure);
  const trusses = l.sides.map((place) => sideTruss(b, v, ctx, l, place));
  if (v.gussets) trusses.forEach((t) => gussetPlates(b, v, ctx, l, t));
  if (v.position !== "roof" && v.trusses) {
    const spans = l.starts.map((_, i) => trusses.filter((t) => t.place.span === i + 1) as [SideTruss, SideTruss]);
    spans.forEach((pair) => {
      bridgeBracing(b, v, ctx, l, pair);
      bridgeFloor(b, v, ctx, l, pair);
    });
  }
  piersAndBlocks(b, v, ctx, l, trusses);
  // every span after the first stands alone: it is lifted in as it is
  for (let i = 0; i < b.members.length; i++) {
    const m = b.members[i]!;
    if (Number(/\/span(\d+)\//.exec(m.id)?.[1] ?? 1) > 1) b.members[i] = { ...m, loose: true };
  }
  // what a bridge stands on: its blocks, or without them the bottom chords
  const stands = b.members.some((m) => m.role === "bearing block")
    ? "bearing block"
    : `${bearingChord(l.topology)} chord`;
  b.members.forEach((m, i) => m.role === stands && (b.members[i] = { ...m, grounded: true }));
  return b.frame();
}

/** Chords, webs and their nodes of one side truss. */
function sideTruss(b: Builder, v: TrussValues, ctx: Context, l: TrussLayout, place: SidePlace): SideTruss {
  const chords = l.topology.chords.flatMap((c) => chordSticks(b, v, l, place, c, ctx));
  if (v.kind === "plank") return { place, chords, webs: latticePlanks(b, l, place, chords), lattice: true };
  const webs = l.topology.webs.flatMap((w) => webSticks(b, v, l, place, w));
  if (v.kind === "scissors") scissorsJoints(b, place, chords, webs);
  else joinNodes(b, v, l, place, chords, webs);
  return { place, chords, webs, lattice: false };
}

/** The section of a part of a chord by its role. */
function roleSection(l: TrussLayout, role: string): ChordSection {
  if (role === "end post" || role === "rafter") {
    const t = l.timbers.endPost;
    return { v: t.v, w: t.w, components: t.components, nominal: t.nominal };
  }
  return l.chord;
}
/** Channels of both trusses of a bridge turn their backs to each other. */
const mirrored = (components: ChordSection["components"]): ChordSection["components"] =>
  components.some((c) => c.name === "web" || c.profile)
    ? components.map((c) => ({
        ...c,
        at: [c.at[0], model(-c.at[1])],
        ...(c.profile ? { profile: { ...c.profile, turned: !c.profile.turned } } : {}),
      }))
    : components;
const LETTERS: Readonly<Record<string, string>> = {
  "bottom chord": "B",
  "top chord": "T",
  "end post": "E",
  rafter: "R",
};

/** A chord as sticks: each runs straight on until it turns or its role changes. */
function chordSticks(
  b: Builder,
  v: TrussValues,
  l: TrussLayout,
  place: SidePlace,
  c: Chord,
  ctx: Context,
): ChordStick[] {
  const at = (name: string): Vec2 => l.topology.points[name]!;
  const runs: { points: string[]; role: string }[] = [];
  c.points.slice(1).forEach((to, i) => {
    const from = c.points[i]!;
    const last = runs[runs.length - 1];
    const role = c.roles[i]!;
    if (last && last.role === role) {
      const [o, p, q] = [at(last.points[last.points.length - 2]!), at(from), at(to)];
      const turn = (p[0] - o[0]) * (q[1] - p[1]) - (p[1] - o[1]) * (q[0] - p[0]);
      if (
        Math.abs(turn) <
        ALIKE * Math.hypot(p[0] - o[0], p[1] - o[1]) * Math.hypot(q[0] - p[0], q[1] - p[1]) + ALIKE
      ) {
        last.points.push(to);
        return;
      }
    }
    runs.push({ points: [from, to], role });
  });
  const section = runs.map((r) => roleSection(l, r.role));
  const scissor = c.lane !== 0;
  const y = scissor ? (Math.sign(c.lane) * (roleSection(l, "rafter").w + l.chord.w)) / 2 : 0;
  return runs.map((r, i): ChordStick => {
    const [p, q] = [at(r.points[0]!), at(r.points[r.points.length - 1]!)];
    const d = normalize(sub([q[0], 0, q[1]], [p[0], 0, p[1]]));
    const s = section[i]!;
    const id = `${place.root}/${c.id}${runs.length > 1 ? i + 1 : ""}`;
    // free where the chord itself ends, not where an inclined end post comes down on another chord
    const free = (end: 0 | 1): Member["ends"][0] => {
      const outer = end === 0 ? i === 0 : i === runs.length - 1;
      if (!outer || scissor) return undefined;
      if (r.role === "end post") return undefined;
      if (r.role === "rafter" && l.topology.chords.some((x) => x.id === "bottom")) return undefined;
      // the tail of a scissors' rafter runs past the chord that laps on it
      if (r.role === "rafter") {
        const angle = Math.atan((2 * v.depth) / v.span) - Math.atan((2 * v.innerDepth) / v.span);
        return { kind: "square", beyond: (l.timbers.endPost.v + l.chord.v) / Math.sin(angle) };
      }
      const bears = l.topology.supports.includes(c.points[end === 0 ? 0 : c.points.length - 1]!);
      const beyond = bears ? Math.max(l.mm(v.chordEnd), l.bearing.reach) : topEnd(v, l.timbers, l.mm);
      return { kind: "square", beyond };
    };
    const member = b.add({
      id,
      structure: ctx.structure,
      assembly: place.root,
      role: r.role,
      letter: LETTERS[r.role]!,
      kind: "strip",
      nominal: s.nominal,
      ends: [free(0), free(1)],
      spliceOver: r.points.slice(1, -1).map((n) => Math.hypot(at(n)[0] - p[0], at(n)[1] - p[1])),
      body: {
        shape: "straight",
        a: place.at(p[0], y, p[1]),
        b: place.at(q[0], y, q[1]),
        up: place.turn([-d[2] * Math.sign(d[0] || 1), 0, d[0] * Math.sign(d[0] || 1)]),
        seat: ["centre", "centre"],
        components: place.y < 0 ? mirrored(s.components) : s.components,
      },
    });
    return { id, chord: c.id, role: r.role, points: r.points, member };
  });
}

const ROLE_OF: Readonly<Record<Web["role"], { role: string; letter: string }>> = {
  vertical: { role: "vertical", letter: "V" },
  diagonal: { role: "diagonal", letter: "G" },
  counter: { role: "counter", letter: "C" },
};

function webSticks(b: Builder, v: TrussValues, l: TrussLayout, place: SidePlace, w: Web): WebStick[] {
  const [p, q] = [l.topology.points[w.a]!, l.topology.points[w.b]!];
  const end = isEndPost(v, l, w);
  const timber = end ? l.timbers.endPost : l.timbers[w.role];
  const rods = isThroughRod(v, l, w);
  const lanes = lanesOf(v, l, w);
  const flip = q[1] < p[1] || (q[1] === p[1] && q[0] < p[0]);
  const [lo, hi] = flip ? [q, p] : [p, q];
  return lanes.map((y, i): WebStick => {
    const id = `${place.root}/${w.id}${lanes.length > 1 ? `/${i === 0 ? "near" : "far"}` : ""}`;
    // a rod stands out of both chords for its washers and nuts; the king post of scissors runs down past them
    const king = v.kind === "scissors";
    const past = rods ? l.chord.v / 2 + l.mm(101.6) : king ? l.chord.v : 0;
    // under ties that lie on the chords its upper end is sunk
    const top = rods ? (v.floor === "ties" ? l.chord.v / 2 : past) : 0;
    const d = normalize(sub([hi[0], 0, hi[1]], [lo[0], 0, lo[1]]));
    const member = b.stick({
      id,
      assembly: place.root,
      role: end ? "end post" : timber.round ? (w.role === "vertical" ? "rod" : `${w.role} rod`) : ROLE_OF[w.role].role,
      letter: end ? "E" : timber.round ? "D" : ROLE_OF[w.role].letter,
      timber,
      a: place.at(lo[0] - d[0] * past, y, lo[1] - d[2] * past),
      b: place.at(hi[0] + d[0] * top, y, hi[1] + d[2] * top),
      up: place.turn([-d[2], 0, d[0]]),
      square: rods || (king ? [true, false] : false),
      // between plies that are packed further apart a rod stands free, held by its nuts and washers
      ...(rods && !pierces(l.chord, y, timber.w) ? { loose: true } : {}),
    });
    return { id, web: w, y, timber, member };
  });
}

interface AtNode extends NodeEnd {
  readonly tier: number;
  readonly lo: number;
  readonly hi: number;
}

/** Declares the panel points: what runs through, and who is cut to whom, for each bundle of sticks that share their place across the truss. */
function joinNodes(
  b: Builder,
  v: TrussValues,
  l: TrussLayout,
  place: SidePlace,
  chords: readonly ChordStick[],
  webs: readonly WebStick[],
): void {
  const rods = throughRods(v, l);
  for (const name of Object.keys(l.topology.points)) {
    const passing: string[] = [];
    const ends: AtNode[] = [];
    for (const c of chords) {
      const i = c.points.indexOf(name);
      if (i < 0) continue;
      const end: 0 | 1 | undefined = i === 0 ? 0 : i === c.points.length - 1 ? 1 : undefined;
      const wide = roleSectionOf(l, c) / 2;
      if (end === undefined || c.member.ends[end]) passing.push(c.id);
      else ends.push({ member: c.id, end, tier: 0, lo: -wide, hi: wide });
    }
    for (const w of webs) {
      if (w.web.a !== name && w.web.b !== name) continue;
      const rod = rods && w.web.role === "vertical" && w.timber.round;
      if (rod) {
        const by = [...passing, ...ends.filter((e) => e.tier === 0).map((e) => e.member)];
        for (const c of by.filter((id) => pierces(sectionOf(chords, l, id), w.y, w.timber.w)))
          b.join({
            kind: "rod-in-hole",
            id: `${w.id}>${c.slice(place.root.length + 1)}`,
            a: c,
            b: w.id,
            clearance: 0,
            contact: "line",
          });
        continue;
      }
      const [p, q] = [l.topology.points[w.web.a]!, l.topology.points[w.web.b]!];
      const low = q[1] < p[1] || (q[1] === p[1] && q[0] < p[0]) ? w.web.b : w.web.a;
      const tier = w.web.role === "vertical" ? 1 : w.web.role === "diagonal" ? 2 : 3;
      ends.push({
        member: w.id,
        end: name === low ? 0 : 1,
        tier,
        lo: w.y - w.timber.w / 2,
        hi: w.y + w.timber.w / 2,
      });
    }
    if (ends.length === 0) continue;
    // rods stand where webs of their own lane come to an end
    const standing = rods
      ? webs.filter((w) => w.web.role === "vertical" && w.timber.round && (w.web.a === name || w.web.b === name))
      : [];
    // two chord ends meet in a mitre; what is of a lower rank is cut to all above it that share its place across the truss
    [0, 1, 2, 3].forEach((tier) =>
      clusters(ends.filter((e) => e.tier === tier)).forEach((group, i) => {
        const overlaps = (lo: number, hi: number): boolean => group.some((e) => lo < e.hi - NEAR && e.lo < hi - NEAR);
        const above = ends.filter((e) => e.tier < tier && overlaps(e.lo, e.hi)).map((e) => e.member);
        const here = tier === 0 ? [] : standing.filter((r) => overlaps(r.y - r.timber.w / 2, r.y + r.timber.w / 2));
        b.nodes.push({
          id: `${place.root}/at/${name}/${tier}${i > 0 ? `/${i + 1}` : ""}`,
          passing: [...passing, ...above, ...here.map((r) => r.id)],
          tiers: [group.map(({ member, end }) => ({ member, end }))],
          gap: v.gussets && tier > 0 ? l.mm(v.gap) : 0,
        });
      }),
    );
  }
}
const sectionOf = (chords: readonly ChordStick[], l: TrussLayout, id: string): ChordSection =>
  roleSection(l, chords.find((c) => c.id === id)!.role);
const roleSectionOf = (l: TrussLayout, c: ChordStick): number => roleSection(l, c.role).w;

/** Ends that overlap across the truss, together. */
function clusters(ends: readonly AtNode[]): AtNode[][] {
  const out: AtNode[][] = [];
  for (const e of [...ends].sort((p, q) => p.lo - q.lo || p.tier - q.tier)) {
    const home = out.find((g) => g.some((x) => e.lo < x.hi - NEAR && x.lo < e.hi - NEAR));
    if (home) home.push(e);
    else out.push([e]);
  }
  return out;
}

/** Scissors: the lower chords lap on the rafters' sides and pass each other in the middle. */
function scissorsJoints(b: Builder, place: SidePlace, chords: readonly ChordStick[], webs: readonly WebStick[]): void {
  const rafters = chords.filter((c) => c.role === "rafter");
  const [left, right] = [rafters[0]!, rafters[1]!];
  const king = webs[0]!;
  b.nodes.push({
    id: `${place.root}/at/ridge`,
    tiers: [
      [
        { member: left.id, end: 1 },
        { member: right.id, end: 0 },
      ],
      [{ member: king.id, end: 1 }],
    ],
    gap: 0,
  });
  for (const c of chords.filter((x) => x.role !== "rafter")) {
    const near = c.chord === "left";
    const onto: Face = near ? "+w" : "-w";
    [near ? left : right, near ? right : left].forEach((r, end) =>
      b.join({
        kind: "lap",
        id: `${c.id}>${r.id.slice(place.root.length + 1)}`,
        a: c.id,
        b: r.id,
        aFace: "-w",
        bFace: onto,
        contact: "face",
        finish: { end: end as 0 | 1, finish: "square", beyond: 0, past: "+v" },
      }),
    );
    // the king post passes between both, as thick as a rafter or thinner
    b.join({ kind: "lap", id: `${c.id}>king`, a: c.id, b: king.id, aFace: "-w", bFace: onto, contact: "gap" });
  }
}
