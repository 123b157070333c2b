import type { Params } from "../kind";
import { feet, inches } from "../../units";
import { sheetSpec } from "./parameters";

/** The same building with one to six windows and doors in layers, drawn from all that their columns offer at sizes as builders make them. */
export function withLayeredOpenings(params: Params, random: () => number): Params {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  const of = (k: "wall" | "kind" | "style" | "shutters" | "head"): string =>
    pick(sheetSpec.openings.columns[k].options).value;
  const rows = Array.from({ length: 1 + Math.floor(random() * 6) }, (_, i) => {
    const kind = of("kind");
    const wall = of("wall");
    const length = Number(params[wall === "front" || wall === "back" ? "length" : "width"]);
    const height = Number(params.wallHeight);
    const width = inches(24 + Math.floor(random() * 30));
    return {
      wall,
      kind,
      at: (length * (1 + 2 * (i % 3))) / 6 + (random() - 0.5) * feet(1),
      width,
      height: Math.max(inches(30), height * (0.25 + 0.4 * random())),
      sill: kind === "door" ? 0 : feet(1.5) + random() * feet(2),
      mount: pick(["layers", "layersWall", "layersIn", "layers", "flange"]),
      lap: inches(2 + Math.floor(random() * 5)),
      style: of("style"),
      head: of("head"),
      rise: (width / 2) * (0.1 + 0.9 * random()),
      across: 1 + Math.floor(random() * 3),
      up: 1 + Math.floor(random() * 3),
      shutters: random() < 0.6 ? "none" : of("shutters"),
    };
  });
  const stone = (): number => (random() < 0.5 ? 0 : inches(6 + Math.floor(random() * 10)));
  return {
    ...params,
    openings: rows,
    lintel: stone(),
    stoneSill: stone(),
    quoins: stone(),
    archStones: 1 + 2 * Math.floor(random() * 6),
    coping: random() < 0.5 ? "none" : "styrene/40",
  };
}
