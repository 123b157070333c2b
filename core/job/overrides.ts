import { spliceStations, workLength, type FreeEnd, type Frame, type Joint, type Member } from "../frame";
import type { OverrideDoc } from "./document";

/**
 * Applies what a person changed on single sticks: leaves them out with their joints, makes free and square-lapped ends
 * longer or shorter (model mm). An end left without a joint is cut square at its work line. Answers also the paths that
 * name no stick any more: they are kept and shown, not dropped.
 */
export function applyOverrides(
  frame: Frame,
  structure: string,
  overrides: Readonly<Record<string, OverrideDoc>>,
  longest: (stock: string) => number = () => Infinity,
): { readonly frame: Frame; readonly parked: readonly string[] } {
  const paths = Object.keys(overrides);
  if (paths.length === 0) return { frame, parked: [] };
  const of = (id: string): OverrideDoc | undefined => overrides[id.slice(structure.length + 1)];
  const ids = new Set(frame.members.map((m) => m.id));
  const gone = new Set(frame.members.filter((m) => of(m.id)?.omit).map((m) => m.id));
  const joints = frame.joints
    .filter((j) => !gone.has(j.a) && !("b" in j && gone.has(j.b)))
    .map((j): Joint => {
      const ends = of(j.a)?.ends;
      if (!ends || j.kind !== "lap" || !j.finish) return j;
      return { ...j, finish: { ...j.finish, beyond: j.finish.beyond + ends[j.finish.end] } };
    });
  const endsCut = (id: string, end: 0 | 1): boolean =>
    joints.some(
      (j) =>
        (j.a === id && (("end" in j && j.end === end) || ("finish" in j && j.finish?.end === end))) ||
        (j.kind === "mitre" && j.b === id && j.bEnd === end),
    ) || frame.nodes.some((n) => n.tiers.flat().some((e) => e.member === id && e.end === end));
  const members = frame.members
    .filter((m) => !gone.has(m.id))
    .map((m): Member => {
      const change = of(m.id)?.ends;
      const end = (k: 0 | 1): FreeEnd | undefined => {
        const free =
          m.ends[k] ?? (gone.size > 0 && !endsCut(m.id, k) ? ({ kind: "square", beyond: 0 } as const) : undefined);
        return free && change ? { ...free, beyond: free.beyond + change[k] } : free;
      };
      const ended = change || gone.size > 0 ? { ...m, ends: [end(0), end(1)] as Member["ends"] } : m;
      return of(m.id)?.splice ? spliced(ended, longest) : ended;
    });
  return { frame: { ...frame, members, joints }, parked: paths.filter((p) => !ids.has(`${structure}/${p}`)) };
}

/** A member with the splices that the longest stick of its stock asks for; as it was where its supports stand too far apart. */
function spliced(m: Member, longest: (stock: string) => number): Member {
  if (m.body.shape !== "straight" || !m.spliceOver) return m;
  const [a, b] = m.ends.map((e) => e?.beyond ?? 0) as [number, number];
  const stations = spliceStations(-a, workLength(m) + a + b, longest(m.body.components[0]!.stock), m.spliceOver);
  return stations?.length ? { ...m, splices: stations } : m;
}
