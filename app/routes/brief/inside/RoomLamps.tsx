import { Link } from "react-router";
import type { Wire } from "core/inside/wiring";
import type { Room } from "core/inside/room";
import {
  CORNERS,
  emptyBuild,
  type Corner,
  type InsideDoc,
  type JobDoc,
  type LampDoc,
  type RoomLampDoc,
} from "core/job";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";

/** Lamps that a job begins with: white ones of 3.1 V on 12 V. */
const FIRST: LampDoc = { id: "room", name: "Room lamps", count: 0, volts: 3.1, milliamps: 5, series: 3, hole: 3, wire: 300 }; // prettier-ignore

/** The lamps of a room: where they hang, by which corner their wires go down, and the wires in the order they are laid. */
export function RoomLamps({
  room,
  inside,
  wires,
  picked,
  pick,
  change,
}: {
  room: Room;
  inside: InsideDoc;
  wires: readonly Wire[];
  picked: string | undefined;
  pick: (id: string | undefined) => void;
  change: (label: string, f: (x: InsideDoc, d: JobDoc) => void) => void;
}) {
  const { id: job, doc, design } = useJob();
  const { M } = useUnits();
  const { ratio } = design.scale;
  const groups = doc.build?.lights?.lamps ?? [];
  const lamps = inside.lamps ?? [];
  const lamp = lamps.find((l) => l.id === picked);
  const add = (of: string): void => {
    const id = `lamp-${crypto.randomUUID().slice(0, 6)}`;
    // side by side along the middle of the room, a little under the tops of its walls
    const n = lamps.length;
    const x = (room.wide * ratio * (2 * (n % 4) + 1)) / 8;
    change("Hang a lamp", (own, d) => {
      const lights = ((d.build ??= emptyBuild()).lights ??= { supply: 12, lamps: [] });
      let g = lights.lamps.find((l) => l.id === of);
      if (!g) lights.lamps.push((g = { ...FIRST }));
      const name = `Lamp ${n + 1}`;
      (own.lamps ??= []).push({ id, name, of: g.id, x: Math.round(x), y: Math.round((room.deep * ratio) / 2), z: Math.round(room.high * ratio * 0.9) }); // prettier-ignore
      // what is reckoned for is at least what hangs
      const all = d.inside!.reduce((k, i) => k + (i.lamps ?? []).filter((l) => l.of === g.id).length, 0);
      g.count = Math.max(g.count, all);
    });
    pick(id);
  };
  const set = (label: string, f: (l: RoomLampDoc) => void): void => change(`${label}, ${lamp!.name}`, (x) => f(x.lamps!.find((l) => l.id === lamp!.id)!)); // prettier-ignore
  const length = (k: "x" | "y" | "z", label: string) => (
    <LengthField
      label={label}
      world="prototype"
      mm={lamp![k]}
      units={doc.brief.units}
      hint=""
      keep={(mm) => (mm >= 0 && mm <= 1e5 ? set(label, (l) => void (l[k] = mm)) : ["Write a length from 0 to 100 m."])}
    />
  );
  return (
    <section className="space-y-2" aria-label="Lamps">
      <h2 className="label">Lamps</h2>
      <p className="text-ink-2">
        Low voltage only; mains work is for a licensed electrician. Resistors and the supply:{" "}
        <Link className="link" to={`/jobs/${job}/bench`}>
          Bench, Lights
        </Link>
        .
      </p>
      {groups.length > 1 ? (
        <SelectField
          label="Hang a lamp"
          value=""
          options={[
            { value: "", label: "Choose" },
            ...groups.map((g) => ({ value: g.id, label: `one of “${g.name}”` })),
          ]}
          keep={(of) => of !== "" && add(of)}
        />
      ) : (
        <button className="btn" onClick={() => add(groups[0]?.id ?? FIRST.id)}>
          Hang a lamp
        </button>
      )}
      {lamps.length > 0 && (
        <>
          <ul>
            {lamps.map((l) => (
              <li key={l.id}>
                <button
                  className={`row min-h-8 w-full text-left ${l.id === picked ? "font-semibold text-vermilion" : ""}`}
                  aria-pressed={l.id === picked}
                  onClick={() => pick(l.id === picked ? undefined : l.id)}
                >
                  {l.name}
                </button>
              </li>
            ))}
          </ul>
          {lamp && (
            <div className="space-y-2 border-l-[3px] border-vermilion pl-3">
              <TextField
                label="Name"
                value={lamp.name}
                keep={(t) => (t.trim() ? set("Name", (l) => void (l.name = t.trim().slice(0, 80))) : ["It needs a name."])} // prettier-ignore
              />
              <div className="grid grid-cols-2 gap-2">
                {length("x", "From the left")}
                {length("y", "From the front")}
                {length("z", "Up from the floor")}
              </div>
              <button
                className="link min-h-6"
                onClick={() => change(`Take ${lamp.name} down`, (x) => void (x.lamps = x.lamps!.filter((l) => l.id !== lamp.id)))} // prettier-ignore
              >
                Take it down
              </button>
            </div>
          )}
          <SelectField
            label="Wires go down in the corner"
            value={inside.wires ?? "back left"}
            options={CORNERS.map((c) => ({ value: c as Corner, label: c }))}
            keep={(c) => change("Where the wires go down", (x) => void (x.wires = c))}
          />
          <p>
            {`${wires.length} wires, ${M(
              wires.reduce((n, w) => n + w.cut, 0),
              0,
            )} in all with some to spare. In the order they are laid, the longest first:`}
          </p>
          <ol className="list-decimal pl-6">
            {wires.map((w, i) => (
              <li key={i}>
                {`${w.from} to ${w.to}: `}
                <b>{M(w.cut, 0)}</b>
                {w.to === "Supply" || w.from === "Supply" ? "" : ", in series"}
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}
