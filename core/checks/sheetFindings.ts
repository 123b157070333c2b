import { sheetName, sheetOf, textureOf } from "../lumber";
import type { Design } from "../job";
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
