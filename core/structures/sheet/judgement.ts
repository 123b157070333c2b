import { stackOf, wholeBoards } from "../../carpentry";
import { nominalMm, parseNominal, textureOf } from "../../lumber";
import { feet, inches, model, printFeetInches, printMm, printNumber, toPrototype } from "../../units";
import type { Context, Noted, Remark, WallOpening } from "../kind";
import { leastPane } from "../layered/openingLayers";
import { openingNotes } from "../openingNotes";
import { unusual } from "../unusual";
import { exchangeWants } from "./exchangePanel";
import { exchanged, inLayers, mountOf, riseOf } from "./layeredOpenings";
import { layersOf, sheetLayout, under, type SheetLayout, type SheetWall } from "./layout";
import { sheetSpec, type SheetValues } from "./parameters";
import { truedOff } from "./seams";
import { cornerTake } from "./trim";
import { trimFaults, trimRemarks, trimShown } from "./trimJudgement";

const fi = (mm: number): string => printFeetInches(mm);
const SIZES = ["cornerPost", "blocks", "ledge", "gutter"] as const;

/** Why values cannot go together, a sentence each; layers, corners and what stands in the way of openings only with a context. */
export function sheetCheck(v: SheetValues, ctx?: Context): string[] {
  const bad = SIZES.filter((k) => !parseNominal(v[k]) || parseNominal(v[k])!.round);
  if (bad.length > 0)
    return bad.map((k) => `${sheetSpec[k].label} is “${v[k]}”; write a nominal size in inches such as 4×4.`);
  if (!parseNominal(v.downpipe)?.round) return [`Downpipe is “${v.downpipe}”; write a diameter in inches such as ⌀3.`];
  const out: string[] = [];
  if (v.face === "none" && v.core === "none" && v.back === "none")
    out.push("The walls have no layer; choose a face, a core or a back.");
  for (const [name, foot] of [
    ["Front wall", v.footFront],
    ["Right end", v.footRight],
    ["Back wall", v.footBack],
    ["Left end", v.footLeft],
  ] as const)
    // prettier-ignore
    if (-foot > v.wallHeight - feet(2))
      out.push(`${name} would begin ${fi(-foot)} over the floor and end at ${fi(v.wallHeight)}; leave it at least 2′-0″.`);
  if (v.roof === "flat" && v.wallHeight < nominalMm(v.ledge).width + feet(2))
    out.push(`A flat roof at ${fi(v.wallHeight)} leaves no room under its ledges.`);
  v.openings.forEach((o, i) => {
    const rise = riseOf(o);
    if (rise > o.width / 2 + 1e-6)
      out.push(`Opening ${i + 1} is ${fi(o.width)} wide and its arch rises ${fi(rise)}; one rises at most half its width: ${fi(o.width / 2)}, a half round.`); // prettier-ignore
    else if (rise > o.height - inches(2))
      out.push(`Opening ${i + 1} is ${fi(o.height)} high to its crown and its arch rises ${fi(rise)}; make it higher, or the arch flatter.`); // prettier-ignore
  });
  if (out.length > 0 || !ctx) return out;
  const { layers } = layersOf(v, ctx);
  const stack = stackOf(layers.map((x) => x.item.thickness));
  if (v.corner.startsWith("rebate") && layers.length < 2)
    return ["A rebated corner takes the other wall's end behind the face, and these walls have one layer; add a core behind it, or butt the corners."]; // prettier-ignore
  if (v.corner === "post") {
    const { section } = ctx.stock(v.cornerPost);
    if (section.width - section.thickness > 0.005)
      return [`A corner post of ${v.cornerPost} is not square in the stock chosen (${printMm(section.thickness, 2)} × ${printMm(section.width, 2)}); take a square one.`]; // prettier-ignore
    if (stack > section.thickness + 1e-6)
      return [
        `The walls are ${printMm(stack, 3)} thick and the corner post of ${v.cornerPost} is ${printMm(section.thickness, 3)}: they stand ${printMm(stack - section.thickness, 3)} proud of it. Take a thicker post, or thinner layers.`,
      ];
  }
  const l = sheetLayout(v, ctx);
  // two walls' layers do not meet in a corner of the room
  const into = Math.max(0, ...l.walls.flatMap((w) => w.made.map(({ opening }) => opening.into)));
  const block = Math.max(v.corner === "post" ? ctx.stock(v.cornerPost).section.thickness : l.stack + ctx.stock(v.blocks).section.width, into > 0 ? l.stack + into : 0); // prettier-ignore
  const ledge = v.roof === "flat" ? Math.min(...Object.values(ctx.stock(v.ledge).section)) : 0;
  if (Math.min(l.long, l.wide) < 2 * block + 2 * ledge + 1)
    return [`Walls ${printMm(l.stack, 2)} thick leave no room inside ${fi(Math.min(v.length, v.width))}; make it larger, or the layers thinner.`]; // prettier-ignore
  const quoin = Math.max(v.quoinLong, v.quoinShort);
  if (v.quoins > 0 && Math.min(l.long, l.wide) < 2 * (l.mm(quoin) + l.roof.thickness))
    return [`Quoins ${fi(quoin)} long meet on a wall of ${fi(Math.min(v.length, v.width))}; make them shorter.`]; // prettier-ignore
  if (v.roof === "flat" && v.coping !== "none" && Math.min(l.long, l.wide) < 2 * (l.stack + l.mm(v.copingOver)) + 1)
    return [`Parapet caps that overhang ${fi(v.copingOver)} meet over ${fi(Math.min(v.length, v.width))}; let them overhang less.`]; // prettier-ignore
  for (const w of l.walls) out.push(...openingFaults(l, w, block, ctx));
  out.push(...trimFaults(l, ctx, wholeOpening));
  return out;
}
/** An opening with all that belongs to it: what is glued behind, trim and shutters. */
function wholeOpening(w: SheetWall, g: WallOpening): WallOpening {
  const { inner, outer, head, sill } = w.made.find(({ opening }) => opening.gap.name === g.name)!.opening.reach;
  return { ...g, from: g.from - Math.max(inner, outer[0]), to: g.to + Math.max(inner, outer[1]), head: g.head + Math.max(inner, head), sill: g.door ? g.sill : g.sill - Math.max(inner, sill) }; // prettier-ignore
}
/** Openings that run into a corner, into each other, or out of their wall. */
function openingFaults(l: SheetLayout, w: SheetWall, corner: number, ctx: Context): string[] {
  const p = (mm: number): string => fi(toPrototype(ctx.scale, model(mm)));
  const out: string[] = [];
  const sorted = [...w.gaps].sort((a, b) => a.from - b.from);
  const number = (name: string): string => name.replace(/^opening/, "Opening ");
  const made = new Map(w.made.map(({ opening }) => [opening.gap.name, opening]));
  const whole = (g: WallOpening): WallOpening => wholeOpening(w, g);
  for (const { opening } of w.made) {
    const pane = opening.seed ? leastPane(opening.seed) : Infinity;
    if (pane < l.v.leastBar)
      out.push(`${number(opening.gap.name)} has ${pane > 0 ? `panes of ${printMm(pane, 2)}` : "no room for its panes"}; take fewer of them, narrower stiles and bars, or a larger opening.`); // prettier-ignore
    const wants = opening.exchange && exchangeWants(l.v, opening.exchange);
    if (wants)
      out.push(`${number(opening.gap.name)} has no room inside the rim that its panel rests on: it wants ${p(wants.width)} by ${p(wants.height)} up. Make it larger, or its lap, magnets and key smaller.`); // prettier-ignore
    const { from, to, name } = opening.gap;
    const past = Math.min(from - opening.reach.outer[0], w.length - to - opening.reach.outer[1]);
    const take = cornerTake(l) > 0 ? cornerTake(l) + LEAST_STRIP : 0;
    const [words, reach] =
      l.v.quoins > 0 ? ["quoins", Math.max(l.v.quoinLong, l.v.quoinShort)] : ["corner boards", l.v.cornerTrim];
    // a casting with a flange lies on the face too
    const onFace = opening.parts.some((x) => x.depth < 0) || (l.v.cornerTrim > 0 && l.v.openings[Number(name.slice(7)) - 1]!.mount === "flange"); // prettier-ignore
    if (past >= 0 && past < take && onFace)
      out.push(`What is on the face round ${number(name).toLowerCase()} meets the ${words}, which reach ${fi(reach)} from the corner; move it in.`); // prettier-ignore
    if (past >= 0 && past < l.mm(l.v.cornerTrim) + LEAST_STRIP && !onFace)
      out.push(`${number(name)} is ${p(past)} from the corner, behind the corner board; move it in.`);
    if (past < 0 && Math.min(from, w.length - to) >= 0)
      out.push(`The trim or shutters of ${number(name).toLowerCase()} come ${p(-past)} past the end of their wall; move it in, or leave them out on that side.`); // prettier-ignore
  }
  sorted.forEach((bare, i) => {
    const { inner } = made.get(bare.name)!.reach;
    const g = whole(bare);
    const near = Math.min(bare.from, w.length - bare.to) - inner;
    if (near < corner + LEAST_STRIP)
      out.push(`${number(g.name)} comes ${near < 0 ? "past the end of its wall" : `within ${p(near)} of a corner`}; the corner takes ${p(corner)}. Move it in, or make it narrower.`); // prettier-ignore
    const y = (s: number): number => (w.long ? (w.name === "front" ? -l.wide / 2 : l.wide / 2) : w.name === "right" ? s - l.wide / 2 : l.wide / 2 - s); // prettier-ignore
    // trim stands out under the eave, and what lies behind the wall in under a roof that falls inwards
    const out0 = Math.max(0, ...made.get(bare.name)!.parts.map((x) => -x.depth));
    const in0 = Math.max(l.stack, l.stack + made.get(bare.name)!.into);
    const ys = w.long ? [y(0) + (w.name === "front" ? -out0 : out0), y(0) + (w.name === "front" ? in0 : -in0)] : [y(g.from), y(g.to)]; // prettier-ignore
    const top = Math.min(...ys.map((at) => under(l, at)));
    if (g.head > top - LEAST_STRIP)
      out.push(`${number(g.name)} reaches ${p(g.head)} and its wall ends at ${p(top)} there; make it lower.`);
    if (g.head < w.foot + LEAST_STRIP || (!g.door && g.sill < w.foot + LEAST_STRIP))
      out.push(`${number(g.name)} begins below the foot of its wall at ${p(w.foot)}; raise it, or make it a door.`);
    if (
      l.v.roof === "flat" &&
      g.head > l.high - l.roof.thickness - ctx.stock(l.v.ledge).section.width - LEAST_STRIP &&
      g.sill < l.high
    )
      out.push(`The roof and its ledges cross ${number(g.name).toLowerCase()} at ${p(l.high)}; make it lower.`);
    for (const other of sorted.slice(i + 1).map(whole))
      if (other.from < g.to + LEAST_STRIP && other.sill < g.head + LEAST_STRIP && g.sill < other.head + LEAST_STRIP)
        out.push(
          `${number(g.name)} and ${number(other.name).toLowerCase()} leave nothing between them; move them apart.`,
        );
  });
  return out;
}
/** The least that may be left of a sheet beside an opening, model mm. */
const LEAST_STRIP = 0.5;

