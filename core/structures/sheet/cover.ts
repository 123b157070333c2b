import { evenly } from "../../carpentry";
import { sheetOf, type SheetItem, type TextureId } from "../../lumber";
import { addScaled, scale, type Vec2, type Vec3 } from "../../geometry";
import { model, prototype } from "../../units";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { panelMember, rectangleOf, type PanelSeed } from "../panel";
import { touching } from "../touching";
import { shaftHoles, shaftsOf, throughAt, type Shaft } from "./chimney";
import type { SheetLayout } from "./layout";
import { endOf, slopesOf, type Slope } from "./slopes";

/** A lapped strip seen along the slope: where the lower corner of its underside lies (up the slope, over the roof's top), its width, and the bevel of its upper edge. */
export interface Course {
  readonly at: number;
  readonly over: number;
  readonly width: number;
  readonly bevel: number;
  readonly starter?: true;
}
/** The tilt of lapped strips to what they lie on, radians: sin a = thickness / exposure, so that each lies flat on the one below. */
export const tiltOf = (thickness: number, exposure: number): number => Math.asin(thickness / exposure);
/**
 * Lapped strips from the eave up, the first on a starter as wide as the lap. Each is as wide as it shows and laps, lies
 * flat on the one below, with its upper edge on the roof; at the ridge it is cut plumb. Strips of .010 in that show 8 in in
 * HO (2.333 mm) lie tilted by asin(0.254 / 2.333) = 6.25°. With a cap they end where it covers them. Model mm.
 */
export function coursesOf(
  l: SheetLayout,
  x: Slope,
): { readonly strips: readonly Course[]; readonly cap: Course | undefined } {
  // prettier-ignore
  const t = sheetOf(`sheet/${l.v.coverSheet}`)!.thickness;
  const [show, lap] = [l.mm(l.v.exposure), l.mm(l.v.coverLap)];
  const a = tiltOf(t, show);
  const width = show + lap;
  const base = l.roof.thickness;
  const [c, s] = [Math.cos(x.tilt), Math.sin(x.tilt)];
  /** The widest that a strip may be whose lower corner lies there, and its upper bevel if it is that wide. */
  const room = (at: number, over: number): number =>
    x.ridge ? (x.to * c - c * at + s * (base + over)) / Math.cos(x.tilt - a) : (x.to - at) / Math.cos(a);
  const cut = (at: number, over: number, most: number): Pick<Course, "width" | "bevel"> => {
    const free = room(at, over);
    return free < most ? { width: free, bevel: x.ridge ? (-(x.tilt - a) * 180) / Math.PI : 0 } : { width: most, bevel: 0 }; // prettier-ignore
  };
  /** The underside of course i, over a place up the slope. */
  const underside = (i: number, at: number): number => (x.from + i * show + width * Math.cos(a) - at) * Math.tan(a);
  const first = underside(-1, x.from);
  const strips: Course[] = first > 1e-6 ? [{ at: x.from, over: first, ...cut(x.from, first, first / Math.sin(a)), starter: true }] : []; // prettier-ignore
  const capped = x.ridge ? l.mm(l.v.ridgeCap) : 0;
  /** Where the cap begins as course i: as wide as asked from there to the ridge. */
  const capAt = (i: number): number => (x.to * c + s * (base + underside(i, 0)) - capped * Math.cos(x.tilt - a)) / (c + s * Math.tan(a)); // prettier-ignore
  for (let i = 0; ; i++) {
    const at = x.from + i * show;
    if (capped > 0 && at > capAt(i) - LEAST) {
      const over = underside(i, capAt(i));
      return { strips, cap: { at: capAt(i), over, ...cut(capAt(i), over, Infinity) } };
    }
    const over = underside(i, at);
    const made = cut(at, over, width);
    if (made.width < LEAST) return { strips, cap: undefined };
    strips.push({ at, over, ...made });
  }
}
/** A strip narrower than this is left out, model mm. */
const LEAST = 0.4;
/** Middles of standing seams across a slope, one at both ends and the pans between as wide as each other. */
export function seamsAt(l: SheetLayout, half: number): number[] {
  const t = sheetOf(`sheet/${l.v.coverSheet}`)!.thickness;
  const n = Math.max(1, Math.round((2 * half - t) / l.mm(l.v.seamApart)));
  return evenly(2 * half, n + 1, t, 0).at.map((x) => x - half);
}

