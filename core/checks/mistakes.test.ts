import { describe, expect, it } from "vitest";
import "../structures/all";
import { designOf, emptyJob, newStructure, type JobDoc } from "../job";
import { feet, inches, prototype, scaleOf, toModel } from "../units";
import { findings, type Finding } from ".";

type Values = Record<string, unknown>;
const job = (kind: string, values: Values, brief: Partial<JobDoc["brief"]> = {}): JobDoc => {
  const empty = emptyJob("Job");
  return { ...empty, brief: { ...empty.brief, ...brief }, structures: [newStructure(kind, "s", "It", values)] };
};
const heard = new Map<JobDoc, Finding[]>();
/** What is said of a job, looked for once. */
function told(doc: JobDoc): Finding[] {
  const before = heard.get(doc);
  const all = before ?? findings(designOf(doc));
  if (!before) heard.set(doc, all);
  return all;
}
const said = (doc: JobDoc, words: RegExp): Finding | undefined => told(doc).find((f) => words.test(f.text));

const window_ = { part: 0, wall: "front", kind: "window", at: feet(10), width: feet(3), height: feet(4), sill: feet(3), mount: "built", lap: 0 }; // prettier-ignore
const building = (over: Values): Values => ({ length: feet(24), width: feet(16), openings: [], ...over });

