import { isTube } from "../lumber/tubes";
import { addScaled, cross, flip, planeAt, prism, scale, type Plane, type Solid, type Vec3 } from "../geometry";
import { axesOf, componentCentre, fromLocal, sectionBox, workLength, type Axes } from "./axes";
import { stretchAt } from "./develop";
import { keptOf } from "./kept";
import { onRing } from "./ring";
import type { Body, Face, Member, Ring, RunBody } from "./member";
import { profileBoxes } from "./section";

/** One component's uncut material: convex parts in space. Its id is the member's, with #name where there are several. */
export interface StockBody {
  readonly id: string;
  readonly stock: string;
  readonly size: readonly [number, number];
  readonly centre: readonly [number, number];
  /** Whether its section is more than a box: it is cut part by part. */
  readonly shaped?: boolean;
  /** Made when asked for: most sticks are cut without it. */
  readonly parts: () => readonly Solid[];
}

const FACES: Record<"+v" | "-v" | "+w" | "-w", (x: Axes) => Vec3> = {
  "+v": (x) => x.v,
  "-v": (x) => scale(x.v, -1),
  "+w": (x) => x.w,
  "-w": (x) => scale(x.w, -1),
};
const SIDES = ["-w", "+v", "+w", "-v"] as const;
/** Room beyond the work line for the end cuts: no cut of a usual joint reaches further. */
const spare = (length: number, size: readonly [number, number]): number => 0.5 * length + 12 * Math.max(...size);
/** Enough flats that a round's polygon is within 2 % of its circle, with one towards +v, -v, +w and -w. */
const FLATS = 16;
/** Of a tube: its corners lie on its circle, one towards +v, -v, +w and -w, so that what is wrapped round it lies on its flats. */
export const TUBE_FLATS = 48;

/** The corners of a v × w box at a station of the axes, counter-clockwise seen against u: -w side first. */
function rectangle(x: Axes, u: number, centre: readonly [number, number], size: readonly [number, number]): Vec3[] {
  const [v, w] = [size[0] / 2, size[1] / 2];
  const at = (dv: number, dw: number): Vec3 => fromLocal(x, [u, centre[0] + dv, centre[1] + dw]);
  return [at(-v, -w), at(v, -w), at(v, w), at(-v, w)];
}

/** The plane of a named stock face of the whole member, its outside away from the wood. A bent strip's is that of its stretch beside `near`, or of its middle one. Errors: a face the body does not have. */
export function stockFace(m: Member, face: Face, near?: Vec3): Plane {
  if (m.body.shape === "run") return runFace(m.body, m, face, near);
  const faces = (keptOf(m.body).faces ??= new Map());
  let plane = faces.get(face);
  if (!plane) faces.set(face, (plane = makeFace(m, face)));
  return plane;
}
/** The same plane with its inside away from the wood: many sticks end against one face. */
export function turnedFace(m: Member, face: Face): Plane {
  if (m.body.shape === "run") return flip(stockFace(m, face));
  const turned = (keptOf(m.body).turned ??= new Map());
  let plane = turned.get(face);
  if (!plane) turned.set(face, (plane = flip(stockFace(m, face))));
  return plane;
}
const noFace = (m: Member, face: Face): Error =>
  new Error(`Member "${m.id}" is a ${m.kind}; it has no face "${face}".`);

function runFace(body: RunBody, m: Member, face: Face, near: Vec3 | undefined): Plane {
  const side = SIDES.indexOf(face as never);
  if (side < 0) throw noFace(m, face);
  const i = near ? stretchAt(body, near)[0] : Math.floor((body.rings.length - 1) / 2);
  const box = sectionBox(body);
  const [p, q] = [body.rings[i]!, body.rings[i + 1]!].map((r) => ringBox(r, box.centre, box.size)) as [Vec3[], Vec3[]];
  const next = (side + 1) % 4;
  return facePlane([p[side]!, p[next]!, q[next]!, q[side]!]);
}

