import { TUBES } from "../../lumber";
import { feet, inches } from "../../units";
import { batter, choice, count, dto, length, numeric, options, section, span, type ParamsOf } from "../spec";
import { sheetSpec } from "../sheet/parameters";
import { NO_SHEET, PLAIN_SHEETS, TEXTURE_OPTIONS } from "../sheetOptions";

const [tubes, round, between, top, house] = ["Tubes", "Round them", "Between them", "Deck", "Headhouse"];
const { openings } = sheetSpec;

/** A row of upright tubes: silos, tanks, stacks. From the pipe that one has, with wraps and hoops, flat panels between, a deck and a headhouse on it. Prototype mm. Usual values are common practice. */
export const tubesSpec = {
  tubes: count({ group: tubes, label: "Tubes", def: 4, min: 1, max: 12, help: "In a row." }),
  diameter: length({
    group: tubes,
    label: "Diameter",
    def: feet(20),
    ...span(inches(6), feet(80), [feet(2), feet(40)]),
    help: "On the prototype, over a wrap.",
  }),
  pipe: choice({
    group: tubes,
    label: "Made from",
    def: "nearest",
    options: [{ value: "nearest", label: "the nearest that is sold" }, { value: "own", label: "one that I have" }, ...TUBES.map((t) => ({ value: t.id.slice(5), label: t.name }))], // prettier-ignore
    help: "What it really is decides all that is put on it.",
  }),
  ownDiameter: numeric({ group: tubes, label: "Its outside", unit: "mm", def: 50, min: 2, max: 400, usual: [5, 250], help: "Model mm, as measured." }), // prettier-ignore
  ownWall: numeric({ group: tubes, label: "Its wall", unit: "mm", def: 2, min: 0.2, max: 20, usual: [0.5, 8], help: "Model mm, as measured." }), // prettier-ignore
  height: length({
    group: tubes,
    label: "Height",
    def: feet(60),
    ...span(feet(2), feet(250), [feet(6), feet(140)]),
    help: "Of their level tops; of tops cut aslant, in the middle.",
  }),
  gap: length({
    group: tubes,
    label: "Room between two",
    def: feet(0),
    ...span(feet(0), feet(60), [feet(0), feet(20)]),
    help: "Between their outsides; 0 where they touch.",
  }),
  fall: batter({ group: tubes, label: "Tops cut aslant, fall in 12", def: 0, min: 0, max: 24, usual: [0, 12], help: "Inches in a foot, towards the front. 0 is square." }), // prettier-ignore
  wrap: choice({
    group: round,
    label: "Wrap",
    def: "none",
    options: [
      NO_SHEET,
      ...TEXTURE_OPTIONS,
      ...PLAIN_SHEETS.filter((s) => /^(styrene\/(5|10|15|20)|card\/0)/.test(s.value)),
    ],
    help: "Sheet bent round each tube, in two halves that meet at the sides.",
  }),
  wrapPitch: length({
    group: round,
    label: "Pitch of its lines",
    def: inches(6),
    ...span(inches(1), inches(48), [inches(2), inches(24)]),
    help: "The nearest sheet that is sold is taken.",
  }),
  hoops: count({ group: round, label: "Hoops", def: 0, min: 0, max: 24, help: "Round each tube, evenly spaced." }),
  hoop: section({ group: round, label: "Hoop", def: "1×3", help: "Strip bent round; the wide way up." }),
  hoopMargin: length({
    group: round,
    label: "Margin at foot and top",
    def: feet(2),
    ...span(inches(0), feet(60), [inches(6), feet(12)]),
    help: "Clear to the first and the last hoop.",
  }),
  infill: choice({
    group: between,
    label: "Flat panels between",
    def: "none",
    options: options({ none: "none", front: "in front", both: "in front and behind" }),
    help: "From tube to tube.",
  }),
  infillBack: length({
    group: between,
    label: "Back from the tubes' front by",
    def: feet(3),
    ...span(inches(3), feet(39), [feet(1), feet(10)]),
    help: "To the panel's outside.",
  }),
  infillSheet: choice({
    group: between,
    label: "Panels of",
    def: "styrene/40",
    options: PLAIN_SHEETS,
    own: "sheet",
    help: "Their edges are bevelled along the tubes.",
  }),
  deck: choice({ group: top, label: "Deck on their tops", def: "styrene/60", options: [NO_SHEET, ...PLAIN_SHEETS], own: "sheet", help: "Lies on the tops and carries a headhouse." }), // prettier-ignore
  deckOver: length({
    group: top,
    label: "Deck overhangs by",
    def: feet(1),
    ...span(feet(0), feet(12), [feet(0), feet(4)]),
    help: "All round.",
  }),
  headhouse: choice({ group: house, label: "Headhouse", def: "none", options: options({ none: "none", flat: "with a flat roof", gable: "with a gable roof", shed: "with a shed roof" }), help: "A building of sheet on the deck." }), // prettier-ignore
  houseLength: length({ ...sheetSpec.length, group: house, label: "Its length", def: feet(60) }),
  houseWidth: length({ ...sheetSpec.width, group: house, label: "Its width", def: feet(12) }),
  houseHeight: length({ ...sheetSpec.wallHeight, group: house, label: "Height of its front", def: feet(10) }),
  houseFace: choice({ ...sheetSpec.face, group: house, label: "Its face", def: "corrugated" }),
  houseCore: choice({ ...sheetSpec.core, group: house, label: "Its core", def: "styrene/40" }),
  houseOpenings: { ...openings, group: house, label: "Openings of the headhouse" },
};
export type TubesValues = ParamsOf<typeof tubesSpec>;
export const TubesParams = dto(tubesSpec);
