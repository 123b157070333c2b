import { moved, single, TUBE_FLATS, type Frame, type Ring } from "../../frame";
import { planeAt, type Vec3 } from "../../geometry";
import { model, MM_PER_INCH, toPrototype } from "../../units";
import { builder, type Builder } from "../builder";
import type { Context } from "../kind";
import { panelMember, rectangleOf } from "../panel";
import { sheetFrame } from "../sheet/frame";
import { houseValues, infillWidths, tubesLayout, type TubesLayout } from "./layout";
import type { TubesValues } from "./parameters";

/**
 * Everything of a row of tubes: the tubes, cut square or aslant; wraps and hoops in halves that meet at the sides; flat
 * panels from tube to tube, their edges bevelled along the circles; the deck and on it a headhouse. A wrap of .020 in
 * round a pipe of 50 mm is π × 50.508 = 158.676 mm once round, 79.338 each half. Model mm.
 */
export function tubesFrame(v: TubesValues, ctx: Context): Frame {
  const l = tubesLayout(v, ctx);
  const b = builder(ctx.structure);
  const at = (part: string): string => `${ctx.structure}/${part}`;
  if (l.k > 0) b.datums.tops = planeAt([0, 0, l.high], [0, -l.k, 1]);
  l.axes.forEach((x, i) => {
    tube(b, l, ctx, x, i);
    if (l.wrap) bent(b, l, ctx, { x, i, role: "wrap", letter: "WR", radius: l.tube.width / 2, z: 0, tall: l.high - l.k * l.radius, thick: l.wrap.item.thickness, stock: l.wrap.item.id }); // prettier-ignore
    l.hoops.forEach((z, k) => {
      const { v: tall, w: thick, components } = l.hoop!;
      bent(b, l, ctx, { x, i, role: "hoop", letter: "HP", radius: l.radius, z: z - tall / 2, tall, thick, stock: components[0]!.stock, name: `hoop${k + 1}` }); // prettier-ignore
    });
  });
  if (v.infill !== "none" && l.axes.length > 1) {
    l.axes.slice(1).forEach((x, i) => {
      for (const side of v.infill === "both" ? ([-1, 1] as const) : ([-1] as const)) infill(b, l, ctx, x - l.pitch / 2, i, side); // prettier-ignore
    });
  }
  if (!l.deck) return b.frame();
  const [x, y] = [((l.axes.length - 1) * l.pitch) / 2 + l.outer + l.mm(v.deckOver), l.outer + l.mm(v.deckOver)];
  b.add(
    panelMember(ctx.structure, { id: at("deck"), assembly: at("deck"), role: "deck", letter: "DK", origin: [0, 0, l.high], u: [1, 0, 0], v: [0, 1, 0], outline: rectangleOf([-x, x], [-y, y]), thickness: l.deck.thickness, stock: l.deck.id }), // prettier-ignore
  );
  l.axes.forEach((_, i) => b.join({ kind: "bearing", id: at(`tube${i + 1}>deck`), a: at(`tube${i + 1}`), b: at("deck"), aFace: "end1", bFace: "-w", contact: "gap" })); // prettier-ignore
  if (v.headhouse === "none") return b.frame();
  const inner = { ...ctx, structure: at("headhouse") };
  const house = moved(sheetFrame(houseValues(v), inner), [0, 0, l.high + l.deck.thickness]);
  for (const m of house.members) b.add({ ...m, structure: ctx.structure });
  for (const j of house.joints) b.join(j);
  Object.assign(b.datums, house.datums);
  for (const m of house.members)
    if (/^(facing|core sheet)$/.test(m.role)) b.join({ kind: "bearing", id: `${m.id}>deck`, a: m.id, b: at("deck"), aFace: "e0", bFace: "+w", contact: "gap" }); // prettier-ignore
  return b.frame();
}
function tube(b: Builder, l: TubesLayout, ctx: Context, x: number, i: number): void {
  const id = `${ctx.structure}/tube${i + 1}`;
  const inch = toPrototype(ctx.scale, model(l.tube.width)) / MM_PER_INCH;
  b.add({
    id,
    structure: ctx.structure,
    assembly: id,
    role: "tube",
    letter: "TU",
    kind: "round",
    nominal: [Number(inch.toFixed(1)), Number(inch.toFixed(1))],
    ends: [{ kind: "square", beyond: 0 }, l.k > 0 ? undefined : { kind: "square", beyond: 0 }],
    grounded: true,
    body: { shape: "round", a: [x, 0, 0], b: [x, 0, l.high], up: [1, 0, 0], diameter: l.tube.width, stock: l.tube.id }, // prettier-ignore
  });
  if (l.k > 0) b.join({ kind: "trim", id: `${id}>top`, a: id, datum: "tops", as: "end1", contact: "gap" });
}
interface Bent {
  readonly x: number;
  readonly i: number;
  readonly role: "wrap" | "hoop";
  readonly letter: string;
  /** Of what it lies on. */
  readonly radius: number;
  readonly z: number;
  readonly tall: number;
  readonly thick: number;
  readonly stock: string;
  readonly name?: string;
}
/** A sheet or strip round a tube, in two halves: front and back. Its rings stand at the corners of the tube's flats. */
function bent(b: Builder, l: TubesLayout, ctx: Context, s: Bent): void {
  const r = s.radius + s.thick / 2;
  const ring = (t: number): Ring => ({
    at: [s.x + r * Math.cos(t), r * Math.sin(t), s.z + s.tall / 2],
    v: [0, 0, 1],
    w: [Math.cos(t), Math.sin(t), 0],
    turn: t,
  });
  for (const [half, from] of [
    ["front", Math.PI],
    ["back", 0],
  ] as const) {
    const rings = Array.from({ length: TUBE_FLATS / 2 + 1 }, (_, k) => ring(from + (k * 2 * Math.PI) / TUBE_FLATS));
    const assembly = `${ctx.structure}/tube${s.i + 1}`;
    const id = `${assembly}/${s.name ?? s.role}/${half}`;
    b.add({
      id,
      structure: ctx.structure,
      assembly,
      role: s.role,
      letter: s.letter,
      kind: "bent",
      nominal: s.role === "hoop" ? l.hoop!.nominal : [0, 0],
      ends: [
        { kind: "square", beyond: 0 },
        { kind: "square", beyond: 0 },
      ],
      turning: "face",
      body: { shape: "run", axis: [0, 0, 1], rings, seat: ["centre", "centre"], components: single(model(s.tall), model(s.thick), s.stock) }, // prettier-ignore
    });
    const on = s.role === "hoop" && l.wrap ? `${assembly}/wrap/${half}` : assembly;
    b.join({ kind: "bearing", id: `${id}>${s.role === "hoop" ? "under" : "tube"}`, a: id, b: on, aFace: "-w", bFace: s.role === "hoop" && l.wrap ? "+w" : "+v", contact: "gap" }); // prettier-ignore
  }
}
/** A panel between two tubes, its outside towards the front (−1) or the back. */
function infill(b: Builder, l: TubesLayout, ctx: Context, x: number, i: number, side: -1 | 1): void {
  const { outside, inside, y } = infillWidths(l);
  const id = `${ctx.structure}/infill${i + 1}/${side < 0 ? "front" : "back"}`;
  const half = inside / 2;
  const bevel = (-Math.atan((outside - inside) / 2 / l.infill.thickness) * 180) / Math.PI;
  const inner: Vec3 = [x, side * (y - l.infill.thickness), 0];
  const low = l.high + (side * l.k * y - (side < 0 ? 0 : l.k * l.infill.thickness));
  b.add(
    panelMember(ctx.structure, { id, assembly: `${ctx.structure}/infill`, role: "infill panel", letter: "IP", origin: inner, u: [-side, 0, 0], v: [0, 0, 1], outline: rectangleOf([-half, half], [0, low]), bevel: [0, bevel, 0, bevel], thickness: l.infill.thickness, stock: l.infill.id, grounded: true }), // prettier-ignore
  );
}
