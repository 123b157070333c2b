import { areaD, differenceD, FillRule, intersectD, unionD, type PathsD } from "clipper2-ts";
import { describe, expect, it } from "vitest";
import { notAsListed } from "../../checks/virtualBench.fixture";
import { buildOrder } from "../../buildOrder";
import type { ResolvedFrame } from "../../frame";
import type { Vec2 } from "../../geometry";
import { designOf, emptyJob, newStructure } from "../../job";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import type { Params } from "../kind";
import { near, panelIn, reachOf } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf, type Row } from "../spec";
import { exchangePanel, type ExchangeSeed } from "./exchangePanel";
import { sheetFrame } from "./frame";
import { sheetCheck, sheetRemarks, sheetShown } from "./judgement";
import { sheetSpec, type SheetValues } from "./parameters";

const HO = fullSawn(scaleOf("HO"));
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const usual = Object.fromEntries(Object.entries(sheetSpec.openings.columns).map(([k, c]) => [k, c.def])) as Row;
/** 24 × 16 ft in HO, walls .040 on .060; a sign of 6 × 4 ft in the middle of its front: 21 × 14 mm, its foot at 8.75. */
const signed = (row: Row = {}, over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues =>
  ({ ...defaultsOf(sheetSpec), casing: 0, openings: [{ ...usual, at: feet(12), width: feet(6), height: feet(4), sill: feet(2.5), mount: "layersIn", style: "exchange", lap: inches(4), ...row }], ...over }) as unknown as SheetValues; // prettier-ignore
const sound = (v: SheetValues): ResolvedFrame => {
  expect(sheetCheck(v, HO)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, HO));
  expect(faults).toEqual([]);
  return resolved;
};
const paths = (of: readonly (readonly Vec2[])[]): PathsD => of.map((o) => o.map(([x, y]) => ({ x, y })));
const area = (p: PathsD): number => Math.abs(p.reduce((s, r) => s + areaD(r), 0));

