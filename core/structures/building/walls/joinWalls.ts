import { NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { wallOn } from "../roof/slopes";
import { touching } from "./wallKit";

/** Ties walls that stand against each other: end walls between the others, wings against the main part. */
export function joinWalls(b: Builder, l: BuildingLayout): void {
  const ids = new Set(b.members.map((m) => m.id));
  for (const part of l.parts) {
    for (const side of ["E", "W"] as const) {
      const w = wallOn(part, side);
      if (!w) continue;
      // seen from outside: an E wall has S at its left, a W wall has N
      const beside = side === "E" ? (["S", "N"] as const) : (["N", "S"] as const);
      const soles = b.members.filter((m) => m.id.startsWith(`${rootOf(l, w.name)}/sole/`));
      const [first, last] = [soles[0], soles[soles.length - 1]];
      [first, last].forEach((sole, i) => {
        const other = wallOn(part, beside[i]!);
        if (!sole || !other) return;
        // the sole of the wall it ends against: the piece at that corner
        const own = b.members.filter((m) => m.id.startsWith(`${rootOf(l, other.name)}/sole/`));
        const right = (side === "E") === (beside[i] === "S");
        const near = right ? own[own.length - 1] : own[0];
        // walls that begin at levels of their own stand against each other with their uprights and plates
        const apart = Math.abs(w.foot - other.foot) > NEAR;
        if (apart)
          b.join(
            touching(
              `${rootOf(l, w.name)}/plate/1`,
              `${rootOf(l, other.name)}/plate/1`,
              i === 0 ? "end0" : "end1",
              "-v",
            ),
          );
        if (apart)
          for (const u of cornersOf(b, rootOf(l, other.name)))
            for (const m of cornersOf(b, rootOf(l, w.name))) b.join(touching(m.id, u.id, i === 0 ? "-w" : "+w", "-v"));
        else if (near)
          b.join({
            kind: "bearing",
            id: `${sole.id}>${other.name}`,
            a: sole.id,
            b: near.id,
            aFace: i === 0 ? "end0" : "end1",
            bFace: "-v",
            contact: "face",
          });
      });
      if (l.v.framing !== "posts" && l.v.topPlates === 2 && part.walls.every((x) => Math.abs(x.top - w.top) < NEAR))
        for (const s of beside) {
          const other = wallOn(part, s);
          const [upper, lower] = [`${rootOf(l, w.name)}/plate/2`, other && `${rootOf(l, other.name)}/plate/1`];
          if (other && lower && ids.has(upper) && ids.has(lower))
            b.join({
              kind: "lap",
              id: `${upper}>${other.name}`,
              a: upper,
              b: lower,
              aFace: "+w",
              bFace: "-w",
              contact: "face",
            });
        }
    }
    if (!part.against) continue;
    // a wing's walls end against the outside of the main part's wall
    const main = rootOf(l, part.against);
    const foot = l.main.walls.find((x) => x.name === part.against)?.foot ?? 0;
    for (const w of part.walls) {
      const end = w.through ? (w.side === "S" ? 0 : 1) : w.side === "E" ? 1 : 0;
      if (end === 0 ? w.from > NEAR : w.to < w.length - NEAR) continue;
      for (const kind of ["sole", "plate"])
        for (const own of b.members.filter((m) => m.id.startsWith(`${rootOf(l, w.name)}/${kind}/`)))
          for (const m of b.members.filter(
            (x) =>
              x.id.startsWith(`${main}/${kind}/`) ||
              // a wall that runs down past the floor has its uprights there
              (foot !== 0 && x.id.startsWith(`${main}/`) && /stud|post/.test(x.role)),
          ))
            b.join(touching(own.id, m.id, end === 0 ? "end0" : "end1", "+v"));
    }
  }
  // partitions end against the inside of the front and back walls
  const platesOf = (wall: string) => {
    const [sole, plate] = [`${rootOf(l, wall)}/sole/`, `${rootOf(l, wall)}/plate/`];
    return b.members.filter((m) => m.id.startsWith(sole) || m.id.startsWith(plate));
  };
  const ends = ["front", "back"].map(platesOf);
  for (const w of l.partitions)
    for (const m of platesOf(w.name))
      ends.forEach((list, i) => list.forEach((o) => b.join(touching(m.id, o.id, i === 0 ? "end0" : "end1", "-v"))));
}
const cornersOf = (b: Builder, root: string) =>
  b.members.filter(
    (m) => m.id.startsWith(`${root}/corner/`) || (m.role === "corner post" && m.id.startsWith(`${root}/`)),
  );
