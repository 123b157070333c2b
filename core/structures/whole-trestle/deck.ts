import { ALIKE, NEAR } from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import type { TrestleLayout } from "./layout";
import type { TrestleValues } from "./parameters";
import { tieStations, layTie, type TiePlace } from "./ties";
import { along, guard } from "./planks";
import { bulkheads } from "./bulkheads";

/** Ties at their true spacing on every track, and what lies on them: guard timbers, walkways, refuge bays, barrel platforms; the bulkheads at both ends. */
export function deck(b: Builder, v: TrestleValues, ctx: Context, l: TrestleLayout): void {
  const stations = tieStations(v, l);
  const plank = timberOf(v.walkPlank, ctx.stock(v.walkPlank));
  const half = l.mm(v.tieLength) / 2;
  const rights = l.tracks[0]! - half;
  const lefts = l.tracks[l.tracks.length - 1]! + half;
  const [onRight, onLeft] = [
    v.walkway === "right" || v.walkway === "both",
    v.walkway === "left" || v.walkway === "both",
  ];
  // what lies straight from bent to bent sags towards the inside of a curve: it keeps clear of its neighbours by that
  const bow =
    (Math.max(...l.bents.slice(1).map((x, i) => x.station - l.bents[i]!.station)) ** 2 / 8) *
    Math.abs(l.alignment.curvature);
  const walk = v.walkPlanks * plank.v + bow;
  const spare = 1.5 * bow + l.mm(50.8);
  const past = { refuge: l.mm(REFUGE.depth) + bow + spare, barrel: l.mm(BARREL.depth) + bow + spare };
  const bays = (every: number): number[] =>
    every === 0
      ? []
      : l.bents
          .slice(1, -1)
          .filter((x) => (x.number - 1) % every === 0)
          .map((x) => x.station);
  const [refuges, barrels] = [bays(v.refugeEvery), bays(v.barrelEvery)];
  const near = (list: readonly number[], s: number, reach: number): boolean =>
    list.some((x) => Math.abs(x - s) <= reach);
  const places = l.tracks.map((at, t) =>
    stations.map((s, i): TiePlace => {
      const long = i % v.longTieEvery === 0;
      const [outerRight, outerLeft] = [t === 0, t === l.tracks.length - 1];
      const more = (own: boolean, list: readonly number[], reach: number, extra: number): number =>
        Math.max(own && long ? walk + spare : 0, near(list, s, reach) ? (own ? walk : 0) + extra : 0);
      const right = at - half - (outerRight ? more(onRight, refuges, l.mm(REFUGE.half), past.refuge) : 0);
      const left = at + half + (outerLeft ? more(onLeft, barrels, l.mm(BARREL.half), past.barrel) : 0);
      return layTie(b, ctx, l, { track: t, at, number: i + 1, station: s, reach: [right, left] });
    }),
  );
  if (v.guards)
    l.tracks.forEach((at, t) =>
      ([-1, 1] as const).forEach((side) => {
        const y = at + side * (half - l.mm(v.guardInset) - l.timbers.guard.v / 2);
        guard(b, ctx, v, l, `track${t + 1}/${side < 0 ? "right" : "left"}`, y, places[t]!);
      }),
    );
  const rows = (from: number, side: -1 | 1, n: number): number[] =>
    Array.from({ length: n }, (_, k) => from + side * (k + 0.5) * plank.v);
  const strip = (id: string, y: number, from: number, to: number, list: readonly TiePlace[], beside: number): void =>
    along(
      b,
      ctx,
      l,
      { id, role: "walkway plank", letter: "K", timber: plank, assembly: `${ctx.structure}/deck` },
      y,
      from,
      to,
      list,
      beside,
    );
  const onLong = (list: readonly TiePlace[], y: number): TiePlace[] =>
    list.filter((p) => y > p.reach[0] - NEAR && y < p.reach[1] + NEAR);
  for (const [has, side, edge, list] of [
    [onRight, -1, rights, places[0]!],
    [onLeft, 1, lefts, places[places.length - 1]!],
  ] as const)
    if (has)
      rows(edge + side * bow, side, v.walkPlanks).forEach((y, k) => {
        const long = onLong(list, y);
        l.bents.slice(1).forEach((to, bay) => {
          const from = l.bents[bay]!;
          const edgeOf = (i: number, s: number): number =>
            i === 0
              ? stations[0]! - l.timbers.tie.w / 2
              : i === l.bents.length - 1
                ? stations[stations.length - 1]! + l.timbers.tie.w / 2
                : s;
          const [s0, s1] = [edgeOf(bay, from.station), edgeOf(bay + 1, to.station)];
          strip(
            `${ctx.structure}/walkway/${side < 0 ? "right" : "left"}${k + 1}/bay${from.number}`,
            y,
            s0,
            s1,
            long,
            edge,
          );
        });
      });
  const platform = (
    name: string,
    list: readonly number[],
    side: -1 | 1,
    edge: number,
    reach: number,
    depth: number,
    on: readonly TiePlace[],
  ): void =>
    list.forEach((s) => {
      const under = on.filter((p) => Math.abs(p.station - s) <= reach);
      if (under.length < 2) return;
      const [s0, s1] = [
        under[0]!.station - l.timbers.tie.w / 2,
        under[under.length - 1]!.station + l.timbers.tie.w / 2,
      ];
      const n = Math.floor((depth - bow - spare) / plank.v + ALIKE);
      rows(edge + side * bow, side, n).forEach((y, k) =>
        strip(
          `${ctx.structure}/${name}/bent${l.bents.find((x) => x.station === s)!.number}/plank${k + 1}`,
          y,
          s0,
          s1,
          under,
          edge,
        ),
      );
    });
  platform("refuge", refuges, -1, rights - (onRight ? walk : 0), l.mm(REFUGE.half), past.refuge, places[0]!);
  platform(
    "barrel",
    barrels,
    1,
    lefts + (onLeft ? walk : 0),
    l.mm(BARREL.half),
    past.barrel,
    places[places.length - 1]!,
  );
  if (v.bulkheads) bulkheads(b, v, ctx, l);
}
const foot = 304.8;
/** How far a refuge bay reaches out and to either side of its bent, and a barrel's platform. Prototype mm, common practice. */
const REFUGE = { depth: 4 * foot, half: 3 * foot };
const BARREL = { depth: 3 * foot, half: 1.75 * foot };
