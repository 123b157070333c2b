import { feet, inches } from "../../units";
import { batter, choice, count, dto, length, numeric, section, table, type ParamsOf, options, span } from "../spec";
import { trimSpec } from "./trimParameters";
import { CLEAR_SHEETS, NO_SHEET, PLAIN_SHEETS, TEXTURE_OPTIONS } from "../sheetOptions";

const [plan, roof, layers, corners, openings, layered] = [
  "Plan",
  "Roof",
  "Layers",
  "Corners",
  "Openings",
  "Windows and doors in layers",
];
const masonry = "Masonry";
/** A width of a part of a window or door. */
const strip = (label: string, def: number, usual: readonly [number, number], help: string, least = 0.5) => length({ group: layered, label, def: inches(def), ...span(inches(least), inches(24), [inches(usual[0]), inches(usual[1])]), help }); // prettier-ignore

/** A building of sheet: four walls, each a stack of layers, and a roof of sheet on them. Prototype mm, rises in inches per foot. Usual values are common practice. */
export const sheetSpec = {
  length: length({
    group: plan,
    label: "Length, outside",
    def: feet(24),
    ...span(feet(4), feet(300), [feet(8), feet(150)]),
    help: "Of the front, over all its layers.",
  }),
  width: length({
    group: plan,
    label: "Width, outside",
    def: feet(16),
    ...span(feet(4), feet(150), [feet(8), feet(60)]),
    help: "Of the ends, over all their layers.",
  }),
  wallHeight: length({
    group: plan,
    label: "Height of the front wall",
    def: feet(9),
    ...span(feet(4), feet(120), [feet(7), feet(60)]),
    help: "From the floor to the roof's underside on its outside; of a flat roof to the roof's top.",
  }),
  footFront: foot("Front wall"),
  footRight: foot("Right end"),
  footBack: foot("Back wall"),
  footLeft: foot("Left end"),
  roof: choice({
    group: roof,
    label: "Roof",
    def: "gable",
    options: options({
      gable: "gable",
      shed: "shed, high at the back",
      flat: "flat, inside the walls",
      none: "left off",
    }),
    help: "Of sheet, on the tops of the walls; a flat one lies on ledges inside them.",
  }),
  rise: batter({ group: roof, label: "Rise in 12", def: 6, min: 0.5, max: 24, usual: [2, 14], help: "Inches of rise per foot of run." }), // prettier-ignore
  overhang: length({
    group: roof,
    label: "Overhang at the eaves",
    def: feet(1),
    ...span(feet(0), feet(6), [feet(0), feet(3)]),
    help: "Level, from the outside of the wall.",
  }),
  gableOverhang: length({
    group: roof,
    label: "Overhang at the ends",
    def: feet(1),
    ...span(feet(0), feet(6), [feet(0), feet(3)]),
    help: "From the outside of the end.",
  }),
  parapet: length({
    group: roof,
    label: "Parapet",
    def: feet(2),
    ...span(feet(0), feet(10), [feet(0), feet(4)]),
    help: "How far the walls stand over a flat roof.",
  }),
  roofSheet: choice({
    group: roof,
    label: "Roof of",
    def: "styrene/40",
    options: PLAIN_SHEETS,
    own: "sheet",
    help: "Plain sheet, to be covered.",
  }),
  ledge: section({ group: roof, label: "Ledge", def: "4×4", help: "Strip inside the walls that a flat roof lies on." }),
  face: choice({
    group: layers,
    label: "Face",
    def: "clapboard",
    options: [NO_SHEET, ...TEXTURE_OPTIONS],
    help: "The textured sheet outside.",
  }),
  facePitch: length({
    group: layers,
    label: "Pitch of its lines",
    def: inches(6),
    ...span(inches(1), inches(48), [inches(2), inches(24)]),
    help: "On the prototype; the nearest sheet that is sold is taken. Stock tells how far off it is.",
  }),
  core: choice({
    group: layers,
    label: "Core",
    def: "styrene/60",
    options: [NO_SHEET, ...PLAIN_SHEETS],
    own: "sheet",
    help: "What carries the face.",
  }),
  back: choice({
    group: layers,
    label: "Back",
    def: "none",
    options: [NO_SHEET, ...PLAIN_SHEETS],
    own: "sheet",
    help: "A lining that is seen inside.",
  }),
  outOfTrue: numeric({ group: layers, label: "Its lines run off, per 100 mm", unit: "mm", def: 0, min: 0, max: 5, usual: [0, 5], help: "Model mm: hold a square against the edge of the sheet at hand and measure how far a line leaves it in 100 mm. 0 where the lines are square to its edge." }), // prettier-ignore
  sheetLong: numeric({ group: layers, label: "Longest sheet at hand", unit: "mm", def: 304.8, min: 50, max: 3000, usual: [150, 1000], help: "Model mm. Walls that are longer are parted, on a line of upright boards, clear of openings, each layer elsewhere; roofs and trim in equal lengths." }), // prettier-ignore
  corner: choice({
    group: corners,
    label: "Corners",
    def: "sides",
    options: options({
      sides: "butt, front and back run through",
      ends: "butt, the ends run through",
      rebateSides: "rebated: the ends stand behind the face of front and back",
      rebateEnds: "rebated: front and back stand behind the face of the ends",
      mitre: "mitred",
      post: "on a corner post",
    }),
    help: "Butt corners step layer by layer: a box of faces, in it a box of cores.",
  }),
  cornerPost: section({ group: corners, label: "Corner post", def: "8×8", help: "The walls end at its sides; it may not be thinner than they are." }), // prettier-ignore
  blocks: section({
    group: corners,
    label: "Corner block",
    def: "4×4",
    help: "A strip glued into each corner.",
  }),
  tops: choice({
    group: corners,
    label: "Tops under the roof",
    def: "bevelled",
    options: options({ bevelled: "bevelled to the slope", square: "square: the roof bears on an edge" }),
    help: "Of the walls under the eaves.",
  }),
  fit: numeric({ group: openings, label: "Fit round a casting", unit: "mm", def: 0.1, min: 0, max: 2, usual: [0.05, 0.4], help: "Model mm left free on every side." }), // prettier-ignore
  lintel: stone(
    "Lintels, height",
    "Over openings without trim; over arched ones how deep the stones are. 0 leaves them out.",
  ),
  archStones: count({ group: masonry, label: "Stones of an arch", def: 9, min: 1, max: 41, help: "Over arched openings, as deep as lintels are high. 1 is one ring, an odd number has a keystone." }), // prettier-ignore
  stoneSill: stone("Stone sills, height", "Under windows without trim. 0 leaves them out."),
  stoneLap: length({ group: masonry, label: "Lintels and sills reach past by", def: inches(6), ...span(feet(0), feet(4), [inches(2), feet(1.5)]), help: "On each side of the opening." }), // prettier-ignore
  quoins: stone("Quoins, height of each", "Staggered, turned round every corner. 0 leaves them out."),
  quoinLong: length({ group: masonry, label: "Quoins, long side", def: inches(18), ...span(inches(4), feet(6), [inches(10), feet(3)]), help: "Over the face, by turns on either wall." }), // prettier-ignore
  quoinShort: length({ group: masonry, label: "Quoins, short side", def: inches(9), ...span(inches(2), feet(6), [inches(5), feet(2)]), help: "On the other wall." }), // prettier-ignore
  stoneSheet: choice({ group: masonry, label: "Lintels, sills and quoins of", def: "styrene/15", options: PLAIN_SHEETS, own: "sheet", help: "On the wall's face." }), // prettier-ignore
  coping: choice({ group: masonry, label: "Parapet caps of", def: "none", options: [NO_SHEET, ...PLAIN_SHEETS], own: "sheet", help: "On the walls round a flat roof, mitred at the corners." }), // prettier-ignore
  copingOver: length({ group: masonry, label: "Parapet caps overhang by", def: inches(2), ...span(feet(0), feet(3), [inches(0.5), inches(8)]), help: "On both sides of the wall." }), // prettier-ignore
  ...trimSpec,
  bar: strip("Glazing bars", 1.25, [0.75, 3], "Width between two panes."),
  leastBar: numeric({ group: layered, label: "Least width that survives", unit: "mm", def: 0.35, min: 0.1, max: 3, usual: [0.25, 1], help: "Model mm that your knife or cutter leaves standing. What would be narrower is made so wide." }), // prettier-ignore
  stile: strip("Stiles and rails", 2.5, [1.5, 6], "Of sashes and doors; a sash's meeting rail too."),
  bottomRail: strip("Bottom rails", 4, [2, 12], "Of sashes and doors."),
  frameEdge: strip("Frame that is seen", 1.5, [0.75, 6], "Round the sash, inside the opening."),
  casing: strip(
    "Trim round it",
    4,
    [0, 8],
    "On the wall's face, at the sides and over it. 0 leaves it and the sill out.",
    0,
  ),
  sillHigh: strip("Sill", 2, [1.5, 8], "Its height, under a window with trim."),
  ledgeWide: strip("Ledges and braces", 6, [3, 10], "On the boards of a door."),
  doorBoard: strip("Boards of doors", 5, [3, 10], "Width of each; the nearest scribed sheet is taken.", 1),
  reveal: strip("Reveal of what is pushed in", 2, [0, 8], "From the wall's outside to the frame. Set it with a strip of that thickness as a gauge.", 0), // prettier-ignore
  room: numeric({ group: layered, label: "Room round what is pushed in", unit: "mm", def: 0.05, min: 0, max: 1, usual: [0, 0.2], help: "Model mm on every side; a coupon to find it with is among the jigs." }), // prettier-ignore
  frameSheet: choice({ group: layered, label: "Frames of", def: "styrene/20", options: PLAIN_SHEETS, own: "sheet", help: "Also the ledges and braces of doors." }), // prettier-ignore
  sashSheet: choice({ group: layered, label: "Sashes of", def: "styrene/10", options: PLAIN_SHEETS, own: "sheet", help: "Also the faces and backs of doors." }), // prettier-ignore
  glazing: choice({
    group: layered,
    label: "Glazing of",
    def: "clear/10",
    options: CLEAR_SHEETS,
    help: "Behind all sashes.",
  }),
  panelSheet: choice({ group: layered, label: "Exchanged panels of", def: "styrene/20", options: PLAIN_SHEETS, own: "sheet", help: "Their faces: a sign, or the wall of another era." }), // prettier-ignore
  panelBack: choice({ group: layered, label: "Backing of exchanged panels", def: "styrene/40", options: PLAIN_SHEETS, own: "sheet", help: "Also of the stop behind the wall and of the key; as thick as the magnets." }), // prettier-ignore
  magnet: numeric({ group: layered, label: "Magnets or pins, diameter", unit: "mm", def: 3, min: 0, max: 20, usual: [0, 8], help: "Of exchanged panels; model mm, with what they need to go in. 0 leaves their holes out." }), // prettier-ignore
  panelKey: numeric({ group: layered, label: "Key of exchanged panels", unit: "mm", def: 2, min: 0, max: 20, usual: [0, 6], help: "Model mm, square, in the lower left corner of the stop: the panel goes in one way only. 0 leaves it out." }), // prettier-ignore
  trimSheet: choice({ group: layered, label: "Trim and shutters of", def: "styrene/15", options: PLAIN_SHEETS, own: "sheet", help: "On the wall's face." }), // prettier-ignore
  sillSheet: choice({ group: layered, label: "Sills of", def: "styrene/40", options: PLAIN_SHEETS, own: "sheet", help: "They stand out under the trim." }), // prettier-ignore
  openings: table({
    group: openings,
    label: "Openings",
    noun: "opening",
    def: [],
    most: 80,
    help: "Doors and windows; each is cut through all layers.",
    columns: {
      wall: choice({ group: openings, label: "Wall", def: "front", options: options({ front: "Front", right: "Right end", back: "Back", left: "Left end" }), help: "" }), // prettier-ignore
      kind: choice({
        group: openings,
        label: "Kind",
        def: "window",
        options: options({ door: "Door", window: "Window" }),
        help: "",
      }),
      at: length({ group: openings, label: "Middle from the left corner", def: feet(8), ...span(feet(0), feet(300), [feet(0), feet(150)]), help: "Seen from outside." }), // prettier-ignore
      width: length({ group: openings, label: "Width", def: feet(3), ...span(inches(6), feet(40), [inches(18), feet(16)]), help: "Of the casting; of what is built up or in layers, as it is seen." }), // prettier-ignore
      height: length({ group: openings, label: "Height", def: feet(5), ...span(inches(6), feet(40), [inches(18), feet(16)]), help: "As its width." }), // prettier-ignore
      head: choice({ group: openings, label: "Head", def: "square", options: options({ square: "square", segmental: "segmental arch", round: "half round" }), help: "Of the opening and of all that is made for it; its height is to the crown." }), // prettier-ignore
      rise: length({ group: openings, label: "Rise of its arch", def: inches(5), ...span(inches(0.5), feet(20), [inches(2), feet(2)]), help: "From where a segmental arch springs to its crown." }), // prettier-ignore
      sill: length({ group: openings, label: "Bottom over the floor", def: inches(30), ...span(feet(0), feet(110), [feet(0), feet(60)]), help: "0 for a door." }), // prettier-ignore
      mount: choice({ group: openings, label: "Mounting", def: "flange", options: options({ flange: "casting from outside, with a flange", behind: "casting from behind", inside: "casting trimmed to sit inside", built: "built up: size is the clear opening", layers: "in layers, behind the face", layersWall: "in layers, behind the wall", layersIn: "in layers, pushed in" }), help: "In layers the size is the opening that is seen." }), // prettier-ignore
      lap: length({ group: openings, label: "Flange, or what hides behind", def: inches(4), ...span(feet(0), inches(18), [feet(0), inches(8)]), help: "On each side. Of a built-up opening: the thickness of its jambs. Of layers: what they are glued by." }), // prettier-ignore
      style: choice({ group: openings, label: "Made as", def: "hung", options: options({ hung: "two sashes, one over the other", fixed: "one sash", casement: "two leaves side by side", panel: "door with panels", glazed: "door with glass over a panel", boards: "boards with ledges and a brace", split: "boards, split in halves", exchange: "a panel to be exchanged" }), help: "What its layers are." }), // prettier-ignore
      across: count({ group: openings, label: "Panes across", def: 2, min: 1, max: 12, help: "Of each sash or leaf; of a door its panels." }), // prettier-ignore
      up: count({ group: openings, label: "Panes up", def: 2, min: 1, max: 12, help: "Of each sash or leaf; of a door its panels." }), // prettier-ignore
      shutters: choice({ group: openings, label: "Shutters", def: "none", options: options({ none: "none", both: "on both sides", left: "on the left", right: "on the right" }), help: "Flat on the wall, beside the trim." }), // prettier-ignore
    },
  }),
};
/** A height of what is laid on the face, in stone or brick. */
function stone(label: string, help: string) {
  return length({ group: "Masonry", label, def: feet(0), ...span(feet(0), feet(5), [feet(0), feet(2)]), help });
}
function foot(wall: string) {
  return length({
    group: plan,
    label: `${wall} runs below the floor by`,
    def: feet(0),
    ...span(feet(-8), feet(20), [feet(-4), feet(8)]),
    help: "Below 0 it stands that much higher: on a platform.",
  });
}
export type SheetValues = ParamsOf<typeof sheetSpec>;
export const SheetParams = dto(sheetSpec);
