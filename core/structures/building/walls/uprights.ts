import { NEAR } from "../../../geometry";
import { onCentres } from "../plan/sides";
import { type BuildingLayout, type Gap, type Wall } from "../plan/layout";
import { sideBySide, stacksOf } from "../openings/stacks";
import { LEAST_GAP, type Upright } from "./wallKit";

/** Studs of a wall: ends and corners, kings and jacks, and those on centres that none of these stand in the way of. */
export function studsOf(l: BuildingLayout, w: Wall, foot: number, under: number): Upright[] {
  const { stud, cornerPost } = l.t;
  const half = stud.w / 2;
  const out: Upright[] = [];
  const full = { half, z0: foot, z1: under, timber: stud };
  const solid = l.v.corner === "solid" && w.through;
  const end = (right: boolean): void => {
    const sign = right ? -1 : 1;
    const s0 = right ? w.to : w.from;
    const name = right ? "right" : "left";
    if (solid) {
      out.push({
        ...full,
        id: `corner/${name}`,
        role: "corner post",
        s: s0 + sign * (cornerPost.w / 2),
        half: cornerPost.w / 2,
        timber: cornerPost,
      });
      return;
    }
    out.push({ ...full, id: `corner/${name}`, role: "stud", s: s0 + sign * half });
    if (!w.through) return;
    if (l.v.corner === "blocked")
      out.push({ ...full, id: `corner/${name}2`, role: "stud", s: s0 + sign * (2 * stud.w + half) });
    if (l.v.corner === "turned")
      out.push({
        ...full,
        id: `corner/${name}2`,
        role: "stud",
        s: s0 + sign * (stud.w + stud.v / 2),
        half: stud.v / 2,
        turned: true,
      });
  };
  end(false);
  end(true);
  const jacks = l.v.openingFrame === "jacks";
  const off = jacks ? stud.w + half : half;
  const role = jacks ? "king stud" : "stud";
  const stacks = stacksOf(l, w);
  for (const g of stacks)
    out.push(
      { ...full, id: `${g.name}/king/left`, role, s: g.from - off },
      { ...full, id: `${g.name}/king/right`, role, s: g.to + off },
    );
  const taken = [...out];
  for (const s of onCentres(w.length, l.mm(l.v.studSpacing), l.v.studFrom)) {
    if (s - half < w.from || s + half > w.to) continue;
    if (taken.some((u) => Math.abs(u.s - s) < u.half + half + LEAST_GAP)) continue;
    const g = stacks.find((x) => s + half > x.from - stud.w && s - half < x.to + stud.w);
    if (!g) out.push({ ...full, id: `stud/${name(s, l)}`, role: "stud", s });
    else {
      const [lo, hi] = [g.from - (jacks ? 0 : -half), g.to - (jacks ? 0 : half)];
      if (s - half < lo - NEAR || s + half > hi + NEAR) continue;
      const { name: top, head } = g.gaps[g.gaps.length - 1]!;
      out.push({ ...full, id: `${top}/cripple/${name(s, l)}`, role: "cripple", s, z0: head, z1: under });
    }
  }
  // between windows side by side over one opening stand kings of their own, on its header
  for (const [a, b] of stacks.flatMap(sideBySide))
    out.push(
      { ...full, id: `${a.name}/king/right`, role, s: a.to + off, z0: a.sill },
      { ...full, id: `${b.name}/king/left`, role, s: b.from - off, z0: b.sill },
    );
  return out.sort((a, b) => a.s - b.s);
}
/** A station's name that survives edits elsewhere: its place in prototype inches. */
const name = (s: number, l: BuildingLayout): string => String(Math.round(s / l.mm(25.4)));

/** Posts by bays, and posts beside each opening. */
export function postsOf(l: BuildingLayout, w: Wall, foot: number, under: number): Upright[] {
  const { post, girt } = l.t;
  const n = Math.max(1, Math.round(w.length / l.mm(l.v.bay)));
  const full = { z0: foot, z1: under };
  const half = post.w / 2;
  const out: Upright[] = [];
  for (let i = 0; i <= n; i++) {
    // the first and last stand in the corners, the others on the lines of the bays
    const line = (w.length * i) / n;
    const s = i === 0 ? w.from + half : i === n ? w.to - half : line;
    if (s - half < w.from - NEAR || s + half > w.to + NEAR) continue;
    const stands = (g: Gap): boolean => s + half > g.from - girt.w + NEAR && s - half < g.to + girt.w - NEAR;
    if (i > 0 && i < n && w.gaps.some(stands)) continue;
    out.push({
      ...full,
      id: `post/${i + 1}`,
      role: i === 0 || i === n ? "corner post" : "post",
      s,
      half,
      timber: post,
    });
  }
  const beside = girt.w / 2;
  const put = (g: Pick<Gap, "name">, side: "left" | "right", s: number, z0: number): void => {
    if (!out.some((u) => Math.abs(u.s - s) < u.half + beside - NEAR))
      out.push({ ...full, id: `${g.name}/post/${side}`, role: "opening post", s, z0, half: beside, timber: girt });
  };
  const stacks = stacksOf(l, w);
  for (const g of stacks) {
    put(g, "left", g.from - beside, foot);
    put(g, "right", g.to + beside, foot);
  }
  for (const [a, b] of stacks.flatMap(sideBySide)) {
    put(a, "right", a.to + beside, a.sill);
    put(b, "left", b.from - beside, b.sill);
  }
  return out.sort((a, b) => a.s - b.s);
}
