import { addScaled, type Vec3, NEAR } from "../../geometry";
import { model } from "../../units";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import { bentLayout, postAt } from "../trestle/layout";
import { bentPoint, bentRoot, bentTurn } from "./bentPlace";
import type { BentPlace, TrestleLayout } from "./layout";
import type { TrestleValues } from "./parameters";

/** What one post of a bent stands on: where, how high, and the ground under it. Model mm. */
export interface Footing {
  readonly bent: number;
  /** "L2". */
  readonly post: string;
  /** To the left of the bent's centre line. */
  readonly y: number;
  readonly top: number;
  readonly ground: number;
}

/** The footings of a bent, from right to left; none where it stands on piles or on nothing. A post too near its neighbour shares that one's. */
export function footingsOf(v: TrestleValues, l: TrestleLayout, at: BentPlace): Footing[] {
  if (v.bentKind === "pile" || v.footing === "none") return [];
  const lay = bentLayout(at.values);
  const wide = l.mm(v.footing === "pedestal" ? v.pedestalTop : 0);
  const out: Footing[] = [];
  for (const p of lay.posts) {
    const y = l.mm(postAt(p, lay.sillTop, lay.capUnder));
    const before = out[out.length - 1];
    const ground = v.groundBy === "heights" ? at.groundZ : at.groundZ + (y * v.crossfall) / 100;
    // pedestals spread towards the ground: two that are clear at their tops may not be there
    const spread = v.footing === "pedestal" ? v.pedestalBatter / 12 : 0;
    const feet = before ? (at.footZ - before.ground + at.footZ - ground) * spread : 0;
    const room = Math.max(wide + feet, l.timbers.cap.w);
    if (before && y - before.y < room + 0.05) continue;
    out.push({ bent: at.number, post: p.name, y, top: at.footZ, ground });
  }
  return out;
}

/** Mudsills or pedestals under the sill at each post. */
export function footings(b: Builder, v: TrestleValues, ctx: Context, l: TrestleLayout): void {
  if (v.bentKind === "pile" || v.footing === "none") return;
  const mudsill = timberOf(v.mudsill, ctx.stock(v.mudsill));
  for (const at of l.bents)
    for (const f of footingsOf(v, l, at)) {
      const root = bentRoot(ctx.structure, at);
      const local = (x: number, y: number, z: number): Vec3 => bentPoint(at)([x, y, z - at.cap[2]]);
      if (v.footing === "mudsill") {
        const half = l.mm(v.mudsillLength) / 2;
        const id = `${root}/mudsill/${f.post}`;
        b.stick({
          id,
          assembly: root,
          role: "mudsill",
          letter: "D",
          timber: mudsill,
          a: local(-half, f.y, f.top),
          b: local(half, f.y, f.top),
          up: bentTurn(at)([0, 1, 0]),
          seat: ["centre", "+"],
          square: true,
        });
        // under a sill that ends with its outer posts a wide mudsill reaches past it
        const whole = Math.abs(f.y) + mudsill.v / 2 <= l.mm(bentLayout(at.values).sillHalf) + NEAR;
        b.join({
          kind: "lap",
          id: `${id}>sill`,
          a: id,
          b: `${root}/sill`,
          aFace: "+w",
          bFace: "-v",
          contact: whole ? "face" : "line",
        });
        continue;
      }
      const height = f.top - f.ground;
      const spread = v.pedestalBatter / 12;
      const half = l.mm(v.pedestalTop) / 2 + height * spread;
      const id = `${root}/pedestal/${f.post}`;
      const tilt = (Math.atan(spread) * 180) / Math.PI;
      const corner = addScaled(addScaled(local(0, f.y, f.ground), at.place.along, -half), at.place.left, -half);
      b.add({
        id,
        structure: ctx.structure,
        assembly: root,
        role: "pedestal",
        letter: "K",
        kind: "block",
        nominal: [0, 0],
        ends: [undefined, undefined],
        body: {
          shape: "panel",
          origin: corner,
          u: at.place.along,
          v: at.place.left,
          outline: [
            [0, 0],
            [2 * half, 0],
            [2 * half, 2 * half],
            [0, 2 * half],
          ],
          bevel: [tilt, tilt, tilt, tilt],
          thickness: model(height),
          stock: "cast",
          holes: [],
        },
      });
      b.join({
        kind: "bearing",
        id: `${id}>sill`,
        a: id,
        b: `${root}/sill`,
        aFace: "+w",
        bFace: "-v",
        contact: "line",
      });
    }
}
