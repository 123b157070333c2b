import { printFeetInches } from "../units";
import type { NotedOpening, Remark } from "./kind";

/** A framed opening is the one noted when both its sides are within this share. Common practice: castings are chosen that near. */
const SAME_SIZE = 0.08;
/** Trim that differs by less is the same board, prototype mm. */
const SAME_TRIM = 26;

export type Stands = NotedOpening["set"];
/** An opening as it is framed: sizes in prototype mm, how it stands to the wall, how wide its trim is. */
export interface FramedOpening {
  readonly door: boolean;
  readonly width: number;
  readonly height: number;
  readonly stands: Stands;
  readonly trim: number;
}
/** How openings of a kind are made to stand as noted: the value of their `mount`, and the parameter of the trim with what sets it. */
export interface NoteRemedies {
  readonly mounts: Readonly<Record<Stands, string>>;
  readonly trim: (noted: number) => Pick<Remark, "param" | "fix">;
}

/** What a drawing notes of openings and the frame has otherwise: how they stand to the wall, the trim round them. An opening of the same kind and size is the one that is meant. */
export function openingNotes(
  framed: readonly FramedOpening[],
  noted: readonly NotedOpening[],
  by: NoteRemedies,
): Remark[] {
  // prettier-ignore
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= SAME_SIZE * Math.max(a, b);
  return noted.flatMap((n): Remark[] => {
    const i = framed.findIndex((o) => o.door === n.door && near(o.width, n.width) && near(o.height, n.height));
    const o = framed[i];
    if (!o) return [];
    const out: Remark[] = [];
    if (o.stands !== n.set)
      out.push({
        level: "warning",
        param: `openings.${i}.mount`,
        text: `“${n.name}” is noted ${n.set} on “${n.drawing}”, and opening ${i + 1}, which has its size, is mounted so that it stands ${o.stands}.`,
        fix: { label: `Let it stand ${n.set}`, value: by.mounts[n.set] },
      });
    if (Math.abs(o.trim - n.trim) > SAME_TRIM)
      out.push({
        text: `“${n.name}” is noted with ${n.trim > 0 ? `trim ${printFeetInches(n.trim)} wide` : "no trim"} on “${n.drawing}”; the frame has ${o.trim > 0 ? `casings of ${printFeetInches(o.trim)}` : "no casings"}.`,
        ...by.trim(n.trim),
      });
    return out;
  });
}
