import { feet, inches } from "../../../units";
import { choice, flag, length, section } from "../../spec";
import { options, span, zero } from "./shared";

const eaves = "Eaves and gables";

/** Overhangs and what finishes them. Prototype mm, rises in inches per foot; usual values are common practice. */
export const eavesSpec = {
  overhang: length({
    group: eaves,
    label: "Overhang at the eaves",
    def: feet(1),
    ...span(zero, feet(10), [inches(4), feet(4)]),
    help: "Level, from the outside of the framing.",
  }),
  gableOverhang: length({
    group: eaves,
    label: "Overhang at the gables",
    def: feet(1),
    ...span(zero, feet(6), [zero, feet(2)]),
    help: "A rafter hangs over the gable on lookouts.",
  }),
  tail: choice({
    group: eaves,
    label: "Rafter tails cut",
    def: "plumb",
    options: options({ plumb: "plumb", square: "square to the rafter", both: "plumb and level" }),
    help: "Where there is no fascia. A square cut too near the wall is made plumb.",
  }),
  fascia: choice({
    group: eaves,
    label: "Eave",
    def: "bare",
    options: options({ bare: "bare tails", board: "fascia board" }),
    help: "The tails give way to a fascia by its thickness.",
  }),
  fasciaSize: section({
    group: eaves,
    label: "Fascia and barge boards",
    def: "1×6",
    help: "Nominal inches, thickness by width.",
  }),
  barge: flag({
    group: eaves,
    label: "Barge boards at the gables",
    def: false,
    help: "On the outside of the last rafters.",
  }),
  lookout: section({
    group: eaves,
    label: "Lookout",
    def: "2×4",
    help: "Carries the last rafter of a gable's overhang.",
  }),
  soffit: flag({
    group: eaves,
    label: "Soffit under the eaves",
    def: false,
    help: "A level sheet behind the fascia, on the level cuts of the tails; along eaves that no wing meets.",
  }),
  brackets: flag({
    group: eaves,
    label: "Brackets under the eaves",
    def: false,
    help: "An upright on the wall and a strut out to a rafter.",
  }),
  bracketReach: length({
    group: eaves,
    label: "Brackets reach out",
    def: feet(2),
    ...span(inches(8), feet(8), [feet(1), feet(4)]),
    help: "Level, and as far down; less where the eave is narrower.",
  }),
  bracketSpacing: length({
    group: eaves,
    label: "Brackets about",
    def: feet(8),
    ...span(feet(1), feet(30), [feet(4), feet(14)]),
    help: "At the rafters nearest to this.",
  }),
  bracketSize: section({ group: eaves, label: "Bracket", def: "4×4", help: "Nominal inches, thickness by width." }),
  canopyBracket: length({
    group: eaves,
    label: "Canopy brackets about",
    def: feet(8),
    ...span(feet(2), feet(30), [feet(4), feet(14)]),
    help: "On centres.",
  }),
};
