import { feet, inches } from "../../units";
import { choice, count, dto, flag, length, numeric, section, type ParamsOf, span } from "../spec";
import { trestleSpec } from "../whole-trestle/parameters";

const track = "Track";
const frames = "Frames";
const sides = "Walls and roof";

/** A snowshed over a track: heavy frames square to it, bays that are chords of its curve. Prototype mm. Usual values are common practice. */
export const snowshedSpec = {
  curve: { ...trestleSpec.curve, group: track },
  hand: { ...trestleSpec.hand, group: track },
  modelRadius: { ...trestleSpec.modelRadius, group: track },
  radius: { ...trestleSpec.radius, group: track },
  degree: { ...trestleSpec.degree, group: track },
  bays: count({ group: frames, label: "Bays", def: 6, min: 1, max: 80, help: "There is one frame more." }),
  bay: length({
    group: frames,
    label: "Length of a bay on the centre line",
    def: feet(10),
    ...span(feet(4), feet(20), [feet(8), feet(12)]),
    help: "Centre to centre of the frames.",
  }),
  clear: length({
    group: frames,
    label: "Clear width between posts",
    def: feet(16),
    ...span(feet(11), feet(60), [feet(15), feet(32)]),
    help: "One track wants 16 ft; a curve wants more.",
  }),
  height: length({
    group: frames,
    label: "Height under the caps",
    def: feet(20),
    ...span(feet(14), feet(40), [feet(18), feet(24)]),
    help: "Over the mudsills.",
  }),
  over: length({
    group: frames,
    label: "Caps run past the posts by",
    def: feet(1),
    ...span(inches(2), feet(6), [inches(6), feet(2)]),
    help: "The rafters stand on their ends.",
  }),
  rise: numeric({
    group: frames,
    label: "Rise of the roof",
    unit: " in 12",
    def: 6,
    min: 2,
    max: 18,
    usual: [4, 12],
    help: "Inches in a foot of run.",
  }),
  post: section({ group: frames, label: "Post", def: "10×10", help: "Nominal inches, thickness by width." }),
  cap: section({ group: frames, label: "Cap", def: "10×12", help: "Nominal inches, thickness by width." }),
  rafter: section({ group: frames, label: "Rafter", def: "8×10", help: "Nominal inches, thickness by width." }),
  kingPost: flag({
    group: frames,
    label: "King post under the peak",
    def: true,
    help: "From the cap to where the rafters meet.",
  }),
  kneeReach: length({
    group: frames,
    label: "Knee braces reach",
    def: feet(3),
    ...span(feet(0), feet(8), [feet(2), feet(5)]),
    help: "0 leaves them out.",
  }),
  knee: section({ group: frames, label: "Knee brace", def: "6×8", help: "Nominal inches, thickness by width." }),
  mudsill: section({ group: frames, label: "Mudsill", def: "10×12", help: "Nominal inches, thickness by width." }),
  girts: count({
    group: sides,
    label: "Rows of girts",
    def: 3,
    min: 1,
    max: 8,
    help: "Between the posts, flush with their outside.",
  }),
  girt: section({ group: sides, label: "Girt", def: "4×8", help: "Nominal inches, thickness by width." }),
  purlins: count({
    group: sides,
    label: "Purlins to a slope",
    def: 3,
    min: 2,
    max: 10,
    help: "Between the rafters, flush with their tops.",
  }),
  purlin: section({ group: sides, label: "Purlin", def: "4×8", help: "Nominal inches, thickness by width." }),
  planked: choice({
    group: sides,
    label: "Walls planked",
    def: "both",
    options: [
      { value: "both", label: "both" },
      { value: "left", label: "left" },
      { value: "right", label: "right" },
      { value: "none", label: "neither" },
    ],
    help: "Seen from the first frame along the track.",
  }),
  roofed: flag({ group: sides, label: "Roof planked", def: true, help: "Planks run up the slope." }),
  openBays: count({
    group: sides,
    label: "Bays left open at the far end",
    def: 0,
    min: 0,
    max: 80,
    help: "To show the frames.",
  }),
  plank: section({ group: sides, label: "Wall plank", def: "2×10", help: "Nominal inches, thickness by width." }),
  roofPlank: section({ group: sides, label: "Roof plank", def: "2×12", help: "Nominal inches, thickness by width." }),
};
export type SnowshedValues = ParamsOf<typeof snowshedSpec>;
export const SnowshedParams = dto(snowshedSpec);
