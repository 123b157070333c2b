import { designOf, emptyBuild, emptyJob, newStructure, type JobDoc } from "../core/job";
import { placeOf, planFacts } from "../core/site";
import { kindOf } from "../core/structures";
import "../core/structures/all";
import { depotInside } from "./insides";
import { feet, inches } from "../core/units";

const railroad = "Pellam Notch Railway";
const start = (name: string): Record<string, unknown> => ({
  ...structuredClone(kindOf("building").starts!.find((x) => x.name === name)!.params),
});
function jobOf(
  name: string,
  structure: string,
  params: Record<string, unknown>,
  brief: Partial<JobDoc["brief"]>,
): JobDoc {
  const job = emptyJob(name);
  const s = newStructure("building", "house", structure, params);
  s.variants[0]!.name = "As framed";
  return { ...job, brief: { ...job.brief, railroad, track: "beside", ...brief }, structures: [s] };
}

/** The section's tool house: hip roof, bare tails, everything framed. */
export function framedToolHouse(): JobDoc {
  return jobOf(
    "Section tool house, framed",
    "Tool house",
    {
      ...start("Tool house"),
      siding: "batten",
      sidingBoard: "1×10",
      batten: "1×2",
      cornerBoards: true,
      covering: "spaced",
      roofBoardSpacing: inches(14),
      roofBoard: "1×6",
      wallBrace: "none",
      seenBack: false,
      stairs: [
        {
          side: "front",
          at: feet(5),
          out: feet(0),
          width: feet(4),
          level: feet(0),
          tread: inches(11),
          riser: inches(8),
          rail: false,
        },
      ],
      groundDepth: feet(2, 4),
    },
    {
      place: "Beside the main at the east switch, its door towards the track.",
      spotLength: 58,
      spotDepth: 46,
      era: "Summer 1909",
      decisions: [
        {
          id: "tails",
          what: "Bare rafter tails",
          reason: "The section's photograph shows them; a fascia came with the later houses.",
        },
        {
          id: "back",
          what: "The back's framing is left out",
          reason: "It stands against the cut, and nobody sees it.",
        },
      ],
    },
  );
}

/** The section's houses on one spot: the tool house looks to the track, a coal shed stands against the section house. */
export function sectionHouses(): JobDoc {
  const job = emptyJob("Section houses");
  const house = newStructure("building", "house", "Section house", start("Section house"));
  const tools = newStructure("building", "tools", "Tool house", start("Tool house"));
  const coal = newStructure("building", "coal", "Coal shed", {
    ...start("Shed"),
    length: feet(10),
    width: feet(8),
    wallHeight: feet(7),
    openings: [],
    gableOverhang: 0,
  });
  const doc: JobDoc = {
    ...job,
    brief: {
      ...job.brief,
      railroad,
      place: "Between the main and the road at the east switch; the path to the well stays free.",
      spotLength: 330,
      spotDepth: 170,
      track: "beside",
      era: "Summer 1909",
      decisions: [
        {
          id: "coal",
          what: "The coal shed stands clear of the house",
          reason: "The house has windows in its end, and paint reaches between them.",
        },
      ],
    },
    structures: [house, tools, coal],
  };
  const at: Readonly<Record<string, readonly [number, number, number]>> = {
    house: [-60, 14, 0],
    tools: [108, -18, 90],
    coal: [48, 50, 0],
  };
  // each stands on the spot with its lowest wood
  const facts = planFacts(designOf(doc));
  return {
    ...doc,
    structures: doc.structures.map((s) => {
      const [x, y, turn] = at[s.id]!;
      const p = placeOf(
        facts.find((f) => f.structure === s.id)!,
        [x, y],
        0,
        turn,
      );
      return { ...s, place: { x: round(p.x), y: round(p.y), z: round(p.z), turn } };
    }),
  };
}
const round = (n: number): number => Math.round(n * 100) / 100 + 0;

/** The snowshed below the summit: every bay a chord of the curve. */
export function curvedSnowshed(): JobDoc {
  const job = emptyJob("Summit snowshed");
  const s = newStructure("snowshed", "shed", "Snowshed", {
    curve: "model",
    modelRadius: 762,
    hand: "right",
    bays: 7,
    openBays: 2,
    clear: feet(18),
  });
  s.variants[0]!.name = "On the curve";
  return {
    ...job,
    brief: {
      ...job.brief,
      railroad,
      place: "On the curve below the summit, over the one track.",
      spotLength: 300,
      spotDepth: 110,
      track: "over",
      era: "Winter 1909",
      decisions: [
        {
          id: "open",
          what: "The last two bays stand open",
          reason: "So that the frames and the train are seen; the story is a shed under repair.",
        },
      ],
    },
    structures: [s],
  };
}

