import { feet, inches } from "../../../units";
import { flag, choice, length, numeric, table } from "../../spec";
import { options, sides, span } from "./shared";

const plan = "Plan";

/** Its footprint and what stands against it. Prototype mm, rises in inches per foot; usual values are common practice. */
export const planSpec = {
  length: length({
    group: plan,
    label: "Length, outside of the framing",
    def: feet(24),
    ...span(feet(5), feet(400), [feet(6), feet(200)]),
    help: "Of the front, along the track.",
  }),
  width: length({
    group: plan,
    label: "Width, outside of the framing",
    def: feet(16),
    ...span(feet(4), feet(120), [feet(5), feet(60)]),
    help: "Of the ends.",
  }),
  wallHeight: length({
    group: plan,
    label: "Wall height, floor to top of plate",
    def: feet(9),
    ...span(feet(3), feet(40), [feet(6, 8), feet(20)]),
    help: "Of the wall under the lower eave.",
  }),
  wings: table({
    group: plan,
    label: "Wings and platforms",
    noun: "wing",
    most: 6,
    def: [],
    help: "What stands against a wall of the main part. A gabled wing whose plates and slope are the main roof's meets it in valleys.",
    columns: {
      kind: choice({
        group: plan,
        label: "Kind",
        def: "gable",
        options: options({
          gable: "Gabled wing",
          lean: "Lean-to",
          platform: "Platform",
          canopy: "Canopy on brackets",
          bay: "Bay window",
        }),
        help: "",
      }),
      side: choice({ group: plan, label: "Against", def: "back", options: sides, help: "" }),
      at: length({
        group: plan,
        label: "From the wall's left end",
        def: feet(4),
        ...span(feet(-60), feet(400), [feet(-20), feet(200)]),
        help: "Seen from outside; a platform may reach past the wall.",
      }),
      length: length({
        group: plan,
        label: "Length along the wall",
        def: feet(10),
        ...span(feet(2), feet(400), [feet(4), feet(200)]),
        help: "",
      }),
      depth: length({
        group: plan,
        label: "Depth out from it",
        def: feet(8),
        ...span(feet(1), feet(80), [feet(2), feet(40)]),
        help: "",
      }),
      height: length({
        group: plan,
        label: "Height",
        def: feet(9),
        ...span(feet(-10), feet(40), [feet(-4), feet(20)]),
        help: "Of its plates over the main floor; of a platform's planks; of a canopy at the wall.",
      }),
    },
  }),
  baySlant: numeric({
    group: plan,
    label: "Bay windows' sides slant by",
    unit: "°",
    def: 45,
    min: 30,
    max: 90,
    usual: [40, 90],
    help: "90° makes them square. Between the wall and the sides; the openings of its three walls are given as a wing's.",
  }),
  bayOpen: flag({
    group: plan,
    label: "Rooms open into their bay windows",
    def: true,
    help: "The main wall is opened behind a bay, under a header; it stays closed where a partition, an opening or its own foot is in the way.",
  }),
  bayOverhang: length({
    group: plan,
    label: "Overhang of a bay's eaves",
    def: inches(6),
    ...span(inches(2), feet(3), [inches(4), feet(1.5)]),
    help: "Level, from the outside of the framing.",
  }),
};