function makeFace(m: Member, face: Face): Plane {
  const body = m.body as Exclude<Body, RunBody>;
  const x = axesOf(body);
  if (body.shape === "panel") {
    if (face === "+w") return planeAt(fromLocal(x, [0, 0, body.thickness]), x.w);
    if (face === "-w") return planeAt(x.origin, scale(x.w, -1));
    const i = Number(face.slice(1));
    if (!face.startsWith("e") || !(i < body.outline.length))
      throw new Error(`Member "${m.id}" is a panel of ${body.outline.length} edges; it has no face "${face}".`);
    return edgePlane(x, body.outline, body.bevel, i);
  }
  if (face.startsWith("e")) throw noFace(m, face);
  const name = face as "+v" | "-v" | "+w" | "-w";
  const box = sectionBox(body);
  const k = name[1] === "v" ? 0 : 1;
  const sign = name[0] === "+" ? 1 : -1;
  const local: [number, number, number] = [0, 0, 0];
  local[k + 1] = box.centre[k]! + (sign * box.size[k]!) / 2;
  return planeAt(fromLocal(x, local), FACES[name](x));
}

/** The plane of edge i of an outline, through its line on the -w face; `inward` turns it for a hole. */
function edgePlane(x: Axes, outline: PanelOutline, bevel: readonly number[], i: number): Plane {
  const [p, q] = [outline[i]!, outline[(i + 1) % outline.length]!];
  const l = Math.hypot(q[0] - p[0], q[1] - p[1]);
  const out = addScaled(scale(x.u, (q[1] - p[1]) / l), x.v, -(q[0] - p[0]) / l);
  const tilt = ((bevel[i] ?? 0) * Math.PI) / 180;
  return planeAt(fromLocal(x, [p[0], p[1], 0]), addScaled(scale(out, Math.cos(tilt)), x.w, Math.sin(tilt)));
}
type PanelOutline = Extract<Body, { shape: "panel" }>["outline"];

/** The half-spaces that bound a panel's outline and each hole's cutter, in space. */
export function panelPlanes(m: Member & { body: Extract<Body, { shape: "panel" }> }): {
  readonly edges: readonly (Plane & { tag: string })[];
  readonly holes: readonly { readonly name: string; readonly planes: readonly (Plane & { tag: string })[] }[];
} {
  const x = axesOf(m.body);
  const planes = (outline: PanelOutline, bevel: readonly number[], tag: (i: number) => string) =>
    outline.map((_, i) => ({ ...edgePlane(x, outline, bevel, i), tag: tag(i) }));
  return {
    edges: planes(m.body.outline, m.body.bevel, (i) => `e${i}`),
    holes: m.body.holes.map((h) => ({ name: h.name, planes: planes(h.outline, h.bevel, () => h.name) })),
  };
}

