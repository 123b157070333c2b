import type { Lot, Material } from "./lot";
import type { PriceService, Quote } from "./shopping";

/** Of a cubic centimetre, and of a pack's own making. Invented. */
const PER_CM3: Readonly<Record<Material, number>> = { wood: 0.35, styrene: 0.6, card: 0.03, clear: 0.5 };
/** Sheet is dearer than its stuff by less than strip. */
const SHEET = 0.2;
/** Fine sections cost their work, not their stuff. Invented. */
const EACH = 0.22;
const TEXTURED = 1.6;

/** How many a pack has: many of the fine, few of the heavy; sheets by twos, and large ones alone. Invented. */
function packOf(l: Lot): number {
  if (l.form === "sheet") return l.width * l.length > 60_000 ? 1 : 2;
  const area = l.thickness * l.width;
  return area < 1.5 ? 12 : area < 6 ? 10 : area < 25 ? 6 : 4;
}
/** A shop that is none: it ships with the application so that lists can be priced without one. It knows of everything that is sold in a usual size, and asks the same for the same each time. */
export const simulatedPrices: PriceService = {
  quote: (lots) =>
    Promise.resolve(
      lots.map((l): Quote | undefined => {
        // nobody sells offcuts
        if (l.length < 150) return undefined;
        const cm3 = (l.thickness * l.width * l.length) / 1000;
        const one = (EACH + cm3 * PER_CM3[l.material] * (l.form === "sheet" ? SHEET : 1)) * (l.sheet ? TEXTURED : 1);
        const pack = packOf(l);
        return { pack, price: Math.round(one * pack * 20) / 20 };
      }),
    ),
};
