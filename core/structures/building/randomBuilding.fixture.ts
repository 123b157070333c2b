import fc from "fast-check";
import { feet, inches, prototype, type Prototype } from "../../units";
import { defaultsOf } from "../spec";
import { buildingCheck } from "./judgement/check";
import { buildingSpec, SIDES, type BuildingValues, type OpeningRow, type WingRow } from "./parameters";

const mm = (lo: number, hi: number) => fc.double({ min: lo, max: hi, noNaN: true });
const ft = (lo: number, hi: number) => mm(feet(lo), feet(hi)).map(prototype);
const inch = (lo: number, hi: number) => mm(inches(lo), inches(hi)).map(prototype);
const pick = <T>(...v: readonly T[]) => fc.constantFrom(...v);

const opening: fc.Arbitrary<OpeningRow> = fc
  .record({
    part: pick(0),
    wall: pick(...SIDES),
    kind: pick("door", "window", "window"),
    at: ft(2, 40),
    width: ft(2, 6),
    height: ft(2.5, 7.5),
    sill: inch(20, 48),
    mount: pick("flange", "behind", "inside", "built"),
    lap: inch(1, 4),
  })
  .map((o) => ({ ...o, sill: (o.kind === "door" ? 0 : o.sill) as Prototype }));
const wing: fc.Arbitrary<WingRow> = fc.record({
  kind: pick("gable", "lean", "platform", "canopy", "bay"),
  side: pick(...SIDES),
  at: ft(2, 25),
  length: ft(6, 16),
  depth: ft(5, 12),
  height: pick(feet(6), feet(7), feet(9), feet(11)),
});