/** A mistake that costs a rebuild: the job that has it, the words that tell it with their figures, and the same job mended. */
interface Case {
  readonly name: string;
  readonly bad: JobDoc;
  readonly words: RegExp;
  readonly level: Finding["level"];
  readonly mended: JobDoc;
}
const canopy = { kind: "canopy", side: "front", at: feet(4), length: feet(16), depth: feet(6), height: feet(6.5) };
const bridge = { kind: "howe", span: feet(90), trainWeight: 60 };
const curve = {
  bays: [feet(15), feet(15), feet(15)],
  curve: "radius",
  radius: feet(180),
  stringerSet: "laminated",
  laminations: 3,
};
const platform = { kind: "platform", side: "front", at: 0, length: feet(24), depth: feet(8), height: inches(-6) };
const bay = { kind: "bay", side: "front", at: feet(6), length: feet(12), depth: feet(3), height: feet(8) };
const stair = { side: "front", at: feet(6), out: feet(8), width: feet(4), level: inches(-6), tread: inches(10), riser: inches(7.5) }; // prettier-ignore
const sheetWindow = { wall: "front", kind: "window", at: feet(12), width: feet(3), height: feet(5), sill: feet(2.5), mount: "layers", lap: inches(4), style: "hung", across: 2, up: 2, shutters: "none" }; // prettier-ignore
const sheetIn = (id: string, values: Values): JobDoc => {
  const doc = job("sheet", { openings: [sheetWindow], ...values });
  return { ...doc, brief: { ...doc.brief, scale: { id, ratio: scaleOf(id).ratio } } };
};
const inScale = (id: string, values: Values): JobDoc => {
  const doc = job("building", building(values));
  return { ...doc, brief: { ...doc.brief, scale: { id, ratio: scaleOf(id).ratio } } };
};
/** Two sheds on the plan, the second so far to the right of the first and so far up; both 24 by 16 ft, of studs alone. */
const yard = (x: number, y: number, first: Values = {}): JobDoc => {
  const plain = building({ roof: "none", floor: "none", siding: "none", foundation: "none", casings: false });
  const at = (px: number, py: number) => ({ x: px, y: py, z: 0, turn: 0 });
  return {
    ...emptyJob("Job"),
    structures: [
      { ...newStructure("building", "s", "Depot", { ...plain, ...first }), place: at(0, 0) },
      { ...newStructure("building", "t", "Freight house", plain), place: at(x, y) },
    ],
  };
};
/** Model mm of a prototype length at the scale of an empty job, HO. */
const onModel = (p: number): number => toModel(scaleOf("HO"), prototype(p));
/** The same with a drawing that notes how the eaves end. */
const noted = (eave: "bare" | "fascia" | "boxed", doc: JobDoc): JobDoc => ({
  ...doc,
  drawings: [{ id: "w", name: "West side", measures: [], openings: [], under: [], eave }],
});
const behind = { track: "back", trackOff: feet(12), viewFrom: "front", eyeAway: 800, roof: "gable", rise: 8 };
const CASES: readonly Case[] = [
  {
    name: "4: a wall that does not meet its corner post",
    bad: job("building", building({ corner: "solid", stud: "2×6", cornerPost: "4×4" })),
    words: /^The corner posts are 0′-4″ deep and the wall 0′-6″: walls and post do not meet without a rebate\.$/,
    level: "remark",
    mended: job("building", building({ corner: "solid", stud: "2×4", cornerPost: "4×4" })),
  },
  {
    name: "5: tails cut for a fascia that the drawing does not have",
    bad: noted("bare", job("building", building({ fascia: "board", overhang: feet(1) }))),
    words:
      /^“West side” notes eaves with bare tails; the frame has a fascia before its tails\. Its tails are cut 0′-1″ short for a board that is not there\.$/,
    level: "warning",
    mended: noted("bare", job("building", building({ fascia: "bare", overhang: feet(1) }))),
  },
  {
    name: "5: tails left long where the drawing has a fascia",
    bad: noted("fascia", job("building", building({ fascia: "bare", overhang: feet(1) }))),
    words:
      /^“West side” notes eaves with a fascia before its tails; the frame has bare tails\. Its tails are 0′-1″ too long for the board before them\.$/,
    level: "warning",
    mended: noted("fascia", job("building", building({ fascia: "board", overhang: feet(1) }))),
  },
  {
    name: "5: eaves that the drawing shows closed from below",
    bad: noted("boxed", job("building", building({ fascia: "board", overhang: feet(1) }))),
    words: /^“West side” notes eaves with a fascia, closed from below; the frame has a fascia before its tails\.$/,
    level: "warning",
    mended: noted("boxed", job("building", building({ fascia: "board", overhang: feet(1), soffit: true }))),
  },
  {
    name: "14: a roof that hides the trains behind it",
    bad: job("building", building({ ...behind, eyeOver: 60 })),
    words:
      /^From 898 mm away and 60 mm over the rails It hides the cars on the track behind it: their upper half shows with the building \d+ mm \(\d+′-.*\) lower, or the track on the other side of it\.$/,
    level: "warning",
    mended: job("building", building({ ...behind, eyeOver: 1000 })),
  },
  {
    name: "8: a wall's sheet longer than sheets are",
    bad: job("building", building({ length: feet(100), seenBack: false })),
    words: /^The wall sheet \w+ is 34\d mm long; sheets are usually sold 305 mm long\./,
    level: "warning",
    mended: job("building", building({ length: feet(80), seenBack: false })),
  },
  {
    name: "10: a platform too narrow to pass on",
    bad: job("building", building({ wings: [{ ...platform, depth: feet(3) }] })),
    words: /^Platform 1 is 3′-0″ deep: people and carts do not pass on less than 5′-0″\.$/,
    level: "remark",
    mended: job("building", building({ wings: [platform] })),
  },
  {
    name: "10: a platform too narrow before the bay that stands in it",
    bad: job("building", building({ wallHeight: feet(13), wings: [{ ...platform, depth: feet(6) }, bay] })),
    words: /^Platform 1 is 3′-0″ deep before what stands in it: people and carts do not pass on less than 5′-0″\.$/,
    level: "remark",
    mended: job("building", building({ wallHeight: feet(13), wings: [{ ...platform, depth: feet(8) }, bay] })),
  },
  {
    name: "11: braces where the walls are lined",
    bad: job("building", building({ wallBrace: "inside", lined: true })),
    words: /^Braces on the inside of the walls stand where they are lined; let them in, or leave them out\.$/,
    level: "fault",
    mended: job("building", building({ wallBrace: "letin", lined: true })),
  },
  {
    name: "15: a stair that lands under its platform",
    bad: job("building", building({ wings: [platform], stairs: [{ ...stair, level: -feet(1) }] })),
    words: /^Stair 1 lands 0′-6″ under platform 1\.$/,
    level: "warning",
    mended: job("building", building({ wings: [platform], stairs: [stair] })),
  },
  {
    name: "15: a stair that ends before its platform",
    bad: job("building", building({ wings: [platform], stairs: [{ ...stair, out: feet(9.5) }] })),
    words: /^Stair 1 ends 9′-6″ from the front wall, where nothing is: platform 1 reaches 8′-0″ out\.$/,
    level: "warning",
    mended: job("building", building({ wings: [platform], stairs: [stair] })),
  },
  {
    name: "15: a stair that lands over the floor of the door it leads to",
    bad: job("building", building({ stairs: [{ ...stair, out: 0, level: inches(4) }] })),
    words: /^Stair 1 lands 0′-4″ over the floor\.$/,
    level: "warning",
    mended: job("building", building({ stairs: [{ ...stair, out: 0, level: 0 }] })),
  },
  {
    name: "18: a car that meets the wall on a curve",
    bad: job("building", building({ track: "front", trackOff: feet(7), trackCurve: "inside", trackRadius: feet(200), carLength: feet(80) })), // prettier-ignore
    words: /^The wall comes within \d+′.* of the track's centre at .* over the rail; a car takes .* of it because of the curve, up to 15′-6″\. Move the track to \d+′.* from the wall\.$/, // prettier-ignore
    level: "remark",
    mended: job("building", building({ track: "front", trackOff: feet(12), trackCurve: "inside", trackRadius: feet(200), carLength: feet(80) })), // prettier-ignore
  },
  {
    name: "19: a span too limber for its train",
    bad: job("truss", { ...bridge, trainWeight: 5000 }),
    words: /^Under a train of 5000 g per 100 mm the bridge (is too weak: its worst member takes [\d.]+ N\/mm² where|sags [\d.]+ mm on a span of 315 mm, a \d+th)/, // prettier-ignore
    level: "warning",
    mended: job("truss", bridge),
  },
  {
    name: "22: an opening crossed by a canopy",
    bad: job("building", building({ wallHeight: feet(12), openings: [window_], wings: [canopy] })),
    words:
      /^Canopy 1 crosses opening 1: it meets the wall between 5′-10 ?.*″ and 6′-6″, and the opening reaches from 3′-0″ to 7′-0″\.$/,
    level: "warning",
    mended: job("building", building({ wallHeight: feet(12), openings: [window_], wings: [{ ...canopy, height: feet(8) }] })), // prettier-ignore
  },
  {
    name: "22: an opening crossed by a flat roof",
    bad: job("building", building({ wallHeight: feet(9), roof: "flat", parapet: feet(3), openings: [{ ...window_, sill: feet(6) }] })), // prettier-ignore
    words: /^The flat roof crosses opening 1: it lies behind the wall between 8′-\d.*″ and 9′-0″, and the opening reaches from 6′-0″ to 10′-0″\.$/, // prettier-ignore
    level: "warning",
    mended: job("building", building({ wallHeight: feet(9), roof: "flat", parapet: feet(3), openings: [window_] })),
  },
  {
    name: "23: an inside that neither hand nor brush reaches",
    bad: job("building", building({ interior: true })),
    words:
      /^The inside is seen, and with the last wall on neither brush nor hand reaches it: leave the roof or a wall off until it is done, or let the roof lift off\.$/,
    level: "remark",
    mended: job("building", building({ interior: true, leftOff: "roof" })),
  },
  {
    name: "26: a glazing bar too thin to survive, made wider",
    bad: sheetIn("HO", { leastBar: 0.5 }),
    words: /^Glazing bars of 0′-1 1\/4″ are 0\.36 mm and are cut 0\.50 mm wide, the least that survives: .* Up to 0\.87 mm \(0′-3″\) they still look right\.$/, // prettier-ignore
    level: "remark",
    mended: sheetIn("O", { leastBar: 0.5 }),
  },
  {
    name: "26: a glazing bar that survives is too thick for the scale",
    bad: sheetIn("N", { leastBar: 0.6, length: feet(40), width: feet(30) }),
    words: /too heavy for the scale, where 0\.48 mm \(0′-3″\) is the most that looks right: print them on the glazing, or take a casting\.$/, // prettier-ignore
    level: "warning",
    mended: sheetIn("N", { leastBar: 0.2, length: feet(40), width: feet(30) }),
  },
  {
    name: "33: a lamp over a rib that closes its hole",
    bad: job("canopy", { lights: 3 }),
    words: /^Light 2 is over a rib, which closes its hole from below\./,
    level: "warning",
    mended: job("canopy", { lights: 4 }),
  },
  {
    name: "26: strips thinner than material stands",
    bad: inScale("N", { siding: "horizontal", sidingBoard: "1×6" }),
    words:
      /^\d+ sticks of 1×6 are 0\.16 mm thick: under 0\.25 mm wood splits at a touch and styrene goes soft under glue\./,
    level: "remark",
    mended: inScale("O", { siding: "horizontal", sidingBoard: "1×6" }),
  },
  {
    name: "27: a structure larger than its spot",
    bad: job("building", building({}), { spotLength: 60, spotDepth: 40 }),
    words: /^It takes \d+ mm × \d+ mm with all that overhangs; the spot of the brief is 60 mm × 40 mm\./,
    level: "warning",
    mended: job("building", building({}), { spotLength: 120, spotDepth: 90 }),
  },
  {
    name: "28: a bent beside no ground",
    bad: job("trestle", { groundBy: "profile", profile: [[0, -feet(20)], [feet(60), -feet(24)]] }), // prettier-ignore
    words: /^Bents [\d, ]+ stand beside no ground: the profile reaches from 0′-0″ to 60′-0″, and past its ends it is taken as level\. Draw the ground on\.$/, // prettier-ignore
    level: "warning",
    mended: job("trestle", { groundBy: "profile", profile: [[0, -feet(20)], [feet(400), -feet(24)]] }), // prettier-ignore
  },
  {
    name: "30: plies too stiff for their radius",
    bad: job("trestle", { ...curve, radius: feet(120), stringer: "16×16", plies: 3, laminations: 2 }),
    words: /^Plies of [\d.]+ mm are bent to a radius of 4\d\d mm, \d+ times their thickness: dry wood breaks under 100\. Soak or steam them, or take \d+ thinner ones\.$/, // prettier-ignore
    level: "warning",
    mended: job("trestle", { ...curve, radius: feet(600) }),
  },
  {
    name: "31: sills that do not line up",
    bad: job("building", building({ openings: [window_, { ...window_, at: feet(16), sill: feet(3) + inches(2) }] })),
    words:
      /^Openings 1 and 2 in the front wall have their sills 0′-2″ apart: less than a board looks like a mistake\.$/,
    level: "remark",
    mended: job("building", building({ openings: [window_, { ...window_, at: feet(16) }] })),
  },
  {
    name: "34: sticks shorter than can be held",
    bad: job("trestle", { groundBy: "heights", heights: [feet(20)], length: feet(30), corbels: true, corbelLength: inches(6), corbel: "4×4" }), // prettier-ignore
    words: /^\d+ sticks are shorter than 2 mm \(.*\), the shortest [\d.]+ mm: nick each off the end of a longer strip/,
    level: "remark",
    mended: job("trestle", { groundBy: "heights", heights: [feet(20)], length: feet(30), corbels: true, corbelLength: feet(4), bulkheads: false }), // prettier-ignore
  },
  {
    name: "31: heads that do not line up",
    bad: job("building", building({ openings: [window_, { ...window_, at: feet(16), height: feet(4) + inches(3) }] })),
    words:
      /^Openings 1 and 2 in the front wall have their heads 0′-3″ apart: less than a board looks like a mistake\.$/,
    level: "remark",
    mended: job("building", building({ openings: [window_, { ...window_, at: feet(16), height: feet(5), sill: feet(3) }] })), // prettier-ignore
  },
  {
    name: "16: two structures that stand in each other",
    bad: yard(onModel(feet(24)) - 1.5, 0),
    words:
      /^Depot and Freight house stand in each other on the plan: the .+ of one and the .+ of the other by \d\.\d\d mm, and \d+ more of them\. Freight house is clear 1\.50 mm to the right from where it stands, or \d+\.\d\d mm higher\.$/,
    level: "fault",
    mended: yard(onModel(feet(24)), 0),
  },
  {
    name: "16: a slit between two walls that were to touch",
    bad: yard(onModel(feet(24)) + 0.6, onModel(feet(4))),
    words:
      /^The left wall of Freight house stands 0\.60 mm from the right wall of Depot over 42\.0 mm: a slit that neither light nor brush leaves alone\. Let them touch, or stand them apart\.$/,
    level: "warning",
    mended: yard(onModel(feet(24)), onModel(feet(4))),
  },
  {
    name: "16: a door that opens on the neighbour",
    bad: yard(0, -onModel(feet(18)), { openings: [{ ...window_, kind: "door", sill: 0, height: feet(7) }] }),
    words:
      /^.+ in the front wall of Depot has 2′-0″ \(7\.0 mm\) before it, then stands Freight house: nobody gets through\. Move one of them, or leave the opening out\.$/,
    level: "warning",
    mended: yard(0, -onModel(feet(20)), { openings: [{ ...window_, kind: "door", sill: 0, height: feet(7) }] }),
  },
  {
    name: "16: a window that looks at a wall",
    bad: yard(0, -onModel(feet(17)), { openings: [window_] }),
    words:
      /^.+ in the front wall of Depot has 1′-0″ \(3\.5 mm\) before it, then stands Freight house: it looks at a wall\./,
    level: "warning",
    mended: yard(0, -onModel(feet(18)), { openings: [window_] }),
  },
];

