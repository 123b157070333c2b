import { NEAR } from "../../../geometry";
import { nominalMm } from "../../../lumber";
import { feet, inches } from "../../../units";
import {
  eaveSide,
  fi,
  TOLD,
  cladDepth,
  hasGables,
  hasSoffit,
  hasTrusses,
  isHip,
  ridgeBelowPlates,
  sloped,
  wallOf,
} from "../plan/nominal";
import { trussFaults } from "./trussFaults";
import type { BuildingValues } from "../parameters";

/** Why a roof cannot be framed as asked, a sentence each. Nominal sizes. */
export function roofFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  if (v.roof === "flat" && v.wallBrace === "inside")
    out.push(
      "Braces on the inside of the studs stand where a flat roof's ledgers lie; let them in, or leave them out.",
    );
  if (!sloped(v)) return out;
  const rafterDepth = 0.4 * nominalMm(v.rafter).width;
  v.roofHoles.forEach((h, i) => {
    const { length } = wallOf(v, h.side);
    const turnedAt = isHip(v) || eaveSide(v, h.side) || (v.roof === "shed" && h.side === "front");
    if (!turnedAt)
      return void out.push(
        `Chimney ${i + 1} stands on the ${h.side} side, which has no slope; choose a side with an eave.`,
      );
    // the rafter that the lookouts run back to is not headed off
    const lookouts = hasGables(v) && v.gableOverhang > 0 ? 2 * nominalMm(v.rafter).thickness : 0;
    const half = h.width / 2 + v.rafterSpacing + lookouts;
    if (h.at - half < 0 || h.at + half - TOLD > length)
      out.push(
        `Chimney ${i + 1} is too near the end of its slope: from the ${h.side} wall's corners it needs ${fi(half)}.`,
      );
    const under = (h.inward - h.length / 2) * (v.rise / 12) - rafterDepth;
    if (v.ceiling !== "none" && under + TOLD < nominalMm(v.ceilingJoist).width + inches(3))
      out.push(`Chimney ${i + 1} is headed off lower than the ceiling joists; move it further in.`);
    if (v.flashing && h.inward - h.length / 2 - v.flashWidth + TOLD < -v.overhang)
      out.push(
        `The flashing of chimney ${i + 1} hangs over the eave; move the chimney in, or make the flashing narrower.`,
      );
    if (h.inward - h.length / 2 + TOLD < nominalMm(v.stud).width + inches(4))
      out.push(`Chimney ${i + 1} reaches over the wall; move it in.`);
    if (v.roof === "shed" && h.inward + h.length / 2 - TOLD > v.width - nominalMm(v.stud).width - inches(4))
      out.push(`Chimney ${i + 1} reaches over the high wall; move it in.`);
  });
  if (hasTrusses(v)) out.push(...trussFaults(v));
  const fascia = v.fascia === "board" ? nominalMm(v.fasciaSize).thickness : 0;
  if (v.overhang + TOLD < fascia + (fascia > 0 ? inches(1) : 0))
    out.push(
      `An overhang of ${fi(v.overhang)} leaves no tail behind a fascia; make it at least ${fi(fascia + inches(1))}, or leave the tails bare.`,
    );
  if (hasSoffit(v) && v.overhang + TOLD < fascia + inches(6))
    out.push(
      `An overhang of ${fi(v.overhang)} leaves no room for a soffit; make it at least ${fi(fascia + inches(6))}.`,
    );
  const turned = isHip(v) ? v.width > v.length : v.ridgeAlong === "width";
  const [long, across] = turned ? [v.width, v.length] : [v.length, v.width];
  const rafter = nominalMm(v.rafter);
  if (v.monitor && v.roof === "gable") {
    const slope = Math.hypot(1, v.rise / 12);
    if (v.monitorWidth > across - feet(4))
      out.push(
        `A monitor ${fi(v.monitorWidth)} wide leaves no roof beside it on ${fi(across)}; make it at most ${fi(across - feet(4))}.`,
      );
    if (long - 2 * v.monitorInset + TOLD < 3 * v.rafterSpacing)
      out.push(
        `A monitor ${fi(long - 2 * v.monitorInset)} long stands on too few rafters ${fi(v.rafterSpacing)} apart; it needs ${fi(3 * v.rafterSpacing)}.`,
      );
    if (2 * v.monitorInset > long - feet(4))
      out.push(
        `A monitor that stands in ${fi(v.monitorInset)} from both gables leaves nothing of ${fi(long)}; bring its ends nearer to them.`,
      );
    if (
      v.monitorHeight <
      nominalMm(v.rafter).width * slope + (v.overhang * v.rise) / 12 + nominalMm(v.stud).thickness * 2 + inches(6)
    )
      out.push(
        `A monitor ${fi(v.monitorHeight)} high has its eaves on the main roof; raise it, or shorten the overhang.`,
      );
    if (v.monitorInset + TOLD < v.gableOverhang + inches(6))
      out.push(
        `The monitor's own overhang of ${fi(v.gableOverhang)} would pass the gables; set it in by ${fi(v.gableOverhang + inches(6))}.`,
      );
    if (v.wings.some((w) => w.kind === "gable") || v.roofHoles.length > 0 || v.caps)
      out.push(
        "With a monitor there are no valleys, chimneys or ridge boards on the main roof here; leave out one or the other.",
      );
    if (v.collar !== "none") out.push("Collar ties would stand where the monitor's light falls; leave them out.");
  }
  if (isHip(v)) {
    const ridge = v.roof === "hip" ? long - across : long - across + v.deckWidth;
    const least = 2 * rafter.thickness + inches(1);
    if (v.roof === "hip" && ridge > NEAR && ridge < least)
      out.push(
        `The ridge would be only ${fi(ridge)} long: make the building square for a point, or ${fi(least - ridge)} longer.`,
      );
    if (v.roof === "hipdeck" && v.deckWidth > across - feet(3))
      out.push(
        `A deck ${fi(v.deckWidth)} wide leaves no slopes on ${fi(across)}; make it at most ${fi(across - feet(3))}.`,
      );
    if (v.roof === "hipdeck" && v.deckWidth + TOLD < inches(18))
      out.push(`A deck ${fi(v.deckWidth)} wide is no deck; make it at least ${fi(inches(18))}, or take a hip roof.`);
    out.push(...hipFaults(v));
  }
  if (v.roof === "saltbox") {
    if (v.ridgeShift > across / 2 - feet(1.5))
      out.push(
        `The ridge is moved ${fi(v.ridgeShift)} to the front, which leaves no front slope on ${fi(across)}; move it at most ${fi(across / 2 - feet(1.5))}.`,
      );
  }
  const half = across / 2 - (v.roof === "saltbox" ? v.ridgeShift : 0);
  // a gambrel rises as a gable of its mean slope
  const mean = (v.rise * v.breakAt + v.upperRise * (100 - v.breakAt)) / 100;
  const rises = v.roof === "gambrel" ? mean : v.rise;
  const hangs = ["gable", "saltbox", "gambrel"].includes(v.roof) ? ridgeBelowPlates(v, half, rises) : 0;
  if (hangs > 0)
    out.push(
      `At ${v.rise} in 12 the ridge board of ${v.ridge} would hang ${fi(hangs)} below the gables' plates; make the roof steeper, or the ridge less deep.`,
    );
  if (v.roof === "gambrel" && v.upperRise >= v.rise)
    out.push(`A gambrel's upper slope is the flatter one: ${v.upperRise} in 12 is not below ${v.rise} in 12.`);
  out.push(...overhangFaults(v));
  return out;
}

