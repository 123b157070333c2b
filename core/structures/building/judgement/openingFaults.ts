import { roughOpening } from "../../../carpentry";
import { NEAR } from "../../../geometry";
import { nominalMm } from "../../../lumber";
import { inches } from "../../../units";
import { fi, TOLD, hasOwnFeet, headerDepth, wallOfPart, wallSizes, feetOf } from "../plan/nominal";
import { SIDES, type BuildingValues } from "../parameters";

/** Why doors and windows have no room where they are put, a sentence each. Sizes are those of the names; the fit of a casting, model mm, counts at the ratio. */
export function openingFaults(v: BuildingValues, ratio = 160): string[] {
  const out: string[] = [];
  const s = wallSizes(v);
  const name = (i: number): string => `Opening ${i + 1}`;
  const rows = v.openings.map((o, i) => ({ o, i, r: roughOpening(o, 0) }));
  rows.forEach(({ o, i }) => {
    if (v.wings[o.part - 1]?.kind === "bay" && o.kind !== "window")
      out.push(`${name(i)} is a door in a bay window; make it a window.`);
    if (!wallOfPart(v, o.part, o.wall))
      out.push(
        v.wings[o.part - 1]
          ? `${name(i)} is in the ${o.wall} wall of wing ${o.part}, which has none there; choose another wall.`
          : `${name(i)} is in wing ${o.part}, and there is none; choose 0 for the main part.`,
      );
  });
  const parts = [0, ...v.wings.map((_, n) => n + 1)];
  for (const [side, part] of SIDES.flatMap((x) => parts.map((n) => [x, n] as const))) {
    const wall = wallOfPart(v, part, side);
    if (!wall) continue;
    const { length, top } = wall;
    const own = rows.filter((x) => x.o.wall === side && x.o.part === part).sort((a, b) => a.o.at - b.o.at);
    // a corner takes the wall beside it and what stands there
    const casing = v.casings ? nominalMm(v.casing).width : 0;
    const trim = v.siding !== "none" && v.cornerBoards ? nominalMm(v.cornerBoard).width + casing : casing + s.wall;
    const corner = Math.max(Math.max(s.wall + s.thick, cornerRoom(v)) + s.beside, trim) + inches(1);
    own.forEach(({ o, i, r }, n) => {
      if (!(r.width > inches(4) && r.height > inches(4)))
        return void out.push(
          `${name(i)} leaves no rough opening: its casting of ${fi(o.width)} by ${fi(o.height)} is hidden by its flange of ${fi(o.lap)}.`,
        );
      const [a, b] = [o.at - r.width / 2, o.at + r.width / 2];
      if (a + TOLD < corner || b - TOLD > length - corner)
        out.push(
          `${name(i)} in the ${side} wall reaches from ${fi(a)} to ${fi(b)}; between the corners there is room from ${fi(corner)} to ${fi(length - corner)}.`,
        );
      const room = top - s.plates - Math.max(headerDepth(v), casing) - v.fit * ratio;
      if (r.head > room + NEAR)
        out.push(
          `${name(i)} in the ${side} wall ends at ${fi(r.head)}; under its header and the plate there is room up to ${fi(room)}. Lower it or raise the wall.`,
        );
      const up = o.part === 0 && hasOwnFeet(v) ? -feetOf(v).find(([x]) => x === side)![1] : 0;
      if (up > 0 && o.kind !== "window")
        out.push(
          `${name(i)} is a door in the ${side} wall, which stands ${fi(up)} over the floor; let the wall's foot down.`,
        );
      const least =
        Math.max(0, up) + s.thick + Math.max(casing, v.framing === "posts" ? nominalMm(v.girt).thickness : s.thick);
      if (o.kind === "window" && r.sill + TOLD < least)
        out.push(
          `${name(i)} in the ${side} wall begins at ${fi(r.sill)}; a window needs ${fi(least)} for its sill over the sole. Raise it, or make it a door.`,
        );
      if (o.kind !== "window" && o.sill > NEAR)
        out.push(
          `${name(i)} is a door ${fi(o.sill)} over the floor; a door or hatch stands on it. Set its bottom to 0, or make it a window.`,
        );
      own.slice(0, n).forEach((before) => {
        const gap = a - (before.o.at + before.r.width / 2);
        const need = 2 * Math.max(s.beside, casing) + inches(0.75) + 2 * v.fit * ratio;
        if (gap >= need) return;
        const names = `${name(before.i)} and ${name(i).toLowerCase()} in the ${side} wall`;
        const [low, high] = [before, { o, i, r }].sort((x, y) => x.r.sill - y.r.sill) as [typeof before, typeof before];
        const between = high.r.sill - low.r.head;
        const parted = overEachOther(v, s.thick, casing) + 2 * v.fit * ratio;
        if (between >= parted - NEAR && high.o.kind === "window") return;
        if (between > -inches(1) && high.o.kind === "window" && gap < -inches(1))
          out.push(
            `${names} have ${fi(Math.max(0, between))} between them; header, sill and trim need ${fi(parted)}. Raise the upper one or lower the other.`,
          );
        else
          out.push(
            `${names} are ${fi(Math.max(0, gap))} apart; the studs between them need ${fi(need)}, or a window stands ${fi(parted)} over the other.`,
          );
      });
    });
    out.push(...underOne(own.map((x) => ({ name: name(x.i), ...x.r, from: x.o.at - x.r.width / 2, to: x.o.at + x.r.width / 2 })), 2 * s.beside, side)); // prettier-ignore
  }
  return out;
}

/** How far what a corner is made of reaches along a long wall. */
function cornerRoom(v: BuildingValues): number {
  const s = wallSizes(v);
  if (v.framing === "posts") return s.thick;
  return v.corner === "blocked"
    ? 3 * s.thick
    : v.corner === "turned"
      ? s.thick + s.wall
      : v.corner === "solid"
        ? nominalMm(v.cornerPost).thickness
        : s.thick;
}

/** What lies between the rough openings of two windows over each other: the lower one's header and the upper one's sill, and their casings outside. Nominal, prototype mm. */
export const overEachOther = (v: BuildingValues, thick: number, casing: number): number =>
  Math.max(headerDepth(v) + (v.framing === "posts" ? nominalMm(v.girt).thickness : thick), 2 * casing) + inches(0.5);

interface Hole {
  readonly name: string;
  readonly sill: number;
  readonly head: number;
  readonly from: number;
  readonly to: number;
}
/** Openings side by side under a wide one: the uprights between them would end in its sill, and nothing carries its header there. */
function underOne(own: readonly Hole[], room: number, side: string): string[] {
  const near = (a: Hole, b: Hole): boolean => a.from < b.to + room && b.from < a.to + room;
  return own.flatMap((top) => {
    const under = own.filter((x) => x !== top && x.head <= top.sill && near(x, top));
    const two = under.flatMap(
      (a, i) =>
      under.slice(i + 1).filter((b) => a.head > b.sill && b.head > a.sill).map((b) => [a, b] as const), // prettier-ignore
    )[0];
    return two
      ? [
          `${top.name} in the ${side} wall stands over both ${two[0].name.toLowerCase()} and ${two[1].name.toLowerCase()}, whose studs between them would run through it; set it over one of them, or part it in two.`,
        ]
      : [];
  });
}
