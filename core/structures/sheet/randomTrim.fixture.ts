import { stream } from "../../cutting/stream";
import { feet, inches, SCALES } from "../../units";
import type { Bench } from "../fromSpec.fixture";
import type { Params } from "../kind";
import { defaultsOf } from "../spec";
import { sheetSpec } from "./parameters";

/** A building of sheet with trim and cover of all sorts at sizes as builders make them, in any scale. */
export function trimmed(seed: number): { readonly params: Params; readonly bench: Bench } {
  const r = stream(seed);
  for (let i = 0; i < 5; i++) r();
  const pick = <T>(of: readonly T[]): T => of[Math.floor(r() * of.length)]!;
  const of = (k: "roof" | "corner" | "tops" | "cover"): string => pick(sheetSpec[k].options).value;
  const some = (most: number, least = 0): number => (r() < 0.4 ? 0 : inches(least + Math.floor(r() * (most - least))));
  const height = feet(8 + Math.floor(r() * 20));
  const quoins = r() < 0.2 ? inches(10) : 0;
  const bands = Array.from({ length: Math.floor(r() * 3) }, (_, i) => ({
    at: height * (0.4 + 0.35 * i) + inches(Math.floor(r() * 12)),
    high: inches(4 + Math.floor(r() * 20)),
    out: some(24, 6),
    walls: pick(["all", "front"]),
    brackets: Math.floor(r() * 9),
    dentils: some(14, 6),
  }));
  const [length, width] = [feet(12 + Math.floor(r() * 40)), feet(10 + Math.floor(r() * 25))];
  const core = pick(["styrene/40", "styrene/20", "none"]);
  const corner = of("corner");
  const chimney = () => ({ at: length * (0.2 + 0.6 * r()), in: width * (0.25 + 0.5 * r()), width: inches(18 + Math.floor(r() * 30)), depth: inches(18 + Math.floor(r() * 30)), high: feet(2 + Math.floor(r() * 8)), corbels: Math.floor(r() * 5) }); // prettier-ignore
  return {
    params: {
      ...defaultsOf(sheetSpec),
      length,
      width,
      wallHeight: height,
      footFront: r() < 0.3 ? feet(2) : 0,
      roof: of("roof"),
      rise: 2 + Math.floor(r() * 12),
      overhang: some(24),
      gableOverhang: some(24),
      parapet: feet(2),
      corner,
      cornerPost: "12×12",
      tops: of("tops"),
      // a rebate takes two layers
      core: corner.startsWith("rebate") && core === "none" ? "styrene/40" : core,
      quoins,
      cornerTrim: quoins > 0 ? 0 : some(10, 2),
      fascia: some(14, 4),
      stripSheet: pick(["styrene/10", "styrene/20", "styrene/30"]),
      coping: r() < 0.5 ? "none" : "styrene/40",
      bands,
      gutters: r() < 0.5 ? "none" : "eaves",
      downpipes: pick(["none", "left", "right", "both"]),
      gutter: pick(["4×6", "4×4", "6×6"]),
      downpipe: pick(["⌀3", "⌀4"]),
      cover: of("cover"),
      coverSheet: pick(["styrene/5", "styrene/10", "card/0.3"]),
      exposure: inches(6 + Math.floor(r() * 30)),
      coverLap: inches(2 + Math.floor(r() * 12)),
      shingleWide: some(12, 4),
      seamApart: inches(12 + Math.floor(r() * 24)),
      ridgeCap: some(12, 4),
      chimneys: r() < 0.5 ? [] : [chimney(), ...(r() < 0.3 ? [chimney()] : [])],
      flashing: some(8, 3),
    },
    bench: { scale: pick(SCALES).id, milling: "full-sawn", series: ["scale", "inch", "metric", "styrene"] as never },
  };
}
