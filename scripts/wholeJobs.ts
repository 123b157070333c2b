import { emptyJob, newStructure, type JobDoc, type SpotDoc, type ThingKind } from "../core/job";
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

/** How high the rail of the Howe truss is over its origin, model mm: the tops of its ties and a rail of 0.07 in. */
const RAIL_OVER_ORIGIN = 7;
/** Shelves on both sides of a door, the track over it with its curve, a platform, and the way that stays free below the span. */
function doorway(): SpotDoc {
  const thing = (id: string, name: string, kind: ThingKind, x: readonly [number, number], y: readonly [number, number], low: number, high: number) => ({ id, name, kind, x: (x[0] + x[1]) / 2, y: (y[0] + y[1]) / 2, turn: 0, length: x[1] - x[0], depth: y[1] - y[0], low, high }); // prettier-ignore
  return {
    tracks: [{ id: "main", name: "Main", x: -330, y: 0, turn: 0, rail: 0, car: "coach-60", pieces: [{ kind: "straight", length: 500 }, { kind: "left", length: 170, radius: 610, ease: 60 }] }], // prettier-ignore
    things: [
      thing("left", "Left shelf", "stands already", [-330, -155.6], [-100, 100], -40, -12.2),
      thing("right", "Right shelf", "stands already", [155.6, 330], [-100, 100], -40, -12.2),
      thing("door", "Way through the door", "kept free", [-150, 150], [-100, 100], -200, -20),
      thing("halt", "Platform of the halt", "platform", [-325, -195], [-46, -24], -12.2, 10),
    ],
    cars: [],
    cut: { along: "length", at: 0 },
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
      place:
        "Over the river at the foot of the Notch, one track on a tangent. The span lifts out where the layout crosses the workshop's door.",
      spotLength: 660,
      spotDepth: 200,
      track: "over",
      era: "Summer 1909",
      decisions: [
        {
          id: "kind",
          what: "Howe, not Pratt",
          reason: "Set side by side: the Howe's rods stand upright and are easier to drill for.",
        },
        {
          id: "lift",
          what: "The span lifts out",
          reason: "The door behind it is the only one; below the span nothing may be built.",
        },
      ],
    },
    structures: [{ ...bridge, place: { x: 0, y: 0, z: -RAIL_OVER_ORIGIN, turn: 0 } }],
    spot: doorway(),
  };
}
