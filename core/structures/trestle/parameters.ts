import { feet, inches, type Prototype } from "../../units";
import { batter, choice, count, dto, flag, length, list, section, type ParamsOf } from "../spec";

const outline = "Outline";
const posts = "Posts";
const stories = "Stories";
const sway = "Sway braces";
const timbers = "Timbers";
const span = (min: Prototype, max: Prototype, usual: readonly [Prototype, Prototype]) => ({ min, max, usual });
const byLengthOrOverhang = [
  { value: "length", label: "by its length" },
  { value: "overhang", label: "by its overhang" },
];

/** Framed bent. Ranges are common practice; usual batter and sections as American standard plans show them (from memory). */
export const bentSpec = {
  height: length({
    group: outline,
    label: "Height, top of cap to foot of sill",
    def: feet(21),
    ...span(feet(5), feet(90), [feet(8), feet(60)]),
    help: "Everything hangs from the top of the cap, which stays where it is.",
  }),
  posts: count({
    group: posts,
    label: "Posts",
    def: 4,
    min: 2,
    max: 6,
    help: "Two to six; an odd one stands plumb in the middle.",
  }),
  spacings: list({
    group: posts,
    label: "Post spacing at the cap",
    labels: ["Spacing at the middle", "Spacing to the next pair", "Spacing to the outer pair"],
    of: length({
      group: posts,
      label: "Post spacing",
      def: feet(3, 5),
      ...span(feet(1), feet(14), [feet(2), feet(6)]),
      help: "Centre to centre along the underside of the cap; with an odd number the middle one is from the middle post.",
    }),
    defs: [feet(4, 2), feet(3, 5), feet(3)],
    help: "From the middle outwards.",
  }),
  batters: list({
    group: posts,
    label: "Batter",
    labels: ["Batter of the outer posts", "Batter of the second pair", "Batter of the third pair"],
    of: batter({
      group: posts,
      label: "Batter",
      def: 2.5,
      min: 0,
      max: 6,
      usual: [0, 3],
      help: "Inches of lean for each foot of height; 2 to 3 for outer posts, inner ones plumb or nearly so.",
    }),
    defs: [2.5, 0.5, 0],
    help: "From the outside inwards.",
  }),
  capSet: choice({
    group: outline,
    label: "Cap is set",
    def: "length",
    options: byLengthOrOverhang,
    help: "Give its length, or how far it runs past the outer posts.",
  }),
  capLength: length({
    group: outline,
    label: "Cap length",
    def: feet(14),
    ...span(feet(4), feet(50), [feet(10), feet(30)]),
    help: "End to end.",
  }),
  capOverhang: length({
    group: outline,
    label: "Cap overhang",
    def: feet(1),
    ...span(feet(0), feet(6), [inches(4), feet(2, 6)]),
    help: "From the outer edge of the outer post, at the underside of the cap, to the end of the cap.",
  }),
  sillSet: choice({
    group: outline,
    label: "Sill is set",
    def: "overhang",
    options: byLengthOrOverhang,
    help: "Give its length, or how far it runs past the outer posts.",
  }),
  sillLength: length({
    group: outline,
    label: "Sill length",
    def: feet(24),
    ...span(feet(4), feet(120), [feet(10), feet(60)]),
    help: "End to end.",
  }),
  sillOverhang: length({
    group: outline,
    label: "Sill overhang",
    def: feet(1),
    ...span(feet(0), feet(6), [inches(4), feet(3)]),
    help: "From the outer edge of the outer post, at the top of the sill, to the end of the sill.",
  }),
  stories: count({
    group: stories,
    label: "Stories",
    def: 2,
    min: 1,
    max: 4,
    help: "Tall bents are built in stories of about 15 to 25 ft; models often take less.",
  }),
  storyHeights: list({
    group: stories,
    label: "Story height",
    labels: ["Top story", "Second story", "Third story"],
    of: length({
      group: stories,
      label: "Story height",
      def: feet(10),
      ...span(feet(4), feet(40), [feet(8), feet(25)]),
      help: "From the top of the cap, or the story line above, to the centre of the next horizontal. The lowest story takes the rest.",
    }),
    defs: [feet(10, 2), feet(15), feet(15)],
    help: "From the top down.",
  }),
  between: choice({
    group: stories,
    label: "Between stories",
    def: "solid",
    options: [
      { value: "solid", label: "solid sill, posts cut" },
      { value: "sash", label: "sash braces, posts through" },
      { value: "both", label: "solid sill and sash braces" },
    ],
    help: "Posts cut story by story on a solid sill, or running through with sash braces bolted on both faces, or solid sills with a thinner pair on their faces.",
  }),
  levelOverhang: length({
    group: stories,
    label: "Overhang of the horizontals",
    def: inches(9),
    ...span(feet(0), feet(4), [inches(2), feet(2)]),
    help: "How far solid sills and sash braces run past the outer posts.",
  }),
  sway: flag({
    group: sway,
    label: "Sway braces",
    def: true,
    help: "One on each face in every story, crossing each other.",
  }),
  swayTop: length({
    group: sway,
    label: "Brace clear of what is above",
    def: inches(4),
    ...span(feet(0), feet(8), [feet(0), feet(3)]),
    help: "From the underside of the cap or horizontal to the highest corner of the brace.",
  }),
  swayBottom: length({
    group: sway,
    label: "Brace clear of what is below",
    def: inches(4),
    ...span(feet(0), feet(8), [feet(0), feet(3)]),
    help: "From the top of the sill or horizontal to the lowest corner of the brace.",
  }),
  swayEnd: choice({
    group: sway,
    label: "Brace ends",
    def: "square",
    options: [
      { value: "square", label: "square, past the post" },
      { value: "flush", label: "flush with the post" },
    ],
    help: "Cut square beyond the post, or trimmed along its outer edge.",
  }),
  swayBeyond: length({
    group: sway,
    label: "Brace past the post",
    def: inches(2),
    ...span(feet(0), feet(3), [feet(0), feet(1)]),
    help: "How far a square end runs past the whole crossing.",
  }),
  cap: section({ group: timbers, label: "Cap", def: "12×14", help: "Nominal inches; the larger side stands upright." }),
  post: section({
    group: timbers,
    label: "Posts",
    def: "12×12",
    help: "Nominal inches; the larger side lies along the bent.",
  }),
  sill: section({
    group: timbers,
    label: "Sill",
    def: "12×12",
    help: "Nominal inches; the larger side stands upright.",
  }),
  middleSill: section({
    group: timbers,
    label: "Sills between stories",
    def: "12×12",
    help: "Nominal inches; the larger side stands upright.",
  }),
  sash: section({
    group: timbers,
    label: "Sash braces",
    def: "3×10",
    help: "Nominal inches; the smaller side is the thickness on the face.",
  }),
  swayBrace: section({
    group: timbers,
    label: "Sway braces",
    def: "3×10",
    help: "Nominal inches; the smaller side is the thickness on the face.",
  }),
} as const;

export type BentValues = ParamsOf<typeof bentSpec>;
/** The bent's parameters as class-validator checks them. */
export class BentParams extends dto(bentSpec) {}
