import { emptyJob, newStructure, type JobDoc } from "../core/job";
import { feet, inches } from "../core/units";

const railroad = "Pellam Notch Railway";

/** The whole gulch trestle: nine bents on a curve and a grade over its ground; bent 4 is the one of the plan sheet. */
export function summitTrestle(): JobDoc {
  const job = emptyJob("Summit curve trestle");
  const trestle = newStructure("trestle", "gulch", "Trestle over the gulch");
  trestle.variants[0]!.name = "On the curve";
  Object.assign(trestle.variants[0]!.params, {
    length: feet(120),
    spacing: feet(15),
    curve: "model",
    hand: "right",
    modelRadius: 762,
    tangentStart: feet(15),
    grade: 2.2,
    superelevation: inches(3),
    profile: [
      [feet(-10), -feet(9)],
      [feet(0), -feet(11)],
      [feet(16), -feet(14, 6)],
      [feet(30), -feet(19)],
      [feet(48), -feet(26)],
      [feet(66), -feet(40)],
      [feet(75), -feet(42)],
      [feet(88), -feet(31)],
      [feet(103), -feet(17)],
      [feet(120), -feet(9)],
      [feet(130), -feet(6)],
    ],
    topStory: feet(10, 2),
    story: feet(14),
    batters: [2.5, 0.5, 0],
    swayBeyond: inches(3),
    footing: "mudsill",
    braces: "alternate",
    walkway: "right",
    refugeEvery: 0,
    barrelEvery: 4,
  });
  return {
    ...job,
    brief: {
      ...job.brief,
      railroad,
      place: "The gulch below the summit curve, between the two tunnels.",
      spotLength: 1180,
      spotDepth: 420,
      track: "over",
      era: "Summer 1909",
      decisions: [
        {
          id: "straight",
          what: "Stringers straight from bent to bent",
          reason: "So were the builder's; the ties hide how they turn at each cap.",
        },
        {
          id: "batter",
          what: "All bents off one template",
          reason: "They have the same top and the same batter; only their feet differ.",
        },
      ],
    },
    structures: [trestle],
  };
}

/** A Howe truss through bridge, and the same span as a Pratt to compare. */
export function howeJob(): JobDoc {
  const job = emptyJob("Howe truss");
  const bridge = newStructure("truss", "bridge", "Bridge over the Notch river");
  const howe = bridge.variants[0]!;
  Object.assign(howe, { name: "Howe", reason: "The company's own standard, and the rods show well." });
  Object.assign(howe.params, {
    kind: "howe",
    position: "through",
    span: feet(90),
    panels: 6,
    depth: feet(22),
    counters: "needed",
    chordPlies: 4,
  });
  const pratt = structuredClone(howe);
  Object.assign(pratt, {
    id: "pratt",
    name: "Pratt",
    reason: "Fewer heavy timbers, but the long diagonals would be rods.",
  });
  Object.assign(pratt.params, { kind: "pratt", vertical: "8×10", diagonal: "⌀2", counter: "⌀1.5" });
  bridge.variants.push(pratt);
  return {
    ...job,
    brief: {
      ...job.brief,
      railroad,
      place: "Over the river at the foot of the Notch, one track on a tangent.",
      spotLength: 420,
      spotDepth: 160,
      track: "over",
      era: "Summer 1909",
      decisions: [
        {
          id: "kind",
          what: "Howe, not Pratt",
          reason: "Set side by side: the Howe's rods stand upright and are easier to drill for.",
        },
      ],
    },
    structures: [bridge],
  };
}
