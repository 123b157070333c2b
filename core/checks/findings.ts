import {
  nominalOf,
  spliceStations,
  wholeId,
  workLength,
  bearings,
  connectedGroups,
  interferences,
  type Bearing,
  type Piece,
} from "../frame";
import { cutLength } from "../cutting";
import { dot, type Vec2 } from "../geometry";
import { boundsOf } from "../geometry";
import { sheetFindings } from "./sheetFindings";
import { otherStock, stockItem } from "../lumber";
import { VIEWS } from "../drawing";
import { longestStick, whereWords, type Design, type StructureDesign } from "../job";
import { printFeetInches, printMm, printNumber, toPrototype, model, prototype } from "../units";
import { drawingNotes, measuredAnew } from "./drawingNotes";
import { longSheets } from "./longSheets";
import { neighbours } from "./neighbours";
import { remarkFindings } from "./remarkFindings";
import { smallPieces } from "./smallPieces";
import { plausible } from "./plausible";
import { levelFindings, offSpotFindings, spotFindings } from "./spotFindings";
import { insideFindings } from "./insideFindings";
import { yearFindings } from "./yearFindings";
import { trainFindings } from "./trainFindings";
import { thinSticks } from "./thinSticks";
import { viewLines } from "./viewLines";

export type Level = "fault" | "warning" | "remark";
/** Something a person should know: the sentence with its numbers, where it is, and what can be done. */
export interface Finding {
  /** Stays the same while the matter does: what setting it aside hangs on. */
  readonly key: string;
  readonly level: Level;
  readonly text: string;
  readonly structure?: string;
  /** Sticks it is about. */
  readonly sticks: readonly string[];
  /** Place on the front elevation, model mm. */
  readonly at?: Vec2;
  readonly remedy?: Remedy;
  /** Set aside, with this reason. */
  readonly aside?: string;
}
export type Remedy =
  | { readonly label: string; readonly do: "set"; readonly param: string; readonly value: unknown }
  | { readonly label: string; readonly do: "stock"; readonly nominal: string }
  /** Moves a structure in the plan, model mm. */
  | { readonly label: string; readonly do: "move"; readonly by: Vec2 }
  /** Takes changes to sticks back, splices them or leaves them out: all that are alike at once, by their paths within the structure. */
  | { readonly label: string; readonly do: "restore" | "splice" | "omit"; readonly paths: readonly string[] };

/** Shares of the wanted size by which stock may be off before it is said, percent. Common practice: 5 % shows, 12 % looks wrong. */
const SHOWS = 5;
const LOOKS_WRONG = 12;

/** Every finding of a design, faults first, those set aside last. */
export function findings(d: Design): Finding[] {
  const all = [
    ...d.structures.flatMap((s) => [...structureFindings(s), ...remarks(s), ...parked(s)]),
    ...stockFindings(d),
    ...sheetFindings(d),
    ...lengthFindings(d),
    ...plausible(d),
    ...spotFindings(d),
    ...offSpotFindings(d),
    ...levelFindings(d),
    ...trainFindings(d),
    ...insideFindings(d),
    ...yearFindings(d),
    ...smallPieces(d),
    ...thinSticks(d),
    ...longSheets(d),
    ...drawingNotes(d),
    ...measuredAnew(d),
    ...viewLines(d),
    ...neighbours(d),
  ];
  const order: Level[] = ["fault", "warning", "remark"];
  return all
    .map((f) => (d.doc.aside[f.key] === undefined ? f : { ...f, aside: d.doc.aside[f.key]! }))
    .sort(
      (a, b) =>
        Number(a.aside !== undefined) - Number(b.aside !== undefined) ||
        order.indexOf(a.level) - order.indexOf(b.level),
    );
}

function structureFindings(s: StructureDesign): Finding[] {
  const structure = s.structure.id;
  if (s.fault) return [{ key: `${structure}:fault`, level: "fault", text: s.fault, structure, sticks: [] }];
  const r = s.resolved;
  const name = (id: string): string => {
    const m = r.byMember.get(wholeId(id))?.[0]?.member;
    return m ? `${m.role} ${placeName(m.id)}`.trim() : id;
  };
  const out: Finding[] = interferences(r).map((i) => ({
    key: `${i.a}×${i.b}`,
    level: "fault",
    text: `The ${name(i.a)} and the ${name(i.b)} stand ${printMm(i.depth, 2)} in each other.`,
    structure,
    sticks: [i.a, i.b],
    ...place(s, i.a),
  }));
  const found = bearings(r);
  for (const alike of alikeBearings(found.filter((x) => !x.ok))) out.push(bearingFinding(s, alike, name));
  if (s.kind.stiffenedBy) out.push(...glueFindings(s, s.kind.stiffenedBy, found));
  const groups = connectedGroups(r, found);
  if (groups.length > 1) {
    const small = [...groups].sort((a, b) => a.length - b.length)[0]!;
    out.push({
      key: `${structure}:apart`,
      level: "fault",
      text: `The structure falls into ${groups.length} parts: the ${name(small[0]!)} touches nothing that holds it.`,
      structure,
      sticks: small,
      ...place(s, small[0]!),
    });
  }
  return out;
}