/** Buildings over all roofs, frames and claddings, for tests and long runs. Openings and wings that do not go together with the rest are left out; what else cannot is left to `check`. */
export const randomBuilding: fc.Arbitrary<BuildingValues> = fc
  .record({
    length: ft(10, 48),
    width: ft(8, 26),
    wallHeight: pick(feet(8), feet(9), feet(11)),
    framing: pick("studs", "studs", "posts"),
    footFront: pick(0, 0, feet(2)),
    footRight: pick(0, 0, feet(3), feet(-1)),
    footBack: pick(0, 0, feet(1)),
    stud: pick("2×4", "2×6"),
    studSpacing: inch(12, 30),
    studFrom: pick("left", "right", "middle"),
    topPlates: pick(1, 2),
    corner: pick("plain", "turned", "blocked", "solid"),
    blockingRows: pick(0, 1, 2),
    openingFrame: pick("jacks", "plain"),
    header: pick("2×6", "2×8", "4×6"),
    wallBrace: pick("none", "letin", "inside"),
    bay: ft(5, 12),
    knees: pick(feet(0), feet(2)),
    openings: fc.array(opening, { maxLength: 6 }),
    wings: fc.array(wing, { maxLength: 2 }),
    floor: pick("none", "under", "under", "lift"),
    joistSpacing: inch(12, 26),
    floorBlocking: pick(0, 1, 2),
    blockingSet: pick("staggered", "line"),
    plankWay: pick("along", "across"),
    plankLength: ft(8, 20),
    plankGap: pick(0, inches(0.25)),
    plankOver: pick(0, inches(2)),
    foundation: pick("none", "posts", "piers", "strip"),
    pierSpacing: ft(4, 9),
    groundDepth: ft(4, 6),
    groundFall: mm(-4, 4),
    groundBack: mm(-4, 4),
    roof: pick("none", "gable", "saltbox", "gambrel", "shed", "hip", "hipdeck", "flat"),
    ridgeAlong: pick("length", "width"),
    rise: mm(2, 14),
    upper: mm(0.3, 0.9),
    breakAt: mm(30, 65),
    ridgeShift: ft(0.2, 3),
    deckWidth: ft(2, 8),
    rafter: pick("2×6", "2×4"),
    rafterSpacing: inch(14, 38),
    backing: pick("backed", "dropped"),
    roofFrame: pick("rafters", "rafters", "trusses", "queens"),
    trussSpacing: ft(6, 14),
    purlins: pick(1, 2),
    collar: pick("none", "every", "alternate"),
    ceiling: pick("none", "every", "alternate"),
    collarAt: mm(35, 80),
    overhang: pick(0, inches(8), feet(1), feet(2)),
    gableOverhang: pick(0, inches(8), feet(1.5)),
    tail: pick("plumb", "square", "both"),
    fascia: pick("bare", "bare", "board"),
    barge: fc.boolean(),
    covering: pick("none", "boards", "spaced", "sheet"),
    siding: pick("none", "horizontal", "clapboard", "vertical", "batten"),
    sidingBoard: pick("1×6", "1×8", "1×10"),
    exposure: inch(4, 5.5),
    cornerBoards: fc.boolean(),
    casings: fc.boolean(),
    skirt: pick(0, feet(1)),
    baySlant: fc.oneof(mm(35, 65), fc.constant(90)),
    bayOverhang: inch(3, 12),
    loft: pick(false, false, true),
    loftStairAt: ft(3, 8),
    loftStairIn: ft(1.5, 4),
    loftStairWidth: ft(2, 4),
    loftStairLength: ft(2, 6),
    loftFlight: fc.boolean(),
    loftTread: inch(6, 10),
    loftRiser: inch(7, 13),
    caps: fc.boolean(),
    flashing: fc.boolean(),
    soffit: fc.boolean(),
    brackets: fc.boolean(),
    bracketReach: ft(0.8, 3),
    bracketSpacing: ft(3, 10),
    waterTable: fc.boolean(),
    frieze: pick(false, false, true),
    monitor: pick(false, false, true),
    monitorWidth: ft(4, 8),
    monitorHeight: ft(3, 5),
    monitorInset: ft(2, 4),
    locating: pick(false, false, true),
    lined: pick(false, false, false, true),
    partitions: fc.array(fc.record({ at: ft(4, 20), door: fc.boolean(), doorAt: ft(4, 8), doorWidth: ft(2.5, 3.5) }), {
      maxLength: 1,
    }),
    roofHoles: fc.array(
      fc.record({ side: pick(...SIDES), at: ft(4, 20), inward: ft(2, 8), width: ft(1, 2.5), length: ft(1, 2.5) }),
      { maxLength: 1 },
    ),
    dormers: fc.array(
      fc.record({
        side: pick(...SIDES),
        at: mm(0.2, 0.8),
        width: ft(3, 7),
        inward: ft(0.8, 3),
        height: ft(1.6, 4),
        rise: mm(3, 14),
        overhang: inch(4, 14),
        windowWidth: pick(0, feet(1), feet(2)),
        windowHeight: ft(0.6, 1.5),
      }),
      { maxLength: 2 },
    ),
    unseenRooms: pick([], [], [{ part: 0, room: 1 }], [{ part: 1, room: 1 }]),
    seenRoof: pick(true, true, true, false),
    seenFront: pick(true, true, true, false),
    seenLeft: pick(true, true, true, false),
  })
  .map(({ upper, ...v }): BuildingValues => {
    const square = v.roof === "hip" && v.length < feet(16);
    let out = {
      ...defaultsOf(buildingSpec),
      ...v,
      ...(square ? { width: v.length } : {}),
      upperRise: v.rise * upper,
      openings: [] as OpeningRow[],
      wings: [] as WingRow[],
      partitions: [],
      roofHoles: [],
      dormers: [],
      unseenRooms: [],
    } as unknown as BuildingValues;
    if (out.lined)
      out = {
        ...out,
        locating: false,
        wallBrace: out.wallBrace === "inside" ? "letin" : out.wallBrace,
        lined: out.roof !== "flat",
      };
    if (out.roof === "flat" && out.wallBrace === "inside") out = { ...out, wallBrace: "letin" };
    if (out.loft && buildingCheck(out).length > buildingCheck({ ...out, loft: false }).length)
      out = { ...out, loft: false };
    if (out.loftFlight && buildingCheck(out).length > buildingCheck({ ...out, loftFlight: false }).length)
      out = { ...out, loftFlight: false };
    if (out.monitor && buildingCheck(out).length > buildingCheck({ ...out, monitor: false }).length)
      out = { ...out, monitor: false };
    if (out.roofFrame !== "rafters" && out.roof === "gable") {
      out = { ...out, collar: "none", ceiling: "none" };
      if (buildingCheck(out).length > buildingCheck({ ...out, roofFrame: "rafters" }).length)
        out = { ...out, roofFrame: "rafters" };
    }
    if (out.soffit && buildingCheck(out).length > buildingCheck({ ...out, soffit: false }).length)
      out = { ...out, soffit: false };
    if (out.fascia === "board" && out.overhang < inches(4)) out = { ...out, overhang: feet(1) };
    if (
      buildingCheck(out).length >
      buildingCheck({ ...out, footFront: 0, footRight: 0, footBack: 0 } as BuildingValues).length
    )
      out = { ...out, footFront: 0, footRight: 0, footBack: 0 } as BuildingValues;
    // one after another, whatever goes together with what is there
    for (const o of v.openings) {
      const more = { ...out, openings: [...out.openings, o] };
      if (buildingCheck(more).length === buildingCheck(out).length) out = more;
    }
    for (const w of v.wings)
      for (const height of w.kind === "gable" ? [out.wallHeight, w.height] : [w.height]) {
        const bay = w.kind === "bay" ? { depth: prototype(w.depth * 0.35) } : {};
        const more = { ...out, wings: [...out.wings, { ...w, height, ...bay }] };
        if (buildingCheck(more).length > buildingCheck(out).length) continue;
        out = more;
        break;
      }
    // the last opening once more, in a wing
    const last = v.openings[0];
    if (last && out.wings.length > 0) {
      const more = { ...out, openings: [...out.openings, { ...last, part: 1, at: feet(3.5) }] };
      if (buildingCheck(more).length === buildingCheck(out).length) out = more;
    }
    for (const p of v.partitions) {
      const more = { ...out, partitions: [p] } as BuildingValues;
      if (buildingCheck(more).length === buildingCheck(out).length) out = more;
    }
    if (buildingCheck(out).length > buildingCheck({ ...out, unseenRooms: [] }).length)
      out = { ...out, unseenRooms: [] };
    // whether rafters run on beside a chimney is known only once they are laid out: well inside the slope they do
    const safe = out.roof === "gable" || out.roof === "shed";
    for (const h of v.roofHoles) {
      const more = { ...out, roofHoles: [h] } as BuildingValues;
      const run = (out.roof === "shed" ? 1 : 0.5) * (out.ridgeAlong === "width" ? out.length : out.width);
      const long = out.ridgeAlong === "width" ? out.width : out.length;
      const near = 2 * out.rafterSpacing + h.width;
      if (!safe || out.wings.length > 0 || h.inward + h.length + feet(1) > run || h.at < near || h.at > long - near)
        continue;
      if (buildingCheck(more).length === buildingCheck(out).length) out = more;
    }
    for (const d of v.dormers)
      for (const [height, windowWidth] of [
        [d.height, d.windowWidth],
        [feet(2.2), 0],
        [feet(1.7), 0],
      ]) {
        const at = d.at * (d.side === "front" || d.side === "back" ? out.length : out.width);
        const more = { ...out, dormers: [...out.dormers, { ...d, at, height, windowWidth }] } as BuildingValues;
        if (buildingCheck(more).length > buildingCheck(out).length) continue;
        out = more;
        break;
      }
    return out;
  });
