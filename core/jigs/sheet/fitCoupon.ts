import { outline, rectangle, text, type Drawing, type Entity } from "../../drawing";

/** Side of the plug, and what stands between two holes, mm. */
const [PLUG, BETWEEN] = [10, 4];
/** Rooms round the plug that are tried, model mm on every side. */
export const ROOMS = [0, 0.03, 0.06, 0.1, 0.15, 0.2] as const;

/**
 * A piece to be cut first, with the same tool and from the same sheet as the windows: a plug and holes that leave more and
 * more room round it. The tightest hole that it goes into without force says the room for what is pushed in; the tool's own
 * width is in it. Holes are 10 mm plus twice the room.
 */
export function fitCoupon(): Drawing {
  const cut: Entity[] = [];
  const words: Entity[] = [];
  let x = BETWEEN;
  for (const room of ROOMS) {
    const side = PLUG + 2 * room;
    cut.push(outline(rectangle(x, BETWEEN, side, side), "outline", "white"));
    words.push(text([x + side / 2, BETWEEN + side + 1.2], room.toFixed(2), 2, "middle"));
    x += side + BETWEEN;
  }
  const high = PLUG + 2 * BETWEEN + 3;
  const plug = -PLUG - 6;
  return {
    layers: [
      { name: "members", entities: [outline(rectangle(0, 0, x, high), "outline"), ...cut, outline(rectangle(0, plug, PLUG, PLUG), "outline")] }, // prettier-ignore
      {
        name: "words",
        entities: [
          ...words,
          text([PLUG + 3, plug + 6], "The plug. Cut both from the windows' sheet with the same tool.", 2),
          text(
            [PLUG + 3, plug + 2.5],
            "The tightest hole that it goes into is the room to type in, mm on every side.",
            2,
          ),
        ],
      },
    ],
  };
}
