import type { Builder } from "../builder";
import { frameFloor } from "./floor";
import type { SideName } from "./parameters";
import { onWall, sideFrame } from "./sides";
import { rootOf, type BuildingLayout, type Wall } from "./layout";
import { placed, quartersOf, type Placement } from "./place";
import { buttJoint } from "./wallKit";

/** Which way round a side of the main part lies: all that what stands outside of it needs of a wall. */
type SideLine = Pick<Wall, "origin" | "e" | "n" | "length">;
const COMPASS = { front: "S", right: "E", back: "N", left: "W" } as const;

/** A wall of the main part by its name; of a floor alone the line of that side. */
export const wallNamed = (l: BuildingLayout, side: string): SideLine =>
  l.main.walls.find((w) => w.name === side) ?? sideFrame(l.main.p, l.main.q, COMPASS[side as SideName]);

/** Platforms along the walls of the main part: joists, rims and planks on beams and posts down to the ground. */
export function platforms(b: Builder, l: BuildingLayout): void {
  const { v, t, mm } = l;
  v.wings.forEach((w, i) => {
    if (w.kind !== "platform") return;
    const wall = wallNamed(l, w.side);
    const root = rootOf(l, `platform${i + 1}`);
    const middle = mm(w.at) + mm(w.length) / 2;
    const [x, y] = onWall(wall, middle, 0, 0);
    const place: Placement = { quarters: quartersOf(wall.e), at: [x, y] };
    const local = placed(b, place);
    const half = mm(w.length) / 2;
    const p = [-half, half] as const;
    const q = [-mm(w.depth), -l.proud - mm(v.plankGap)] as const;
    const top = mm(w.height);
    frameFloor(local, l, { root, p, q, top, loose: true, over: mm(v.plankOver) });
    const under = top - t.plank.w - t.joist.v;
    const wide = Math.max(t.sillBeam.v, t.pier.v) / 2;
    // between rims thicker than the beams are wide the joists hang from the rims
    const hung = t.joist.w > wide + t.sillBeam.v / 2 - 1e-6;
    const beams = [q[0] + wide, q[1] - wide];
    const lowest = (at: number): number[] => beams.map((bq) => groundUnder(l, place, at, bq));
    const n = Math.max(1, Math.round((2 * half - t.pier.w) / mm(v.pierSpacing)));
    const stations = Array.from({ length: n + 1 }, (_, k) => -half + t.pier.w / 2 + ((2 * half - t.pier.w) * k) / n);
    const foot = under - t.sillBeam.w;
    // too low for beams and posts: its joists lie on sleepers of the scenery
    if (stations.some((s) => lowest(s).some((g) => foot - g < 0.5))) return;
    beams.forEach((bq, k) => {
      const beam = local.stick({
        id: `${root}/beam/${k + 1}`,
        assembly: root,
        role: "beam",
        letter: "SB",
        timber: t.sillBeam,
        a: [-half, bq, under],
        b: [half, bq, under],
        up: [0, 1, 0],
        seat: ["centre", "+"],
        square: true,
        loose: true,
      }).id;
      for (const m of b.members.filter((x) => x.id.startsWith(`${root}/joist/`)))
        b.join({
          kind: "lap",
          id: `${m.id}>${k + 1}`,
          a: m.id,
          b: beam,
          aFace: "-v",
          bFace: "+w",
          contact: hung ? "gap" : "line",
        });
      stations.forEach((s, j) => {
        const post = local.stick({
          id: `${root}/post/${k + 1}-${j + 1}`,
          assembly: root,
          role: "foundation post",
          letter: "FP",
          timber: t.pier,
          a: [s, bq, lowest(s)[k]!],
          b: [s, bq, foot],
          up: [0, 1, 0],
          square: [true, false],
          loose: true,
        }).id;
        b.join(buttJoint(post, 1, beam, "-w", t.pier.v <= t.sillBeam.v + 1e-6 ? "face" : "line"));
      });
    });
  });
}
function groundUnder(l: BuildingLayout, place: Placement, p: number, q: number): number {
  const [c, s] = [[1, 0, -1, 0][place.quarters]!, [0, 1, 0, -1][place.quarters]!];
  return l.ground(c * p - s * q + place.at[0], s * p + c * q + place.at[1]);
}
