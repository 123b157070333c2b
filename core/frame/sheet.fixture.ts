import type { Member, PanelBody } from "./member";
import { emptyFrame, resolve, type Resolved } from ".";
import { model } from "../units";

/** A sheet of 20 × 10 mm and 1 mm thick that stands on the front, with what is to be otherwise of it. */
export function sheetFixture(over: Partial<PanelBody> = {}): Resolved {
  const member: Member = {
    id: "t/wall",
    structure: "t",
    assembly: "t",
    role: "facing",
    letter: "FS",
    kind: "panel",
    nominal: [0, 0],
    ends: [undefined, undefined],
    turning: over.texture?.turns ? "face" : "none",
    body: { shape: "panel", origin: [5, 0, 2], u: [1, 0, 0], v: [0, 0, 1], outline: [[0, 0], [20, 0], [20, 10], [0, 10]], bevel: [0, 0, 0, 0], thickness: model(1), stock: "sheet", holes: [], ...over }, // prettier-ignore
  };
  return resolve({ ...emptyFrame, members: [member] }).sticks[0]!;
}
