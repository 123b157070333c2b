import type { Contact, Face } from "../../frame";
import type { Timber } from "../timber";
import { onWall } from "./sides";
import { buttJoint, EDGE, LEFT, NEAR, RIGHT, TOP, UNDER, type Upright, type WallKit } from "./wallKit";

/** Header, window sill, jacks and cripples of every opening. */
export function wallOpenings(k: WallKit, t: Timber, under: number, plate: string, uprights: readonly Upright[]): void {
  const { b, l, w } = k;
  const posts = l.v.framing === "posts";
  const jacks = !posts && l.v.openingFrame === "jacks";
  for (const g of w.gaps) {
    const kings = [
      [...uprights].reverse().find((u) => u.role !== "cripple" && u.s < g.from),
      uprights.find((u) => u.role !== "cripple" && u.s > g.to),
    ] as const;
    const [left, right] = kings.map((u) => u && `${k.root}/${u.id}`) as [string, string];
    const [s0, s1] = jacks ? [g.from - t.w, g.to + t.w] : [g.from, g.to];
    const flat = posts || !jacks;
    const size = posts ? l.t.girt : flat ? t : l.t.header;
    const high = flat ? size.w : size.v;
    const plies = flat ? 1 : 2 * size.w <= w.thick + NEAR ? 2 : 1;
    const top = Math.min(g.head + high, under);
    const headers = Array.from({ length: plies }, (_, i) => {
      const id = k.along(`${g.name}/header/${i + 1}`, "header", "H", size, s0, s1, g.head, {
        edge: !flat,
        inward: i === 0 ? 0 : w.thick - size.w,
        square: false,
      });
      return id;
    });
    const faces = flat ? { top: TOP, under: UNDER } : { top: EDGE.top, under: EDGE.under };
    // a header thicker than the wall stands proud inside
    const whole = (flat ? size.v : size.w) <= w.thick + NEAR ? "face" : "line";
    for (const h of headers) {
      b.join(buttJoint(h, 0, left, RIGHT, whole));
      b.join(buttJoint(h, 1, right, LEFT, whole));
    }
    const stock = posts ? l.t.girt : t;
    const sill =
      !g.door &&
      k.along(`${g.name}/sill`, "window sill", "W", stock, g.from, g.to, g.sill - stock.w, { square: false });
    const sides = jacks
      ? ([-1, 1] as const).map((side) => {
          const s = side < 0 ? g.from - t.w / 2 : g.to + t.w / 2;
          const u: Upright = {
            id: `${g.name}/jack/${side < 0 ? "left" : "right"}`,
            role: "jack stud",
            s,
            half: t.w / 2,
            z0: w.foot + t.w,
            z1: g.head,
            timber: t,
          };
          const id = `${k.root}/${u.id}`;
          b.stick({
            id,
            assembly: k.root,
            role: u.role,
            letter: "JS",
            timber: t,
            a: onWall(w, s, t.v / 2, u.z0),
            b: onWall(w, s, t.v / 2, u.z1),
            up: w.n,
          });
          b.join(buttJoint(id, 0, soleUnder(k, s), TOP));
          headers.forEach((h, i) =>
            b.join(buttJoint(id, 1, h, faces.under, plies === 2 ? (i === 0 ? "line" : "gap") : "line")),
          );
          return id;
        })
      : [left, right];
    if (sill) {
      b.join(buttJoint(sill, 0, sides[0]!, RIGHT, stock.v <= w.thick + NEAR ? "face" : "line"));
      b.join(buttJoint(sill, 1, sides[1]!, LEFT, stock.v <= w.thick + NEAR ? "face" : "line"));
    }
    for (const u of uprights.filter((x) => x.role === "cripple" && x.id.startsWith(`${g.name}/`))) {
      const cripple = (
        id: string,
        z0: number,
        z1: number,
        under: string,
        uf: Face,
        over: string,
        of: Face,
        contact: Contact,
      ): void => {
        if (z1 - z0 < u.timber.w / 2) return;
        const full = `${k.root}/${id}`;
        b.stick({
          id: full,
          assembly: k.root,
          role: "cripple",
          letter: "C",
          timber: u.timber,
          a: onWall(w, u.s, u.timber.v / 2, z0),
          b: onWall(w, u.s, u.timber.v / 2, z1),
          up: w.n,
        });
        b.join(buttJoint(full, 0, under, uf, contact));
        b.join(buttJoint(full, 1, over, of));
      };
      cripple(u.id, top, under, headers[0]!, faces.top, plate, UNDER, flat ? "face" : "line");
      if (sill)
        cripple(
          u.id.replace("/cripple/", "/foot/"),
          w.foot + t.w,
          g.sill - stock.w,
          soleUnder(k, u.s),
          TOP,
          sill,
          UNDER,
          "face",
        );
    }
  }
}
/** The sole plate under a place of the wall. */
function soleUnder(k: WallKit, s: number): string {
  const before = k.w.gaps.filter((g) => g.door && g.to < s + NEAR).length;
  return `${k.root}/sole/${before + 1}`;
}
