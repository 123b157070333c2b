import { nominalMm } from "../../../lumber";
import { polygonArea, type Vec2, NEAR } from "../../../geometry";
import { feet, inches } from "../../../units";
import { fi, TOLD } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** Why corners do not go round a floor, a sentence each. Prototype mm. */
export function outlineFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  const p = v.outline.map((c): Vec2 => [c.x, c.y]);
  const n = p.length;
  // corners come one after another: until there are three the floor is a rectangle
  if (n < 3) return [];
  if (v.foundation !== "none")
    out.push(
      "Sill beams and posts stand under a rectangle; an irregular floor lies in its shell. Leave out the foundation.",
    );
  p.forEach((a, i) => {
    const b = p[(i + 1) % n]!;
    const least = nominalMm(v.joist).width + inches(4);
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (long + TOLD < least)
      out.push(
        `Corners ${i + 1} and ${((i + 1) % n) + 1} are ${fi(long)} apart; a rim between them needs ${fi(least)}.`,
      );
    if (a[0] > v.length + NEAR || a[1] > v.width + NEAR)
      out.push(
        `Corner ${i + 1} lies outside ${fi(v.length)} by ${fi(v.width)}; make the building as large as what it stands in.`,
      );
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      if (cross(a, b, p[j]!, p[(j + 1) % n]!))
        out.push(
          `The side from corner ${i + 1} crosses the one from corner ${j + 1}; give the corners one after another round the floor.`,
        );
    }
    const o = p[(i + n - 1) % n]!;
    const angle = Math.abs(
      Math.atan2(
        (a[0] - o[0]) * (b[1] - a[1]) - (a[1] - o[1]) * (b[0] - a[0]),
        (a[0] - o[0]) * (b[0] - a[0]) + (a[1] - o[1]) * (b[1] - a[1]),
      ),
    );
    if (angle > (150 * Math.PI) / 180)
      out.push(`Corner ${i + 1} is sharper than 30°, where no rims meet; cut it off with another corner.`);
  });
  if (out.length === 0 && Math.abs(polygonArea(p)) < feet(2) * feet(2))
    out.push("The outline goes round less than four square feet; measure it again.");
  return out;
}
function cross(a: Vec2, b: Vec2, c: Vec2, d: Vec2): boolean {
  const side = (p: Vec2, q: Vec2, r: Vec2): number => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}
