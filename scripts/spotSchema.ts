import { THING_KINDS, TRACK_PIECES } from "../core/job";
import { id, list, number, object, oneOf, word } from "./schemaParts";

/** The spot of a job: tracks, things, cars, and how it is looked at. */
export const spotSchema = object(
  {
    tracks: list(
      object(
        {
          id,
          name: word,
          x: number(),
          y: number(),
          turn: number(),
          rail: number(),
          grade: number(),
          car: id,
          pieces: list(
            object({ kind: oneOf(...TRACK_PIECES), length: number(), radius: number(), ease: number() }, [
              "radius",
              "ease",
            ]),
          ),
        },
        ["grade"],
      ),
    ),
    things: list(
      object(
        {
          id,
          name: word,
          kind: oneOf(...THING_KINDS),
          x: number(),
          y: number(),
          turn: number(),
          length: number(),
          depth: number(),
          low: number(),
          high: number(),
          parts: list(object({ ring: list(list(number())), low: number(), high: number() })),
          job: word,
        },
        ["parts", "job"],
      ),
    ),
    cars: list(
      object(
        {
          id,
          name: word,
          length: number(),
          trucks: number(),
          width: number(),
          bottom: number(),
          height: number(),
          floor: number(),
        },
        ["floor"],
      ),
    ),
    under: object({ drawing: id, anchor: list(number()), of: oneOf("model", "prototype"), opacity: number() }),
    cut: object({ along: oneOf("depth", "length"), at: number() }),
    photo: object({
      drawing: id,
      corners: list(list(number())),
      length: number(),
      depth: number(),
      colours: object({ walls: word, roof: word, rest: word }),
    }),
  },
  ["under", "cut", "photo"],
);
