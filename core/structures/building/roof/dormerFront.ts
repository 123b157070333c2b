import type { Builder } from "../../builder";
import { plates, plateStock, stock, type Dormer } from "./dormer";
import { onCentres, onWall } from "../plan/sides";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { planeZ } from "./slopes";
import { buttJoint, LEFT, RIGHT, TOP, UNDER, wallKit } from "../walls/wallKit";

/** The front of a dormer: plates, between and over its cheeks' or from corner to corner, studs on the header in the slope, the frame of its window. */
export function dormerFront(b: Builder, l: BuildingLayout, d: Dormer, trimmers: readonly string[]): void {
  const { part } = d;
  const shed = part.onRoof!.nailed !== undefined;
  const w = part.walls.find((x) => x.side === part.onRoof!.front)!;
  const k = wallKit(b, l, w);
  const t = stock(l);
  const p = plateStock(l);
  const under = w.top - plates(l) * p.w;
  const side = (s: "S" | "N", n: number): string =>
    `${rootOf(l, d.part.walls.find((x) => x.side === s)!.name)}/plate/${n}`;
  const lower = k.along("plate/1", "top plate", "T", p, w.from, w.to, under, { square: shed });
  if (!shed) {
    b.join(buttJoint(lower, 0, side("S", 1), "-v"));
    b.join(buttJoint(lower, 1, side("N", 1), "-v"));
  }
  if (plates(l) === 2) {
    const upper = k.along("plate/2", "top plate", "T", p, 0, w.length, under + p.w);
    b.join({ kind: "lap", id: `${upper}>1`, a: upper, b: lower, aFace: UNDER, bFace: TOP, contact: "face" });
    for (const s of shed ? [] : (["S", "N"] as const))
      b.join({ kind: "lap", id: `${upper}>${s}`, a: upper, b: side(s, 1), aFace: UNDER, bFace: TOP, contact: "face" });
  }
  const header = `${rootOf(l, l.main.name)}/roof/${d.side}/${d.part.name}-header1`;
  const foot = planeZ(d.slope, d.inward[0]);
  const gap = w.gaps[0];
  const upright = (path: string, role: string, s: number, z0: number, z1: number, on: string, over: string): string => {
    const id = `${k.root}/${path}`;
    b.stick({
      id,
      assembly: k.root,
      role,
      letter: role === "cripple" ? "C" : "S",
      timber: t,
      a: onWall(w, s, t.v / 2, z0),
      b: onWall(w, s, t.v / 2, z1),
      up: w.n,
    });
    b.join(buttJoint(id, 0, on, "+v", "line"));
    b.join(buttJoint(id, 1, over, UNDER));
    return id;
  };
  // under the ends of plates that run from corner to corner
  if (shed)
    ([t.w / 2, w.length - t.w / 2] as const).forEach((s, i) =>
      upright(`corner/${i === 0 ? "left" : "right"}`, "stud", s, foot, under, trimmers[i]!, lower),
    );
  const kings = gap
    ? ([gap.from - t.w / 2, gap.to + t.w / 2] as const).map((s, i) =>
        upright(`${gap.name}/king/${i === 0 ? "left" : "right"}`, "king stud", s, foot, under, header, lower),
      )
    : [];
  if (gap) {
    const head = k.along(`${gap.name}/header/1`, "header", "H", t, gap.from, gap.to, gap.head, { square: false });
    const sill = k.along(`${gap.name}/sill`, "window sill", "W", t, gap.from, gap.to, gap.sill - t.w, {
      square: false,
    });
    for (const id of [head, sill]) {
      b.join(buttJoint(id, 0, kings[0]!, RIGHT));
      b.join(buttJoint(id, 1, kings[1]!, LEFT));
    }
    const middle = (gap.from + gap.to) / 2;
    if (gap.to - gap.from > l.mm(l.v.studSpacing) && gap.sill - t.w - foot > t.v)
      upright(`${gap.name}/foot/1`, "cripple", middle, foot, gap.sill - t.w, header, sill);
  }
  for (const s of onCentres(w.length, l.mm(l.v.studSpacing), "middle")) {
    const clear = 1.5 * t.w + 0.2;
    if (s < w.from + clear || s > w.to - clear) continue;
    if (gap && s > gap.from - t.w - clear && s < gap.to + t.w + clear) continue;
    upright(`stud/${Math.round(s / l.mm(25.4))}`, "stud", s, foot, under, header, lower);
  }
}
