import { outline, text, type Drawing, type Entity } from "../drawing";
import { onPiece, pieceShape, type Piece, type Resolved } from "../frame";
import { hull, type Vec2, type Vec3 } from "../geometry";
import type { FastenerDoc, StructureDesign } from "../job";
import { model, printMm } from "../units";
import { FASTENER_WORDS } from "./judgement";
import { holesOf } from "./holes";

/** A hole on a piece as it lies: from its start along it, and from its near edge, model mm; on which of its faces. */
export interface PieceHole {
  readonly stick: Resolved;
  readonly face: "wide face" | "edge" | "end";
  readonly along: number;
  readonly across: number;
  readonly fastener: FastenerDoc;
}
/** Every hole of a fastener on both of its parts, as the pieces lie to be drilled. */
export function pieceHoles(s: StructureDesign, f: FastenerDoc): PieceHole[] {
  return holesOf(s, f).flatMap((h) =>
    [h.a, h.b].map((stick): PieceHole => {
      const { point, plane } = onPiece(stick);
      const p = point(h.at);
      const n = plane({ n: h.axis, d: 0 }).n;
      const [v, w] = pieceShape(stick).section;
      const [x, y, z] = n.map(Math.abs) as [number, number, number];
      if (z >= x && z >= y) return { stick, face: "wide face", along: p[0], across: p[1] + v / 2, fastener: f };
      if (y >= x) return { stick, face: "edge", along: p[0], across: p[2] + w / 2, fastener: f };
      return { stick, face: "end", along: p[1] + v / 2, across: p[2] + w / 2, fastener: f };
    }),
  );
}
const [APART, SIZE] = [6, 1.9];
/** Drilling patterns at full size: of every piece that a fastener goes through one, with the holes of both parts at the same places. Undefined where there are none. */
export function holeDrawing(s: StructureDesign, f: FastenerDoc, pieces: readonly Piece[]): Drawing | undefined {
  const mark = new Map(pieces.flatMap((p) => p.sticks.map((x) => [x, p.mark] as const)));
  const byStick = new Map<string, PieceHole[]>();
  for (const h of pieceHoles(s, f)) {
    const key = `${h.stick.id}|${h.face}`;
    byStick.set(key, [...(byStick.get(key) ?? []), h]);
  }
  // sticks of a mark that are drilled alike stand once
  const alike = new Map<string, { readonly holes: PieceHole[]; count: number }>();
  for (const holes of byStick.values()) {
    const at = holes.map((h) => `${h.along.toFixed(1)},${h.across.toFixed(1)}`).sort().join(" "); // prettier-ignore
    const key = `${mark.get(holes[0]!.stick.id) ?? holes[0]!.stick.id}|${holes[0]!.face}|${at}`;
    const known = alike.get(key);
    if (known) known.count++;
    else alike.set(key, { holes, count: 1 });
  }
  if (alike.size === 0) return undefined;
  const [shapes, words]: [Entity[], Entity[]] = [[], []];
  let y = 0;
  for (const { holes, count } of alike.values()) {
    const { stick, face } = holes[0]!;
    const shape = pieceShape(stick);
    const [v, w] = shape.section;
    const flat = (c: Vec3): Vec2 => (face === "wide face" ? [c[0], c[1] + v / 2] : face === "edge" ? [c[0], c[2] + w / 2] : [c[1] + v / 2, c[2] + w / 2]); // prettier-ignore
    const ring = hull(shape.corners.map(flat), 1e-6);
    const high = Math.max(...ring.map((p) => p[1]));
    y -= high + APART + (1 + holes.length) * SIZE * 1.5;
    shapes.push(outline(ring.map(([a, b]): Vec2 => [a, b + y]), "outline", "white")); // prettier-ignore
    for (const h of holes) shapes.push(outline(circle([h.along, h.across + y], h.fastener.diameter / 2), "outline", "black")); // prettier-ignore
    words.push(text([0, y - SIZE * 1.5], `${count} × ${mark.get(stick.id) ?? ""} ${stick.member.role}, ${face}: ${holes.length} × ⌀ ${printMm(model(f.diameter), 1)} for a ${FASTENER_WORDS[f.kind]}`, SIZE)); // prettier-ignore
    holes.forEach((h, i) => words.push(text([0, y - (i + 2) * SIZE * 1.5], `${printMm(model(h.along), 1)} from its start, ${printMm(model(h.across), 1)} from its near edge`, SIZE))); // prettier-ignore
  }
  return { layers: [{ name: "holes", entities: shapes }, { name: "words", entities: words }] }; // prettier-ignore
}
const circle = ([x, y]: Vec2, r: number): Vec2[] =>
  Array.from({ length: 24 }, (_, i): Vec2 => [x + r * Math.cos((i * Math.PI) / 12), y + r * Math.sin((i * Math.PI) / 12)]); // prettier-ignore
