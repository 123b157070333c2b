import { sheetName, sheetOf, textureOf } from "../lumber";
import type { Piece, PieceShape } from "../frame";
import { sheetTaken, type Design, type SheetTaken } from "../job";
import { printFeetInches, printMm, printNumber, toPrototype } from "../units";
import type { Finding } from "./findings";

/** From here a pitch looks wrong to the eye, percent; from the smaller figure it is worth a remark. Common practice, no source. */
const [LOOKS_WRONG, WORTH_A_WORD] = [20, 5] as const;

/** Textured sheets whose pitch is off, and walls that take more than one sheet. */
export function sheetFindings(d: Design): Finding[] {
  const out: Finding[] = [];
  for (const [name, m] of d.sheets) {
    const { texture } = m.item;
    const off = Math.abs(m.error.percent);
    if (off < WORTH_A_WORD) continue;
    const t = textureOf(texture!.id);
    out.push({
      key: `stock:${name}`,
      level: off >= LOOKS_WRONG ? "warning" : "remark",
      text: `A pitch of ${printFeetInches(m.wanted.pitch)} for ${t.name} is not to be had: ${m.item.name} shows ${printFeetInches(toPrototype(d.scale, texture!.pitch))}, ${printNumber(off, 0)} % too ${m.error.model > 0 ? "wide" : "narrow"}.`,
      sticks: d.pieces.filter((p) => p.stock === m.item.id).flatMap((p) => p.sticks),
      remedy: { label: "Choose other stock", do: "stock", nominal: sheetName(m.wanted) },
    });
  }
  out.push(...tooLarge(d));
  for (const s of d.structures) {
    const { members, joints } = s.resolved.frame;
    const facings = new Map(members.flatMap((m) => (m.role === "facing" ? [[m.id, m]] : [])));
    const seams = joints.filter(
      (j) =>
        "b" in j &&
        facings.get(j.a)?.assembly !== undefined &&
        facings.get(j.a)!.assembly === facings.get(j.b)?.assembly,
    );
    for (const wall of new Set(seams.map((j) => facings.get(j.a)!.assembly))) {
      const own = seams.filter((j) => facings.get(j.a)!.assembly === wall);
      const ids = new Set(own.flatMap((j) => [j.a, "b" in j ? j.b : j.a]));
      const body = facings.get(own[0]!.a)!.body;
      const size = body.shape === "panel" ? sheetOf(body.stock)?.sizes.at(-1) : undefined;
      if (!size) continue;
      out.push({
        key: `${s.structure.id}:spliced:${wall}`,
        structure: s.structure.id,
        level: "remark",
        text: `The facing of the wall “${wall.split("/").pop()!}” is longer than its sheet of ${printMm(size[0], 0)} × ${printMm(size[1], 0)}: ${ids.size} pieces meet on it. Back each seam with a plate, and let the lines run on over it.`,
        sticks: [...ids],
      });
    }
  }
  return out;
}

/** Whether a panel can be cut from a sheet of a size, its lines along those of the sheet. */
function comesFrom(
  { lines }: PieceShape,
  { long, wide }: SheetTaken,
  [across, along]: readonly [number, number],
): boolean {
  const near = 0.005;
  const fits = (u: number, v: number): boolean => long <= u + near && wide <= v + near;
  if (!lines) return fits(along, across) || fits(across, along);
  return lines.across === "u" ? fits(across, along) : fits(along, across);
}
/** Panels that none of their sheets is large enough for: those of one role and sheet are one matter. */
function tooLarge(d: Design): Finding[] {
  const groups = new Map<string, Piece[]>();
  for (const p of d.pieces) {
    const item = sheetOf(p.stock);
    const taken = item && sheetTaken(p.shape);
    if (!taken || item.sizes.some((size) => comesFrom(p.shape, taken, size))) continue;
    const key = `${p.stock}|${p.role}`;
    groups.set(key, [...(groups.get(key) ?? []), p]);
  }
  return [...groups].map(([key, pieces]) => {
    const [p] = pieces.sort((a, b) => b.shape.overall - a.shape.overall);
    const item = sheetOf(p!.stock)!;
    const { long, wide } = sheetTaken(p!.shape)!;
    const [a, b] = item.sizes.at(-1)!;
    const marks = pieces.map((x) => x.mark).join(", ");
    const lines = p!.shape.lines ? ", its lines along the longer side" : "";
    return {
      key: `large:${key}`,
      level: "warning" as const,
      text: `${marks} (${p!.role}) ${pieces.length === 1 ? "takes" : "take up to"} ${printMm(long, 0)} × ${printMm(wide, 0)}, and ${item.name} comes in ${printMm(a, 0)} × ${printMm(b, 0)}${lines}: splice it${lines ? " on a line" : ""}, with a plate behind.`,
      sticks: pieces.flatMap((x) => x.sticks),
    };
  });
}
