import { feet, inches } from "../../units";
import { choice, count, length, options, section, span, table } from "../spec";
import { PLAIN_SHEETS } from "../sheetOptions";

const [trim, water, bands, cover, chimneys] = [
  "Trim",
  "Gutters and downpipes",
  "Bands and cornices",
  "Roof cover",
  "Chimneys",
];

/** What is put on walls and roof in strips: corner boards, fascias, bands and cornices with brackets and dentils, covers of the roof. Prototype mm. Usual values are common practice. */
export const trimSpec = {
  cornerTrim: length({ group: trim, label: "Corner boards, width", def: feet(0), ...span(feet(0), feet(4), [feet(0), inches(12)]), help: "On the face of both walls at every corner; they cover the edges of the layers. 0 leaves them out." }), // prettier-ignore
  fascia: length({ group: trim, label: "Fascias and barge boards, height", def: feet(0), ...span(feet(0), feet(4), [feet(0), inches(14)]), help: "Under the edge of an overhanging roof: level ones at the eaves, sloping ones at the ends, which cover their ends. 0 leaves them out." }), // prettier-ignore
  stripSheet: choice({ group: trim, label: "Corner boards, fascias and bands of", def: "styrene/20", options: PLAIN_SHEETS, own: "sheet", help: "On the walls' face and under the roof." }), // prettier-ignore
  gutters: choice({ group: water, label: "Gutters", def: "none", options: options({ none: "none", eaves: "along the eaves" }), help: "Strip under the edge of a sloping roof, before the fascia and clear of what is on the face." }), // prettier-ignore
  gutter: section({ group: water, label: "Gutter", def: "4×6", help: "Thickness out of the wall, width upright." }),
  downpipes: choice({ group: water, label: "Downpipes", def: "both", options: options({ none: "none", left: "at the left end of each", right: "at the right end of each", both: "at both ends" }), help: "Seen from outside; with room for bands, sills and corner boards behind them." }), // prettier-ignore
  downpipe: section({ group: water, label: "Downpipe", def: "⌀3", help: "Diameter in nominal inches." }),
  downIn: length({ group: water, label: "Downpipes in from the corner", def: inches(15), ...span(inches(2), feet(60), [inches(4), feet(3)]), help: "To their middle." }), // prettier-ignore
  bands: table({
    group: bands,
    label: "Bands and cornices",
    noun: "band",
    def: [],
    most: 12,
    help: "Between storeys and under the top: mitred where they go round a corner, square between corner boards or quoins.",
    columns: {
      at: length({ group: bands, label: "Top over the floor", def: feet(8), ...span(feet(0), feet(120), [feet(2), feet(60)]), help: "Of the strip on the wall; a shelf lies on it." }), // prettier-ignore
      high: length({ group: bands, label: "Height", def: inches(10), ...span(inches(1), feet(8), [inches(4), feet(4)]), help: "Of the strip on the wall." }), // prettier-ignore
      out: length({ group: bands, label: "Shelf out of the wall", def: inches(0), ...span(inches(0), feet(6), [inches(0), feet(3)]), help: "0 leaves the shelf out." }), // prettier-ignore
      walls: choice({ group: bands, label: "On", def: "all", options: options({ all: "all walls", front: "the front alone" }), help: "Which walls it runs along." }), // prettier-ignore
      brackets: count({ group: bands, label: "Brackets on the front", def: 0, min: 0, max: 60, help: "Under the shelf, evenly spaced; other walls have them about as far apart." }), // prettier-ignore
      dentils: length({ group: bands, label: "Dentils, middle to middle", def: inches(0), ...span(inches(0), feet(4), [inches(0), feet(1)]), help: "About: a wall is divided evenly. 0 leaves them out." }), // prettier-ignore
    },
  }),
  shelfSheet: choice({ group: bands, label: "Shelves of", def: "styrene/30", options: PLAIN_SHEETS, own: "sheet", help: "On the strip." }), // prettier-ignore
  bracketSheet: choice({ group: bands, label: "Brackets of", def: "styrene/60", options: PLAIN_SHEETS, own: "sheet", help: "As wide as the sheet is thick." }), // prettier-ignore
  bracketHigh: length({ group: bands, label: "Height of a bracket", def: inches(9), ...span(inches(1), feet(8), [inches(4), feet(4)]), help: "No higher than its strip." }), // prettier-ignore
  dentilSheet: choice({ group: bands, label: "Dentils of", def: "styrene/20", options: PLAIN_SHEETS, own: "sheet", help: "As far out as the sheet is thick." }), // prettier-ignore
  dentilWide: length({ group: bands, label: "Width of a dentil", def: inches(3), ...span(inches(0.5), feet(2), [inches(1.5), inches(8)]), help: "Along the wall." }), // prettier-ignore
  dentilHigh: length({ group: bands, label: "Height of a dentil", def: inches(4), ...span(inches(0.5), feet(4), [inches(2), inches(12)]), help: "No higher than its strip." }), // prettier-ignore
  cover: choice({
    group: cover,
    label: "Cover of the slopes",
    def: "none",
    options: options({
      none: "none",
      strips: "lapped strips: shingles, roll roofing, thatch",
      seams: "plain sheet with standing seams",
      corrugated: "corrugated sheet",
      shingle: "sheet with shingles",
    }),
    help: "On the sheet of a sloping roof, from the eave up.",
  }),
  coverSheet: choice({ group: cover, label: "Strips and plain cover of", def: "styrene/10", options: PLAIN_SHEETS, own: "sheet", help: "Also standing seams and the ridge cap." }), // prettier-ignore
  exposure: length({ group: cover, label: "Shows to the weather", def: inches(8), ...span(inches(2), feet(8), [inches(4), feet(3)]), help: "Of each strip, up the slope." }), // prettier-ignore
  coverLap: length({ group: cover, label: "Lies under the next by", def: inches(4), ...span(inches(1), feet(6), [inches(2), feet(2)]), help: "Each strip is cut that much wider than it shows." }), // prettier-ignore
  shingleWide: length({ group: cover, label: "Width of a shingle", def: inches(6), ...span(inches(0), feet(4), [inches(0), feet(1)]), help: "Lines printed on the strips, by half a shingle from course to course; 0 for roll roofing and thatch." }), // prettier-ignore
  coverPitch: length({ group: cover, label: "Pitch of its lines", def: inches(3), ...span(inches(1), inches(24), [inches(2), inches(12)]), help: "The nearest sheet that is sold is taken." }), // prettier-ignore
  seamApart: length({ group: cover, label: "Standing seams apart, about", def: inches(20), ...span(inches(4), feet(6), [inches(12), feet(3)]), help: "A slope is divided evenly, a seam at both its ends." }), // prettier-ignore
  seamHigh: length({ group: cover, label: "Height of a seam", def: inches(2), ...span(inches(0.5), feet(1), [inches(1), inches(4)]), help: "Strips on edge." }), // prettier-ignore
  ridgeCap: length({ group: cover, label: "Ridge cap, width of each side", def: inches(0), ...span(inches(0), feet(3), [inches(0), inches(12)]), help: "Over the cover, mitred at the ridge. 0 leaves it out." }), // prettier-ignore
  chimneys: table({
    group: chimneys,
    label: "Chimneys",
    noun: "chimney",
    def: [],
    most: 6,
    help: "Through a sloping roof: plates of brick sheet round a hollow, corbel courses and a cap on them; also as a master to cast from.",
    columns: {
      at: length({ group: chimneys, label: "Middle from the left corner", def: feet(8), ...span(feet(0), feet(300), [feet(0), feet(150)]), help: "Along the front." }), // prettier-ignore
      in: length({ group: chimneys, label: "Middle from the front wall", def: feet(8), ...span(feet(0), feet(150), [feet(0), feet(60)]), help: "Level, from its outside." }), // prettier-ignore
      width: length({ group: chimneys, label: "Width", def: feet(2), ...span(inches(8), feet(20), [inches(16), feet(6)]), help: "Along the front." }), // prettier-ignore
      depth: length({ group: chimneys, label: "Depth", def: feet(2), ...span(inches(8), feet(20), [inches(16), feet(6)]), help: "From front to back." }), // prettier-ignore
      high: length({ group: chimneys, label: "Over the roof", def: feet(5), ...span(feet(1), feet(40), [feet(2), feet(12)]), help: "Of its shaft, over the highest point of the roof that it goes through." }), // prettier-ignore
      corbels: count({ group: chimneys, label: "Corbel courses", def: 2, min: 0, max: 12, help: "Each reaches out as much further than the one below." }), // prettier-ignore
    },
  }),
  chimneyPitch: length({ group: chimneys, label: "Course of its bricks", def: inches(2.75), ...span(inches(1), inches(24), [inches(2), inches(8)]), help: "The nearest brick sheet that is sold is taken." }), // prettier-ignore
  corbelSheet: choice({ group: chimneys, label: "Corbels and cap of", def: "styrene/30", options: PLAIN_SHEETS, own: "sheet", help: "A course is as high as the sheet is thick." }), // prettier-ignore
  corbelOut: length({ group: chimneys, label: "A corbel reaches out by", def: inches(2), ...span(inches(0.5), feet(1), [inches(1), inches(4)]), help: "Past the course below, on all sides." }), // prettier-ignore
  flashing: length({ group: chimneys, label: "Flashing, width", def: inches(6), ...span(inches(0), feet(3), [inches(0), inches(12)]), help: "Round the chimney, on the roof or on a cover of sheet; 0 leaves it out. On lapped strips and between standing seams there is none." }), // prettier-ignore
};