/** Area under which glue alone does not hold for long, mm². Common practice: a matchstick's end is ten times that. */
const LEAST_GLUE = 0.25;
/** Ends that have too little to be glued by, as one matter. */
function glueFindings(s: StructureDesign, stiffens: string, found: readonly Bearing[]): Finding[] {
  const faces = new Set(
    s.resolved.frame.joints.filter((j) => j.contact === "face" && j.kind === "butt").map((j) => j.id),
  );
  const small = found.filter((b) => faces.has(b.joint) && b.ok && b.borne < LEAST_GLUE);
  if (small.length === 0) return [];
  const least = small.reduce((a, b) => (b.borne < a.borne ? b : a));
  return [
    {
      key: `${s.structure.id}:glue`,
      level: "remark",
      text: `${small.length} butt joints have less than ${LEAST_GLUE} mm² to be glued by, the least ${printNumber(least.borne, 2)} mm²: handle them on their template until ${stiffens} stiffens them.`,
      structure: s.structure.id,
      sticks: small.slice(0, 200).map((b) => b.a),
    },
  ];
}

/** "L2" for a post, "front, story 1" for a brace. */
function placeName(id: string): string {
  const bent = /^bent(\d*)$/.exec(id.split("/")[1] ?? "");
  if (!bent) return whereWords(id);
  const parts = id.split("/").slice(2);
  const story = /(story|level)(\d+)/.exec(id);
  const last = parts[parts.length - 1] ?? "";
  const own = /^[LRC]\d*$/.test(last) ? last : last === "front" || last === "back" ? `on the ${last}` : "";
  return [
    own,
    story && `${story[1] === "level" ? "at story line" : "of story"} ${story[2]}`,
    bent[1] && `of bent ${bent[1]}`,
  ]
    .filter(Boolean)
    .join(" ");
}

const percentOf = (b: Bearing): number => (b.wanted > 0 ? Math.floor((100 * b.borne) / b.wanted) : 0);
/** Ends that bear on the same stick with the same share are one matter. */
function alikeBearings(bad: readonly Bearing[]): (readonly [Bearing, ...Bearing[]])[] {
  const groups = new Map<string, [Bearing, ...Bearing[]]>();
  for (const b of bad) {
    const key = b.kind === "butt" ? `${b.b}|${percentOf(b)}` : b.joint;
    const group = groups.get(key);
    if (group) group.push(b);
    else groups.set(key, [b]);
  }
  return [...groups.values()];
}

function bearingFinding(
  s: StructureDesign,
  alike: readonly [Bearing, ...Bearing[]],
  name: (id: string) => string,
): Finding {
  const [b] = alike;
  const percent = percentOf(b);
  const joint = s.resolved.frame.joints.find((j) => j.id === b.joint);
  const text =
    b.kind === "lap"
      ? b.borne === 0
        ? `The ${name(b.a)} misses the ${name(b.b)}.`
        : `The ${name(b.a)} covers only ${percent} % of its crossing with the ${name(b.b)}.`
      : alike.length > 1
        ? `${alike.length} sticks bear on the ${name(b.b)} with only ${percent} % of their ends.`
        : `The ${name(b.a)} bears on the ${name(b.b)} with only ${percent} % of its end.`;
  const path = b.a.slice(s.structure.id.length + 1);
  const changed = s.variant.overrides[path];
  return {
    key: `bears:${b.joint}`,
    level: b.borne === 0 ? "fault" : "warning",
    text: joint?.remedy ? `${text} ${joint.remedy}` : text,
    structure: s.structure.id,
    sticks: [...alike.map((x) => x.a), b.b],
    ...place(s, b.a),
    ...(changed
      ? { remedy: { label: "Take back the change to its ends", do: "restore" as const, paths: [path] } }
      : {}),
  };
}

function place(s: StructureDesign, stick: string): { at?: Vec2 } {
  const parts = (s.resolved.byMember.get(wholeId(stick)) ?? []).flatMap((k) => k.parts);
  if (parts.length === 0) return {};
  const { min, max } = boundsOf(parts);
  const mid = [0, 1, 2].map((k) => (min[k]! + max[k]!) / 2) as unknown as readonly [number, number, number];
  return { at: [dot(mid, VIEWS.front.right), dot(mid, VIEWS.front.up)] };
}

const remarks = (s: StructureDesign): Finding[] =>
  remarkFindings(s, "usual", s.kind.remarks(s.variant.params, s.context));

