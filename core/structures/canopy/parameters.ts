import { feet, inches } from "../../units";
import { batter, choice, count, dto, length, options, section, span, table, type ParamsOf } from "../spec";
import { NO_SHEET, PLAIN_SHEETS } from "../sheetOptions";

const [board, edges, frames, lights, columns] = ["Board", "Edges", "Frames", "Lights", "Columns"];

/** A canopy or awning on a wall, with or without a building behind it: a board with its edges, frames under it, what holds it, lights in it. Prototype mm. Usual values are common practice. */
export const canopySpec = {
  length: length({
    group: board,
    label: "Length, outside",
    def: feet(24),
    ...span(feet(3), feet(300), [feet(6), feet(120)]),
    help: "Over its edges.",
  }),
  depth: length({
    group: board,
    label: "Depth from the wall",
    def: feet(7),
    ...span(feet(1.5), feet(40), [feet(3), feet(16)]),
    help: "Level, over its front edge.",
  }),
  height: length({
    group: board,
    label: "Underside at the wall",
    def: feet(11),
    ...span(feet(3), feet(60), [feet(8), feet(20)]),
    help: "Over the ground or the platform.",
  }),
  prototypeHeight: length({
    group: board,
    label: "Underside on the prototype",
    def: feet(0),
    ...span(feet(0), feet(60), [feet(0), feet(20)]),
    help: "Where the model's is another on purpose; 0 where it is the same.",
  }),
  fall: batter({ group: board, label: "Fall in 12", def: 1, min: 0, max: 12, usual: [0, 6], help: "Inches in a foot, away from the wall." }), // prettier-ignore
  board: choice({ group: board, label: "Board of", def: "styrene/40", options: PLAIN_SHEETS, own: "sheet", help: "What carries the edges and the cover." }), // prettier-ignore
  edges: choice({
    group: edges,
    label: "Edges covered",
    def: "three",
    options: options({ three: "front and both ends", front: "the front", none: "none" }),
    help: "The board is smaller by what covers it.",
  }),
  edgeFace: choice({ group: edges, label: "Face of the edge", def: "styrene/15", options: PLAIN_SHEETS, own: "sheet", help: "The outer sheet." }), // prettier-ignore
  edgeBacking: choice({ group: edges, label: "Backing of the edge", def: "styrene/30", options: [NO_SHEET, ...PLAIN_SHEETS], own: "sheet", help: "Behind the face, on the board's edge." }), // prettier-ignore
  edgeHigh: length({
    group: edges,
    label: "Height of the edge",
    def: inches(12),
    ...span(inches(2), feet(6), [inches(4), feet(3)]),
    help: "Its top is flush with the board's; what hangs below the board is its lip. It is at least as high as the board is thick.",
  }),
  frames: count({ group: frames, label: "Frames", def: 5, min: 2, max: 40, help: "Ribs under the board, evenly spaced." }), // prettier-ignore
  margin: length({
    group: frames,
    label: "Margin at each end",
    def: inches(0),
    ...span(inches(0), feet(30), [inches(0), feet(8)]),
    help: "From the edge's inside to the first frame.",
  }),
  rib: section({ group: frames, label: "Rib", def: "2×6", help: "From the ledger to the front edge." }),
  ledger: section({ group: frames, label: "Ledger", def: "2×8", help: "Along the wall, under the board." }),
  held: choice({
    group: frames,
    label: "Held by",
    def: "rods",
    options: options({ rods: "rods from the wall above", brackets: "brackets below", posts: "posts", wall: "the wall alone" }), // prettier-ignore
    help: "One at every frame.",
  }),
  inset: length({
    group: frames,
    label: "Held in from the front by",
    def: feet(1.5),
    ...span(inches(1), feet(30), [inches(6), feet(4)]),
    help: "Level, from the outside of the front edge to the middle of what holds it.",
  }),
  rodRise: length({
    group: frames,
    label: "Rods reach the wall over the board by",
    def: feet(4.5),
    ...span(feet(1), feet(40), [feet(2), feet(14)]),
    help: "Over the board's underside at the wall.",
  }),
  rod: section({ group: frames, label: "Rod", def: "⌀1.5", help: "Diameter in nominal inches." }),
  bracketFall: length({
    group: frames,
    label: "Brackets reach down the wall by",
    def: feet(4),
    ...span(feet(1), feet(30), [feet(2), feet(10)]),
    help: "From the board's underside at the wall.",
  }),
  bracket: section({ group: frames, label: "Bracket", def: "4×4", help: "Its upright and its brace." }),
  post: section({ group: frames, label: "Post", def: "6×6", help: "From the ground to its rib." }),
  lights: count({ group: lights, label: "Lights", def: 0, min: 0, max: 24, help: "Holes through the board, evenly spaced." }), // prettier-ignore
  lightSize: length({
    group: lights,
    label: "Diameter of a hole",
    def: inches(6),
    ...span(inches(1), feet(4), [inches(3), feet(2)]),
    help: "On the prototype; a lamp's size in the model counts.",
  }),
  lightMargin: length({
    group: lights,
    label: "Margin to the first light",
    def: feet(0),
    ...span(feet(0), feet(60), [feet(0), feet(12)]),
    help: "From the end of the canopy to the middle of the hole; 0 leaves half a space there.",
  }),
  lightOut: length({
    group: lights,
    label: "Lights from the wall",
    def: feet(3.5),
    ...span(inches(3), feet(39), [feet(1), feet(14)]),
    help: "Level, to their middle.",
  }),
  columns: table({
    group: columns,
    label: "Columns in the wall",
    noun: "column",
    def: [],
    most: 40,
    help: "What stands out of the wall: the board and its ledger are notched round it.",
    columns: {
      at: length({ group: columns, label: "Middle from the left end", def: feet(9), ...span(feet(0), feet(300), [feet(0), feet(120)]), help: "Seen from outside." }), // prettier-ignore
      width: length({ group: columns, label: "Width", def: feet(1), ...span(inches(1), feet(20), [inches(3), feet(6)]), help: "With the room it needs." }), // prettier-ignore
      deep: length({ group: columns, label: "Out of the wall", def: inches(6), ...span(inches(0.5), feet(10), [inches(1), feet(3)]), help: "" }), // prettier-ignore
    },
  }),
};
export type CanopyValues = ParamsOf<typeof canopySpec>;
export const CanopyParams = dto(canopySpec);