describe("a panel to be exchanged", () => {
  it("lies where it is reckoned by hand: face and backing before the stop, its key in the backing's depth", () => {
    const r = sound(signed());
    const f = sheetFrame(signed(), HO);
    // walls of .100; face .020, backing and stop .040
    const [x, z]: readonly (readonly [number, number])[] = [[-10.45, 10.45], [8.8, 22.7]]; // prettier-ignore
    const y = (from: number, to: number): readonly [number, number] => [-28 + thou(from), -28 + thou(to)];
    expect(reachOf(r, "opening1/panel")).toEqual(near(x!, y(40, 60), z!));
    expect(reachOf(r, "opening1/panel-back")).toEqual(near(x!, y(60, 100), z!));
    const lap = inches(4) / HO.scale.ratio;
    expect(reachOf(r, "opening1/panel-stop")).toEqual(near([-10.5 - lap, 10.5 + lap], y(100, 140), [8.75 - lap, 22.75 + lap])); // prettier-ignore
    expect(reachOf(r, "opening1/panel-key")).toEqual(near([-10.5, -8.5], y(60, 100), [8.75, 10.75]));
    // every layer of the wall is open as large as the sign
    for (const layer of ["face", "core"]) {
      const o = panelIn(f, `front/${layer}`).holes[0]!.outline;
      expect([o[0]![0], o[1]![0], o[0]![1], o[2]![1]].map((n) => Number(n.toFixed(6)))).toEqual([31.5, 52.5, 8.75, 22.75]); // prettier-ignore
    }
    expect(f.members.filter((m) => m.loose).map((m) => m.role).sort()).toEqual(["exchange panel", "panel back"]); // prettier-ignore
  });
  it("has its magnets at the same places in backing and stop, half way up, within the rim", () => {
    const f = sheetFrame(signed(), HO);
    const holes = (part: string) => panelIn(f, `opening1/${part}`).holes.filter((h) => h.name.startsWith("magnet"));
    const [own, theirs] = [holes("panel-back"), holes("panel-stop")];
    expect(own.map((h) => h.outline)).toEqual(theirs.map((h) => h.outline));
    const middle = (o: readonly Vec2[], k: 0 | 1): number => (Math.max(...o.map((p) => p[k])) + Math.min(...o.map((p) => p[k]))) / 2; // prettier-ignore
    // the rim is as wide as a magnet of 3 and half a millimetre round it: 4
    expect(own.map((h) => [middle(h.outline, 0), middle(h.outline, 1)])).toEqual([[-8.5, 7], [8.5, 7]].map((p) => p.map((n) => expect.closeTo(n, 6)))); // prettier-ignore
    for (const { outline } of own) for (const [x, y] of outline) expect(Math.hypot(Math.abs(x) - 8.5, y - 7)).toBeGreaterThanOrEqual(1.5 - 1e-9); // prettier-ignore
    expect(sheetFrame(signed({}, { magnet: 0 }), HO).members.flatMap((m) => (m.body.shape === "panel" ? m.body.holes : [])).filter((h) => h.name.startsWith("magnet"))).toEqual([]); // prettier-ignore
  });
  it("goes in one way only: turned or mirrored its backing meets the key, as it is it does not", () => {
    const seed: ExchangeSeed = { half: 10, height: 14, door: false, lap: 1, stack: 2.54, arch: undefined };
    const parts = exchangePanel(defaultsOf(sheetSpec) as unknown as SheetValues, seed);
    const named = (name: string) => parts.find((p) => p.name === name)!;
    const back = differenceD(paths([named("panel back").outline]), paths(named("panel back").holes.map((h) => h.outline)), FillRule.NonZero, 6); // prettier-ignore
    const key = paths([named("panel key").outline]);
    const moved = (m: (x: number, y: number) => readonly [number, number]): number => area(intersectD(unionD(back.map((r) => r.map(({ x, y }) => { const [a, b] = m(x, y); return { x: a, y: b }; })), [], FillRule.EvenOdd, 6), key, FillRule.NonZero, 6)); // prettier-ignore
    expect(moved((x, y) => [x, y])).toBe(0);
    expect(moved((x, y) => [-x, 14 - y])).toBeGreaterThan(3);
    expect(moved((x, y) => [-x, y])).toBeGreaterThan(3);
    expect(moved((x, y) => [x, 14 - y])).toBeGreaterThan(3);
    // the face hides it
    expect(area(differenceD(key, paths([named("panel").outline]), FillRule.NonZero, 6))).toBeLessThan(0.25);
    expect(named("panel").holes).toEqual([]);
  });
  it("without a key is told, with one not (mistake: a panel that fits upside down)", () => {
    const said = (v: SheetValues) => sheetRemarks(v, HO).filter((r) => r.param === "panelKey");
    expect(said(signed({}, { panelKey: 0 }))).toEqual([
      {
        param: "panelKey",
        level: "warning",
        text: "The panel of opening 1 is made to be exchanged and fits upside down, too: give it a key, so that it goes in one way only.",
        fix: { label: "Give it a key", value: 2 },
      },
    ]);
    expect(said(signed())).toEqual([]);
    expect(said(signed({ style: "fixed" }, { panelKey: 0 }))).toEqual([]);
  });
  it("that leaves no room inside its rim says what it wants", () => {
    // 2 ft are 7 mm, the rim takes 4 on either side
    expect(sheetCheck(signed({ width: feet(2) }), HO)).toEqual(["Opening 1 has no room inside the rim that its panel rests on: it wants 2′-6 7/8″ by 2′-6 7/8″ up. Make it larger, or its lap, magnets and key smaller."]); // prettier-ignore
    expect(sheetCheck(signed({ width: feet(2) }, { magnet: 1 }), HO)).toEqual([]);
  });
  it("whatever its mounting says, is pushed in; of a door it stands on the floor, under an arch it ends in it; and comes off the bench as listed", () => {
    for (const row of [
      { mount: "layers" },
      { mount: "layersWall" },
      { kind: "door", sill: 0, height: feet(7) },
      { head: "round", height: feet(6) },
      { head: "segmental", rise: inches(8) },
    ]) {
      // prettier-ignore
      const v = signed(row);
      const f = sheetFrame(v, HO);
      sound(v);
      expect(f.members.filter((m) => m.loose)).toHaveLength(2);
    }
    const listed = (v: SheetValues) => notAsListed(designOf({ ...emptyJob("Sign"), structures: [newStructure("sheet", "s", "Shop", v as unknown as Params)] })); // prettier-ignore
    expect(listed(signed())).toEqual([]);
    expect(listed(signed({ head: "segmental", rise: inches(8) }))).toEqual([]);
    // the card-thin wall has its panel stand proud by what it is thicker
    expect(reachOf(sound(signed({}, { core: "none", face: "clapboard" })), "opening1/panel")[1]![0]).toBeCloseTo(-28 + thou(40) - thou(60), 6); // prettier-ignore
  });
  it("is glued up by itself, and put in after the stop that it rests on", () => {
    const d = designOf({ ...emptyJob("Sign"), structures: [newStructure("sheet", "s", "Shop", signed() as unknown as Params)] }); // prettier-ignore
    const { steps } = buildOrder(d).orders[0]!;
    const at = (part: string): number =>
      steps.findLastIndex((s) => s.sticks.some((k) => k.endsWith(`opening1/${part}`)));
    for (const part of ["panel", "panel-back", "panel-stop", "panel-key"]) expect(at(part), part).toBeGreaterThanOrEqual(0); // prettier-ignore
    expect(at("panel-stop")).toBeLessThan(at("panel"));
  });
  it("asks for what it is made of, and for nothing of windows", () => {
    const shown = (path: string, v = signed()): boolean => sheetShown(v, path);
    for (const path of ["panelSheet", "panelBack", "magnet", "panelKey", "room", "openings.0.lap"]) expect(shown(path), path).toBe(true); // prettier-ignore
    for (const path of ["glazing", "bar", "stile", "frameSheet", "reveal", "openings.0.across"]) expect(shown(path), path).toBe(false); // prettier-ignore
    for (const path of ["panelSheet", "magnet"]) expect(shown(path, signed({ style: "hung" }))).toBe(false);
  });
});
