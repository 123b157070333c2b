import { useCallback, useMemo, useState } from "react";
import { placeOf, planPoint, snapped, wallsAt, type Place, type PlacedWall, type PlanFacts } from "core/site";
import { askLooker } from "~/job/framer";
import { useAnswer } from "~/job/useAnswer";
import { useJob } from "~/job/JobContext";

/** A structure on the plan: where it stands, or is being dragged to, and how it looks from above. */
export interface Placed {
  readonly id: string;
  readonly name: string;
  readonly place: Place;
  readonly facts: PlanFacts;
  readonly walls: readonly PlacedWall[];
}
/** Room left between a structure that comes onto the plan and those that are there, model mm. */
const BESIDE = 10;
const tidy = (n: number): number => Math.round(n * 100) / 100 + 0;
/** Where the middle of a structure is on the plan, and how high its lowest wood is over the plan's level, model mm. */
export function standsAt({ place, facts }: Pick<Placed, "place" | "facts">): { x: number; y: number; over: number } {
  const [x, y] = planPoint(place, facts.middle);
  return { x, y, over: place.z + facts.low };
}
/** The same structure turned about its middle to so many degrees. */
export const turnedTo = (p: Placed, turn: number): Place => {
  const { x, y, over } = standsAt(p);
  return placeOf(p.facts, [x, y], over, turn);
};
/** A turn from −180 to 180 degrees. */
export const tidyTurn = (n: number): number => tidy(n - 360 * Math.round(n / 360));

/** The spot's edges as walls that look into it: what stands before them, and what it is pushed against. */
export function spotWalls(length: number, depth: number): PlacedWall[] {
  if (!(length > 0 && depth > 0)) return [];
  const [x, y] = [length / 2, depth / 2];
  const wall = (name: string, from: [number, number], along: [number, number], out: [number, number], l: number): PlacedWall => ({ name, from: [...from, 0], along: [...along, 0], out: [...out, 0], length: l, height: Infinity }); // prettier-ignore
  return [
    wall("front edge", [-x, -y], [1, 0], [0, 1], length),
    wall("right edge", [x, -y], [0, 1], [-1, 0], depth),
    wall("back edge", [x, y], [-1, 0], [0, -1], length),
    wall("left edge", [-x, y], [0, -1], [1, 0], depth),
  ];
}

/** The plan of the job: what stands where, and how to change it. */
export function usePlaces() {
  const { doc, ask, edit } = useJob();
  const request = useMemo(() => () => askLooker((w) => w.plan(ask)), [ask]);
  const { answer, fault } = useAnswer<readonly PlanFacts[]>(request);
  const [drag, setDrag] = useState<{ readonly id: string; readonly place: Place }>();
  const { spotLength, spotDepth } = doc.brief;
  const edges = useMemo(() => spotWalls(spotLength, spotDepth), [spotLength, spotDepth]);
  const placed = useMemo(
    () =>
      doc.structures.flatMap((s): Placed[] => {
        const facts = answer?.find((f) => f.structure === s.id);
        const place = drag?.id === s.id ? drag.place : s.place;
        return facts && place ? [{ id: s.id, name: s.name, place, facts, walls: wallsAt(facts.walls, place) }] : [];
      }),
    [doc.structures, answer, drag],
  );
  const keep = useCallback(
    (id: string, place: Place | undefined, label: string) => {
      setDrag(undefined);
      edit(label, (d) => {
        const s = d.structures.find((x) => x.id === id)!;
        if (place) s.place = { x: tidy(place.x), y: tidy(place.y), z: tidy(place.z), turn: tidyTurn(place.turn) };
        else delete s.place;
      });
    },
    [edit],
  );
  /** Where it comes to lie when it is dragged so far: pushed against what is within reach. */
  const pulled = (p: Placed, from: Place, by: readonly [number, number], reach: number): Place => {
    const to = { ...from, x: from.x + by[0], y: from.y + by[1] };
    if (reach <= 0) return to;
    const others = [...placed.filter((o) => o.id !== p.id).flatMap((o) => o.walls), ...edges];
    const [x, y] = snapped(wallsAt(p.facts.walls, to), others, reach);
    return { ...to, x: to.x + x, y: to.y + y };
  };
  /** Puts a structure on the plan: in its middle, or to the right of what is there. */
  const put = (id: string, name: string): void => {
    const facts = answer?.find((f) => f.structure === id);
    const right = Math.max(...placed.flatMap((p) => p.facts.silhouette.flat().map((c) => planPoint(p.place, c)[0])));
    const left = Math.min(...(facts?.silhouette.flat().map((c) => c[0]) ?? [0]));
    if (!facts) return;
    const x = placed.length > 0 ? right + BESIDE - left + facts.middle[0] : 0;
    keep(id, placeOf(facts, [x, 0], 0, 0), `Put ${name} on the plan`);
  };
  return { placed, known: answer !== undefined, fault, edges, setDrag, keep, pulled, put };
}
export type Places = ReturnType<typeof usePlaces>;
