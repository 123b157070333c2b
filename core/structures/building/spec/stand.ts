import { feet } from "../../../units";
import { batter, choice, count, length, section } from "../../spec";
import { options, span } from "./shared";

const stand = "Stand";

/** Battered bents under a heavy stand. Prototype mm, rises in inches per foot; usual values are common practice. */
export const standSpec = {
  standBents: count({
    group: stand,
    label: "Bents",
    def: 3,
    min: 2,
    max: 12,
    help: "Square to the building's length, the outer two under its ends.",
  }),
  standHeight: length({
    group: stand,
    label: "Height, caps to ground",
    def: feet(14),
    ...span(feet(6), feet(120), [feet(8), feet(60)]),
    help: "Top of the caps to the foot of the sills.",
  }),
  standPosts: count({
    group: stand,
    label: "Posts to a bent",
    def: 4,
    min: 2,
    max: 6,
    help: "Evenly between the outer two.",
  }),
  standBatter: batter({
    group: stand,
    label: "Batter of the outer posts",
    def: 1,
    min: 0,
    max: 4,
    usual: [0, 3],
    help: "Inches in a foot of height, on both sides.",
  }),
  standStory: length({
    group: stand,
    label: "Stories of about",
    def: feet(14),
    ...span(feet(6), feet(40), [feet(10), feet(25)]),
    help: "Taller bents are built in stories.",
  }),
  standCap: section({
    group: stand,
    label: "Caps and sills of the bents",
    def: "12×12",
    help: "Nominal inches, thickness by width.",
  }),
  standPost: section({
    group: stand,
    label: "Posts of the bents",
    def: "12×12",
    help: "Nominal inches, thickness by width.",
  }),
  standBrace: section({
    group: stand,
    label: "Braces of the stand",
    def: "3×8",
    help: "Nominal inches, thickness by width.",
  }),
  standGirt: section({
    group: stand,
    label: "Girts of the stand",
    def: "4×8",
    help: "Nominal inches, thickness by width.",
  }),
  standFooting: choice({
    group: stand,
    label: "Footing of the stand",
    def: "mudsill",
    options: options({ none: "none", mudsill: "mudsills", pedestal: "pedestals" }),
    help: "Under every post.",
  }),
};
