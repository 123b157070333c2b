import { elevation, VIEWS, type Shown } from "core/drawing";
import type { Vec2 } from "core/geometry";
import type { FoundMember } from "core/found";
import { crossingPoint, fromPixel, toPixel } from "core/prototype";
import {
  addTrace,
  drawnId,
  proposeSection,
  registerKind,
  traced,
  type Trace,
  type TracedParams,
} from "core/structures";
import { chosenVariant, newStructure, type JobDoc } from "core/job";
import { useJob, type Recipe } from "~/job/JobContext";
import { kept, newId, useSheet } from "../sheet";

// a first member makes a structure of this kind before any job asks for it
registerKind(traced);

/** How the next member is drawn. */
export interface TraceSettings {
  readonly role: string;
  readonly section: string;
  readonly layer: Trace["layer"];
  readonly flat: boolean;
  /** How many copies are made at once. */
  readonly copies: number;
}
export const FIRST_SETTINGS: TraceSettings = { role: "post", section: "8×8", layer: "middle", flat: false, copies: 1 };

const paramsIn = (d: JobDoc, structure: string): TracedParams | undefined => {
  const s = d.structures.find((x) => x.id === structure);
  return s?.kind === "traced" ? (chosenVariant(s).params as unknown as TracedParams) : undefined;
};
/** The path of a stick's member as it was drawn, of any place it stands at. */
export const drawnMember = (stick: string, structure: string): string =>
  drawnId(
    stick
      .slice(structure.length + 1)
      .replace(/#.*$/, "")
      .replace(/^place\d+\//, ""),
  );

/** The traced structure that is drawn into on this sheet, and how to draw. */
export function useTrace() {
  const job = useJob();
  const sheet = useSheet();
  const { drawing, scale, settings } = sheet;
  const structure = sheet.structure;
  const params = structure ? paramsIn(job.doc, structure) : undefined;
  const anchor = drawing.under.find((u) => u.structure === structure)?.anchor as Vec2 | undefined;
  const design = job.design.structures.find((s) => s.structure.id === structure);
  const ratio = job.design.scale.ratio;

  /** A pixel on the elevation, prototype mm, and back. */
  const onElevation = (p: Vec2): Vec2 => fromPixel(scale!, anchor!, p);
  const onSheet = (q: Vec2): Vec2 => toPixel(scale!, anchor!, q);
  /** Changes what was drawn. */
  const recipe =
    (f: (p: TracedParams) => void): Recipe =>
    (d) => {
      const p = structure && paramsIn(d as JobDoc, structure);
      if (p) f(p);
    };
  const edit = (label: string, f: (p: TracedParams) => void): readonly string[] => job.edit(label, recipe(f));

  /** Puts a member in from its pixels: two ends, and a point on its (other) edge that gives its width. Begins a structure where there is none. */
  const draw = (points: readonly Vec2[], along: "edge" | "centre"): readonly string[] => {
    if (!scale) return ["Calibrate the drawing first: see the Scale tab."];
    const fresh = !params;
    const id = fresh ? newId("t") : structure!;
    const at = anchor ?? (fresh || params.members.length === 0 ? points[0]! : undefined);
    if (!at) return ["Say first where this structure stands on the drawing: press Put under the frame."];
    const [a, b, c] = points.map((p) => fromPixel(scale, at, p)) as [Vec2, Vec2, Vec2 | undefined];
    const l = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (l < 25.4) return ["The two ends are less than an inch apart on the prototype."];
    // positive to the left of one who goes from a to b
    const off = c ? ((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) / l : undefined;
    const width = off === undefined ? undefined : Math.abs(off) * (along === "edge" ? 1 : 2);
    const section =
      width === undefined ? settings.section : proposeSection(width, settings.role, job.doc.stock.milling);
    const seat = along === "centre" ? "centre" : (off ?? 1) >= 0 ? "left" : "right";
    sheet.setSettings({ section });
    return put(
      { from: kept(a), to: kept(b), seat, section, role: settings.role, layer: settings.layer, flat: settings.flat },
      id,
      fresh,
      at,
    );
  };
  /** Puts members in by their middle lines and widths, in pixels: found ones that were accepted. */
  const accept = (found: readonly FoundMember[]): readonly string[] => {
    if (!scale) return ["Calibrate the drawing first: see the Scale tab."];
    const fresh = !params;
    const id = fresh ? newId("t") : structure!;
    const at = anchor ?? (fresh || params.members.length === 0 ? found[0]!.a : undefined);
    if (!at) return ["Say first where this structure stands on the drawing: press Put under the frame."];
    const members = found.map((f) => {
      const [a, b] = [fromPixel(scale, at, f.a), fromPixel(scale, at, f.b)];
      const role = roleOf(a, b, settings.role);
      const section = proposeSection(f.width * Math.sqrt(scale.kx * scale.ky), role, job.doc.stock.milling);
      const over = passesOver(f, [...sheet.found, ...found]);
      const layer = f.hidden ? "far" : over ? "near" : settings.layer;
      return { from: kept(a), to: kept(b), seat: "centre" as const, section, role, layer, flat: false } as const;
    });
    return put(members, id, fresh, at);
  };
  type Drawn = Parameters<typeof addTrace>[1];
  function put(drawn: Drawn | readonly Drawn[], id: string, fresh: boolean, at: Vec2): readonly string[] {
    const all = Array.isArray(drawn) ? (drawn as readonly Drawn[]) : [drawn as Drawn];
    const ids: string[] = [];
    const refused = job.edit(all.length === 1 ? `Trace a ${all[0]!.role}` : `Accept ${all.length} members`, (d) => {
      if (fresh) d.structures.push(newStructure("traced", id, `${drawing.name}, traced`.slice(0, 120)));
      const own = d.drawings.find((x) => x.id === drawing.id)!;
      if (!own.under.some((u) => u.structure === id))
        own.under.push({ structure: id, view: "front", anchor: kept(at), opacity: 0.45 });
      const p = paramsIn(d as JobDoc, id)!;
      for (const m of all) ids.push(addTrace(p, m));
    });
    if (refused.length === 0) {
      if (fresh) sheet.setStructure(id);
      // what is accepted from a list leaves the list in hand
      if (!Array.isArray(drawn)) job.select(`${id}/${ids[0]!}`);
    }
    return refused;
  }
  /** The sticks of the elevation at its first place, as they are cut, in the sheet's pixels. */
  const sticks = (): readonly Shown[] => {
    if (!design || !scale || !anchor) return [];
    const many = (params?.places.length ?? 1) > 1;
    const own = design.resolved.sticks.filter((s) => {
      const path = s.id.slice(structure!.length + 1);
      return !path.startsWith("across/") && (!many || path.startsWith("place1/"));
    });
    return elevation(own, VIEWS.front).map((s) => ({
      ...s,
      outlines: s.outlines.map((o) => o.map((p) => onSheet([p[0] * ratio, p[1] * ratio]))),
    }));
  };
  const selected =
    structure && job.selected?.startsWith(`${structure}/`) ? drawnMember(job.selected, structure) : undefined;
  const member = params?.members.find((m) => m.id === selected);
  return {
    structure,
    params,
    design,
    anchor,
    onElevation,
    onSheet,
    recipe,
    edit,
    draw,
    accept,
    sticks,
    selected,
    member,
  };
}

/** Whether a slanted member goes over others: those are lapped on their faces, and lie on a layer of their own. */
function passesOver(f: FoundMember, all: readonly FoundMember[]): boolean {
  const [dx, dy] = [f.b[0] - f.a[0], f.b[1] - f.a[1]];
  const slope = (Math.abs(Math.atan2(dy, dx)) * 180) / Math.PI;
  if (Math.min(slope, 180 - slope) < 3 || Math.abs(slope - 90) < 20) return false;
  return all.some((o) => {
    const p = o.hidden || o.id === f.id ? undefined : crossingPoint([f.a, f.b], [o.a, o.b]);
    const t = p && ((p[0] - f.a[0]) * dx + (p[1] - f.a[1]) * dy) / (dx * dx + dy * dy);
    return t !== undefined && t > 0.1 && t < 0.9;
  });
}

/** What a found member may be, by how it runs: the role in hand where that fits. */
function roleOf(a: Vec2, b: Vec2, now: string): string {
  const slope = (Math.abs(Math.atan2(b[1] - a[1], b[0] - a[0])) * 180) / Math.PI;
  const off = Math.min(slope, 180 - slope);
  const level = /sill|cap|beam|chord|plate|girt|stringer/.test(now);
  const slanted = /brace|rafter|strut/.test(now);
  if (off < 3) return level ? now : "beam";
  if (off > 75) return /post|stud/.test(now) ? now : "post";
  return slanted ? now : "brace";
}