/** What lies on the slopes of a roof, from the eave up, and the cap over the ridge. `roof` gives the panel that it lies on. */
export function roofCover(
  b: Builder,
  l: SheetLayout,
  ctx: Context,
  roof: (side: Slope["side"]) => string,
  over: NonNullable<PanelSeed["over"]>,
): void {
  // prettier-ignore
  const { v } = l;
  if (v.cover === "none") return;
  const plain = sheetOf(`sheet/${v.coverSheet}`)!;
  const shafts = shaftsOf(l);
  const caps: string[] = [];
  const base = l.roof.thickness;
  for (const x of slopesOf(l)) {
    const root = `${ctx.structure}/cover/${x.side}`;
    const at = (up: number, out: number): Vec3 => addScaled(addScaled(x.origin, x.v, up), x.n, out);
    const put = (on: string, seed: Omit<PanelSeed, "assembly" | "u"> & { readonly u?: Vec3 }): string => b.add(panelMember(ctx.structure, { assembly: root, u: x.u, over: { ...over, on }, ...seed })).id; // prettier-ignore
    const deg = (-x.tilt * 180) / Math.PI;
    if (v.cover === "strips") {
      const { strips, cap } = coursesOf(l, x);
      const a = tiltOf(plain.thickness, l.mm(v.exposure));
      const tilted = addScaled(scale(x.v, Math.cos(a)), x.n, -Math.sin(a));
      const wide = l.mm(v.shingleWide);
      const lay = (on: string, id: string, role: string, letter: string, s: Course, i: number): string[] => {
        const origin = at(s.at, base + s.over);
        const texture = wide > 0 && role !== "ridge cap" ? { texture: { across: "u" as const, pitch: model(wide), first: -x.half + (i % 2 === 0 ? 0 : wide / 2), turns: false } } : {}; // prettier-ignore
        const seed = { role, letter, origin, v: tilted, thickness: plain.thickness, stock: plain.id, ...texture };
        return aside(shafts, { origin, u: x.u, v: tilted }, [-x.half, x.half], s.width, v.fit).map((span, n, all) => {
          const holes = shaftHoles(shafts, { origin, u: x.u, v: tilted }, span, [0, s.width], v.fit);
          return put(on, { ...seed, id: `${root}/${id}${all.length > 1 ? "abcdefg"[n] : ""}`, outline: rectangleOf(span, [0, s.width]), bevel: [0, 0, s.bevel, 0], holes }); // prettier-ignore
        });
      };
      let below = [roof(x.side)];
      strips.forEach((s, i) => {
        const ids = lay(below[0]!, s.starter ? "starter" : `strip${strips[0]!.starter ? i : i + 1}`, s.starter ? "starter strip" : "cover strip", s.starter ? "RT" : "RC", s, i); // prettier-ignore
        for (const id of ids) {
          b.join(touching(id, roof(x.side), "-w", "+w"));
          if (i > 0) for (const o of below) b.join(touching(id, o, "-w", "+w"));
        }
        below = ids;
      });
      if (cap) {
        const ids = lay(below[0]!, "cap", "ridge cap", "RK", cap, 0);
        for (const id of ids) for (const o of below) b.join(touching(id, o, "-w", "+w"));
        caps.push(...ids);
      }
      continue;
    }
    const textured = v.cover === "seams" ? undefined : ctx.sheet({ texture: v.cover as TextureId, pitch: prototype(v.coverPitch) }).item; // prettier-ignore
    const sheet: SheetItem = textured ?? plain;
    const upright = textured?.texture?.id !== "shingle";
    const texture = textured?.texture ? { across: upright ? ("u" as const) : ("v" as const), pitch: textured.texture.pitch, first: upright ? -x.half : 0, turns: upright } : undefined; // prettier-ignore
    const long = endOf(x, base) - x.from;
    const flat = at(x.from, base);
    const cover = put(roof(x.side), { id: `${root}/sheet`, role: "roof cover", letter: "RC", origin: flat, v: x.v, holes: shaftHoles(shafts, { origin: flat, u: x.u, v: x.v }, [-x.half, x.half], [0, long], v.fit), outline: rectangleOf([-x.half, x.half], [0, long]), bevel: [0, 0, x.ridge ? deg : 0, 0], thickness: sheet.thickness, stock: sheet.id, ...(texture ? { texture } : {}) }); // prettier-ignore
    b.join(touching(cover, roof(x.side), "-w", "+w"));
    const top = base + sheet.thickness;
    const cap = x.ridge ? l.mm(v.ridgeCap) : 0;
    if (cap > 0) {
      const origin = at(endOf(x, top) - cap, top);
      const sheetOfCap = { origin, u: x.u, v: x.v };
      aside(shafts, sheetOfCap, [-x.half, x.half], cap, v.fit).forEach((span, n, all) => {
        const id = put(cover, { id: `${root}/cap${all.length > 1 ? "abcdefg"[n] : ""}`, role: "ridge cap", letter: "RK", origin, v: x.v, outline: rectangleOf(span, [0, cap]), bevel: [0, 0, deg, 0], thickness: plain.thickness, stock: plain.id, holes: shaftHoles(shafts, sheetOfCap, span, [0, cap], v.fit) }); // prettier-ignore
        b.join(touching(id, cover, "-w", "+w"));
        caps.push(id);
      });
    }
    if (v.cover !== "seams") continue;
    const high = l.mm(v.seamHigh);
    const stop = (h: number): number => (cap > 0 ? endOf(x, top) - cap : endOf(x, top + h)) - x.from;
    seamsAt(l, x.half).forEach((m, i) => {
      const origin = addScaled(at(x.from, top), x.u, m - plain.thickness / 2);
      const stops = seamStops(shafts, x, origin, plain.thickness, high, v.fit);
      const spans = [0, ...stops.flat()];
      for (let k = 0; k < spans.length; k += 2) {
        const [from, to] = [spans[k]!, spans[k + 1] ?? Infinity];
        const outline: readonly Vec2[] = [[from, 0], [Math.min(to, stop(0)), 0], [Math.min(to, stop(high)), high], [from, high]]; // prettier-ignore
        if (outline[1]![0] - from < LEAST || outline[2]![0] - from < LEAST) continue;
        const id = put(cover, { id: `${root}/seam${i + 1}${stops.length > 0 ? "abcdefg"[k / 2] : ""}`, role: "standing seam", letter: "SM", origin, u: x.v, v: x.n, outline, thickness: plain.thickness, stock: plain.id }); // prettier-ignore
        b.join(touching(id, cover, "e0", "+w"));
      }
    });
  }
  for (const a of caps) for (const c of caps) if (a < c) b.join(touching(a, c, "e2", "e2"));
}
/** Up a seam from its foot, from where to where shafts stand in its way, over its whole height, from the lowest up. */
function seamStops(
  shafts: readonly Shaft[],
  x: Slope,
  origin: Vec3,
  thick: number,
  high: number,
  room: number,
): (readonly [number, number])[] {
  // prettier-ignore
  return shafts
    .flatMap((s): (readonly [number, number])[] => {
      const at = origin[0] + (x.u[0] * thick) / 2;
      if (at < s.x[0] - room - thick / 2 || at > s.x[1] + room + thick / 2) return [];
      const ups = [0, high].flatMap((h) => [s.y[0] - room, s.y[1] + room].map((y) => (y - origin[1] - x.n[1] * h) / x.v[1]));
      return [[Math.min(...ups), Math.max(...ups)]];
    })
    .sort((a, b) => a[0] - b[0]);
}
/** What is left of a strip's length beside shafts that are wider up the slope than it is: it is parted there. */
function aside(
  shafts: readonly Shaft[],
  sheet: Pick<PanelSeed, "origin" | "u" | "v">,
  [from, to]: readonly [number, number],
  width: number,
  room: number,
): (readonly [number, number])[] {
  // prettier-ignore
  const out: (readonly [number, number])[] = [];
  let start = from;
  const through = shafts.map((s) => throughAt(s, sheet, room)).filter((h) => h.v[0] < LEAST && h.v[1] > width - LEAST).sort((a, b) => a.u[0] - b.u[0]); // prettier-ignore
  for (const h of through) {
    if (h.u[0] - start > LEAST) out.push([start, Math.min(h.u[0], to)]);
    start = Math.max(start, h.u[1]);
  }
  if (to - start > LEAST) out.push([start, to]);
  return out;
}
