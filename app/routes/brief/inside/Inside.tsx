import { useCallback, useMemo, useState } from "react";
import { FITTING } from "core/inside/fittings";
import { freePlace, insideNotes } from "core/inside/judged";
import { seenFittings, USUAL_EYE } from "core/inside/seen";
import { wiresOf } from "core/inside/wiring";
import type { Room } from "core/inside/room";
import { FITTINGS, insideOf, type Fitting, type FittingDoc, type InsideDoc, type JobDoc } from "core/job";
import { parseNumber, tellIn } from "core/units";
import { askLooker } from "~/job/framer";
import { useAnswer } from "~/job/useAnswer";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { SidePanel } from "~/ui/SidePanel";
import { Tabs } from "~/ui/Tabs";
import { Findings } from "~/ui/Findings";
import { InsideBoard } from "./InsideBoard";
import { RoomLamps } from "./RoomLamps";

const VIEWS = { plan: "From above", section: "From the front" } as const;

/** The inside of a building: bodies in its room, what is in the way, what is seen of them, the box that slides in. */
export default function Inside() {
  const { ask, doc } = useJob();
  const rooms = useAnswer<readonly Room[]>(useCallback(() => askLooker((w) => w.rooms(ask)), [ask]));
  const [chosen, choose] = useState<string>();
  const room = rooms.answer?.find((r) => r.structure === chosen) ?? rooms.answer?.[0];
  if (!room)
    return (
      <p className="p-8 text-lg" role="status">
        {rooms.fault !== undefined
          ? `The rooms could not be found: ${rooms.fault}`
          : !rooms.answer
            ? "Looking inside …"
            : doc.structures.length === 0
              ? "Nothing is framed yet."
              : "No structure of this job has a room: a building that is walled all round has one, such as the demo job “Agent's cottage”."}
      </p>
    );
  return <TheRoom key={room.structure} room={room} rooms={rooms.answer!} choose={choose} />;
}