/** Every component of a member as uncut stock, longer than it will be so that the end cuts shape its ends. */
export function stockBodies(m: Member): StockBody[] {
  const body = m.body;
  if (body.shape === "panel") {
    const x = axesOf(body);
    const room = 2 * body.thickness * Math.max(1, ...body.bevel.map((b) => Math.abs(Math.tan((b * Math.PI) / 180))));
    const [us, vs] = [body.outline.map((p) => p[0]), body.outline.map((p) => p[1])];
    const [u0, u1] = [Math.min(...us) - room, Math.max(...us) + room];
    const [v0, v1] = [Math.min(...vs) - room, Math.max(...vs) + room];
    const base: Vec3[] = [
      [u0, v0, 0],
      [u1, v0, 0],
      [u1, v1, 0],
      [u0, v1, 0],
    ].map((p) => fromLocal(x, p as unknown as Vec3));
    const whole = prism(base, scale(x.w, body.thickness), ["blank", "blank", "blank", "blank"]);
    const solid: Solid = {
      faces: whole.faces.map((f) => ({ ...f, tag: f.tag === "a" ? "-w" : f.tag === "b" ? "+w" : f.tag })),
    };
    const box = sectionBox(body);
    return [{ id: m.id, stock: body.stock, size: box.size, centre: box.centre, parts: () => [solid] }];
  }
  if (body.shape === "round") {
    const x = axesOf(body);
    const s = spare(workLength(m), [body.diameter, body.diameter]);
    const tube = isTube(body.stock);
    const flats = tube ? TUBE_FLATS : FLATS;
    const r = body.diameter / 2 / (tube ? 1 : Math.cos(Math.PI / FLATS));
    const base = Array.from({ length: flats }, (_, i) => {
      const t = ((i - (tube ? 0 : 0.5)) * 2 * Math.PI) / flats;
      return fromLocal(x, [-s, r * Math.cos(t), r * Math.sin(t)]);
    });
    const named: Readonly<Record<number, string>> = tube ? {} : { 0: "+v", 4: "+w", 8: "-v", 12: "-w" };
    const tags = base.map((_, i) => named[i] ?? "round");
    const parts = () => [prism(base, scale(x.u, workLength(m) + 2 * s), tags)];
    return [{ id: m.id, stock: body.stock, size: [body.diameter, body.diameter], centre: [0, 0], parts }];
  }
  return body.components.map((c, i) => {
    const centre = componentCentre(body, i);
    const size = [c.v, c.w] as const;
    return {
      id: c.name === "" ? m.id : `${m.id}#${c.name}`,
      stock: c.stock,
      size,
      centre,
      ...(c.profile ? { shaped: true } : {}),
      parts: () =>
        profileBoxes(c).flatMap((b) => {
          const at = [centre[0] + b.at[0], centre[1] + b.at[1]] as const;
          return body.shape === "run" ? runParts(body, at, b.size) : [straightPart(m, at, b.size)];
        }),
    };
  });
}

function straightPart(m: Member, centre: readonly [number, number], size: readonly [number, number]): Solid {
  const x = axesOf(m.body);
  const s = spare(workLength(m), sectionBox(m.body).size);
  return prism(rectangle(x, -s, centre, size), scale(x.u, workLength(m) + 2 * s), SIDES);
}

/** The corners of a v × w box on a ring, in the order of `rectangle`. */
function ringBox(r: Ring, centre: readonly [number, number], size: readonly [number, number]): Vec3[] {
  const [v, w] = [size[0] / 2, size[1] / 2];
  const at = (dv: number, dw: number): Vec3 => onRing(r, centre[0] + dv, centre[1] + dw);
  return [at(-v, -w), at(v, -w), at(v, w), at(-v, w)];
}

/** Chord prisms between the rings: plies that share them meet face to face. */
function runParts(body: RunBody, centre: readonly [number, number], size: readonly [number, number]): Solid[] {
  const boxes = body.rings.map((r) => ringBox(r, centre, size));
  return boxes.slice(1).map((far, k) => {
    const near = boxes[k]!;
    const quad = (p: readonly Vec3[], tag: string) => ({ corners: p, plane: facePlane(p), tag });
    const sides = near.map((p, i) => {
      const j = (i + 1) % 4;
      return quad([p, near[j]!, far[j]!, far[i]!], SIDES[i]!);
    });
    return {
      faces: [
        ...sides,
        quad([...near].reverse(), k === 0 ? "end0" : "seam"),
        quad(far, k === boxes.length - 2 ? "end1" : "seam"),
      ],
    };
  });
}

/** Plane of a four-cornered face through its middle: a climbing run's faces are warped by far less than a tolerance. */
function facePlane(p: readonly Vec3[]): Plane {
  const mid: Vec3 = [0, 1, 2].map((k) => (p[0]![k]! + p[1]![k]! + p[2]![k]! + p[3]![k]!) / 4) as unknown as Vec3;
  return planeAt(mid, cross(addScaled(p[2]!, p[0]!, -1), addScaled(p[3]!, p[1]!, -1)));
}
