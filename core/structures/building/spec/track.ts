import { feet } from "../../../units";
import { choice, length, numeric } from "../../spec";
import { options, span } from "./shared";

const track = "Track and levels";

/** The track beside it, and levels. Prototype mm, rises in inches per foot; usual values are common practice. */
export const trackSpec = {
  track: choice({
    group: track,
    label: "A track runs along",
    def: "none",
    options: options({ none: "no side", front: "the front", back: "the back" }),
    help: "For what must clear a car, and what must be level with its floor.",
  }),
  trackOff: length({
    group: track,
    label: "Its centre from the wall",
    def: feet(16),
    ...span(feet(6), feet(80), [feet(7), feet(40)]),
    help: "From the outside of the framing.",
  }),
  trackCurve: choice({
    group: track,
    label: "The track there is",
    def: "straight",
    options: options({
      straight: "straight",
      inside: "curved round the building",
      outside: "curved away from it",
    }),
    help: "On a curve cars swing in with their middles and out with their ends.",
  }),
  trackRadius: length({
    group: track,
    label: "Radius of the track",
    def: feet(260),
    ...span(feet(60), feet(6000), [feet(100), feet(2000)]),
    help: "Of its centre line, at full size.",
  }),
  carLength: length({
    group: track,
    label: "Longest car",
    def: feet(60),
    ...span(feet(15), feet(100), [feet(34), feet(90)]),
    help: "Over its ends; its trucks stand at seven tenths of that.",
  }),
  railBelow: length({
    group: track,
    label: "Floor over the rail",
    def: feet(4),
    ...span(feet(-4), feet(20), [feet(-1), feet(6)]),
    help: "A car's floor is about 4 ft over the rail.",
  }),
  viewFrom: choice({
    group: track,
    label: "People look at it from",
    def: "unknown",
    options: options({ unknown: "not said", front: "the front", back: "the back" }),
    help: "For what it hides: trains on the track behind it.",
  }),
  eyeAway: numeric({
    group: track,
    label: "Their eyes from the wall",
    unit: "mm",
    def: 800,
    min: 50,
    max: 5000,
    usual: [300, 1500],
    help: "Level, on the layout.",
  }),
  eyeOver: numeric({
    group: track,
    label: "Their eyes over the rails",
    unit: "mm",
    def: 300,
    min: -200,
    max: 1500,
    usual: [50, 700],
    help: "On the layout: the height of eyes less that of the rails over the floor of the room.",
  }),
};
