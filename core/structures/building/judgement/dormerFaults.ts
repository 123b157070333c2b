import { NEAR } from "../../../geometry";
import { nominalMm } from "../../../lumber";
import { feet, inches } from "../../../units";
import { eaveSide, fi, TOLD, wallOf, wallSizes } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** Why dormers cannot stand where they are asked to, a sentence each. Nominal sizes. */
export function dormerFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  if (v.dormers.length === 0) return out;
  if (!["gable", "saltbox", "shed"].includes(v.roof))
    return ["Dormers stand on gable, saltbox and shed roofs here; take them out, or choose one of these."];
  if (v.monitor && v.roof === "gable")
    out.push("A monitor and dormers want the same rafters; leave out one or the other.");
  if (
    v.wings.some((w) => w.kind === "gable" && Math.abs(w.height - wallOf(v, w.side).top) < NEAR && eaveSide(v, w.side))
  )
    out.push("Valleys and dormers want the same rafters; lower the wing's plates, or take out the dormers.");
  const s = wallSizes(v);
  const k = v.rise / 12;
  const rafter = nominalMm(v.rafter);
  const above = rafter.width * 0.75 * Math.hypot(1, k);
  v.dormers.forEach((d, i) => {
    const name = `Dormer ${i + 1}`;
    if (!(eaveSide(v, d.side) || (v.roof === "shed" && d.side === "front")))
      return void out.push(`${name} stands on the ${d.side} side, which has no slope; choose a side with an eave.`);
    const { length } = wallOf(v, d.side);
    const side = d.width / 2 + feet(1) + rafter.thickness * 4 + d.overhang;
    if (d.at + TOLD < side || d.at - TOLD > length - side)
      out.push(
        `${name} is too near the end of its slope; keep its middle between ${fi(side)} and ${fi(length - side)}.`,
      );
    if (d.width + TOLD < 2 * s.wall + feet(1))
      out.push(
        `${name} is ${fi(d.width)} wide; it has no room inside its walls. Make it at least ${fi(2 * s.wall + feet(1))}.`,
      );
    const least = s.wall + rafter.width + inches(4);
    if (d.inward + TOLD < least) out.push(`${name} has its front over the wall; set it in by ${fi(least)} at least.`);
    if (v.ceiling !== "none" && d.inward * k - rafter.width * 0.4 + TOLD < nominalMm(v.ceilingJoist).width + inches(3))
      out.push(`${name} is headed off lower than the ceiling joists; move it further in.`);
    const half = d.width / 2;
    const own = d.rise / 12;
    const across = v.ridgeAlong === "width" ? v.length : v.width;
    const front = (v.ridgeAlong === "width" ? "right" : "front") === d.side;
    const run =
      v.roof === "shed" ? across : v.roof === "saltbox" ? across / 2 + (front ? -1 : 1) * v.ridgeShift : across / 2;
    const lift = d.height + rafter.width * Math.hypot(1, own);
    const shed = d.roof === "shed";
    if (shed && k - own < 1.5 / 12) {
      out.push(
        `${name} has one slope of ${d.rise} in 12, which would hardly meet the roof behind it; make it ${Math.max(0, v.rise - 2)} in 12 or flatter${v.rise < 3 ? ", on a steeper roof" : ""}.`,
      );
      return;
    }
    const back = d.inward + lift / (shed ? k - own : k);
    const top = shed ? back : back + (half * own) / k;
    const most = run - nominalMm(v.ridge).thickness - inches(8);
    if (top > most)
      out.push(
        `${name} would reach ${fi(top)} in from the wall, and the ridge is at ${fi(run)}; lower its front by ${fi((top - most) * (shed ? k - own : k))}, or set it further out.`,
      );
    // the tails of one slope hang over the front by a third of the rafters' depth at most
    const tails = shed ? (rafter.width / 3) * Math.hypot(1, own) + inches(3) * own : 0;
    const room =
      Math.max(s.plates + s.thick, tails) +
      (d.windowWidth > 0
        ? (v.casings ? nominalMm(v.casing).width : 0) + d.windowHeight + s.thick + s.wall * k + v.fit * 160
        : inches(6));
    if (d.height + TOLD < room)
      out.push(
        `${name}'s front is ${fi(d.height)} high; what stands in it needs ${fi(room)}. Raise it, or make its window lower.`,
      );
    const wide =
      d.width - 2 * s.wall - 4 * s.thick - inches(2) - (v.casings ? 2 * nominalMm(v.casing).width : 0) - v.fit * 320;
    if (d.windowWidth > 0 && d.windowWidth > wide)
      out.push(
        `${name}'s window is ${fi(d.windowWidth)} wide; between its corners there is room for ${fi(Math.max(0, wide))}.`,
      );
    if (!shed && d.windowWidth > 0 && v.casings && v.barge) {
      // the casing's upper corner under the barge boards
      const casing = nominalMm(v.casing).width;
      const over =
        (half - d.windowWidth / 2 - casing) * own -
        nominalMm(v.fasciaSize).width * Math.hypot(1, own) +
        rafter.width * 0.6 * Math.hypot(1, own) -
        (casing - s.plates - s.thick);
      if (over + TOLD < inches(1))
        out.push(`${name}'s window is cased up into its barge boards; make it narrower, or its roof steeper.`);
    }
    const meets = shed ? k - own : k;
    // of one slope its rafters come down on a nailer that lies over the opening's upper end
    const sunk = shed
      ? Math.max((rafter.width * Math.hypot(1, own)) / meets, nominalMm(v.casing).width + 2 * rafter.thickness)
      : (above + s.plates) / k;
    const depth = shed ? lift / meets : (d.height - above + s.plates) / k;
    const least2 = s.wall + 3 * rafter.thickness + inches(6) + sunk;
    if (back - d.inward + TOLD < least2)
      out.push(
        `${name} is too low to stand out of its slope: it needs ${fi(least2)} from its front to the roof behind and has ${fi(Math.max(0, depth))}.`,
      );
    if (!shed && d.height + TOLD < d.overhang * own + rafter.width * Math.hypot(1, own) + inches(6))
      out.push(`${name} is ${fi(d.height)} high; its eaves would lie on the roof. Raise it, or shorten its overhang.`);
    const ridge =
      nominalMm(v.ridge).width +
      nominalMm(v.ridge).thickness * own -
      half * own -
      rafter.width * 0.65 * Math.hypot(1, own);
    if (!shed && ridge > 0)
      out.push(
        `${name}'s ridge board of ${v.ridge} would hang ${fi(ridge)} below its plates; make its roof steeper, itself wider, or the ridge less deep.`,
      );
    v.dormers.slice(0, i).forEach((o, n) => {
      const apart = Math.abs(o.at - d.at) - half - o.width / 2;
      const need = o.overhang + d.overhang + feet(1);
      if (o.side === d.side && apart + TOLD < need)
        out.push(`Dormers ${n + 1} and ${i + 1} stand ${fi(Math.max(0, apart))} apart; their eaves need ${fi(need)}.`);
      // one rafter runs over both slopes
      const across2 = [d.at - half, d.at + half].some((a) =>
        [o.at - o.width / 2, o.at + o.width / 2].some((c) => {
          const gap = Math.abs((o.side === d.side ? a : length - a) - c);
          return gap > NEAR && gap < 2 * rafter.thickness + inches(2);
        }),
      );
      if (o.side !== d.side && across2)
        out.push(
          `Rafters under the cheeks of dormers ${n + 1} and ${i + 1} stand in each other; set them opposite or further apart.`,
        );
    });
    v.roofHoles.forEach((h, n) => {
      if (h.side === d.side && Math.abs(h.at - d.at) + TOLD < half + h.width / 2 + v.rafterSpacing + feet(1))
        out.push(
          `Chimney ${n + 1} and dormer ${i + 1} want the same rafters; move them ${fi(half + h.width / 2 + v.rafterSpacing + feet(1))} apart.`,
        );
    });
  });
  return out;
}
