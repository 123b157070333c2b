import { prototype, toModel } from "../../units";
import type { Context, Dimension, ElevationPoint, Handle } from "../kind";
import { bentLayout, postAt } from "./layout";
import { bentSpec, type BentValues } from "./parameters";

/** The bent's dimensions on its front elevation, [y, z] model mm; values are prototype mm or inches per foot. */
export function bentDimensions(v: BentValues, ctx: Context): Dimension[] {
  const lay = bentLayout(v);
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  const pt = (y: number, z: number): ElevationPoint => [mm(y), mm(z)];
  const out: Dimension[] = [];
  const put = (
    d: Omit<Dimension, "tier" | "handles" | "unit"> & { tier?: number; handles?: Handle[]; unit?: "batter" },
  ): void => void out.push({ unit: "length", tier: 0, handles: [], ...d });
  const capReal = ctx.stock(v.cap).section.width;
  const sillReal = ctx.stock(v.sill).section.width;
  const half = Math.max(lay.capHalf, lay.sillHalf);

  put({
    id: "height",
    label: bentSpec.height.label,
    param: "height",
    value: v.height,
    from: pt(-half, 0),
    to: pt(-half, lay.sillFoot),
    side: "left",
    tier: 1,
    handles: [{ param: "height", at: pt(-0.6 * lay.sillHalf, lay.sillFoot), axis: [0, -1], gain: 1 }],
  });

  const capByLength = v.capSet === "length";
  put({
    id: "capLength",
    label: "Cap length",
    value: 2 * lay.capHalf,
    from: pt(-lay.capHalf, 0),
    to: pt(lay.capHalf, 0),
    side: "top",
    tier: 1,
    ...(capByLength
      ? {
          param: "capLength",
          handles: [-1, 1].map((s) => ({
            param: "capLength",
            at: [s * mm(lay.capHalf), -capReal / 2] as const,
            axis: [s, 0] as const,
            gain: 2,
          })),
        }
      : {}),
  });
  const sillByLength = v.sillSet === "length";
  put({
    id: "sillLength",
    label: "Sill length",
    value: 2 * lay.sillHalf,
    from: pt(-lay.sillHalf, lay.sillFoot),
    to: pt(lay.sillHalf, lay.sillFoot),
    side: "bottom",
    tier: 1,
    ...(sillByLength
      ? {
          param: "sillLength",
          handles: [-1, 1].map((s) => ({
            param: "sillLength",
            at: [s * mm(lay.sillHalf), mm(lay.sillFoot) + sillReal / 2] as const,
            axis: [s, 0] as const,
            gain: 2,
          })),
        }
      : {}),
  });
  const outer = lay.posts[lay.posts.length - 1]!;
  const edge = (z: number): number => postAt(outer, z, lay.capUnder) + lay.outerHalf;
  if (!capByLength)
    put({
      id: "capOverhang",
      label: "Cap overhang",
      param: "capOverhang",
      value: v.capOverhang,
      from: pt(edge(lay.capUnder), 0),
      to: pt(lay.capHalf, 0),
      side: "top",
      tier: 0,
      handles: [{ param: "capOverhang", at: [mm(lay.capHalf), -capReal / 2], axis: [1, 0], gain: 1 }],
    });
  if (!sillByLength)
    put({
      id: "sillOverhang",
      label: "Sill overhang",
      param: "sillOverhang",
      value: v.sillOverhang,
      from: pt(edge(lay.sillTop), lay.sillFoot),
      to: pt(lay.sillHalf, lay.sillFoot),
      side: "bottom",
      tier: 0,
      handles: [
        { param: "sillOverhang", at: [mm(lay.sillHalf), mm(lay.sillFoot) + sillReal / 2], axis: [1, 0], gain: 1 },
      ],
    });

  // spacings, from the middle outwards: the middle one whole, the rest on the left where nothing else is dimensioned
  const odd = v.posts % 2 === 1;
  const pairs = Math.floor(v.posts / 2);
  const lefts = lay.posts.slice(0, pairs).reverse();
  for (let k = 0; k < pairs; k++) {
    const whole = k === 0 && !odd;
    const inner = whole ? -lefts[0]!.yTop : k === 0 ? 0 : lefts[k - 1]!.yTop;
    const at = lefts[k]!;
    put({
      id: `spacings.${k}`,
      label: bentSpec.spacings.labels[k]!,
      param: `spacings.${k}`,
      value: v.spacings[k]!,
      from: pt(at.yTop, 0),
      to: pt(inner, 0),
      side: "top",
      tier: 0,
      handles: [{ param: `spacings.${k}`, at: [mm(at.yTop), -capReal], axis: [-1, 0], gain: whole ? 2 : 1 }],
    });
  }
  // batters, at the feet of the right-hand posts
  for (const p of lay.posts.filter((q) => q.side === 1)) {
    const drop = lay.capUnder - lay.sillTop;
    const z = lay.capUnder - drop * (0.62 - 0.14 * p.pair!);
    put({
      id: `batters.${p.pair}`,
      label: bentSpec.batters.labels[p.pair!]!,
      param: `batters.${p.pair}`,
      value: v.batters[p.pair!]!,
      unit: "batter",
      from: pt(p.yTop, lay.capUnder),
      to: pt(postAt(p, z, lay.capUnder) + lay.outerHalf, z),
      side: "at",
      handles: [
        {
          param: `batters.${p.pair}`,
          at: pt(postAt(p, lay.sillTop, lay.capUnder), lay.sillTop),
          axis: [1, 0],
          gain: 12 / drop,
        },
      ],
    });
  }
  // stories on the right, the lowest one derived
  const lines = [0, ...lay.levels, lay.sillFoot];
  if (lay.levels.length > 0)
    lines.slice(1).forEach((z, i) => {
      const last = i === lay.levels.length;
      put({
        id: `storyHeights.${i}`,
        label: last ? "Lowest story" : bentSpec.storyHeights.labels[i]!,
        value: lines[i]! - z,
        from: pt(half, lines[i]!),
        to: pt(half, z),
        side: "right",
        tier: 0,
        ...(last
          ? {}
          : {
              param: `storyHeights.${i}`,
              handles: [
                {
                  param: `storyHeights.${i}`,
                  at: pt(-0.6 * (lay.levelHalves[i] ?? 0), z),
                  axis: [0, -1] as const,
                  gain: 1,
                },
              ],
            }),
      });
    });
  return out;
}
