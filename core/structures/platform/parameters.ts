import { feet, inches } from "../../units";
import { batter, choice, count, dto, flag, length, options, section, span, table, type ParamsOf } from "../spec";
import { NO_SHEET, PLAIN_SHEETS } from "../sheetOptions";

const [deck, girders, columns, railings, openings, shelter, pair] = ["Deck", "Girders", "Columns", "Railings", "Stairs and gates", "Shelter", "Left and right"]; // prettier-ignore

/** Sides of a platform: the track runs along the front, left and right are seen from there. */
export const SIDES = ["front", "right", "back", "left"] as const;
export type Side = (typeof SIDES)[number];
const SIDE = options({ front: "front", right: "right end", back: "back", left: "left end" });
const SHAPES = options({ box: "box", I: "I-section" });

/** A platform on columns: deck, girders and columns built up of sheet, railings, gates, stairs and a shelter on it. Prototype mm. Usual values are common practice. */
export const platformSpec = {
  length: length({ group: deck, label: "Length", def: feet(80), ...span(feet(8), feet(600), [feet(20), feet(300)]), help: "Of the deck, outside." }), // prettier-ignore
  depth: length({ group: deck, label: "Width", def: feet(14), ...span(feet(3), feet(80), [feet(8), feet(30)]), help: "From the edge at the track to the back, outside." }), // prettier-ignore
  height: length({ group: deck, label: "Deck over the ground", def: feet(15), ...span(feet(3), feet(80), [feet(8), feet(30)]), help: "To the top of the deck." }), // prettier-ignore
  deck: choice({ group: deck, label: "Deck of", def: "sheet", options: options({ sheet: "sheet", planks: "planks across" }), help: "Sheet in as few parts as come out of one, or planks from edge to edge." }), // prettier-ignore
  deckSheet: choice({ group: deck, label: "Sheet of the deck", def: "styrene/40", options: PLAIN_SHEETS, own: "sheet", help: "Parted over the columns where it is longer than a sheet." }), // prettier-ignore
  plank: section({ group: deck, label: "Plank", def: "2×8", help: "Laid on its wide side." }),
  plankGap: length({ group: deck, label: "Least gap between planks", def: inches(0.5), ...span(inches(0), inches(6), [inches(0), inches(1)]), help: "As many planks as have room, spread evenly." }), // prettier-ignore
  deckOver: length({ group: deck, label: "Deck past the outer stringers", def: inches(9), ...span(inches(0), feet(10), [inches(0), feet(3)]), help: "Clear, on both long sides." }), // prettier-ignore
  edge: choice({ group: deck, label: "Edges covered with", def: "styrene/20", options: [NO_SHEET, ...PLAIN_SHEETS], own: "sheet", help: "Along both long sides; the deck is narrower by it." }), // prettier-ignore
  edgeHigh: length({ group: deck, label: "Height of the edges", def: inches(12), ...span(inches(2), feet(6), [inches(4), feet(3)]), help: "From the top of the deck down; at least as high as the deck is thick." }), // prettier-ignore
  stringers: count({ group: girders, label: "Stringers", def: 3, min: 2, max: 12, help: "Along the platform, evenly spaced, on the girders across." }), // prettier-ignore
  stringerShape: choice({ group: girders, label: "Stringers are", def: "I", options: SHAPES, help: "Two flanges with one web or with two." }), // prettier-ignore
  stringerHigh: length({ group: girders, label: "Height of a stringer", def: inches(15), ...span(inches(4), feet(8), [inches(8), feet(3)]), help: "Over both flanges." }), // prettier-ignore
  stringerWide: length({ group: girders, label: "Width of a stringer", def: inches(8), ...span(inches(3), feet(5), [inches(4), inches(18)]), help: "Of its flanges." }), // prettier-ignore
  girderShape: choice({ group: girders, label: "Girders across are", def: "box", options: SHAPES, help: "A box has a plate at each end." }), // prettier-ignore
  girderHigh: length({ group: girders, label: "Height of a girder", def: inches(20), ...span(inches(4), feet(10), [inches(10), feet(4)]), help: "Over both flanges." }), // prettier-ignore
  girderWide: length({ group: girders, label: "Width of a girder", def: inches(14), ...span(inches(3), feet(6), [inches(6), feet(3)]), help: "Of its flanges." }), // prettier-ignore
  flange: choice({ group: girders, label: "Flanges of", def: "styrene/20", options: PLAIN_SHEETS, own: "sheet", help: "Of stringers, girders and columns." }), // prettier-ignore
  web: choice({ group: girders, label: "Webs of", def: "styrene/20", options: PLAIN_SHEETS, own: "sheet", help: "Of stringers, girders and columns." }), // prettier-ignore
  bents: count({ group: columns, label: "Places with columns", def: 5, min: 2, max: 60, help: "Evenly spaced along the platform, a girder across on each." }), // prettier-ignore
  margin: length({ group: columns, label: "Margin at each end", def: feet(4), ...span(inches(0), feet(100), [feet(0), feet(20)]), help: "From the deck's end to the nearest column or girder, clear." }), // prettier-ignore
  rows: choice({ group: columns, label: "Columns at each place", def: "two", options: options({ one: "one, in the middle", two: "two" }), help: "Under the girder." }), // prettier-ignore
  inset: length({ group: columns, label: "Columns in from the edges", def: feet(3), ...span(inches(3), feet(38), [feet(1), feet(8)]), help: "To their middle." }), // prettier-ignore
  columnShape: choice({ group: columns, label: "Columns are", def: "box", options: SHAPES, help: "Two flanges along the platform, one web or two between." }), // prettier-ignore
  columnWide: length({ group: columns, label: "Width of a column", def: inches(14), ...span(inches(3), feet(6), [inches(6), feet(3)]), help: "Along the platform." }), // prettier-ignore
  columnDeep: length({ group: columns, label: "Depth of a column", def: inches(14), ...span(inches(3), feet(6), [inches(6), feet(3)]), help: "Across the platform, over its flanges." }), // prettier-ignore
  base: choice({ group: columns, label: "Base plates of", def: "styrene/40", options: [NO_SHEET, ...PLAIN_SHEETS], own: "sheet", help: "Under every column." }), // prettier-ignore
  baseOver: length({ group: columns, label: "Base plates past the column", def: inches(5), ...span(inches(0), feet(4), [inches(1), feet(2)]), help: "On all four sides." }), // prettier-ignore
  railFront: flag({ group: railings, label: "Along the front", def: false, help: "At the track." }),
  railRight: flag({
    group: railings,
    label: "At the right end",
    def: true,
    help: "Open where stairs land and at gates.",
  }),
  railBack: flag({ group: railings, label: "Along the back", def: true, help: "Open where stairs land and at gates." }),
  railLeft: flag({
    group: railings,
    label: "At the left end",
    def: true,
    help: "Open where stairs land and at gates.",
  }),
  railing: choice({ group: railings, label: "Railing of", def: "rails", options: options({ rails: "rails", fence: "rails and pickets" }), help: "Posts and a handrail in any case." }), // prettier-ignore
  railHigh: length({ group: railings, label: "Height of the railing", def: inches(42), ...span(inches(18), feet(10), [inches(34), feet(6)]), help: "Over the deck, to the top of its handrail." }), // prettier-ignore
  rails: count({ group: railings, label: "Rails", def: 3, min: 1, max: 8, help: "The handrail counts; the others are spaced evenly under it. Pickets need two at least." }), // prettier-ignore
  railApart: length({ group: railings, label: "Posts at most apart", def: feet(6), ...span(feet(1.5), feet(20), [feet(4), feet(10)]), help: "Middle to middle; each length of railing is divided evenly." }), // prettier-ignore
  railPost: section({ group: railings, label: "Railing post", def: "4×4", help: "On the edge of the deck." }),
  railBar: section({ group: railings, label: "Rail", def: "2×4", help: "The handrail lies flat on the posts, the others stand on edge inside them." }), // prettier-ignore
  picket: section({ group: railings, label: "Picket", def: "1×3", help: "On the rails' inner side." }),
  picketGap: length({ group: railings, label: "Clear between pickets, at most", def: inches(4), ...span(inches(1), feet(3), [inches(2), inches(8)]), help: "Each length of railing is divided evenly." }), // prettier-ignore
  stairs: table({
    group: openings,
    label: "Stairs",
    noun: "stair",
    def: [],
    most: 12,
    help: "Straight flights down to the ground; the railing is open where they land.",
    columns: {
      side: choice({
        group: openings,
        label: "Side",
        def: "left",
        options: SIDE,
        help: "The track runs along the front.",
      }),
      at: length({ group: openings, label: "Middle from the left", def: feet(7), ...span(feet(0), feet(600), [feet(0), feet(300)]), help: "Seen from outside." }), // prettier-ignore
      width: length({ group: openings, label: "Width", def: feet(4), ...span(feet(2), feet(30), [feet(3), feet(10)]), help: "Of the treads." }), // prettier-ignore
      tread: length({ group: openings, label: "Tread", def: inches(10.5), ...span(inches(6), inches(24), [inches(9), inches(14)]), help: "From nosing to nosing." }), // prettier-ignore
      riser: length({ group: openings, label: "Riser, about", def: inches(7), ...span(inches(4), inches(14), [inches(6), inches(9)]), help: "The rise is divided evenly." }), // prettier-ignore
      rail: flag({ group: openings, label: "Handrails", def: true, help: "On both sides of the flight." }),
    },
  }),
  tread: section({ group: openings, label: "Tread of", def: "2×10", help: "Laid in the notches of the stringers." }),
  stairStringer: section({
    group: openings,
    label: "Stringer of a stair",
    def: "2×12",
    help: "Notched for the treads.",
  }),
  gates: table({
    group: openings,
    label: "Gates",
    noun: "gate",
    def: [],
    most: 24,
    help: "Openings in a railing.",
    columns: {
      side: choice({
        group: openings,
        label: "Side",
        def: "back",
        options: SIDE,
        help: "The track runs along the front.",
      }),
      at: length({ group: openings, label: "Middle from the left", def: feet(10), ...span(feet(0), feet(600), [feet(0), feet(300)]), help: "Seen from outside." }), // prettier-ignore
      width: length({ group: openings, label: "Width", def: feet(4), ...span(feet(1.5), feet(30), [feet(3), feet(12)]), help: "Clear." }), // prettier-ignore
      leaf: flag({ group: openings, label: "With a leaf", def: true, help: "Two stiles, two rails and a brace." }),
    },
  }),
  shelter: choice({ group: shelter, label: "Shelter", def: "none", options: options({ none: "none", gable: "gable roof", butterfly: "butterfly roof", flat: "flat roof" }), help: "On posts over the columns, the roof on formers of sheet." }), // prettier-ignore
  shelterFrom: count({ group: shelter, label: "From place", def: 2, min: 1, max: 60, help: "The first place with columns that has its posts, from the left." }), // prettier-ignore
  shelterTo: count({ group: shelter, label: "To place", def: 4, min: 1, max: 60, help: "The last one." }),
  shelterHigh: length({ group: shelter, label: "Underside over the deck", def: feet(9), ...span(feet(3), feet(30), [feet(8), feet(14)]), help: "Of its formers." }), // prettier-ignore
  shelterRows: choice({ group: shelter, label: "Posts", def: "one", options: options({ one: "one, in the middle", two: "two" }), help: "At each place of the shelter." }), // prettier-ignore
  shelterInset: length({ group: shelter, label: "Posts in from the edges", def: feet(4), ...span(inches(3), feet(38), [feet(2), feet(8)]), help: "To their middle." }), // prettier-ignore
  shelterPost: section({ group: shelter, label: "Shelter post", def: "8×8", help: "From the deck to its former." }),
  slope: batter({ group: shelter, label: "Slope in 12", def: 3, min: 0.25, max: 18, usual: [1, 10], help: "Of a gable and of a butterfly roof." }), // prettier-ignore
  formerLeast: length({ group: shelter, label: "Formers where they are lowest", def: inches(8), ...span(inches(1), feet(4), [inches(3), feet(2)]), help: "At the eaves of a gable, in the middle of a butterfly roof." }), // prettier-ignore
  former: choice({ group: shelter, label: "Formers of", def: "styrene/60", options: PLAIN_SHEETS, own: "sheet", help: "Across at every post." }), // prettier-ignore
  roof: choice({
    group: shelter,
    label: "Roof of",
    def: "styrene/30",
    options: PLAIN_SHEETS,
    own: "sheet",
    help: "Laid on the formers.",
  }),
  roofWide: length({ group: shelter, label: "Width of the roof", def: feet(15), ...span(feet(3), feet(90), [feet(6), feet(32)]), help: "Level, over all." }), // prettier-ignore
  roofOver: length({ group: shelter, label: "Roof past the outer formers", def: feet(4), ...span(inches(0), feet(40), [feet(0), feet(8)]), help: "At both ends, clear." }), // prettier-ignore
  pair: flag({ group: pair, label: "A second one, mirrored", def: false, help: "Across the track: what is left here is right there." }), // prettier-ignore
  between: length({ group: pair, label: "Between both", def: feet(26), ...span(feet(4), feet(200), [feet(10), feet(80)]), help: "From front edge to front edge, clear." }), // prettier-ignore
};
export type PlatformValues = ParamsOf<typeof platformSpec>;
export const PlatformParams = dto(platformSpec);
