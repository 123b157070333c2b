import { NEAR } from "../../../geometry";
import { nominalMm, textureOf, type TextureId } from "../../../lumber";
import { flight, stairRemarks } from "../../../carpentry";
import { feet, inches, prototype, toPrototype, type Model } from "../../../units";
import type { Context, Remark } from "../../kind";
import { unusual } from "../../unusual";
import {
  hasGables,
  crossedByPartition,
  eaveSide,
  fi,
  hasLoftFlight,
  sloped,
  wallOf,
  wallOfPart,
  wallSizes,
} from "../plan/nominal";
import { crossings } from "./crossings";
import { tailsShow } from "../roof/formers";
import { landingRemarks } from "../platform/landings";
import { roomRemarks } from "../plan/rooms";
import { realSizes } from "../plan/realSizes";
import { buildingSpec, type BuildingValues } from "../parameters";
import { loftFlight, loftHeadroom } from "../platform/loftFlight";
import { buildingShown } from "../shown";

/** Half a car's width and its height over the rail: AAR Plate C is 10 ft 8 in by 15 ft 6 in, from memory. */
const CAR = { half: feet(5, 4), high: feet(15, 6) };

/** How high a car's floor usually is over the rail. Common practice. */
const CAR_FLOOR = [feet(3, 6), feet(4, 6)] as const;

/**
 * How far a car reaches past its half width on a curve: its middle to the inside, its ends to the outside of it.
 * Chord geometry: a truck spacing B on radius R lies R − √(R² − B²/4) inside the arc; an end L/2 from the middle lies
 * √((R − that)² + L²/4) from the centre.
 */
export function carSwing(v: Pick<BuildingValues, "trackCurve" | "trackRadius" | "carLength">): number {
  if (v.trackCurve === "straight") return 0;
  const trucks = 0.7 * v.carLength;
  const middle = v.trackRadius - Math.sqrt(Math.max(0, v.trackRadius ** 2 - (trucks / 2) ** 2));
  if (v.trackCurve === "inside") return middle;
  // the outer side of the end, half a car's width out from the car's middle line
  const line = v.trackRadius - middle + CAR.half;
  return Math.max(0, Math.hypot(line, v.carLength / 2) - v.trackRadius - CAR.half);
}
/** How much nearer than at the wall's middle a track comes that curves round the building, at the ends of what reaches out. */
function comesNearer(v: BuildingValues, ends: readonly [number, number]): number {
  if (v.trackCurve !== "inside") return 0;
  const far = Math.max(...ends.map((x) => Math.abs(x - v.length / 2)));
  return v.trackRadius - Math.sqrt(Math.max(0, v.trackRadius ** 2 - far ** 2));
}

/** What a passing car, and its floor, have to say of eaves, canopies and docks. */
function trackRemarks(v: BuildingValues): Remark[] {
  if (v.track === "none") return [];
  const out: Remark[] = [];
  const need = CAR.half + carSwing(v) + inches(6);
  const reach = (name: string, depth: number, low: number, param: string, ends: readonly [number, number]): void => {
    const clear = v.trackOff - depth - comesNearer(v, ends);
    if (low + v.railBelow < CAR.high && clear < need)
      out.push({
        param,
        text: `${name} comes within ${fi(Math.max(0, clear))} of the track's centre at ${fi(low + v.railBelow)} over the rail; a car takes ${fi(CAR.half + carSwing(v))} on each side${carSwing(v) > 0 ? `, ${fi(carSwing(v))} of it because of the curve` : ""}, up to ${fi(CAR.high)}. Move the track to ${fi(depth + need + comesNearer(v, ends))} from the wall${depth > 0 ? ", or shorten it" : ""}.`,
      });
  };
  if (v.framing !== "none") reach("The wall", 0, 0, "trackOff", [0, v.length]);
  if (sloped(v) && eaveSide(v, v.track))
    reach(
      "The eave",
      v.overhang,
      wallOf(v, v.track).top - (v.overhang * v.rise) / 12 - nominalMm(v.rafter).width,
      "overhang",
      [0, v.length],
    );
  v.wings.forEach((w, i) => {
    if (w.side !== v.track) return;
    const ends = [w.at, w.at + w.length] as const;
    if (w.kind === "gable" || w.kind === "lean" || w.kind === "bay")
      reach(`${w.kind === "bay" ? "Bay" : "Wing"} ${i + 1}`, w.depth, 0, `wings.${i}.depth`, ends);
    if (w.kind === "canopy")
      reach(`Canopy ${i + 1}`, w.depth, w.height - w.depth / 6 - feet(1), `wings.${i}.depth`, ends);
    if (w.kind !== "platform") return;
    const over = v.railBelow + w.height;
    if (over > inches(12)) reach(`Platform ${i + 1}`, w.depth + v.plankOver, w.height, `wings.${i}.depth`, ends);
    if (over > feet(2) && (over < CAR_FLOOR[0] || over > CAR_FLOOR[1]))
      out.push({
        param: `wings.${i}.height`,
        text: `Platform ${i + 1} is ${fi(over)} over the rail and a car's floor about 4′-0″: dock, car floor and rail do not agree.`,
        fix: { label: "Set it level with the cars", value: feet(4) - v.railBelow },
      });
    if (
      v.openings.some((o) => o.kind === "door" && o.wall === w.side && o.part === 0) &&
      Math.abs(w.height) > inches(9)
    )
      out.push({
        param: `wings.${i}.height`,
        text: `Platform ${i + 1} lies ${fi(Math.abs(w.height))} ${w.height > 0 ? "over" : "under"} the floor that the doors behind it open on.`,
        fix: { label: "Set it level with the floor", value: 0 },
      });
  });
  return out;
}

