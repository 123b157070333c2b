import { feet, inches } from "../../../units";
import { choice, count, length, numeric, table } from "../../spec";
import { options, sides, span, zero } from "./shared";

const openings = "Openings";

/** Doors and windows. Prototype mm, rises in inches per foot; usual values are common practice. */
export const openingsSpec = {
  fit: numeric({
    group: openings,
    label: "Fit round a casting",
    unit: "mm",
    def: 0.1,
    min: 0,
    max: 2,
    usual: [0.05, 0.4],
    help: "Model mm left free on every side.",
  }),
  openings: table({
    group: openings,
    label: "Doors and windows",
    noun: "opening",
    most: 120,
    def: [
      {
        part: 0,
        wall: "front",
        kind: "door",
        at: feet(6),
        width: feet(3),
        height: feet(7),
        sill: 0,
        mount: "inside",
        lap: 0,
      },
      {
        part: 0,
        wall: "front",
        kind: "window",
        at: feet(16),
        width: feet(3),
        height: feet(5),
        sill: inches(30),
        mount: "flange",
        lap: inches(4),
      },
      {
        part: 0,
        wall: "right",
        kind: "window",
        at: feet(8),
        width: feet(3),
        height: feet(5),
        sill: inches(30),
        mount: "flange",
        lap: inches(4),
      },
    ],
    help: "Sizes are those of the casting; the framing makes the rough opening that its mounting needs.",
    columns: {
      part: count({ group: openings, label: "In wing", def: 0, min: 0, max: 6, help: "0 is the main part." }),
      wall: choice({ group: openings, label: "Wall", def: "front", options: sides, help: "" }),
      kind: choice({
        group: openings,
        label: "Kind",
        def: "window",
        options: options({ door: "Door", window: "Window", hatch: "Hatch at the floor" }),
        help: "",
      }),
      at: length({
        group: openings,
        label: "Middle from the left corner",
        def: feet(8),
        ...span(zero, feet(400), [zero, feet(200)]),
        help: "Seen from outside.",
      }),
      width: length({
        group: openings,
        label: "Width of casting",
        def: feet(3),
        ...span(inches(6), feet(30), [inches(18), feet(16)]),
        help: "",
      }),
      height: length({
        group: openings,
        label: "Height of casting",
        def: feet(5),
        ...span(inches(6), feet(25), [inches(18), feet(16)]),
        help: "",
      }),
      sill: length({
        group: openings,
        label: "Bottom over the floor",
        def: inches(30),
        ...span(zero, feet(30), [zero, feet(24)]),
        help: "0 for a door.",
      }),
      mount: choice({
        group: openings,
        label: "Mounting",
        def: "flange",
        options: options({
          flange: "from outside, with a flange",
          behind: "from behind",
          inside: "trimmed to sit inside",
          built: "built up: size is the clear opening",
        }),
        help: "",
      }),
      lap: length({
        group: openings,
        label: "Flange, or what hides behind",
        def: inches(4),
        ...span(zero, inches(18), [zero, inches(8)]),
        help: "On each side. Of a built-up opening: the thickness of its jambs.",
      }),
    },
  }),
};
