import type { Frame } from "../../frame";
import { builder } from "../builder";
import type { Context } from "../kind";
import { bays } from "./bay/bay";
import { bands } from "./trim/bands";
import { canopies } from "./trim/canopy";
import { cladding } from "./cladding/cladding";
import { roofCaps } from "./roof/caps";
import { covering } from "./roof/covering";
import { drawnOver } from "./cladding/drawnOver";
import { bargeBoards, fascias } from "./roof/eaves";
import { flatRoof } from "./roof/flat";
import { eaveBrackets, soffits } from "./roof/eaveWork";
import { flashing } from "./roof/flashing";
import { floors, loft, solesOnFloor } from "./floors/floors";
import { foundation } from "./floors/foundation";
import { gableRoof } from "./roof/gable";
import { shedRoof } from "./roof/shed";
import { hipRoof } from "./roof/hip";
import { joinWalls } from "./walls/joinWalls";
import { buildingLayout } from "./plan/layout";
import type { BuildingValues } from "./parameters";
import { placed } from "../place";
import { lining } from "./walls/lining";
import { locatingStrips } from "./walls/locating";
import { frameDormers, seatValleyBoards } from "./roof/frameDormer";
import { frameMonitor } from "./roof/monitor";
import { raisedOf } from "./plan/raised";
import { platforms } from "./platform/platform";
import { stairs } from "./platform/stairs";
import { stand } from "./floors/stand";
import { headOff } from "./roof/roofHoles";
import { roofKit } from "./roof/slopes";
import { roofTrusses } from "./roof/trusses";
import { interruptionsOf, valleys } from "./roof/valley";
import { frameWall } from "./walls/walls";

/*
 * The rooms of this folder, in the order a building rises: plan (parts, the lines of walls, sizes), floors (with foundation and
 * stand), walls, openings, roof (slopes, hips, valleys, dormers, trusses, what covers them), bay, platform (with stairs),
 * cladding, trim. Judgement says what cannot be and what wants a second look; spec says what can be asked for.
 */

/** Everything of a building: floors, walls, roofs and what covers them. Model mm; the middle of the main part's floor is the origin. Errors: what leaves no room for its framing. */
export function buildingFrame(v: BuildingValues, ctx: Context): Frame {
  const l = buildingLayout(v, ctx);
  const b = builder(ctx.structure);
  floors(b, l);
  for (const part of l.parts) for (const w of part.walls) frameWall(b, l, w);
  for (const w of l.partitions) frameWall(b, l, w);
  joinWalls(b, l);
  solesOnFloor(b, l);
  if (v.foundation === "bents") stand(b, l);
  else foundation(b, l);
  const cuts = interruptionsOf(l);
  for (const part of l.parts) {
    const own = part === l.main ? cuts : cuts.filter((c) => c.wing === part);
    const k = roofKit(placed(b, part.place), l, part);
    if (part.roof === "flat") flatRoof(b, l, part);
    else if (part.roof === "hip" || part.roof === "hipdeck") hipRoof(k);
    else if (part.roof === "shed" || part.roof === "lean") shedRoof(k);
    else if (part.roof !== "none") gableRoof(k, own);
  }
  for (const c of cuts) valleys(b, l, c);
  frameMonitor(b, l);
  headOff(b, l);
  roofTrusses(b.members, roofKit(placed(b, l.main.place), l, l.main));
  frameDormers(b, l);
  for (const part of [...l.parts, ...raisedOf(l)]) {
    const own = part === l.main ? cuts : [];
    fascias(b, l, part, own);
    bargeBoards(b, l, part);
    covering(b, l, part, own);
  }
  seatValleyBoards(b, l);
  soffits(b, l);
  eaveBrackets(b, l);
  roofCaps(b, l);
  flashing(b, l);
  bays(b, l);
  platforms(b, l);
  canopies(b, l);
  lining(b, l);
  loft(b, l);
  stairs(b, l);
  bands(b, l);
  cladding(b, l);
  locatingStrips(b, l);
  drawnOver(b, l);
  return b.frame();
}
