import { NEAR } from "../../../geometry";
import { nominalMm } from "../../../lumber";
import { feet, inches } from "../../../units";
import { eaveSide, fi, TOLD } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** What a roof's trusses do not go together with. */
export function trussFaults(v: BuildingValues): string[] {
  const out: string[] = [];
  if (v.collar !== "none" || v.ceiling !== "none")
    out.push("Tie beams and purlins stand where collar ties and ceiling joists lie; leave out one or the other.");
  if (v.dormers.length > 0) out.push("Purlins would cross the dormers' openings; leave out one or the other.");
  if (v.wings.some((w) => w.kind === "gable" && Math.abs(w.height - v.wallHeight) < NEAR && eaveSide(v, w.side)))
    out.push("Valley rafters would stand in the purlins; lower the wing's plates, or carry the roof by its rafters.");
  const [long, across] = v.ridgeAlong === "width" ? [v.width, v.length] : [v.length, v.width];
  const sizes = [v.tieBeam, v.principal, v.kingPost].map(nominalMm);
  const room = v.rafterSpacing - nominalMm(v.rafter).thickness - inches(1);
  const thick = Math.max(...sizes.map((s) => s.thickness));
  if (room + TOLD < thick)
    out.push(
      `Rafters ${fi(v.rafterSpacing)} apart leave ${fi(Math.max(0, room))} between them for trusses ${fi(thick)} thick; space them further apart.`,
    );
  if (long + TOLD < 2 * v.rafterSpacing + feet(2))
    out.push(`A roof ${fi(long)} long has no room for a truss between its gables.`);
  const k = v.rise / 12;
  const stretch = Math.hypot(1, k);
  const above = nominalMm(v.rafter).width * stretch * 0.6;
  const heel = (sizes[0]!.width - above + nominalMm(v.rafter).width * stretch) / k;
  const foot = heel + (sizes[1]!.width * stretch) / k;
  const queens = v.roofFrame === "queens";
  const share = v.queenAt / 100;
  const least = queens
    ? Math.max(
        (foot + sizes[2]!.width / 2 + sizes[1]!.width + inches(4)) / share,
        (sizes[2]!.width + feet(2)) / (1 - 2 * share),
      )
    : 2 * (foot + sizes[2]!.width / 2 + sizes[1]!.width + inches(4));
  // where the principals end
  const face = (queens ? across * share : across / 2) - sizes[2]!.width / 2;
  const beam = nominalMm(v.strainingBeam);
  if (queens && beam.width > (face - heel) * k - inches(6))
    out.push(
      `Between the queen posts' heads and the tie beam there is no room for a straining beam of ${v.strainingBeam}: set the posts further in, or take a lighter one.`,
    );
  if (across + TOLD < least)
    out.push(
      `${queens ? "Queen" : "King"}-post trusses of these timbers at ${v.rise} in 12 need a building ${fi(least)} wide, and it is ${fi(across)}: make it wider, steeper, or the timbers lighter.`,
    );
  const ridge = nominalMm(v.ridge);
  const beside = Math.max(0, (ridge.thickness - sizes[2]!.thickness) / 2) * k;
  const hangs = (nominalMm(v.rafter).width + nominalMm(v.purlin).width) * stretch - beside;
  if (!queens && ridge.width > hangs + TOLD)
    out.push(
      `The ridge board of ${v.ridge} would stand in the trusses' principals, ${fi(Math.max(0, hangs))} under its top; take one no deeper than that.`,
    );
  const low = heel + (face - heel) / (v.purlins + 1);
  const under = above + low * k - (nominalMm(v.rafter).width + nominalMm(v.purlin).width) * stretch;
  if (under < nominalMm(v.stud).width)
    out.push("The lowest purlin has no room over the gable walls' plates: take fewer purlins, or lighter ones.");
  if (nominalMm(v.purlin).width > sizes[1]!.width)
    out.push(`Purlins of ${v.purlin} are deeper than the principals of ${v.principal} that they meet.`);
  v.roofHoles.forEach((h, i) => {
    if ((h.inward - h.length / 2) * k + TOLD < sizes[0]!.width + nominalMm(v.rafter).width * 0.4 + inches(3))
      out.push(`Chimney ${i + 1} is headed off lower than the tie beams; move it further in.`);
    for (let n = 1; n <= v.purlins; n++) {
      const at = heel + ((face - heel) * n) / (v.purlins + 1);
      if (Math.abs(h.inward - at) + TOLD < h.length / 2 + nominalMm(v.purlin).thickness + inches(3))
        out.push(
          `Chimney ${i + 1} stands where purlin ${n} runs, ${fi(at)} in from the wall; move it up or down the slope.`,
        );
    }
  });
  return out;
}
