import { bearings, pieceShape, workLength, type EndCut } from "../frame";
import { cornersOf } from "../geometry";
import type { Design } from "./design";

const r = (n: number): number => Number(n.toFixed(6)) + 0;
const angles = (cuts: readonly EndCut[]) => {
  const [first = { mitre: 0, bevel: 0, face: "-w" }, ...more] = cuts;
  const one = (c: { mitre: number; bevel: number; face: string }) => ({
    mitre: r(c.mitre),
    bevel: r(c.bevel),
    face: c.face,
  });
  return { ...one(first), ...(more.length ? { more: more.map(one) } : {}) };
};

/**
 * The frame of a job as data: every stick with its cut lengths (model mm) and angles (degrees), its solid as convex parts,
 * every joint with how it bears, every node. One chosen variant per structure.
 */
export function frameReport(d: Design): object {
  const mark = new Map(d.pieces.flatMap((p) => p.sticks.map((s) => [s, p.mark] as const)));
  const members = d.structures.flatMap((s) =>
    s.resolved.sticks.map((k) => {
      const shape = pieceShape(k);
      return {
        id: k.id,
        structure: k.member.structure,
        assembly: k.member.assembly,
        role: k.member.role,
        kind: k.member.kind,
        nominal: k.member.nominal,
        section: k.size.map(r),
        stock: k.stock,
        workLength: r(workLength(k.member)),
        overall: r(shape.overall),
        longPoint: r(shape.longPoint),
        shortPoint: r(shape.shortPoint),
        ends: shape.ends.map(angles),
        mark: mark.get(k.id),
        ...(k.member.loose ? { loose: true } : {}),
        solid: k.parts.map((p) => cornersOf(p).map((c) => c.map(r))),
      };
    }),
  );
  const joints = d.structures.flatMap((s) => {
    const found = new Map(bearings(s.resolved).map((b) => [b.joint, b]));
    return s.resolved.frame.joints.map((j) => {
      const b = found.get(j.id);
      return {
        id: j.id,
        a: j.a,
        b: "b" in j ? j.b : `datum:${j.datum}`,
        kind: j.kind,
        contact: j.contact,
        ...(b ? { wanted: r(b.wanted), borne: r(b.borne), ok: b.ok } : {}),
      };
    });
  });
  return { members, joints, nodes: d.structures.flatMap((s) => s.resolved.frame.nodes) };
}
