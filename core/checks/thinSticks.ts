import { nominalOf, type Piece } from "../frame";
import type { Design } from "../job";
import { model, printMm } from "../units";
import type { Finding } from "./findings";

/** Thinner than this a strip splits at a touch in wood and goes soft under glue in styrene, model mm. Common practice: .010 in is the thinnest that is sold as strip, 1/64 in as sheet. */
export const LEAST_THICKNESS = 0.25;

/** Strips thinner than material stands, stock by stock. */
export function thinSticks(d: Design): Finding[] {
  const thick = (p: Piece): number => Math.min(...p.shape.section);
  const thin = d.pieces.filter((p) => p.shape.kind === "strip" && thick(p) < LEAST_THICKNESS - 1e-3);
  const name = (p: Piece): string => nominalOf(p.shape.kind, p.nominal);
  const stocks = [...new Set(thin.map(name))];
  return stocks.map((nominal): Finding => {
    const own = thin.filter((p) => name(p) === nominal);
    const count = own.reduce((n, p) => n + p.sticks.length, 0);
    return {
      key: `thin:${nominal}`,
      level: "remark",
      text: `${count === 1 ? "One stick" : `${count} sticks`} of ${nominal} ${count === 1 ? "is" : "are"} ${printMm(model(thick(own[0]!)), 2)} thick: under ${printMm(model(LEAST_THICKNESS), 2)} wood splits at a touch and styrene goes soft under glue. Choose thicker stock; a little over scale is not seen.`,
      sticks: own.flatMap((p) => p.sticks),
      remedy: { label: "Choose its stock", do: "stock", nominal },
    };
  });
}