/** A solid corner post thinner than the wall beside it. */
function cornerRemarks(v: BuildingValues): Remark[] {
  const { wall } = wallSizes(v);
  const post = nominalMm(v.cornerPost).width;
  if (v.framing !== "studs" || v.corner !== "solid" || post > wall - NEAR) return [];
  return [
    {
      param: "cornerPost",
      text: `The corner posts are ${fi(post)} deep and the wall ${fi(wall)}: walls and post do not meet without a rebate.`,
    },
  ];
}

/** What stands upright on the walls side by side: its pitch and name, how thick it is and which walls' covers the others' edges. Of a sheet it is the pitch of the one that is had. */
function uprightPitch(
  v: BuildingValues,
  context?: Context,
): { readonly pitch: number; readonly unit: string; readonly thick: number; readonly covers: string } | undefined {
  if (v.siding === "vertical" || v.siding === "batten") {
    const { thickness, width } = nominalMm(v.sidingBoard);
    return { pitch: width, unit: "board", thick: thickness, covers: "ends" };
  }
  if (v.siding !== "sheet" || !context) return undefined;
  const texture = textureOf(v.sheetTexture as TextureId);
  if (texture.runs === "level") return undefined;
  const { item } = context.sheet({ texture: texture.id, pitch: prototype(v.sheetPitch) });
  const mm = (m: Model): number => toPrototype(context.scale, m);
  return { pitch: mm(item.texture!.pitch), unit: texture.unit, thick: mm(item.thickness), covers: v.sheetCorner };
}

