import type { Frame } from "../../frame";
import { builder } from "../builder";
import type { Context } from "../kind";
import { bays } from "./bay";
import { bands } from "./bands";
import { canopies } from "./canopy";
import { cladding } from "./cladding";
import { roofCaps } from "./caps";
import { covering } from "./covering";
import { drawnOver } from "./drawnOver";
import { bargeBoards, fascias } from "./eaves";
import { flatRoof } from "./flat";
import { eaveBrackets, soffits } from "./eaveWork";
import { flashing } from "./flashing";
import { floors, loft, solesOnFloor } from "./floors";
import { foundation } from "./foundation";
import { gableRoof } from "./gable";
import { shedRoof } from "./shed";
import { hipRoof } from "./hip";
import { joinWalls } from "./joinWalls";
import { buildingLayout } from "./layout";
import type { BuildingValues } from "./parameters";
import { placed } from "./place";
import { lining } from "./lining";
import { locatingStrips } from "./locating";
import { frameDormers, seatValleyBoards } from "./frameDormer";
import { frameMonitor } from "./monitor";
import { raisedOf } from "./raised";
import { platforms } from "./platform";
import { stairs } from "./stairs";
import { stand } from "./stand";
import { headOff } from "./roofHoles";
import { roofKit } from "./slopes";
import { roofTrusses } from "./trusses";
import { interruptionsOf, valleys } from "./valley";
import { frameWall } from "./walls";

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