function TheRoom({ room, rooms, choose }: { room: Room; rooms: readonly Room[]; choose: (id: string) => void }) {
  const { doc, design, edit } = useJob();
  const { units, M } = useUnits();
  const [view, setView] = useState<keyof typeof VIEWS>("plan");
  const [picked, pick] = useState<string>();
  const { ratio } = design.scale;
  const inside = insideOf(doc, room.structure);
  const { things } = inside;
  const eye = inside.eye ?? USUAL_EYE;
  const change = useCallback(
    (label: string, f: (x: InsideDoc, d: JobDoc) => void): void =>
      void edit(label, (d) => {
        const all = (d.inside ??= []);
        let own = all.find((x) => x.structure === room.structure);
        if (!own) all.push((own = { structure: room.structure, things: [] }));
        f(own, d);
      }),
    [edit, room.structure],
  );
  const changeThing = (id: string, label: string, f: (t: FittingDoc) => void): void =>
    change(label, (x) => f(x.things.find((t) => t.id === id)!));
  const notes = useMemo(() => insideNotes(room, things, ratio), [room, things, ratio]);
  const seen = useMemo(() => seenFittings(room, things, ratio, eye), [room, things, ratio, eye]);
  const wrong = useMemo(() => new Set(notes.map((n) => n.thing)), [notes]);
  const thing = things.find((t) => t.id === picked);
  const add = (kind: Fitting): void => {
    const [length, depth, high] = FITTING[kind].size;
    const same = things.filter((t) => t.kind === kind).length;
    const id = `in-${crypto.randomUUID().slice(0, 6)}`;
    const name = `${FITTING[kind].label}${same > 0 ? ` ${same + 1}` : ""}`;
    const fresh: FittingDoc = { id, name, kind, x: 0, y: 0, turn: 0, length, depth, low: 0, high };
    const [x, y] = freePlace(room, things, ratio, fresh);
    change(`Put ${name} in`, (inside) => void inside.things.push({ ...fresh, x, y }));
    pick(id);
  };
  const lamps = inside.lamps ?? [];
  const wires = useMemo(() => wiresOf(room, inside, doc.build?.lights?.lamps ?? [], ratio), [room, inside, doc.build?.lights?.lamps, ratio]); // prettier-ignore
  const move = (id: string, x: number, y: number): void =>
    change(`Move ${name(id)}`, (own) => void Object.assign([...own.things, ...(own.lamps ?? [])].find((t) => t.id === id)!, { x, y })); // prettier-ignore
  const name = (id: string): string => [...things, ...lamps].find((t) => t.id === id)?.name ?? id;
  const eyeField = (k: "before" | "right" | "over", label: string, least: number) => (
    <LengthField
      label={label}
      world="model"
      mm={eye[k]}
      units={doc.brief.units}
      keep={(mm) =>
        mm >= least && mm <= 5000
          ? change("Where one stands", (x) => void (x.eye = { ...eye, [k]: mm }))
          : [`Read ${M(mm)}; it may be from ${M(least)} to ${M(5000)}.`]
      }
    />
  );
  return (
    <div className="stage flex h-full min-h-0">
      <div className="stage-main relative flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-4 px-7 pt-2">
          <Tabs tabs={VIEWS} now={view} choose={setView} />
          {rooms.length > 1 && (
            <div className="ml-auto w-56">
              <SelectField
                label="Room of"
                value={room.structure}
                options={rooms.map((r) => ({ value: r.structure, label: r.name }))}
                keep={choose}
              />
            </div>
          )}
        </div>
        <div className="mt-2 flex min-h-0 flex-1 border-t border-hair">
          <InsideBoard {...{ room, things, lamps, wires, ratio, view, picked, wrong, pick, move }} />
        </div>
      </div>
      <SidePanel label="Inside">
        <div className="space-y-5 text-[15px]">
          <section>
            <h2 className="label">Put in</h2>
            <SelectField
              label="What stands in it"
              value=""
              options={[{ value: "", label: "Choose" }, ...FITTINGS.map((k) => ({ value: k as string, label: FITTING[k].label }))]} // prettier-ignore
              keep={(k) => k !== "" && add(k as Fitting)}
              hint="In its usual size; drag it to its place. Alt: freely, not by the inch."
            />
          </section>
          {things.length > 0 && (
            <section>
              <h2 className="label">In the room</h2>
              <ul>
                {things.map((t) => (
                  <li key={t.id}>
                    <button
                      className={`row min-h-8 w-full text-left ${t.id === picked ? "font-semibold text-vermilion" : ""}`}
                      aria-pressed={t.id === picked}
                      onClick={() => pick(t.id === picked ? undefined : t.id)}
                    >
                      {t.name}
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <section aria-label="In the way">
            <h2 className="label">In the way</h2>
            {notes.length === 0 ? (
              <p className="text-ink-2">
                {things.length === 0 ? "Nothing is in the room." : "✓ Nothing is in the way."}
              </p>
            ) : (
              <ul className="space-y-2">
                {notes.map((n) => (
                  <li
                    key={n.key}
                    className={`border-l-[3px] pl-3 ${n.level === "warning" ? "border-ochre" : "border-edge"}`}
                  >
                    {tellIn(n.text, units)}{" "}
                    {n.move && (
                      <button
                        className="link min-h-6"
                        onClick={() => changeThing(n.thing, `Move ${name(n.thing)} clear`, (t) => void Object.assign(t, { x: t.x + n.move![0], y: t.y + n.move![1] }))} // prettier-ignore
                      >
                        Move it
                      </button>
                    )}
                  </li>
                ))}
              </ul>
            )}
          </section>
          {thing && (
            <OneThing
              key={thing.id}
              t={thing}
              set={(label, f) => changeThing(thing.id, `${label}, ${thing.name}`, f)}
              remove={() => change(`Take ${thing.name} out`, (x) => void (x.things = x.things.filter((o) => o.id !== thing.id)))} // prettier-ignore
            />
          )}
          <RoomLamps {...{ room, inside, wires, picked, pick, change }} />
          <Findings
            only={(f) => f.key.startsWith(`${room.structure}:inside:`) && /:(lamp|body|count|gaps|glows)$/.test(f.key)}
          />
          <section aria-label="What is seen" className="space-y-2">
            <h2 className="label">What is seen from outside</h2>
            {eyeField("before", "Eye before the front", 1)}
            {eyeField("right", "To the right of its middle", -5000)}
            {eyeField("over", "Over the floor", -2000)}
            <ul>
              {seen.map((s) => (
                <li key={s.thing} className="row py-0.5">
                  <b>{name(s.thing)}</b>{" "}
                  {s.share > 0
                    ? `${Math.max(1, Math.round(100 * s.share))} % through the ${s.through.join(" and ")}`
                    : "not seen: it may be left out"}
                </li>
              ))}
            </ul>
          </section>
          <section className="space-y-2">
            <h2 className="label">Box that slides in</h2>
            <label className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                className="size-4.5"
                checked={inside.box !== undefined}
                onChange={(e) => {
                  const on = e.target.checked;
                  change(on ? "A box that slides in" : "No box", (x) => void (on ? (x.box = 0.5) : delete x.box));
                }}
              />
              Build the inside in a box of card
            </label>
            {inside.box !== undefined && (
              <LengthField
                label="Left all round"
                world="model"
                mm={inside.box}
                units={doc.brief.units}
                hint="Its net is among the jigs."
                keep={(mm) => (mm >= 0 && mm <= 20 ? change("Left round the box", (x) => void (x.box = mm)) : [`Read ${M(mm)}; it may be from 0 to ${M(20)}.`])} // prettier-ignore
              />
            )}
          </section>
        </div>
      </SidePanel>
    </div>
  );
}

/** The name, the place and the size of a body. */
function OneThing({
  t,
  set,
  remove,
}: {
  t: FittingDoc;
  set: (label: string, f: (t: FittingDoc) => void) => void;
  remove: () => void;
}) {
  const { doc } = useJob();
  const length = (k: "x" | "y" | "length" | "depth" | "low" | "high", label: string, least: number) => (
    <LengthField
      label={label}
      world="prototype"
      mm={t[k]}
      units={doc.brief.units}
      hint=""
      keep={(mm) => {
        if ((k === "low" && mm >= t.high) || (k === "high" && mm <= t.low)) return ["Its top has to be over its foot."];
        if (!(mm >= least && mm <= 1e5)) return ["Write a length up to 100 m."];
        set(label, (x) => void (x[k] = mm));
      }}
    />
  );
  return (
    <section aria-label={t.name} className="space-y-2 border-l-[3px] border-vermilion pl-3">
      <TextField
        label="Name"
        value={t.name}
        keep={(v) => (v.trim() ? set("Name", (x) => void (x.name = v.trim().slice(0, 80))) : ["It needs a name."])}
      />
      <div className="grid grid-cols-2 gap-2">
        {length("x", "From the left", -1e5)}
        {length("y", "From the front", -1e5)}
        {length("length", "Along", 10)}
        {length("depth", "Deep", 10)}
        {length("low", "From, over the floor", 0)}
        {length("high", "To, over the floor", 1)}
      </div>
      <TextField
        label="Turned, degrees"
        value={String(t.turn)}
        keep={(v) => {
          const n = parseNumber(v);
          if (!(n >= -360 && n <= 360)) return [`Read “${v}”; write degrees from −360 to 360.`];
          set("Turn", (x) => void (x.turn = n));
        }}
      />
      <button className="link min-h-6" onClick={remove}>
        Take it out
      </button>
    </section>
  );
}