/** What is unusual or wants a second look; with a context by the sizes really used where sticks have to meet. */
export function buildingRemarks(v: BuildingValues, context?: Context): Remark[] {
  const out = [
    ...unusual(buildingSpec, v, (p) => buildingShown(v, p)),
    ...trackRemarks(v),
    ...crossings(v),
    ...roomRemarks(v),
    ...landingRemarks(v),
    ...cornerRemarks(context ? realSizes(v, context) : v),
  ];
  if (v.loft)
    v.openings.forEach((o, i) => {
      if (o.part === 0 && o.sill < v.loftHeight && o.sill + o.height > v.loftHeight - nominalMm(v.joist).width)
        out.push({
          param: "loftHeight",
          text: `Opening ${i + 1} from ${fi(o.sill)} to ${fi(o.sill + o.height)} is crossed by the loft at ${fi(v.loftHeight)}, which shows behind it.`,
        });
    });
  if (hasLoftFlight(v)) {
    stairRemarks(loftFlight(v)).forEach((text) => out.push({ param: "loftRiser", text: `Stair to the loft: ${text}` }));
    // International Residential Code R311.7.2: 6 ft 8 in over the treads
    if (loftHeadroom(v) < feet(6, 8))
      out.push({
        param: "loftStairLength",
        text: `The stair to the loft leaves ${fi(loftHeadroom(v))} under the opening's near edge; a residential code asks for 6′-8″ (IRC R311.7.2).`,
      });
  }
  if (v.framing === "none" && v.outline.length > 0 && v.outline.length < 3)
    out.push({
      param: "outline",
      text: `An outline of ${v.outline.length} ${v.outline.length === 1 ? "corner" : "corners"} goes round nothing yet; until there are three the floor is a rectangle.`,
    });
  const clad = v.siding === "sheet" && context ? realSizes(v, context) : v;
  const board = nominalMm(clad.sidingBoard).thickness + (v.siding === "batten" ? nominalMm(v.batten).thickness : 0);
  if (v.siding !== "none" && hasGables(v) && v.gableOverhang < board)
    out.push({
      param: "gableOverhang",
      text: `The end walls' cladding stands ${fi(board - v.gableOverhang)} proud of a roof that ends with its gables: let it overhang, with a barge board over the edge.`,
      fix: { label: `Overhang ${fi(inches(8))}`, value: inches(8) },
    });
  v.partitions.forEach((p, i) => {
    for (const n of crossedByPartition(v, p.at))
      out.push({
        param: `partitions.${i}.at`,
        text: `Partition ${i + 1} ends in opening ${n + 1} of the ${v.openings[n]!.wall} wall, where it shows.`,
      });
  });
  v.openings.forEach((o, i) => {
    if (o.kind === "door" && o.height < feet(6, 8) - NEAR)
      out.push({
        param: `openings.${i}.height`,
        text: `Door ${i + 1} is ${fi(o.height)} high; people need ${fi(feet(6, 8))}.`,
        fix: { label: `Set ${fi(feet(6, 8))}`, value: feet(6, 8) },
      });
    if (v.framing === "posts") {
      const length = wallOfPart(v, o.part, o.wall)?.length ?? v.length;
      const bay = length / Math.max(1, Math.round(length / v.bay));
      const room = bay - nominalMm(v.post).thickness;
      if (o.width > room)
        out.push({
          param: `openings.${i}.width`,
          text: `Opening ${i + 1} is ${fi(o.width)} wide; its bay leaves ${fi(room)} between posts, so a post is left out for it.`,
        });
    }
  });
  if (v.fascia === "board" && sloped(v)) {
    const plumb = nominalMm(v.rafter).width * Math.hypot(1, v.rise / 12);
    const board = nominalMm(v.fasciaSize).width;
    if (board < plumb * 0.75)
      out.push({
        param: "fasciaSize",
        text: `The rafters' plumb cuts are ${fi(plumb)} high and the fascia of ${v.fasciaSize} covers only ${fi(board)} of them.`,
      });
  }
  v.stairs.forEach((r, i) => {
    const rise = v.groundDepth + r.level;
    if (rise > inches(3))
      stairRemarks(flight(rise, r.tread, r.riser)).forEach((text, n) =>
        out.push({ param: `stairs.${i}.${n === 0 ? "riser" : "tread"}`, text: `Stair ${i + 1}: ${text}` }),
      );
    if (r.rail === false && rise > inches(30))
      out.push({
        param: `stairs.${i}.rail`,
        text: `Stair ${i + 1} rises ${fi(rise)} without a railing; more than ${fi(inches(30))} wants one.`,
        fix: { label: "Add railings", value: true },
      });
  });
  const upright = uprightPitch(v, context);
  if (upright) {
    const board = upright.pitch;
    for (const [side, length, key] of [
      ["front and back", v.length, "length"],
      ["ends", v.width, "width"],
    ] as const) {
      const corner = nominalMm(v.cornerBoard);
      // the ends' cladding covers the edges of the long walls', or the other way round
      const covers = key === (upright.covers === "sides" ? "length" : "width") && upright.covers !== "mitre";
      const trim = v.cornerBoards
        ? 2 * (corner.width - (covers ? corner.thickness : 0))
        : covers
          ? -2 * upright.thick
          : 0;
      const rest = (length - trim) % board;
      if (rest > 1 && board - rest > 1)
        out.push({
          param: key,
          text: `The ${side} take ${Math.floor((length - trim) / board)} ${upright.unit}s of ${fi(board)} and a strip of ${fi(rest)}; a good wall ends on a full ${upright.unit}.`,
          fix: {
            label: rest < board / 2 ? `${fi(rest)} shorter` : `${fi(board - rest)} longer`,
            value: rest < board / 2 ? length - rest : length + board - rest,
          },
        });
    }
  }
  if (v.floor !== "none") {
    const board = nominalMm(v.plank).width + v.plankGap;
    const across = v.plankWay === "along" ? v.width : v.length;
    const rest = across % board;
    if (rest > 1 && rest < board / 4)
      out.push({
        param: v.plankWay === "along" ? "width" : "length",
        text: `The last floor plank is a sliver of ${fi(rest)}.`,
      });
  }
  if (!v.seenRoof && tailsShow(v) && sloped(v))
    out.push({
      param: "fascia",
      text: "Nobody sees the roof's framing, but its bare tails are seen: every rafter stays. Behind a fascia board only formers under the sheets would.",
      fix: { label: "Fascia board", value: "board" },
    });
  if (v.floor === "lift" && v.ceiling !== "none" && !v.locating)
    out.push({
      param: "locating",
      text: "The floor lifts out, but the roof with its ceiling joists is fixed over it: let the roof lift off too.",
      fix: { label: "Roof lifts off", value: true },
    });
  for (const [i, w] of v.wings.entries())
    if (w.kind === "platform" && w.side === "front" && Math.abs(w.height) > feet(4, 6))
      out.push({
        param: `wings.${i}.height`,
        text: `Platform ${i + 1} is ${fi(w.height)} off the floor; a dock is level with it.`,
      });
  return out;
}
