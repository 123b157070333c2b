import type { Vec2 } from "../../../geometry";
import type { Builder } from "../../builder";
import { type BuildingLayout, type Part, rootOf } from "../plan/layout";
import { floorSeen } from "../plan/rooms";
import { frameOutline, turned } from "./outlineFloor";
import { placed } from "../../place";
import { touching } from "../walls/wallKit";
import { frameFloor } from "./floor";

/** Floors of all parts: under the walls, or inside the main part's walls with play all round. */
export function floors(b: Builder, l: BuildingLayout): void {
  const { v, mm } = l;
  if (v.floor === "none") return;
  const list: readonly Part[] = v.floor === "lift" ? [l.main] : l.parts;
  for (const part of list) {
    const braces = (v.wallBrace === "inside" ? l.t.brace.w : 0) + (v.lined ? l.t.lining.w : 0);
    const inset =
      v.floor === "lift"
        ? Math.max(l.wall + braces, v.foundation === "none" ? 0 : Math.max(l.t.sillBeam.v, l.t.pier.v)) + v.floorPlay
        : 0;
    const p = [part.p[0] + inset, part.p[1] - inset] as const;
    const q = [part.q[0] + inset, part.q[1] - inset] as const;
    const set = {
      root: `${rootOf(l, part.name)}/floor`,
      top: 0,
      over: 0,
      loose: v.floor === "lift",
      sheet: !floorSeen(v, part.name),
    };
    if (v.framing === "none" && v.outline.length > 2) {
      const corners = v.outline.map((c): Vec2 => [mm(c.x - v.length / 2), mm(c.y - v.width / 2)]);
      const across = v.plankWay === "across";
      // a quarter turn on: p' = q, q' = −p
      const seen = across ? corners.map(([x, y]): Vec2 => [y, -x]) : corners;
      const quarters = across ? 1 : 0;
      frameOutline(placed(b, { quarters, at: [0, 0] }), l, { root: set.root, top: 0, outline: turned(seen) });
      continue;
    }
    // planks along the building run along x; a part that is turned has them along its q
    const alongX = part.place.quarters % 2 === 0;
    // over bents the joists run from cap to cap
    const along = v.plankWay === "along" && v.foundation !== "bents";
    if (along === alongX) frameFloor(placed(b, part.place), l, { ...set, p, q });
    else {
      // a quarter turn on: p' = q, q' = −p
      const quarters = ((part.place.quarters + 1) % 4) as Part["place"]["quarters"];
      frameFloor(placed(b, { quarters, at: part.place.at }), l, { ...set, p: q, q: [-p[1], -p[0]] });
    }
  }
}
/** Joins the soles of the walls to the planks they stand on. */
export function solesOnFloor(b: Builder, l: BuildingLayout): void {
  if (l.v.floor !== "under") return;
  for (const part of l.parts)
    for (const w of part === l.main ? [...part.walls, ...l.partitions] : part.walls) {
      const [plank, sheetId] = [`${rootOf(l, part.name)}/floor/plank/`, `${rootOf(l, part.name)}/floor/sheet`];
      const planks = b.members.filter((m) => m.id.startsWith(plank) && m.body.shape === "straight");
      const sheet = b.members.find((m) => m.id === sheetId);
      const soles = `${rootOf(l, w.name)}/sole/`;
      for (const sole of b.members.filter((m) => m.id.startsWith(soles))) {
        if (sheet) {
          b.join({
            kind: "bearing",
            id: `${sole.id}>floor`,
            a: sole.id,
            b: sheet.id,
            aFace: "+w",
            bFace: "+w",
            contact: "line",
          });
          continue;
        }
        const all = planks.filter(
          (m) =>
            m.body.shape === "straight" &&
            sole.body.shape === "straight" &&
            crosses(m.body.a, m.body.b, sole.body.a, sole.body.b),
        );
        // some of them are sure to lie under it
        const few = [...new Set([0.1, 0.3, 0.5, 0.7, 0.9].map((k) => all[Math.floor(all.length * k)]))];
        for (const under of few)
          if (under)
            b.join({
              kind: "lap",
              id: `${sole.id}>${under.id.split("/").pop()}`,
              a: sole.id,
              b: under.id,
              aFace: "+w",
              bFace: "+w",
              contact: "gap",
            });
      }
    }
}
type P = readonly [number, number, number];
/** Whether the boxes round two lines from above overlap. */
function crosses(a: P, b: P, c: P, d: P): boolean {
  return [0, 1].every(
    (k) =>
      Math.min(a[k]!, b[k]!) <= Math.max(c[k]!, d[k]!) + 0.3 && Math.min(c[k]!, d[k]!) <= Math.max(a[k]!, b[k]!) + 0.3,
  );
}

/** A loft inside the main part: a floor between the walls, its rims against the long walls' studs, with a stair opening if asked for. */
export function loft(b: Builder, l: BuildingLayout): void {
  const { v, mm, main } = l;
  if (!v.loft || main.walls.length === 0 || !floorSeen(v, "main")) return;
  const inset = l.wall + (v.lined ? l.t.lining.w : 0);
  const p = [main.p[0] + inset, main.p[1] - inset] as const;
  const q = [main.q[0] + inset, main.q[1] - inset] as const;
  const root = `${rootOf(l, main.name)}/loft`;
  const [a, c] = [main.p[0] + mm(v.loftStairAt), main.q[0] + mm(v.loftStairIn)];
  const hole = v.loftStair
    ? { p: [a, a + mm(v.loftStairWidth)] as const, q: [c, c + mm(v.loftStairLength)] as const }
    : undefined;
  frameFloor(placed(b, main.place), l, { root, p, q, top: mm(v.loftHeight), over: 0, ...(hole ? { hole } : {}) });
  for (const [side, rim] of [
    ["S", 1],
    ["N", 2],
  ] as const) {
    const w = main.walls.find((x) => x.side === side)!;
    const own = b.members.filter(
      (m) => m.id.startsWith(`${rootOf(l, w.name)}/`) && /stud|post|lining plank|girt/.test(m.role),
    );
    for (const m of own) b.join(touching(`${root}/rim/${rim}`, m.id, rim === 1 ? "+w" : "-w", "-v"));
  }
}
