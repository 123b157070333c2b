import { feet, inches } from "../../../units";
import { choice, length, numeric, section } from "../../spec";
import { options, span } from "./shared";

const foundation = "Foundation";

/** What it stands on. Prototype mm, rises in inches per foot; usual values are common practice. */
export const foundationSpec = {
  foundation: choice({
    group: foundation,
    label: "Foundation",
    def: "none",
    options: options({
      none: "none: it stands on the scenery",
      posts: "timber posts",
      piers: "piers",
      strip: "a strip",
      bents: "battered bents: a heavy stand",
    }),
    help: "Under sill beams along the walls.",
  }),
  sillBeam: section({ group: foundation, label: "Sill beam", def: "6×6", help: "Nominal inches, thickness by width." }),
  pier: section({
    group: foundation,
    label: "Post or pier",
    def: "8×8",
    help: "Nominal inches; a pier is cut from a block of that size.",
  }),
  pierSpacing: length({
    group: foundation,
    label: "Posts or piers about",
    def: feet(6),
    ...span(feet(2), feet(24), [feet(4), feet(10)]),
    help: "Equal steps as near to this as they come.",
  }),
  groundDepth: length({
    group: foundation,
    label: "Floor over the ground",
    def: feet(3),
    ...span(inches(2), feet(30), [feet(1), feet(10)]),
    help: "At the left front corner.",
  }),
  groundFall: numeric({
    group: foundation,
    label: "Ground falls to the right",
    unit: " %",
    def: 0,
    min: -40,
    max: 40,
    usual: [-15, 15],
    help: "Along the front.",
  }),
  groundBack: numeric({
    group: foundation,
    label: "Ground falls to the back",
    unit: " %",
    def: 0,
    min: -40,
    max: 40,
    usual: [-15, 15],
    help: "Across the building.",
  }),
};