describe("mistakes that cost a rebuild are told before anything is cut", () => {
  for (const c of CASES) {
    it(c.name, () => {
      const f = said(c.bad, c.words);
      expect(f, told(c.bad).map((x) => x.text).join("\n")).toBeDefined(); // prettier-ignore
      expect(f!.level).toBe(c.level);
    });
    it(`${c.name}: nothing of it once it is mended`, () => expect(said(c.mended, c.words)).toBeUndefined());
  }
  it("what a remedy sets mends it", () => {
    const bad = CASES.filter((c) => said(c.bad, c.words)?.remedy?.do === "set");
    expect(bad.length).toBeGreaterThan(3);
    for (const c of bad) {
      const { remedy } = said(c.bad, c.words)!;
      if (remedy?.do !== "set") continue;
      const s = c.bad.structures[0]!;
      const v = structuredClone(s.variants[0]!);
      const path = remedy.param.split(".");
      let at = v.params;
      for (const k of path.slice(0, -1)) at = at[k] as Values;
      at[path[path.length - 1]!] = remedy.value;
      expect(said({ ...c.bad, structures: [{ ...s, variants: [v] }] }, c.words), c.name).toBeUndefined();
    }
  });
  it("what a remedy moves parts two structures, or lets them touch", () => {
    const bad = CASES.filter((c) => said(c.bad, c.words)?.remedy?.do === "move");
    expect(bad).toHaveLength(2);
    for (const c of bad) {
      const { remedy, structure } = said(c.bad, c.words)!;
      if (remedy?.do !== "move") continue;
      const structures = c.bad.structures.map(
        (s) =>
        s.id === structure ? { ...s, place: { ...s.place!, x: s.place!.x + remedy.by[0], y: s.place!.y + remedy.by[1] } } : s, // prettier-ignore
      );
      expect(
        told({ ...c.bad, structures }).filter((f) => /on the plan|slit/.test(f.text)),
        c.name,
      ).toEqual([]);
    }
  });
  it("nothing is said of a structure that has no place", () => {
    const doc = yard(0, 0);
    const structures = doc.structures.map((s) => ({ ...s, place: undefined }));
    expect(told({ ...doc, structures }).filter((f) => /on the plan/.test(f.text))).toEqual([]);
  });
  it("two matters about one parameter are set aside one at a time", () => {
    const two = building({ wallHeight: feet(12), openings: [window_, { ...window_, at: feet(16) }], wings: [canopy] });
    const keys = told(job("building", two)).map((f) => f.key);
    expect(keys.filter((k) => k.startsWith("s:usual:wings.0.height"))).toHaveLength(2);
    expect(new Set(keys).size).toBe(keys.length);
  });
});