/** The mine's ore bin: planked inside heavy posts on battered bents. */
export function oreBin(): JobDoc {
  return jobOf("Ore bin at the Notch mine", "Ore bin", start("Ore bin"), {
    place: "Over the spur at the foot of the tramway; cars are loaded through its chutes.",
    spotLength: 120,
    spotDepth: 75,
    era: "Summer 1909",
    decisions: [
      {
        id: "batter",
        what: "Outer posts lean 2 in 12",
        reason: "A full bin pushes outward; so did the mine's carpenter build it.",
      },
    ],
  });
}

/** The division's depot, 22 × 66 ft, every stick of it: for those who like to see framing, and to measure how long it takes. */
export function depot(): JobDoc {
  const window = (wall: string, at: number) => ({
    part: 0,
    wall,
    kind: "window",
    at: feet(at),
    width: feet(3),
    height: feet(5, 6),
    sill: inches(30),
    mount: "flange",
    lap: inches(3),
  });
  const door = (wall: string, at: number, width = 3) => ({
    part: 0,
    wall,
    kind: "door",
    at: feet(at),
    width: feet(width),
    height: feet(7),
    sill: feet(0),
    mount: "inside",
    lap: feet(0),
  });
  const job = jobOf(
    "Pellam depot",
    "Depot",
    {
      length: feet(66),
      width: feet(22),
      wallHeight: feet(12),
      stud: "2×6",
      blockingRows: 1,
      roof: "gable",
      rise: 8,
      overhang: feet(3),
      gableOverhang: feet(2),
      rafterSpacing: inches(24),
      collar: "every",
      ceiling: "every",
      covering: "boards",
      siding: "clapboard",
      sidingBoard: "1×6",
      exposure: inches(4.5),
      casings: true,
      cornerBoards: true,
      foundation: "piers",
      groundDepth: feet(3),
      floorBlocking: 2,
      caps: true,
      fascia: "board",
      fasciaSize: "1×8",
      partitions: [
        { at: feet(22), door: true, doorAt: feet(6), doorWidth: feet(3) },
        { at: feet(46), door: true, doorAt: feet(16), doorWidth: feet(3) },
      ],
      roofHoles: [{ side: "back", at: feet(33), inward: feet(7), width: feet(2), length: feet(2) }],
      track: "front",
      trackOff: feet(16),
      railBelow: inches(8),
      stairs: [
        {
          side: "back",
          at: feet(56),
          out: feet(0),
          width: feet(8),
          level: feet(0),
          tread: inches(11),
          riser: inches(7),
          rail: true,
        },
      ],
      openings: [
        window("front", 6),
        door("front", 12),
        window("front", 18),
        window("front", 26),
        door("front", 33),
        window("front", 40),
        door("front", 50, 7),
        door("front", 60, 7),
        window("back", 10),
        window("back", 24),
        door("back", 33),
        window("back", 41.5),
        door("back", 56, 7),
        window("left", 7),
        window("left", 15),
        window("right", 7),
        window("right", 15),
      ],
      wings: [{ kind: "platform", side: "front", at: feet(-6), length: feet(78), depth: feet(10), height: feet(0) }],
    },
    {
      place: "On the main at Pellam, its platform towards the track.",
      spotLength: 300,
      spotDepth: 190,
      era: "Summer 1909",
    },
  );
  // the main in front of the platform, curving away past its end; what stands already is the water column's foot
  const [house] = job.structures;
  const facts = planFacts(designOf(job))[0]!;
  return {
    ...job,
    structures: [{ ...house!, place: placeOf(facts, [0, 24], 0, 0) }],
    spot: {
      tracks: [{ id: "main", name: "Main", x: -150, y: -62, turn: 0, rail: 0, car: "coach-60", pieces: [{ kind: "straight", length: 225 }, { kind: "right", length: 110, radius: 610, ease: 60 }] }], // prettier-ignore
      things: [{ id: "column", name: "Water column", kind: "stands already", x: -138, y: 12, turn: 0, length: 10, depth: 10, low: 0, high: 50 }], // prettier-ignore
      cars: [],
      cut: { along: "depth", at: 0 },
    },
    inside: [depotInside],
    years: [
      { id: "column", name: "Water column", kind: "thing", what: "column", from: 1898, to: 1934 },
      { id: "stair", name: "Back stair", kind: "row", structure: "house", what: "stairs.0", from: 1903 },
    ],
    build: {
      ...emptyBuild(),
      lights: {
        supply: 12,
        lamps: [
          {
            id: "waiting",
            name: "Waiting room and office",
            count: 3,
            volts: 3.1,
            milliamps: 5,
            series: 3,
            hole: 3,
            wire: 380,
          },
          { id: "platform", name: "Platform", count: 2, volts: 3.1, milliamps: 5, series: 2, hole: 2, wire: 450 },
        ],
      },
    },
  };
}
