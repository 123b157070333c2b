import { feet, inches, prototype, type Prototype } from "../../units";
import { choice, count, dto, flag, length, lengths, numeric, points, section, type ParamsOf } from "../spec";
import { bentSpec } from "../trestle/parameters";

const alignment = "Alignment";
const bents = "Bents";
const ground = "Ground and footings";
const bracing = "Bracing along the track";
const stringers = "Stringers";
const deck = "Ties and deck";
const span = (min: Prototype, max: Prototype, usual: readonly [Prototype, Prototype]) => ({ min, max, usual });
const below = (n: number): Prototype => prototype(-n);

type OwnHere = "height" | "stories" | "storyHeights";
/** What the whole trestle takes from a bent as it is: its posts, its horizontals and its timbers. */
const bent = Object.fromEntries(
  Object.entries(bentSpec).filter(([k]) => !["height", "stories", "storyHeights"].includes(k)),
) as Omit<typeof bentSpec, OwnHere>;

/**
 * Whole trestle. Prototype mm, percent, degrees. The grade line is the base of rail on the deck's centre line; ground
 * heights are over the base of rail at the first bent. Usual values are common practice and, where they are those of the
 * American standard plans, from memory.
 */
export const trestleSpec = {
  length: length({
    group: alignment,
    label: "Length, first bent to last",
    def: feet(180),
    ...span(feet(10), feet(5000), [feet(20), feet(1500)]),
    help: "Along the centre line of the track.",
  }),
  curve: choice({
    group: alignment,
    label: "Curve is set",
    def: "none",
    options: [
      { value: "none", label: "straight" },
      { value: "model", label: "by its model radius" },
      { value: "radius", label: "by its prototype radius" },
      { value: "degree", label: "by its degree" },
    ],
    help: "A degree of curve is the angle that a 100 ft chord subtends.",
  }),
  hand: choice({
    group: alignment,
    label: "Curve to the",
    def: "left",
    options: [
      { value: "left", label: "left" },
      { value: "right", label: "right" },
    ],
    help: "Seen from the first bent along the track.",
  }),
  modelRadius: numeric({
    group: alignment,
    label: "Model radius",
    unit: "mm",
    def: 762,
    min: 60,
    max: 100000,
    usual: [250, 5000],
    help: "Of the centre line, on the layout.",
  }),
  radius: length({
    group: alignment,
    label: "Radius",
    def: feet(573.69),
    ...span(feet(60), feet(30000), [feet(150), feet(12000)]),
    help: "Of the centre line.",
  }),
  degree: numeric({
    group: alignment,
    label: "Degree of curve",
    unit: "°",
    def: 10,
    min: 0.1,
    max: 90,
    usual: [0.5, 24],
    help: "10° is a radius of 573.69 ft.",
  }),
  tangentStart: length({
    group: alignment,
    label: "Tangent before the curve",
    def: feet(0),
    ...span(feet(0), feet(5000), [feet(0), feet(1500)]),
    help: "Straight track from the first bent to where the curve begins; there is no spiral.",
  }),
  tangentEnd: length({
    group: alignment,
    label: "Tangent after the curve",
    def: feet(0),
    ...span(feet(0), feet(5000), [feet(0), feet(1500)]),
    help: "Straight track from where the curve ends to the last bent.",
  }),
  grade: numeric({
    group: alignment,
    label: "Grade",
    unit: "%",
    def: 0,
    min: -8,
    max: 8,
    usual: [-4, 4],
    help: "Rise in a hundred, from the first bent to the last.",
  }),
  superelevation: length({
    group: alignment,
    label: "Superelevation",
    def: feet(0),
    ...span(feet(0), inches(10), [feet(0), inches(7)]),
    help: "How much higher the outer rail lies. It is the same all along; the run-off lies on the approaches.",
  }),
  superBy: choice({
    group: alignment,
    label: "Superelevation by",
    def: "tilt",
    options: [
      { value: "tilt", label: "tilted caps" },
      { value: "shims", label: "shims on level caps" },
    ],
    help: "Tilted caps take posts of unequal length; shims are wedges under the stringers.",
  }),
  gauge: length({
    group: alignment,
    label: "Gauge",
    def: feet(4, 8.5),
    ...span(inches(18), feet(7, 1), [inches(24), feet(5, 6)]),
    help: "Between the rails.",
  }),
  tracks: count({ group: alignment, label: "Tracks", def: 1, min: 1, max: 3, help: "One to three." }),
  trackCentres: length({
    group: alignment,
    label: "Track centres",
    def: feet(13),
    ...span(feet(6), feet(30), [feet(9), feet(16)]),
    help: "Centre to centre of neighbouring tracks.",
  }),

  bentSet: choice({
    group: bents,
    label: "Bents are set",
    def: "spacing",
    options: [
      { value: "spacing", label: "at a spacing" },
      { value: "each", label: "bay by bay" },
    ],
    help: "At a spacing the last bay takes what is left; bay by bay each has its own length.",
  }),
  spacing: length({
    group: bents,
    label: "Bent spacing",
    def: feet(15),
    ...span(feet(5), feet(40), [feet(12), feet(16)]),
    help: "Centre to centre along the track; 14 ft and 15 ft are usual.",
  }),
  bays: lengths({
    group: bents,
    label: "Bays",
    of: length({
      group: bents,
      label: "Bay",
      def: feet(15),
      ...span(feet(5), feet(40), [feet(12), feet(16)]),
      help: "Centre to centre along the track.",
    }),
    def: [feet(15), feet(15), feet(15), feet(15)],
    most: 400,
    help: "One after another from the first bent; they make the length.",
  }),
  skewStart: numeric({
    group: bents,
    label: "Skew of the first bent",
    unit: "°",
    def: 0,
    min: -35,
    max: 35,
    usual: [-30, 30],
    help: "Turned out of square to the track, positive counter-clockwise seen from above.",
  }),
  skewEnd: numeric({
    group: bents,
    label: "Skew of the last bent",
    unit: "°",
    def: 0,
    min: -35,
    max: 35,
    usual: [-30, 30],
    help: "Turned out of square to the track, positive counter-clockwise seen from above.",
  }),
  bentKind: choice({
    group: bents,
    label: "Bents",
    def: "framed",
    options: [
      { value: "framed", label: "framed: posts on a sill" },
      { value: "pile", label: "piles in the ground" },
    ],
    help: "Piles are cut off level at the ground.",
  }),
  pileSize: section({
    group: bents,
    label: "Piles",
    def: "⌀12",
    help: "A round such as ⌀12, or a square such as 12×12.",
  }),
  topStory: length({
    group: bents,
    label: "Top story",
    def: feet(14),
    ...span(feet(5), feet(40), [feet(8), feet(25)]),
    help: "From the top of the cap to the centre of the first story line; the same in all bents.",
  }),
  story: length({
    group: bents,
    label: "Further stories",
    def: feet(15),
    ...span(feet(5), feet(40), [feet(8), feet(25)]),
    help: "From story line to story line.",
  }),
  leastStory: length({
    group: bents,
    label: "Least lowest story",
    def: feet(7),
    ...span(feet(4), feet(30), [feet(6), feet(15)]),
    help: "A story line that would leave less than this above the foot of the bent is left out.",
  }),
  swayStep: length({
    group: bents,
    label: "Lowest sway braces by steps of",
    def: feet(2),
    ...span(feet(0), feet(10), [feet(0), feet(4)]),
    help: "Braces of the lowest story are made for its height rounded down to this, so that few lengths serve all bents; 0 makes each to fit.",
  }),

  groundBy: choice({
    group: ground,
    label: "Heights come from",
    def: "profile",
    options: [
      { value: "profile", label: "the ground" },
      { value: "heights", label: "heights chosen" },
    ],
    help: "Make the bents to the ground, or choose heights and build the ground up to them.",
  }),
  profile: points({
    group: ground,
    label: "Ground profile",
    columns: ["Station", "Height"],
    def: [
      [0, below(feet(9))],
      [feet(45), below(feet(20))],
      [feet(90), below(feet(38))],
      [feet(135), below(feet(22))],
      [feet(180), below(feet(9))],
    ],
    most: 2000,
    help: "Station from the first bent, and height over the base of rail there (below it is negative).",
  }),
  heights: lengths({
    group: ground,
    label: "Bent heights",
    of: length({
      group: ground,
      label: "Height of bent",
      def: feet(21),
      ...span(feet(3), feet(150), [feet(5), feet(90)]),
      help: "Top of cap to foot of sill, or to the ground for piles.",
    }),
    def: [feet(10), feet(20), feet(30), feet(20), feet(10)],
    most: 400,
    help: "One for each bent from the first; the last one serves all that follow.",
  }),
  crossfall: numeric({
    group: ground,
    label: "Ground falls across",
    unit: "%",
    def: 0,
    min: -40,
    max: 40,
    usual: [-30, 30],
    help: "Rise of the ground to the left in a hundred; the profile is at the centre line.",
  }),
  footing: choice({
    group: ground,
    label: "Footings",
    def: "mudsill",
    options: [
      { value: "none", label: "none" },
      { value: "mudsill", label: "mudsills" },
      { value: "pedestal", label: "pedestals" },
    ],
    help: "Under the sill at each post: short timbers along the track, or blocks each as high as the ground asks.",
  }),
  mudsill: section({ group: ground, label: "Mudsills", def: "12×12", help: "Nominal inches; laid flat." }),
  mudsillLength: length({
    group: ground,
    label: "Mudsill length",
    def: feet(4),
    ...span(feet(2), feet(16), [feet(3), feet(8)]),
    help: "Along the track.",
  }),
  pedestalTop: length({
    group: ground,
    label: "Pedestal top",
    def: inches(20),
    ...span(inches(8), feet(6), [inches(14), feet(3)]),
    help: "Side of its square top.",
  }),
  pedestalLeast: length({
    group: ground,
    label: "Least pedestal height",
    def: inches(12),
    ...span(inches(2), feet(20), [inches(6), feet(4)]),
    help: "Of the lowest one at a bent, over the ground.",
  }),
  pedestalBatter: numeric({
    group: ground,
    label: "Pedestal batter",
    unit: " in 12",
    def: 1.5,
    min: 0,
    max: 6,
    usual: [0, 3],
    help: "How much its sides spread, inches for each foot of height.",
  }),

  girts: choice({
    group: bracing,
    label: "Longitudinal girts",
    def: "outer",
    options: [
      { value: "none", label: "none" },
      { value: "outer", label: "at the outer posts" },
      { value: "every", label: "at every post" },
    ],
    help: "From bent to bent at each story line.",
  }),
  girt: section({
    group: bracing,
    label: "Girts",
    def: "6×8",
    help: "Nominal inches; the larger side stands upright.",
  }),
  braces: choice({
    group: bracing,
    label: "Longitudinal braces",
    def: "alternate",
    options: [
      { value: "none", label: "none" },
      { value: "every", label: "every bay" },
      { value: "alternate", label: "alternate bays" },
      { value: "towers", label: "towers: girts there only" },
    ],
    help: "Diagonals on the outer posts, story by story.",
  }),
  braceFaces: choice({
    group: bracing,
    label: "Braces are",
    def: "both",
    options: [
      { value: "outside", label: "outside the posts" },
      { value: "both", label: "one outside, one inside" },
    ],
    help: "A pair holds the posts between them; at a skew bent only the outer one has room.",
  }),
  brace: section({
    group: bracing,
    label: "Longitudinal brace",
    def: "3×8",
    help: "Nominal inches; the smaller side is the thickness on the post.",
  }),

  stringers: flag({ group: stringers, label: "Stringers", def: true, help: "The chords under the rails." }),
  plies: count({
    group: stringers,
    label: "Plies under each rail",
    def: 3,
    min: 1,
    max: 4,
    help: "Two or three are usual.",
  }),
  stringer: section({ group: stringers, label: "Stringer ply", def: "8×16", help: "Nominal inches; stands on edge." }),
  stringerSet: choice({
    group: stringers,
    label: "On a curve the stringers are",
    def: "straight",
    options: [
      { value: "straight", label: "straight from bent to bent" },
      { value: "laminated", label: "laminated round the curve" },
    ],
    help: "The prototype's are straight; thin strips bent round pins follow the curve.",
  }),
  laminations: count({
    group: stringers,
    label: "Strips in a laminated chord",
    def: 6,
    min: 2,
    max: 12,
    help: "They share the width of the plies.",
  }),
  plyBays: count({
    group: stringers,
    label: "Bays to a ply",
    def: 2,
    min: 1,
    max: 8,
    help: "Plies are jointed over caps, staggered among neighbours; on a curve straight ones are one bay long.",
  }),
  corbels: flag({ group: stringers, label: "Corbels", def: false, help: "Short timbers between cap and stringers." }),
  corbel: section({ group: stringers, label: "Corbel", def: "12×12", help: "Nominal inches." }),
  corbelLength: length({
    group: stringers,
    label: "Corbel length",
    def: feet(4),
    ...span(feet(2), feet(10), [feet(3), feet(6)]),
    help: "Along the track.",
  }),

  ties: flag({ group: deck, label: "Ties", def: true, help: "At their true spacing." }),
  tie: section({ group: deck, label: "Tie", def: "8×8", help: "Nominal inches; the larger side stands upright." }),
  tieLength: length({
    group: deck,
    label: "Tie length",
    def: feet(10),
    ...span(feet(4), feet(16), [feet(7), feet(12)]),
    help: "End to end.",
  }),
  tieSpacing: length({
    group: deck,
    centres: ["tie", "thickness"],
    label: "Tie spacing",
    def: inches(13),
    ...span(inches(8), feet(4), [inches(12), inches(16)]),
    help: "Centre to centre: 8 in ties with 4 to 6 in between.",
  }),
  guards: flag({ group: deck, label: "Guard timbers", def: true, help: "Along the ends of the ties." }),
  guard: section({ group: deck, label: "Guard timber", def: "6×8", help: "Nominal inches; laid flat." }),
  guardInset: length({
    group: deck,
    label: "Guard timber from the tie end",
    def: inches(4),
    ...span(feet(0), feet(3), [feet(0), feet(1)]),
    help: "From the end of a tie to the outer side of the guard timber.",
  }),
  walkway: choice({
    group: deck,
    label: "Walkway",
    def: "none",
    options: [
      { value: "none", label: "none" },
      { value: "left", label: "left" },
      { value: "right", label: "right" },
      { value: "both", label: "both sides" },
    ],
    help: "Planks on the ends of longer ties.",
  }),
  longTieEvery: count({
    group: deck,
    label: "A longer tie every",
    def: 4,
    min: 1,
    max: 12,
    help: "Ties; they carry the walkway.",
  }),
  walkPlank: section({ group: deck, label: "Walkway plank", def: "2×10", help: "Nominal inches; laid flat." }),
  walkPlanks: count({ group: deck, label: "Planks in the walkway", def: 2, min: 1, max: 6, help: "Side by side." }),
  refugeEvery: count({
    group: deck,
    label: "A refuge bay every",
    def: 0,
    min: 0,
    max: 20,
    help: "Bents, on the right; 0 is none. A place to stand clear of a train.",
  }),
  barrelEvery: count({
    group: deck,
    label: "A fire barrel every",
    def: 0,
    min: 0,
    max: 20,
    help: "Bents, on the left; 0 is none.",
  }),
  bulkheads: flag({
    group: deck,
    label: "End bulkheads",
    def: true,
    help: "Planks that hold the fill behind the end bents.",
  }),
  bulkhead: section({ group: deck, label: "Bulkhead plank", def: "3×12", help: "Nominal inches; on edge." }),
  ...bent,
} as const;

export type TrestleValues = ParamsOf<typeof trestleSpec>;
/** The trestle's parameters as class-validator checks them. */
export class TrestleParams extends dto(trestleSpec) {}
