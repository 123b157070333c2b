import { hull, type Vec2 } from "../geometry";
import { unionOf } from "../geometry/union";
import { cardStick, type Design } from "../job";
import type { NestPart } from "../nesting";
import { cardParts } from "./cardNet";
import { cardOf } from "./kindSheets";

/** A part of a mock-up as it is nested: what is cut round it, and what is folded and printed on it, its lower left corner at 0, 0. */
export interface CardToCut {
  readonly part: NestPart;
  readonly role: string;
  readonly rings: readonly (readonly Vec2[])[];
  readonly lines: readonly (readonly [Vec2, Vec2])[];
}

/** Every structure of a job that is tried in card, part by part, none longer than the card that can be folded otherwise; what is cut is left out. Model mm. */
export function cardMockups(d: Design, longest: number, done: ReadonlySet<string>): CardToCut[] {
  let n = 0;
  return d.structures.flatMap((s) =>
    cardParts(cardOf(s) ?? { strips: [], slopes: [] }, longest).flatMap((p, i): CardToCut[] => {
      n++;
      const stick = cardStick(s.structure.id, i + 1);
      if (done.has(stick)) return [];
      const least = [0, 1].map((k) => Math.min(...p.card.flatMap((o) => o.points.map((q) => q[k]!)))) as [number, number]; // prettier-ignore
      const put = ([x, y]: Vec2): Vec2 => [x - least[0], y - least[1]];
      const rings = unionOf(p.card.map((o) => o.points.map(put)));
      const lines = [...p.folds, ...p.printed].flatMap((e) => {
        if (e.kind !== "path") return [];
        const q = e.points.map(put);
        const ends = q.slice(1).map((b, j): readonly [Vec2, Vec2] => [q[j]!, b]);
        return e.closed ? [...ends, [q.at(-1)!, q[0]!] as const] : ends;
      });
      return [
        {
          part: { mark: `card ${n}`, sticks: [stick], outline: hull(rings.flat()), turns: [0, 1, 2, 3] },
          role: `mock-up of ${s.structure.name}: ${p.words}`,
          rings,
          lines,
        },
      ];
    }),
  );
}
