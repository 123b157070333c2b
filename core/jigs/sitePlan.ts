import { line, outline, rectangle, text, type Drawing, type Entity, type Layer } from "../drawing";
import { addScaled, type Vec2 } from "../geometry";
import { spotOf, type Design } from "../job";
import { clearance, planFacts, planPoint, pointIn, solidStretches, wallsAt, type Place, type PlanFacts } from "../site";
import { carOf, centreLine, envelope, modelCar, thingOutline } from "../trains";
import { model, printMm } from "../units";

/** Height of names and of figures on the plan, mm of paper. */
const [NAME, FIGURE] = [4, 3];
/** Clear distances longer than this say nothing that a ruler does not, mm. */
const FAR = 400;

interface Stands {
  readonly name: string;
  readonly place: Place;
  readonly facts: PlanFacts;
}

/**
 * The spot at full size with everything that has its place on it: what each structure covers, its walls with their
 * openings left open, the clear distances between walls; laid on the layout before anything is built. Model mm. Undefined
 * where nothing has a place.
 */
export function sitePlan(d: Design): Drawing | undefined {
  const facts = planFacts(d);
  const all = d.structures.flatMap(({ structure: s }): Stands[] => {
    const own = facts.find((f) => f.structure === s.id);
    return s.place && own ? [{ name: s.name, place: s.place, facts: own }] : [];
  });
  if (all.length === 0 && spotOf(d.doc).tracks.length === 0) return undefined;
  const { spotLength: long, spotDepth: deep } = d.doc.brief;
  const layers: Layer[] = [];
  const put = (name: string, entities: Entity[]): void => void (entities.length > 0 && layers.push({ name, entities }));
  if (long > 0 && deep > 0) put("spot", [outline(rectangle(-long / 2, -deep / 2, long, deep), "centre")]);
  const { tracks, things, cars } = spotOf(d.doc);
  put(
    "things",
    things.flatMap((t) => [outline(thingOutline(t), "hidden"), text([t.x, t.y], t.name, FIGURE, "middle")]),
  );
  put("swept", tracks.flatMap((t) => envelope(centreLine(t), modelCar(carOf(t.car, cars), d.doc.brief.scale.ratio)).map((r) => outline(r, "thin")))); // prettier-ignore
  put(
    "tracks",
    tracks.flatMap((t) => {
      const track = centreLine(t);
      const n = Math.max(8, Math.ceil(track.length / 4));
      const points = Array.from({ length: n + 1 }, (_, i) => track.at((track.length * i) / n).at);
      return [{ kind: "path" as const, points, closed: false, line: "centre" as const }];
    }),
  );
  put(
    "outlines",
    all.flatMap((s) => s.facts.silhouette.map((r) => outline(r.map((c) => planPoint(s.place, c)), "thin"))), // prettier-ignore
  );
  put("walls", all.flatMap(wallLines));
  put(
    "clear",
    all.flatMap((a, i) =>
      all.slice(i + 1).flatMap((b): Entity[] => {
        const c = clearance(wallsAt(a.facts.walls, a.place), wallsAt(b.facts.walls, b.place));
        if (!c || c.gap > FAR) return [];
        const at: Vec2 = [(c.from[0] + c.to[0]) / 2, (c.from[1] + c.to[1]) / 2 + 0.8];
        return [line(c.from, c.to, "dimension"), text(at, printMm(model(c.gap), 1), FIGURE, "middle")];
      }),
    ),
  );
  put(
    "names",
    all.map((s) => text(planPoint(s.place, s.facts.middle), s.name, NAME, "middle", "label")),
  );
  return { layers };
}

/** The walls of a structure, each from opening to opening. */
function wallLines({ facts, place }: Stands): Entity[] {
  return facts.walls.flatMap((w) => {
    const at = (along: number): Vec2 => {
      const p = pointIn(place, addScaled(w.from, w.along, along));
      return [p[0], p[1]];
    };
    return solidStretches(w).map(([from, to]) => line(at(from), at(to), "outline"));
  });
}
