import { useEffect } from "react";
import { toast } from "sonner";
import type { Vec2 } from "core/geometry";
import { MEASURES, tiltOf, UNSCALED, type MeasureKind } from "core/prototype";
import { copyTrace } from "core/structures";
import { BOARD_KEY } from "~/job/Shortcuts";
import { useJob } from "~/job/JobContext";
import { calibrationIn } from "./scale/calibrationIn";
import { kept, newId, type Sheet } from "./sheet";
import { toolOf } from "./tools";
import { acrossOn } from "./trace/WholeForm";
import { drawnMember, useTrace } from "./trace/useTrace";

/** Presses on the board, as the tool in hand takes them. Answers what a press and Enter do. */
export function useTools(sheet: Sheet) {
  const job = useJob();
  const trace = useTrace();
  const { drawing, change, points, setPoints, choose } = sheet;
  const tool = toolOf(sheet.tab, sheet.tool);
  const refuse = (sentences: readonly string[]): void => void (sentences.length > 0 && toast.error(sentences[0]!));

  const finish = (p: readonly Vec2[]): void => {
    const [a, b] = p as [Vec2, Vec2];
    const id = sheet.tool;
    // these wait for what is typed at the right
    if (id === "known" || id === "count" || id === "corners") return setPoints(p);
    setPoints([]);
    if (id.startsWith("measure:")) {
      const kind = id.slice(8) as MeasureKind;
      const name = `${MEASURES[kind].name} ${drawing.measures.filter((m) => m.kind === kind).length + 1}`;
      const m = { id: newId("m"), name, kind, points: p.map(kept), ...(kind === "count" ? { count: 2 } : {}) };
      refuse(change(`Measure ${name}`, (d) => void d.measures.push(m)));
      return sheet.pick(m.id);
    }
    switch (id) {
      case "level":
      case "plumb":
        if (Math.hypot(b[0] - a[0], b[1] - a[1]) < 5)
          return void toast.error("The two points are too close together to tell a direction.");
        change("Set the drawing level", (d) => void (calibrationIn(d).tilt = tiltOf(sheet.scale ?? UNSCALED, a, b)));
        return choose("look");
      case "guide":
        sheet.setGuides([...sheet.guides, p]);
        return choose("corners");
      case "opening": {
        const o = { id: newId("o"), name: `Opening ${drawing.openings.length + 1}`, from: kept(a), to: kept(b) };
        const usual = {
          kind: "window",
          set: "recessed",
          by: 50.8,
          trim: 101.6,
          sill: "",
          swing: "fixed",
          casting: "",
          note: "",
        } as const;
        refuse(change(`Note ${o.name}`, (d) => void d.openings.push({ ...o, ...usual })));
        return sheet.pick(o.id);
      }
      case "anchor":
        return putUnder(a);
      case "edge":
      case "centre":
        return refuse(trace.draw(p, id));
      case "copy": {
        if (!trace.member || !sheet.scale || !trace.anchor)
          return void toast.error("Pick the member that is to be copied first.");
        const [q, r] = [trace.onElevation(a), trace.onElevation(b)];
        const m = trace.member;
        refuse(
          trace.edit(
            `Copy a ${m.role}`,
            (x) => void copyTrace(x, m.id, [r[0] - q[0], r[1] - q[1]], sheet.settings.copies),
          ),
        );
        return choose("look");
      }
      case "mirror": {
        if (!trace.params || !sheet.scale || !trace.anchor)
          return void toast.error("Trace a member first; then the other half can be drawn for you.");
        const y = trace.onElevation(a)[0];
        refuse(trace.edit("Mirror about a centre line", (x) => void (x.mirror = Number(y.toFixed(3)))));
        return choose("look");
      }
    }
  };
  const putUnder = (a: Vec2): void => {
    const bents = job.doc.structures.filter((s) => s.id !== sheet.structure);
    const structure = sheet.tab === "trace" ? sheet.structure : (bents[0]?.id ?? sheet.structure);
    if (!structure) {
      toast("Frame a structure first; then the drawing can lie under it.");
      return choose("look");
    }
    change("Put the drawing under the frame", (d) => {
      const known = d.under.find((u) => u.structure === structure);
      if (known) known.anchor = kept(a);
      else d.under.push({ structure, view: "front", anchor: kept(a), opacity: 0.45 });
    });
    choose("look");
    toast("It lies under the frame now: go to Framing and fit the lines.");
  };
  /** A press on the board, already caught by what it is near. */
  const press = (at: Vec2, sticks: readonly string[]): void => {
    if (sheet.tool === "cross") {
      const stick = sticks.find((s) => s.startsWith(`${trace.structure}/`));
      const m = stick && trace.params?.members.find((x) => x.id === drawnMember(stick, trace.structure!));
      if (!m) return void toast.error("Press on a traced member.");
      const q = trace.onElevation(at);
      const l = Math.hypot(m.to[0] - m.from[0], m.to[1] - m.from[1]);
      const [u, v] = [(m.to[0] - m.from[0]) / l, (m.to[1] - m.from[1]) / l];
      const along = (q[0] - m.from[0]) * u + (q[1] - m.from[1]) * v;
      // on the upper side of what lies, on the outer side of what stands
      const side = (Math.abs(u) > 0.3 ? u : 1) > 0 ? "left" : "right";
      refuse(trace.edit("Put something across", (x) => acrossOn(x, m.id, Number(along.toFixed(2)), side, "4×6")));
      return choose("look");
    }
    if (tool.points === 0) {
      if (sheet.tab === "trace")
        job.select(sticks[(sticks.indexOf(job.selected ?? "") + 1) % Math.max(1, sticks.length)]);
      return;
    }
    const first = points[0];
    const reach = 10 / (sheet.view?.k ?? 1);
    if (
      tool.points === Infinity &&
      first &&
      points.length >= 3 &&
      Math.hypot(first[0] - at[0], first[1] - at[1]) < reach
    )
      return finish(points);
    if (points.length >= tool.points) return;
    const next = [...points, kept(at)];
    if (next.length < tool.points) return setPoints(next);
    finish(next);
  };
  const enter = (): void => {
    if (points.length >= (tool.least ?? 3) && points.length < tool.points) finish(points);
  };
  useEffect(() => {
    const key = (e: Event): void => {
      if ((e as CustomEvent<string>).detail !== "m") return;
      sheet.setTab("measures");
      choose("measure:length");
    };
    const down = (e: KeyboardEvent): void => {
      const target = e.target as HTMLElement;
      if (target.closest("input, textarea, select, [role=dialog]")) return;
      // Enter on a button presses it; Escape leaves the tool also from there
      if (e.key === "Enter" && !target.closest("button")) enter();
      if (e.key === "Escape") {
        if (points.length > 0) setPoints([]);
        else choose("look");
      }
    };
    window.addEventListener(BOARD_KEY, key);
    window.addEventListener("keydown", down);
    return () => {
      window.removeEventListener(BOARD_KEY, key);
      window.removeEventListener("keydown", down);
    };
  });
  return { tool, press, enter, waiting: tool.least !== undefined && points.length >= tool.least };
}
