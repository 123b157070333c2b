import { cottageInside } from "./insides";
import "../core/structures/all";
import { usualFinish } from "../core/finish";
import { designOf, emptyJob, newStructure, type JobDoc } from "../core/job";
import { kindOf } from "../core/structures";
import { feet, inches } from "../core/units";

type Row = Readonly<Record<string, unknown>>;
const window = (wall: string, at: number, width: number, height: number, sill: number, over: Row = {}): Row => ({ wall, kind: "window", at: feet(at), width: feet(width), height: feet(height), sill: feet(sill), mount: "layers", lap: inches(4), style: "hung", across: 2, up: 2, shutters: "none", ...over }); // prettier-ignore
const door = (wall: string, at: number, width: number, height: number, style: string, over: Row = {}): Row => ({ ...window(wall, at, width, height, 0), kind: "door", style, across: 2, up: 1, ...over }); // prettier-ignore
const start = (kind: string, name: string) => kindOf(kind).starts!.find((s) => s.name === name)!.params;

/** The railway's company store: brick sheet on a core of board, a flat roof behind its parapet, shop windows and an awning over them, a row of sashes above. */
export function companyStore(): JobDoc {
  const job = emptyJob("Company store");
  const sashes = [5, 35 / 3, 55 / 3, 25];
  const shop = { style: "fixed", across: 3, up: 1 };
  const store = newStructure("sheet", "store", "Store", {
    ...start("sheet", "Brick-faced block, flat roof"),
    parapet: feet(3),
    casing: 0,
    lintel: inches(10),
    stoneSill: inches(5),
    quoins: inches(13.75),
    coping: "styrene/40",
    bands: [{ at: feet(22.75), high: inches(16), out: inches(16), walls: "front", brackets: 6, dentils: inches(8) }],
    bracketHigh: inches(14),
    openings: [
      window("front", 7, 8, 7, 2, shop),
      door("front", 15, 4, 9, "glazed"),
      window("front", 23, 8, 7, 2, shop),
      ...sashes.map((at) => window("front", at, 3, 6, 14, { head: "segmental", rise: inches(6) })),
      ...[6, 15, 25, 34].flatMap((at) => [window("right", at, 3, 5, 3.5), window("right", at, 3, 6, 14)]),
      door("back", 8, 6, 8, "split"),
      ...sashes.map((at) => window("back", at, 3, 6, 14)),
    ],
  });
  const awning = newStructure("canopy", "awning", "Awning", { length: feet(26.5), depth: feet(6), height: feet(10.75), fall: 1.5, lights: 4, rodRise: feet(5), rod: "⌀2" }); // prettier-ignore
  return {
    ...job,
    brief: {
      ...job.brief,
      railroad: "Pellam Notch Railway",
      place: "Across the road from the depot; its left end stands against the hill and has no windows.",
      spotLength: 160,
      spotDepth: 180,
      era: "Summer 1909",
      decisions: [
        {
          id: "ends",
          what: "The ends run through",
          reason: "The corner's seam then lies on the street side, where a downspout hides it.",
        },
      ],
    },
    structures: [
      { ...store, place: { x: 0, y: 0, z: 0, turn: 0 } },
      // on the front wall: the block is 40 ft deep, 140 mm
      { ...awning, place: { x: 0, y: -70, z: 0, turn: 0 } },
    ],
  };
}

