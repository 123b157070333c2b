import { line, outline, rectangle, text, type Drawing, type Entity } from "../drawing";
import { spotOf, type Design } from "../job";
import { apartBy, levelsOf, spotSection, widthOf, type Box } from "../spot";
import { model, printMm } from "../units";

/** About how wide a letter is, of its height. */
const WIDTH = 0.85;
/** Height of names and figures, mm of paper, and how far the level lines go past what is drawn. */
const [NAME, PAST] = [2.6, 14];
const box = ({ from, to, low, high }: Box): Entity => outline(rectangle(from, low, to - from, high - low), "hidden");

/** The spot cut upright at full size where the job says so: wood that is cut, tracks with the room of their cars, levels with their figures. Undefined where no cut is set. */
export function spotSectionSheet(d: Design): Drawing | undefined {
  const { cut } = spotOf(d.doc);
  if (!cut) return undefined;
  const s = spotSection(d, cut);
  const [from, to] = widthOf(s);
  const mm = (x: number): string => printMm(model(x), 1);
  return {
    layers: [
      { name: "ground", entities: [line([from, 0], [to, 0], "outline"), ...(s.edges ?? []).map((x) => line([x, -6], [x, 20], "centre"))] }, // prettier-ignore
      { name: "seen", entities: s.structures.flatMap((x) => x.seen.map((r) => outline(r, "thin"))) },
      { name: "wood", entities: s.structures.flatMap((x) => x.wood.map((r) => outline(r, "outline", "timber"))) },
      { name: "things", entities: s.things.flatMap((t) => [box(t.box), text([(t.box.from + t.box.to) / 2, t.box.high - t.box.low > 3 * NAME ? (t.box.low + t.box.high - NAME) / 2 : t.box.high + 1], t.name, NAME, "middle")]) }, // prettier-ignore
      { name: "rails", entities: s.rails.map((t) => ({ kind: "path" as const, points: t.points, closed: false, line: "outline" as const })) }, // prettier-ignore
      { name: "cars", entities: s.tracks.flatMap((t) => [box(t.car), line([t.at - 12, t.rail], [t.at + 12, t.rail], "outline")]) }, // prettier-ignore
      {
        name: "levels",
        // words stand on a line as long as they are, so that a page has room for them
        entities: apartBy(levelsOf(s), NAME * 1.6).flatMap(({ z, y, names }) => {
          const words = `${mm(z)} ${names.join(", ")}`;
          return [line([from, z], [to + PAST, z], "thin"), line([to + PAST, z], [to + PAST + 5, y], "thin"), line([to + PAST + 5, y], [to + PAST + 7 + words.length * NAME * WIDTH, y], "thin"), text([to + PAST + 6, y + 0.7], words, NAME)]; // prettier-ignore
        }),
      },
    ],
  };
}