const parked = (s: StructureDesign): Finding[] =>
  s.parked.map((path) => ({
    key: `${s.structure.id}:parked:${path}`,
    level: "remark",
    text: `A change to “${path}” is kept, but that stick is not in the structure now.`,
    structure: s.structure.id,
    sticks: [],
    remedy: { label: "Forget the change", do: "restore" as const, paths: [path] },
  }));

function stockFindings(d: Design): Finding[] {
  return [...d.stock].flatMap(([nominal, m]): Finding[] => {
    const e = m.error;
    if (e.worstPercent < SHOWS) return [];
    const worst = Math.abs(e.thickness.percent) > Math.abs(e.width.percent) ? e.thickness : e.width;
    const side = worst === e.thickness ? "thickness" : "width";
    return [
      {
        key: `stock:${nominal}`,
        level: e.worstPercent >= LOOKS_WRONG ? "warning" : "remark",
        text: `${nominal} is not to be had: ${m.plies === 2 ? "two plies of " : ""}${m.item.name} is ${printMm(Math.abs(worst.model), 2)} too ${worst.model > 0 ? "large" : "small"} in ${side}, ${printFeetInches(Math.abs(worst.prototype)).replace(/^0′-(0 )?/, "")} on the prototype (${printNumber(Math.abs(worst.percent), 0)} %).`,
        sticks: d.pieces.filter((p) => nominalOf(p.shape.kind, p.nominal) === nominal).flatMap((p) => p.sticks),
        remedy: { label: "Choose other stock", do: "stock", nominal },
      },
    ];
  });
}

/** Sticks that are longer than any of their stock: those of one role and stock in one structure are one matter, with one remedy. */
function lengthFindings(d: Design): Finding[] {
  const longestOf = longestStick(d.doc, d.scale);
  const groups = new Map<string, { readonly p: Piece; readonly need: number; readonly longest: number }[]>();
  for (const p of d.pieces) {
    if (otherStock(p.stock)) continue;
    const longest = longestOf(p.stock) + d.doc.cutting.allowance;
    const need = cutLength(p, d.doc.cutting);
    if (need <= longest + 0.005) continue;
    const key = `${p.stock}|${p.role}|${p.sticks[0]!.split("/")[0]}`;
    groups.set(key, [...(groups.get(key) ?? []), { p, need, longest }]);
  }
  return [...groups.values()].map((all): Finding => {
    const { p, need, longest } = all.reduce((a, b) => (b.need > a.need ? b : a));
    const over = model(need - longest);
    const name = stockItem(d.scale, p.stock)?.name ?? p.stock;
    const sticks = all.flatMap((x) => x.p.sticks);
    const spliced = sticks.flatMap((k) => spliceOf(d, k) ?? []);
    const marks = all.map((x) => x.p.mark);
    const who =
      sticks.length === 1
        ? `${p.role[0]!.toUpperCase()}${p.role.slice(1)} ${p.mark} needs`
        : `${sticks.length} × ${p.role} (${marks.length > 4 ? `${marks.slice(0, 4).join(", ")} and ${marks.length - 4} more` : marks.join(", ")}) need${marks.length > 1 ? " up to" : ""}`;
    const it = sticks.length === 1 ? "it" : "them";
    return {
      key: `long:${sticks[0]}`,
      level: "fault",
      text: `${who} ${printMm(need)}; the longest ${name} is ${printMm(longest)}, ${printMm(over)} (${printFeetInches(prototype(toPrototype(d.scale, over)))}) short. Splice ${it} or add longer stock.`,
      sticks,
      ...(spliced.length > 0 ? { structure: spliced[0]!.structure } : {}),
      remedy:
        spliced.length > 0
          ? {
              label:
                sticks.length === 1
                  ? "Splice it over its posts"
                  : `Splice all ${new Set(spliced.map((x) => x.path)).size} over what carries them`,
              do: "splice",
              paths: [...new Set(spliced.map((x) => x.path))],
            }
          : { label: "See its stock", do: "stock", nominal: nominalOf(p.shape.kind, p.nominal) },
    };
  });
}

/** The structure and path of a stick that can be spliced over its supports and is not yet; undefined where that does not help. */
function spliceOf(d: Design, stick: string): { readonly structure: string; readonly path: string } | undefined {
  const s = d.structures.find((x) => stick.startsWith(`${x.structure.id}/`));
  const member = s?.resolved.byMember.get(wholeId(stick))?.[0]?.member;
  if (!s || !member?.spliceOver || member.splices || member.body.shape !== "straight") return undefined;
  const longest = longestStick(d.doc, d.scale)(member.body.components[0]!.stock);
  if (!spliceStations(0, workLength(member), longest, member.spliceOver)) return undefined;
  return { structure: s.structure.id, path: member.id.slice(s.structure.id.length + 1) };
}
