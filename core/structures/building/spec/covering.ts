import { feet, inches } from "../../../units";
import { choice, flag, length, numeric, section } from "../../spec";
import { options, span } from "./shared";

const cover = "Roof covering";

/** What lies on the rafters. Prototype mm, rises in inches per foot; usual values are common practice. */
export const coveringSpec = {
  covering: choice({
    group: cover,
    label: "Covering",
    def: "none",
    options: options({ none: "left open", boards: "boards, close", spaced: "boards, spaced", sheet: "sheet" }),
    help: "What lies on the rafters.",
  }),
  roofBoard: section({ group: cover, label: "Roof board", def: "1×8", help: "Nominal inches, thickness by width." }),
  roofBoardSpacing: length({
    group: cover,
    label: "Spaced boards on centres",
    def: inches(16),
    ...span(inches(4), feet(6), [inches(8), feet(3)]),
    help: "For shingles laid on open boards.",
  }),
  roofBoardLength: length({
    group: cover,
    label: "Longest roof board",
    def: feet(20),
    ...span(feet(4), feet(100), [feet(10), feet(40)]),
    help: "Longer rows are butted over rafters.",
  }),
  roofSheet: numeric({
    group: cover,
    label: "Thickness of sheet",
    unit: "mm",
    def: 0.5,
    min: 0.1,
    max: 4,
    usual: [0.25, 1.5],
    help: "Model mm.",
  }),
  shingle: length({
    group: cover,
    label: "Shingles show",
    def: inches(5),
    ...span(inches(2), inches(24), [inches(4), inches(8)]),
    help: "Control lines on the roof's true shapes stand six courses apart.",
  }),
  caps: flag({
    group: cover,
    label: "Boards along ridge and hips",
    def: false,
    help: "One to each slope, on the covering.",
  }),
  capBoard: section({
    group: cover,
    label: "Ridge cap board",
    def: "1×6",
    help: "Nominal inches, thickness by width.",
  }),
  flashing: flag({
    group: cover,
    label: "Flashing round chimneys",
    def: false,
    help: "A collar on the covering and upstands on its four sides.",
  }),
  flashWidth: length({
    group: cover,
    label: "Flashing reaches",
    def: inches(6),
    ...span(inches(2), inches(18), [inches(4), inches(10)]),
    help: "On the roof, and up what comes through.",
  }),
  flashThick: numeric({
    group: cover,
    label: "Thickness of flashing",
    unit: "mm",
    def: 0.1,
    min: 0.02,
    max: 1,
    usual: [0.05, 0.3],
    help: "Model mm: paper or foil.",
  }),
};