/** The agent's cottage: clapboards on a core between corner posts, windows in layers with their shutters, a canopy over the door. */
export function agentsCottage(): JobDoc {
  const job = emptyJob("Agent's cottage");
  const cottage = newStructure("sheet", "cottage", "Cottage", {
    length: feet(28),
    width: feet(18),
    wallHeight: feet(10.5),
    rise: 8,
    corner: "post",
    cornerPost: "10×10",
    fascia: inches(7),
    cover: "strips",
    exposure: inches(9),
    ridgeCap: inches(8),
    gutters: "eaves",
    downpipes: "right",
    chimneys: [{ at: feet(21), in: feet(9), width: feet(2), depth: feet(2), high: feet(4), corbels: 2 }],
    openings: [
      window("front", 6, 2.5, 5, 2.5, { shutters: "both" }),
      door("front", 14, 3, 7, "panel", { up: 2 }),
      window("front", 22, 2.5, 5, 2.5, { shutters: "both" }),
      window("right", 9, 3, 5, 2.5, { style: "casement", across: 1, up: 3 }),
      window("left", 5, 2.5, 5, 2.5),
      window("left", 13, 2.5, 5, 2.5),
      window("back", 7, 2, 3, 4.5, { style: "fixed" }),
      door("back", 18, 3, 7, "split"),
    ],
  });
  const canopy = newStructure("canopy", "canopy", "Canopy over the door", { held: "brackets", length: feet(6), depth: feet(3.5), height: feet(8.25), fall: 0, frames: 2, margin: inches(3), inset: feet(1), edgeHigh: inches(8), rib: "2×4", ledger: "2×4", bracket: "3×3", bracketFall: feet(2.5) }); // prettier-ignore
  const doc: JobDoc = {
    ...job,
    brief: {
      ...job.brief,
      railroad: "Pellam Notch Railway",
      place: "Behind the depot, its front to the yard.",
      spotLength: 130,
      spotDepth: 110,
      era: "Summer 1909",
      decisions: [{ id: "posts", what: "Corner posts of 10×10", reason: "Clapboards on their core are 2.54 mm: an 8×8 would stand behind them." }], // prettier-ignore
    },
    structures: [
      {
        ...cottage,
        place: { x: 0, y: 0, z: 0, turn: 0 },
        sources: {
          length: { how: "measured", from: "Valuation sheet 7", why: "" },
          width: { how: "measured", from: "Valuation sheet 7", why: "" },
          wallHeight: { how: "counted", from: "21 courses of 6 in siding on the photograph", why: "" },
          rise: { how: "estimated", from: "The photograph's gable", why: "Steeper than the depot's, flatter than the church's." }, // prettier-ignore
        },
      },
      { ...canopy, place: { x: 0, y: -31.5, z: 0, turn: 0 } },
    ],
    spot: {
      tracks: [{ id: "team", name: "Team track", x: -95, y: -72, turn: 0, rail: 0, car: "coach-60", pieces: [{ kind: "straight", length: 110 }, { kind: "left", length: 120, radius: 610, ease: 60 }] }], // prettier-ignore
      things: [{ id: "lamp", name: "Yard lamp", kind: "has to stay", x: -52, y: 42, turn: 0, length: 9, depth: 9, low: 0, high: 55 }], // prettier-ignore
      cars: [],
    },
  };
  return { ...doc, build: usualFinish(designOf(doc)), inside: [cottageInside] };
}

/** The silos at Cray siding: four tubes of pipe with panels between, a deck and the headhouse on it, and before them a platform on columns with its shelter, stair and gate. */
export function silos(): JobDoc {
  const job = emptyJob("Silos at Cray siding");
  const row = newStructure("tubes", "silos", "Silos", {
    ...start("tubes", "Concrete silos with a headhouse"),
    tubes: 3,
    pipe: "pipe/75",
    diameter: feet(21.5),
    height: feet(52),
    houseLength: feet(44),
    houseOpenings: [window("front", 8, 3, 4, 3), window("front", 22, 3, 4, 3), window("front", 36, 3, 4, 3), door("right", 6, 3, 7, "boards")], // prettier-ignore
  });
  const platform = newStructure("platform", "platform", "Platform", {
    length: feet(56),
    depth: feet(11),
    height: feet(11),
    bents: 4,
    margin: feet(2),
    inset: feet(2.5),
    railing: "fence",
    shelter: "gable",
    shelterFrom: 2,
    shelterTo: 3,
    roofWide: feet(12),
    stairs: [{ side: "left", at: feet(5.5), width: feet(4), tread: inches(10.5), riser: inches(7), rail: true }],
    gates: [{ side: "back", at: feet(14), width: feet(5), leaf: true }],
  });
  return {
    ...job,
    brief: {
      ...job.brief,
      railroad: "Pellam Notch Railway",
      place: "Between the siding and the cliff; the pipe is 75 mm drain pipe that was there.",
      spotLength: 340,
      spotDepth: 140,
      era: "Summer 1909",
      decisions: [
        { id: "three", what: "Three tubes, not four", reason: "The cliff leaves 230 mm; the tubes stay full size." },
      ],
    },
    structures: [
      { ...row, place: { x: 0, y: 0, z: 0, turn: 0 } },
      { ...platform, place: { x: 0, y: -75, z: 0, turn: 0 } },
    ],
  };
}
