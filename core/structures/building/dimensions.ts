import { model, toPrototype } from "../../units";
import type { Context, Dimension } from "../kind";
import { buildingLayout } from "./layout";
import { buildingSpec, type BuildingValues } from "./parameters";

/** The front's dimensions on its elevation, [x, z] model mm: length, wall height, openings. */
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
      tier: 0,
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
  if (peak > wallTop + 1e-6)
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
  v.openings.forEach((o, i) => {
    if (o.wall !== "front" || o.part !== 0) return;
    const at = -half + l.mm(o.at);
    out.push({
      id: `opening${i}`,
      label: `Opening ${i + 1}: middle from the left corner`,
      param: `openings.${i}.at`,
      value: o.at,
      unit: "length",
      from: [-half, low],
      to: [at, l.mm(o.sill)],
      // beside the opening: from the left corner to its middle
      side: "at",
      tier: 0,
      handles: [
        { param: `openings.${i}.at`, at: [at, l.mm(o.sill + o.height / 2)], axis: [1, 0], gain: 1 },
        { param: `openings.${i}.height`, at: [at, l.mm(o.sill + o.height)], axis: [0, 1], gain: 1 },
        {
          param: `openings.${i}.width`,
          at: [at + l.mm(o.width / 2), l.mm(o.sill + o.height / 2)],
          axis: [1, 0],
          gain: 2,
        },
        ...(o.kind === "window"
          ? [{ param: `openings.${i}.sill`, at: [at, l.mm(o.sill)] as const, axis: [0, 1] as const, gain: 1 }]
          : []),
      ],
    });
  });
  return out.filter((d, i) => !d.id.startsWith("opening") || i < 2 + 1 + 6);
}
