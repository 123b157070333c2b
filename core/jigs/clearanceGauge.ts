import { line, outline, text, type Drawing, type Entity } from "../drawing";
import type { Vec2 } from "../geometry";
import { spotOf, type Design } from "../job";
import { carOf, modelCar, reachOnArc } from "../trains";
import { model, printMm } from "../units";
import type { NamedDrawing } from "./kindSheets";

/** The track's gauge of the prototype, mm: standard gauge, 4 ft 8½ in (published: NMRA S-1.2, NEM 010). */
const GAUGE = 1435;
/** How high the feet stand between the rails under their top, and how wide they are, model mm. */
const [FEET, FOOT] = [1.2, 3];

/**
 * For each track a card to push along it: as wide and high as its longest car, with what that reaches over on the tightest
 * curve on either side; its feet stand between the rails. What the card touches the car would. Model mm.
 */
export function clearanceGauges(d: Design): NamedDrawing[] {
  const { tracks, cars } = spotOf(d.doc);
  const ratio = d.doc.brief.scale.ratio;
  return tracks.map((t): NamedDrawing => {
    const own = carOf(t.car, cars);
    const car = modelCar(own, ratio);
    const radii = t.pieces.flatMap((p) => (p.kind !== "straight" && p.radius ? [p.radius] : []));
    const reach = radii.length > 0 ? reachOnArc(Math.min(...radii), car) : { inward: car.width / 2, outward: car.width / 2 }; // prettier-ignore
    // a track that curves both ways is in the way on both sides alike
    const bothWays = new Set(t.pieces.map((p) => p.kind)).has("left") && t.pieces.some((p) => p.kind === "right");
    const most = Math.max(reach.inward, reach.outward);
    const [inner, outer] = bothWays ? [most, most] : [reach.inward, reach.outward];
    const half = GAUGE / ratio / 2;
    const card: Vec2[] = [[-half, -FEET], [-half + FOOT, -FEET], [-half + FOOT, 0], [half - FOOT, 0], [half - FOOT, -FEET], [half, -FEET], [half, car.bottom], [outer, car.bottom], [outer, car.height], [-inner, car.height], [-inner, car.bottom], [-half, car.bottom]]; // prettier-ignore
    const words = (y: number, x: string): Entity => text([0, y], x, 2, "middle");
    const mm = (x: number): string => printMm(model(x), 1);
    return {
      what: `clearance gauge for ${t.name}`,
      drawing: {
        layers: [
          { name: "card", entities: [outline(card, "outline"), line([-half - 2, 0], [half + 2, 0], "thin"), line([0, -FEET], [0, car.height], "centre")] }, // prettier-ignore
          { name: "words", entities: [words(car.height - 4, own.name), words(car.height - 7.5, `${mm(inner)} inside`), words(car.height - 11, `${mm(outer)} outside`), words(car.height - 14.5, `${mm(car.height)} over rail`)] }, // prettier-ignore
        ],
      } satisfies Drawing,
    };
  });
}