/** Overhangs that leave no room between the cladding and what runs along their edge, a sentence each: a rafter at the gables, a fascia along the eaves. What stands free of a gable needs 0.2 mm of the model besides, at the ratio. */
export function overhangFaults(v: BuildingValues, ratio = 0): string[] {
  const out: string[] = [];
  if (!sloped(v)) return out;
  const clad = cladDepth(v);
  const rafter = nominalMm(v.rafter).thickness;
  const least = rafter + Math.max(inches(0.5), clad, 0.2 * ratio);
  if (hasGables(v) && v.gableOverhang > NEAR && v.gableOverhang + TOLD < least)
    out.push(
      `An overhang of ${fi(v.gableOverhang)} at the gables has no room for a rafter ${fi(rafter)} thick${clad > inches(0.5) ? ` beside cladding of ${fi(clad)}` : ""}; make it 0 or at least ${fi(least)}.`,
    );
  const fascia = v.fascia === "board" ? nominalMm(v.fasciaSize).thickness : 0;
  if (fascia > 0 && clad > inches(1) && v.overhang + TOLD < fascia + clad)
    out.push(
      `An overhang of ${fi(v.overhang)} has its fascia in the cladding, ${fi(clad)} thick; make it at least ${fi(fascia + clad)}, or leave the tails bare.`,
    );
  return out;
}

/** Hips or valleys less deep than the rafters that are cut against them, as a sentence. */
export function shallow(v: BuildingValues, what: string): string[] {
  const [hip, rafter] = [nominalMm(v.hipRafter).width, nominalMm(v.rafter).width];
  if (hip + TOLD >= rafter) return [];
  return [
    `${what} ${fi(hip)} deep are less deep than the rafters of ${fi(rafter)} that meet them; take at least the same depth.`,
  ];
}
export const hipFaults = (v: BuildingValues): string[] => (isHip(v) ? shallow(v, "Hips") : []);