/** What is unusual or wants a second look. */
export function sheetRemarks(v: SheetValues, ctx?: Context): Remark[] {
  const out = unusual(sheetSpec, v, (p) => sheetShown(v, p));
  if (!ctx || sheetCheck(v, ctx).length > 0) return out;
  const l = sheetLayout(v, ctx);
  const proto = (mm: number): number => toPrototype(ctx.scale, model(mm));
  const texture = l.face && textureOf(l.face.item.texture!.id);
  if (texture?.runs === "upright") {
    const pitch = l.face!.item.texture!.pitch;
    for (const [key, words, length, back] of [
      ["length", "front and back", l.long, l.cut.first[0]!],
      ["width", "ends", l.wide, l.cut.second[0]!],
    ] as const) {
      const { under: less, over: more, rest } = wholeBoards(length - 2 * back, pitch, 0.01);
      if (rest === 0) continue;
      const to = rest < pitch / 2 ? less : more;
      const by = to.length - (length - 2 * back);
      out.push({
        param: key,
        text: `The ${words} take ${less.boards} ${texture.unit}s of ${printMm(pitch, 2)} and ${printMm(rest, 2)} of another (${fi(proto(rest))}); a good wall ends on a full ${texture.unit}: ${printMm(less.length + 2 * back, 2)} or ${printMm(more.length + 2 * back, 2)} over all.`,
        fix: { label: `${fi(Math.abs(proto(by)))} ${by < 0 ? "shorter" : "longer"}`, value: proto(length + by) },
      });
    }
  }
  if (v.outOfTrue > 0 && l.face) {
    const { item } = l.face;
    const level = texture!.runs === "level";
    const along = level ? Math.max(...l.walls.map((w) => w.length)) : l.high;
    out.push({
      param: "outOfTrue",
      level: "warning",
      text: `The lines of ${texture!.name} run off by ${printMm(v.outOfTrue, 2)} in 100 mm: over a ${level ? "wall" : "height"} of ${printMm(along, 0)} that is ${printMm((along * v.outOfTrue) / 100, 2)}, and courses do not meet at the corners. True each sheet before it is cut: lay a steel rule along one line near its edge, cut along it, and square the ends to that edge; it takes up to ${printMm(truedOff(l, item), 2)} off.`, // prettier-ignore
    });
  }
  if (v.tops === "square" && l.k > 0)
    out.push({
      param: "tops",
      text: `Square tops bear on their edge alone, and stand ${printMm(l.k * l.stack, 2)} off the slope over ${printMm(l.stack, 2)}: bevel them ${printNumber((Math.atan(l.k) * 180) / Math.PI, 1)}°.`,
      fix: { label: "Bevel them", value: "bevelled" },
    });
  out.push(...barRemarks(l, ctx), ...trimRemarks(l));
  const swapped = v.openings.findIndex(exchanged);
  if (swapped >= 0 && v.panelKey === 0)
    out.push({
      param: "panelKey",
      level: "warning",
      text: `The panel of opening ${swapped + 1} is made to be exchanged and fits upside down, too: give it a key, so that it goes in one way only.`,
      fix: { label: "Give it a key", value: 2 },
    });
  if (l.face)
    v.openings.forEach((o, i) => {
      const { relief } = l.face!.item.texture!;
      if (o.mount === "flange" && relief >= 0.3)
        out.push({
          param: `openings.${i}.mount`,
          text: `Opening ${i + 1}'s flange lies on ${texture!.name} that stand ${printMm(relief, 2)} proud: shave them flush under it, or the casting is held off.`,
        });
    });
  return out;
}
/** How openings stand to the wall by the way they are mounted, and how they are mounted to stand so. */
const STANDS = { flange: "proud", behind: "recessed", inside: "flush", built: "flush", layers: "recessed", layersWall: "recessed" } as const; // prettier-ignore
/** What drawings note of openings and these values have otherwise. */
export function sheetNotes(v: SheetValues, noted: Noted): Remark[] {
  const made = v.openings.some(inLayers);
  const framed = v.openings.map((o) => ({
    door: o.kind === "door",
    width: o.width,
    height: o.height,
    stands: exchanged(o) ? ("flush" as const) : o.mount === "layersIn" ? (v.reveal > 0 ? ("recessed" as const) : ("flush" as const)) : STANDS[o.mount as keyof typeof STANDS], // prettier-ignore
    // castings bring their own trim
    trim: inLayers(o) ? v.casing : undefined,
  }));
  return noted.openings.flatMap((n) =>
    openingNotes(
      framed.map((o) => ({ ...o, trim: o.trim ?? n.trim })),
      [n],
      {
        mounts: { proud: "flange", recessed: made ? "layers" : "behind", flush: made && v.reveal === 0 ? "layersIn" : "inside" }, // prettier-ignore
        trim: (wanted) => ({ param: "casing", fix: { label: `Set ${fi(wanted)}`, value: wanted } }),
      },
    ),
  );
}
/** The greatest width of a glazing bar that still looks right, prototype mm. Common practice. */
const HEAVY_BAR = inches(3);
/** Glazing bars that are cut wider than they are, so that they survive, and how wide they may be. */
function barRemarks(l: SheetLayout, ctx: Context): Remark[] {
  const { v } = l;
  const [own, most] = [l.mm(v.bar), l.mm(HEAVY_BAR)];
  if (!sheetShown(v, "bar") || own >= v.leastBar) return [];
  const cut = `${sheetSpec.bar.label} of ${fi(v.bar)} are ${printMm(own, 2)} and are cut ${printMm(v.leastBar, 2)} wide, the least that survives: ${fi(toPrototype(ctx.scale, model(v.leastBar)))} on the prototype.`; // prettier-ignore
  return v.leastBar > most
    ? [{ param: "leastBar", level: "warning", text: `${cut} That is too heavy for the scale, where ${printMm(most, 2)} (${fi(HEAVY_BAR)}) is the most that looks right: print them on the glazing, or take a casting.` }] // prettier-ignore
    : [{ param: "bar", text: `${cut} Up to ${printMm(most, 2)} (${fi(HEAVY_BAR)}) they still look right.` }];
}
/** Whether a parameter plays a part for these values. */
export function sheetShown(v: SheetValues, path: string): boolean {
  const sloped = v.roof === "gable" || v.roof === "shed";
  const trim = trimShown(v, path.split(".")[0]!);
  if (trim !== undefined) return trim;
  switch (path.split(".")[0]) {
    case "rise":
    case "overhang":
    case "gableOverhang":
    case "tops":
      return sloped;
    case "parapet":
    case "ledge":
      return v.roof === "flat";
    case "roofSheet":
      return v.roof !== "none";
    case "facePitch":
    case "outOfTrue":
      return v.face !== "none";
    case "cornerPost":
      return v.corner === "post";
    case "blocks":
      return v.corner !== "post";
    case "fit":
      return v.openings.length > 0;
    case "openings": {
      const [, n, column] = path.split(".");
      const row = v.openings[Number(n)];
      if (!row) return true;
      const pieces = /^(boards|split|exchange)$/.test(row.style);
      if (column === "style") return inLayers(row);
      if (column === "across" || column === "up") return inLayers(row) && !pieces;
      if (column === "rise") return row.head === "segmental";
      if (column === "lap") return exchanged(row) || (row.mount !== "inside" && row.mount !== "layersIn");
      return true;
    }
    case "stoneLap":
      return v.lintel > 0 || v.stoneSill > 0;
    case "archStones":
      return v.lintel > 0 && v.openings.some((o) => o.head !== "square");
    case "quoinLong":
    case "quoinShort":
      return v.quoins > 0;
    case "stoneSheet":
      return v.lintel > 0 || v.stoneSill > 0 || v.quoins > 0;
    case "coping":
      return v.roof === "flat";
    case "copingOver":
      return v.roof === "flat" && v.coping !== "none";
    case "lintel":
    case "stoneSill":
      return v.openings.length > 0;
    case "casing":
    case "sillHigh":
    case "sillSheet":
      return v.openings.some(inLayers);
    case "leastBar":
    case "frameEdge":
    case "frameSheet":
      return v.openings.some((o) => inLayers(o) && !exchanged(o));
    case "panelSheet":
    case "panelBack":
    case "magnet":
    case "panelKey":
      return v.openings.some(exchanged);
    case "trimSheet":
      return v.openings.some((o) => inLayers(o) || o.shutters !== "none");
    case "bar":
      return v.openings.some((o) => inLayers(o) && !/^(boards|split|panel|exchange)$/.test(o.style));
    case "stile":
    case "bottomRail":
    case "sashSheet":
      return v.openings.some((o) => inLayers(o) && !/^(boards|split|exchange)$/.test(o.style));
    case "glazing":
      return v.openings.some((o) => inLayers(o) && !/^(boards|split|panel|exchange)$/.test(o.style));
    case "ledgeWide":
    case "doorBoard":
      return v.openings.some((o) => inLayers(o) && (o.style === "boards" || o.style === "split"));
    case "reveal":
      return v.openings.some((o) => o.mount === "layersIn" && !exchanged(o));
    case "room":
      return v.openings.some((o) => mountOf(o) === "layersIn");
    default:
      return true;
  }
}
