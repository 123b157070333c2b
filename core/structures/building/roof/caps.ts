import { addScaled, cross, dot, normalize, planeAt, type Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import { coverThick } from "./dormer";
import { boundPlane, facetsOf, leftAt, onFacet, rightAt, type Facet } from "./facets";
import { rootOf, type BuildingLayout, type Part } from "../plan/layout";
import { placed } from "../../place";
import { eaveDatum, roofKit, slopePlane, upslope } from "./slopes";
import { touching } from "../walls/wallKit";

/** Boards along ridge and hips, one to each slope, on the covering: their upper edges meet in the plumb plane over the line. */
export function roofCaps(b: Builder, l: BuildingLayout): void {
  const { v, main: part } = l;
  // of a roof whose framing nobody sees the caps are seen all the same: they lie on its sheets
  if (!v.caps || v.monitor || (v.seenRoof && v.covering !== "boards" && v.covering !== "sheet")) return;
  for (const f of facetsOf(l, part, [])) {
    const ridge = ridgeCap(b, l, part, f);
    if (part.roof === "hip" || part.roof === "hipdeck")
      for (const left of [true, false]) hipCap(b, l, part, f, left, ridge);
  }
}

/** A cap lies on the covering; `over` is how far past a line its upper edge reaches so that the plumb plane cuts the whole of it. */
function put(
  b: Builder,
  l: BuildingLayout,
  part: Part,
  f: Facet,
  name: string,
  line: readonly [Vec3, Vec3],
  edge: Vec3,
  over: number,
  ends: readonly [boolean, boolean],
): string {
  const { t } = l;
  const local = placed(b, part.place);
  const n = slopePlane(part, f.slope).n;
  const lift = coverThick(l);
  const root = `${rootOf(l, part.name)}/roof/cover-${f.name}`;
  const id = `${root}/${name}`;
  const at = (p: Vec3): Vec3 => addScaled(addScaled(p, edge, over), n, lift);
  // its +w looks out of the roof when its +v lies to the left of its length
  const along = normalize([line[1][0] - line[0][0], line[1][1] - line[0][1], line[1][2] - line[0][2]]);
  const out = dot(cross(along, edge), n) > 0;
  local.stick({
    id,
    assembly: root,
    role: name === "cap" ? "ridge cap" : "hip cap",
    letter: name === "cap" ? "RC" : "HC",
    timber: t.capBoard,
    a: at(line[out ? 0 : 1]),
    b: at(line[out ? 1 : 0]),
    up: edge,
    seat: ["+", "-"],
    square: out ? [ends[0], ends[1]] : [ends[1], ends[0]],
  });
  // where valleys part the slope its covering is in parts as well
  const boards = b.members.filter((m) => m.id.startsWith(root) && /^(roof board|roof sheet)$/.test(m.role));
  for (const m of name === "cap" ? boards.slice(-40) : boards) b.join(touching(id, m.id, "-w", "+w"));
  return id;
}
/** The boards' edge over a plumb plane with outward normal m: how far its upper side reaches past it, along `edge`. */
const reach = (l: BuildingLayout, n: Vec3, m: Vec3, edge: Vec3): number =>
  (-(coverThick(l) + l.t.capBoard.w) * dot(n, m)) / dot(edge, m);

function ridgeCap(b: Builder, l: BuildingLayout, part: Part, f: Facet): string | undefined {
  const { t } = l;
  const ridged = f.slope.side === "S" || f.slope.side === "N";
  if (!ridged || ["hipdeck", "shed", "lean"].includes(part.roof)) return undefined;
  if (part.roof === "gambrel" && !f.name.endsWith("upper")) return undefined;
  const [x0, x1] = [leftAt(f, f.to), rightAt(f, f.to)];
  if (x1 - x0 < t.capBoard.v) return undefined;
  const local = placed(b, part.place);
  const up = upslope(f.slope);
  const n = slopePlane(part, f.slope).n;
  const level = normalize([up[0], up[1], 0]);
  // at a hip it runs on to the hip's line
  const hip = part.roof === "hip";
  const more = hip ? t.capBoard.v : 0;
  const line = [onFacet(part, f.slope, x0 - more, f.to), onFacet(part, f.slope, x1 + more, f.to)] as const;
  const id = put(b, l, part, f, "cap", line, up, reach(l, n, level, up), [!hip, !hip]);
  const root = `${rootOf(l, part.name)}/roof/cover-${f.name}`;
  b.join({
    kind: "trim",
    id: `${id}/top`,
    a: id,
    datum: local.datum(`${root}/cap-top`, planeAt(onFacet(part, f.slope, 0, f.to), level)),
    as: "length",
    contact: "gap",
  });
  if (hip)
    for (const left of [true, false]) {
      const bound = (left ? f.left : f.right)[0]!;
      const datum = local.datum(`${root}/cap-${left ? "left" : "right"}`, boundPlane(part, f.slope, bound, left));
      b.join({
        kind: "trim",
        id: `${id}/${left ? "left" : "right"}`,
        a: id,
        datum,
        as: left ? "end0" : "end1",
        contact: "gap",
      });
    }
  return id;
}

/** A board beside a hip, from the eave to the peak, the deck or the ridge cap of its slope. */
function hipCap(b: Builder, l: BuildingLayout, part: Part, f: Facet, left: boolean, ridge: string | undefined): void {
  const local = placed(b, part.place);
  const bound = (left ? f.left : f.right)[0]!;
  const root = `${rootOf(l, part.name)}/roof/cover-${f.name}`;
  const name = `cap-${left ? "left" : "right"}`;
  const plane = boundPlane(part, f.slope, bound, left);
  const at = (inward: number): Vec3 => onFacet(part, f.slope, bound.x + bound.m * inward, inward);
  const line = [at(f.from), at(f.to)] as const;
  const along = normalize([line[1][0] - line[0][0], line[1][1] - line[0][1], line[1][2] - line[0][2]]);
  const n = slopePlane(part, f.slope).n;
  const side = normalize(cross(n, along));
  const edge: Vec3 = dot(side, plane.n) > 0 ? side : [-side[0], -side[1], -side[2]];
  const id = put(b, l, part, f, name, line, edge, reach(l, n, plane.n, edge), [false, false]);
  const swapped = dot(cross(along, edge), n) <= 0;
  const low = swapped ? "end1" : "end0";
  const high = swapped ? "end0" : "end1";
  b.join({
    kind: "trim",
    id: `${id}/hip`,
    a: id,
    datum: local.datum(`${root}/${name}`, plane),
    as: "length",
    contact: "gap",
  });
  b.join({
    kind: "trim",
    id: `${id}/eave`,
    a: id,
    datum: eaveDatum(roofKit(local, l, part), f.slope, part.out),
    as: low,
    contact: "gap",
  });
  if (ridge) {
    b.join({
      kind: "butt",
      id: `${id}>ridge`,
      a: id,
      end: high === "end1" ? 1 : 0,
      b: ridge,
      face: "-v",
      contact: "line",
    });
    return;
  }
  // at a peak the two of a slope meet over its middle; at a deck they end with the slope
  const up = upslope(f.slope);
  const top = local.datum(`${root}/cap-top`, planeAt(onFacet(part, f.slope, 0, f.to), normalize([up[0], up[1], 0])));
  b.join({ kind: "trim", id: `${id}/top`, a: id, datum: top, as: high, contact: "gap" });
  const middle = boundPlane(part, f.slope, { x: (leftAt(f, f.to) + rightAt(f, f.to)) / 2, m: 0 }, !left);
  if (rightAt(f, f.to) - leftAt(f, f.to) < l.t.capBoard.v * 3)
    b.join({
      kind: "trim",
      id: `${id}/middle`,
      a: id,
      datum: local.datum(`${root}/${name}-middle`, middle),
      as: high,
      contact: "gap",
    });
}
