import { NEAR } from "../../geometry";
import { model, toPrototype } from "../../units";
import type { Context, Dimension } from "../kind";
import { buildingLayout } from "./plan/layout";
import { endDimensions, openingDimensions, planDimensions } from "./viewDimensions";
import { buildingSpec, type BuildingValues } from "./parameters";

/** A building's dimensions on all its views, model mm: on the front length, wall height and openings; on the end width, pitch and overhang; on the plan the outline and its wings. */
export function buildingDimensions(v: BuildingValues, ctx: Context): Dimension[] {
  const l = buildingLayout(v, ctx);
  const half = l.mm(v.length) / 2;
  const wallTop = l.mm(v.wallHeight);
  const peak = l.main.peak[1];
  const low = -l.floorDepth;
  const out: Dimension[] = [
    {
      id: "length",
      label: buildingSpec.length.label,
      param: "length",
      value: v.length,
      unit: "length",
      from: [-half, low],
      to: [half, low],
      side: "bottom",
      tier: 1,
      handles: [
        { param: "length", at: [half, 0], axis: [1, 0], gain: 2 },
        { param: "length", at: [-half, 0], axis: [-1, 0], gain: 2 },
      ],
    },
    {
      id: "wallHeight",
      label: buildingSpec.wallHeight.label,
      param: "wallHeight",
      value: v.wallHeight,
      unit: "length",
      from: [-half, 0],
      to: [-half, wallTop],
      side: "left",
      tier: 0,
      handles: [{ param: "wallHeight", at: [-half, wallTop], axis: [0, 1], gain: 1 }],
    },
  ];
  if (peak > wallTop + NEAR)
    out.push({
      id: "height",
      label: "Floor to the peak of the rafters",
      value: toPrototype(ctx.scale, model(peak)),
      unit: "length",
      from: [half, 0],
      to: [half, peak],
      side: "right",
      tier: 0,
      handles: [],
    });
  return [...out, ...endDimensions(l), ...planDimensions(l), ...VIEWS.flatMap((view) => openingDimensions(l, view))];
}
const VIEWS = ["side", "front", "plan"] as const;
