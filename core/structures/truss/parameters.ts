import { feet, inches, type Prototype } from "../../units";
import { choice, count, dto, flag, length, numeric, section, type ParamsOf } from "../spec";
import { TRUSS_KINDS } from "./topology";

const outline = "Outline";
const bridge = "Bridge";
const timbers = "Truss members";
const floor = "Floor and track";
const braced = "Bracing";
const loads = "Loads";
const span = (min: Prototype, max: Prototype, usual: readonly [Prototype, Prototype]) => ({ min, max, usual });

/** Timber truss or truss bridge. Prototype mm, percent. Usual values are common practice. */
export const trussSpec = {
  kind: choice({
    group: outline,
    label: "Kind",
    def: "howe",
    options: TRUSS_KINDS,
    help: "Howe: timber diagonals in compression, rods upright. Pratt: diagonals in tension.",
  }),
  position: choice({
    group: outline,
    label: "Track runs",
    def: "through",
    options: [
      { value: "through", label: "through, braced overhead" },
      { value: "pony", label: "through, open overhead" },
      { value: "deck", label: "on top (deck)" },
      { value: "roof", label: "none: a roof truss by itself" },
    ],
    help: "A pony truss is too low to be braced overhead.",
  }),
  span: length({
    group: outline,
    label: "Span, bearing to bearing",
    def: feet(90),
    ...span(feet(8), feet(250), [feet(15), feet(180)]),
    help: "Centre to centre of the bearings of one span.",
  }),
  panels: count({
    group: outline,
    label: "Panels",
    def: 6,
    min: 2,
    max: 24,
    help: "Equal ones; a kind that needs an even or a fixed number takes the nearest.",
  }),
  depth: length({
    group: outline,
    label: "Depth of the truss",
    def: feet(24),
    ...span(feet(2), feet(50), [feet(4), feet(32)]),
    help: "Between the work lines of the chords, in the middle.",
  }),
  ends: choice({
    group: outline,
    label: "End posts",
    def: "inclined",
    options: [
      { value: "inclined", label: "inclined" },
      { value: "vertical", label: "vertical" },
    ],
    help: "How the top chord comes down at the bearings.",
  }),
  slopes: choice({
    group: outline,
    label: "Slopes of the top chord",
    def: "5",
    options: [
      { value: "3", label: "three" },
      { value: "5", label: "five" },
      { value: "7", label: "seven" },
    ],
    help: "Counted with both end posts.",
  }),
  hipDepth: length({
    group: outline,
    label: "Depth at the end posts' heads",
    def: feet(14),
    ...span(feet(2), feet(45), [feet(4), feet(30)]),
    help: "Of a polygonal truss, at the first panel point.",
  }),
  innerDepth: length({
    group: outline,
    label: "Height of the scissors' crossing",
    def: feet(4),
    ...span(inches(6), feet(30), [feet(1), feet(15)]),
    help: "Over the bearings, in the middle.",
  }),
  camber: length({
    group: outline,
    label: "Camber",
    def: feet(0),
    ...span(feet(0), feet(3), [feet(0), inches(6)]),
    help: "Rise of both chords in the middle; they then turn a little at every panel point.",
  }),
  counters: choice({
    group: outline,
    label: "Counters",
    def: "needed",
    options: [
      { value: "none", label: "none" },
      { value: "needed", label: "where the force can turn round" },
      { value: "all", label: "in every panel" },
    ],
    help: "A second diagonal against a train that stands on part of the span.",
  }),

  trusses: flag({ group: bridge, label: "Both side trusses", def: true, help: "A pair; off is one truss alone." }),
  apart: length({
    group: bridge,
    label: "Trusses apart",
    def: feet(17),
    ...span(feet(4), feet(60), [feet(6), feet(40)]),
    help: "Centre to centre.",
  }),
  spans: count({ group: bridge, label: "Spans", def: 1, min: 1, max: 6, help: "Alike, on piers between them." }),
  piers: choice({
    group: bridge,
    label: "Piers",
    def: "none",
    options: [
      { value: "none", label: "none" },
      { value: "between", label: "between the spans" },
      { value: "all", label: "under every bearing" },
    ],
    help: "A framed bent under each bearing.",
  }),
  pierHeight: length({
    group: bridge,
    label: "Pier height",
    def: feet(20),
    ...span(feet(5), feet(90), [feet(8), feet(60)]),
    help: "Top of cap to foot of sill.",
  }),
  blocks: flag({ group: bridge, label: "Bearing blocks", def: true, help: "Under each bearing, across the chord." }),
  block: section({ group: bridge, label: "Bearing block", def: "12×12", help: "Nominal inches." }),
  grade: numeric({
    group: bridge,
    label: "Grade",
    unit: "%",
    def: 0,
    min: -5,
    max: 5,
    usual: [-3, 3],
    help: "The whole bridge lies on it.",
  }),

  chordShape: choice({
    group: timbers,
    label: "Chords are",
    def: "plies",
    options: [
      { value: "plies", label: "timbers side by side" },
      { value: "I", label: "I sections" },
      { value: "channel", label: "channels" },
      { value: "box", label: "boxes" },
    ],
    help: "The last three are built up of strips; an I, H or channel chosen in Stock for the chord timber is taken as it is.",
  }),
  chord: section({
    group: timbers,
    label: "Chord timber",
    def: "8×12",
    help: "Of one ply, or the size over all of a built-up section; nominal inches.",
  }),
  chordPlies: count({ group: timbers, label: "Plies in a chord", def: 3, min: 1, max: 4, help: "Side by side." }),
  packing: length({
    group: timbers,
    label: "Packing between plies",
    def: feet(0),
    ...span(feet(0), feet(1), [feet(0), inches(4)]),
    help: "The gap that packing blocks keep.",
  }),
  plate: numeric({
    group: timbers,
    label: "Strip of a built-up section",
    unit: " in",
    def: 1,
    min: 0.25,
    max: 6,
    usual: [0.5, 4],
    help: "Thickness, nominal inches.",
  }),
  endPost: section({
    group: timbers,
    label: "End post",
    def: "12×14",
    help: "Nominal inches; the larger side lies in the truss.",
  }),
  vertical: section({
    group: timbers,
    label: "Vertical",
    def: "⌀2",
    help: "A timber such as 8×10, or a rod such as ⌀2.",
  }),
  diagonal: section({
    group: timbers,
    label: "Diagonal",
    def: "8×10",
    help: "A timber such as 8×10, or a rod such as ⌀2.",
  }),
  counter: section({
    group: timbers,
    label: "Counter",
    def: "6×8",
    help: "A timber such as 6×8, or a rod such as ⌀2.",
  }),
  plank: section({ group: timbers, label: "Lattice plank", def: "3×12", help: "Nominal inches." }),
  chordEnd: length({
    group: timbers,
    label: "Chord past the bearing",
    def: feet(1, 6),
    ...span(inches(3), feet(6), [inches(6), feet(3)]),
    help: "From the end panel point to the end of the chord.",
  }),
  gussets: flag({ group: timbers, label: "Gusset plates", def: false, help: "On both faces at every panel point." }),
  gussetReach: length({
    group: timbers,
    label: "Gusset plate along each member",
    def: feet(2),
    ...span(inches(6), feet(6), [feet(1), feet(4)]),
    help: "From the panel point.",
  }),
  gap: length({
    group: timbers,
    label: "Members stop short by",
    def: feet(0),
    ...span(feet(0), inches(12), [feet(0), inches(3)]),
    help: "Of what they meet, under the gusset plates.",
  }),

  gauge: length({
    group: floor,
    label: "Gauge",
    def: feet(4, 8.5),
    ...span(inches(18), feet(7, 1), [inches(24), feet(5, 6)]),
    help: "Between the rails.",
  }),
  tracks: count({ group: floor, label: "Tracks", def: 1, min: 1, max: 3, help: "One to three." }),
  trackCentres: length({
    group: floor,
    label: "Track centres",
    def: feet(13),
    ...span(feet(6), feet(30), [feet(9), feet(16)]),
    help: "Centre to centre.",
  }),
  floor: choice({
    group: floor,
    label: "Floor",
    def: "beams",
    options: [
      { value: "none", label: "none" },
      { value: "beams", label: "floor beams and stringers" },
      { value: "ties", label: "ties right on the top chords" },
    ],
    help: "Ties on the chords make a trestle-deck truss.",
  }),
  floorBeam: section({
    group: floor,
    label: "Floor beam",
    def: "12×16",
    help: "At each panel point; nominal inches, on edge.",
  }),
  stringer: section({ group: floor, label: "Stringer ply", def: "8×16", help: "Nominal inches, on edge." }),
  stringerPlies: count({ group: floor, label: "Plies under each rail", def: 2, min: 1, max: 4, help: "Side by side." }),
  tie: section({ group: floor, label: "Tie", def: "8×8", help: "Nominal inches." }),
  tieLength: length({
    group: floor,
    label: "Tie length",
    def: feet(10),
    ...span(feet(4), feet(40), [feet(7), feet(12)]),
    help: "End to end.",
  }),
  tieSpacing: length({
    group: floor,
    centres: ["tie", "thickness"],
    label: "Tie spacing",
    def: inches(14),
    ...span(inches(8), feet(4), [inches(12), inches(18)]),
    help: "Centre to centre.",
  }),
  guards: flag({ group: floor, label: "Guard timbers", def: true, help: "Along the ends of the ties." }),
  guard: section({ group: floor, label: "Guard timber", def: "6×8", help: "Nominal inches; laid flat." }),

  laterals: flag({
    group: braced,
    label: "Lateral bracing",
    def: true,
    help: "Crossed in plan between the chords; overhead too where the track runs through.",
  }),
  lateral: section({ group: braced, label: "Lateral brace", def: "6×6", help: "Nominal inches." }),
  portals: flag({
    group: braced,
    label: "Portals and overhead struts",
    def: true,
    help: "Struts between the top chords, with knee braces at the ends.",
  }),
  strut: section({ group: braced, label: "Overhead strut", def: "8×8", help: "Nominal inches." }),
  knee: length({
    group: braced,
    label: "Knee brace",
    def: feet(3),
    ...span(feet(1), feet(12), [feet(2), feet(6)]),
    help: "Along the strut and along the end post.",
  }),
  sway: flag({
    group: braced,
    label: "Sway bracing",
    def: true,
    help: "Crossed between the two trusses of a deck bridge at its panel points.",
  }),
  clearWidth: length({
    group: braced,
    label: "Clearance width",
    def: feet(13),
    ...span(feet(6), feet(40), [feet(10), feet(18)]),
    help: "What has to pass between the trusses for each track; cars are up to 10 ft 8 in wide.",
  }),
  clearHeight: length({
    group: braced,
    label: "Clearance height",
    def: feet(17),
    ...span(feet(6), feet(30), [feet(12), feet(23)]),
    help: "Over the rail, under knee braces and struts.",
  }),

  liveOverDead: numeric({
    group: loads,
    label: "Train over bridge, per panel",
    unit: "",
    def: 2,
    min: 0,
    max: 20,
    usual: [0.5, 5],
    help: "How many times the bridge's own weight the train adds: it says where counters are needed.",
  }),
  material: choice({
    group: loads,
    label: "Model material",
    def: "basswood",
    options: [
      { value: "basswood", label: "basswood" },
      { value: "pine", label: "sugar pine" },
      { value: "balsa", label: "balsa" },
      { value: "styrene", label: "styrene" },
    ],
    help: "For the sag of the model under a model train.",
  }),
  trainWeight: numeric({
    group: loads,
    label: "Model train",
    unit: " g per 100 mm",
    def: 60,
    min: 0,
    max: 5000,
    usual: [10, 1000],
    help: "On each track. An HO car weighs about 55 g per 100 mm, an engine up to 200 g.",
  }),
} as const;

export type TrussValues = ParamsOf<typeof trussSpec>;
/** The truss's parameters as class-validator checks them. */
export class TrussParams extends dto(trussSpec) {}
