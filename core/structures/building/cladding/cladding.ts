import { dormersOf } from "../roof/dormer";
import type { Builder } from "../../builder";
import { baysOf } from "../bay/bayPlan";
import { bayFace } from "../bay/bayFace";
import { behindOf, type Behind } from "./behind";
import { casings } from "../trim/casings";
import { cladFace, type CladFace } from "./cladFace";
import { cornerBoards } from "../trim/cornerBoards";
import { courses } from "./courses";
import type { BuildingLayout } from "../plan/layout";
import { sheetFace } from "./sheetFace";
import { uprightBoards } from "./uprightBoards";

/** Boards, battens, corner boards and casings on the outside of every wall. */
export function cladding(b: Builder, l: BuildingLayout): void {
  const { v } = l;
  for (const part of [...l.parts, ...dormersOf(l).map((d) => d.part)])
    // long walls first: the end walls' corner boards cover the edges of theirs
    for (const w of [...part.walls].sort((m, n) => Number(n.through) - Number(m.through))) {
      if (v.casings) casings(b, l, w);
      if (v.siding === "none") continue;
      const f = cladFace(b, l, part, w);
      const behind = behindOf(b, l, part, w);
      if (v.cornerBoards) cornerBoards(b, l, f, behind);
      clad(b, l, f, behind);
    }
  cladBays(b, l);
}
/** Cladding of a bay's three walls. */
function cladBays(b: Builder, l: BuildingLayout): void {
  for (const bay of baysOf(l))
    for (const w of bay.walls) {
      if (l.v.casings) casings(b, l, w);
      if (l.v.siding === "none") continue;
      const f = bayFace(l, bay, w);
      clad(b, l, f, behindOf(b, l, f.part, w));
    }
}
function clad(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[]): void {
  if (l.sheet) sheetFace(b, l, f, behind);
  else if (l.v.siding === "vertical" || l.v.siding === "batten") uprightBoards(b, l, f, behind);
  else courses(b, l, f, behind);
}
