import { toast } from "sonner";
import { emptySpot, issuedMarks, spotOf, THING_KINDS, TRACK_PIECES, type CarDoc, type SpotDoc, type ThingDoc, type TrackDoc, type TrackPieceDoc } from "core/job"; // prettier-ignore
import { carOf, CARS, floorOf, modelCar, reachOnArc } from "core/trains";
import { feet, inches, parseNumber } from "core/units";
import type { JobState } from "~/data/jobs.server";
import { askChecker, newAsk } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import { useJobNames } from "~/job/useJobNames";
import { useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";

const PIECE: Readonly<Record<TrackPieceDoc["kind"], string>> = { straight: "straight", left: "curve to the left", right: "curve to the right" }; // prettier-ignore
const newId = (root: string): string => `${root}${crypto.randomUUID().slice(0, 6)}`;

/** Tracks with their longest car, what else is on the spot, and cars of one's own. */
export function SpotList({ open, setOpen }: { open: string | undefined; setOpen: (id: string | undefined) => void }) {
  const { doc, edit } = useJob();
  const spot = spotOf(doc);
  const change = (label: string, f: (s: SpotDoc) => void): void => void edit(label, (d) => f((d.spot ??= emptySpot())));
  const { spotDepth } = doc.brief;
  return (
    <>
      <section className="mt-5">
        <h2 className="label">Tracks</h2>
        <p className="text-[15px] text-ink-2">Where the trains run, and the longest car that comes along.</p>
        <ul>
          {spot.tracks.map((t, i) => (
            <li key={t.id} className="border-t border-hair py-2">
              <Head name={t.name} id={t.id} open={open} setOpen={setOpen} />
              {open === t.id && <Track t={t} i={i} spot={spot} change={change} />}
            </li>
          ))}
        </ul>
        <button
          className="btn mt-1"
          onClick={() => {
            const id = newId("t");
            change("Add a track", (s) => void s.tracks.push({ id, name: `Track ${s.tracks.length + 1}`, x: -Math.max(200, doc.brief.spotLength) / 2, y: -spotDepth / 2 - 25, turn: 0, rail: 0, car: "box-40", pieces: [{ kind: "straight", length: Math.max(200, doc.brief.spotLength) }] })); // prettier-ignore
            setOpen(id);
          }}
        >
          Add a track
        </button>
      </section>
      <section className="mt-5">
        <h2 className="label">What else is there</h2>
        <ul>
          {spot.things.map((t, i) => (
            <li key={t.id} className="border-t border-hair py-2">
              <Head name={`${t.name} (${t.kind})`} id={t.id} open={open} setOpen={setOpen} />
              {open === t.id && <Thing t={t} i={i} change={change} />}
            </li>
          ))}
        </ul>
        <button
          className="btn mt-1"
          onClick={() => {
            const id = newId("x");
            change("Add what is there", (s) => void s.things.push({ id, name: "Lamp", kind: "has to stay", x: 0, y: 0, turn: 0, length: 20, depth: 20, low: 0, high: 60 })); // prettier-ignore
            setOpen(id);
          }}
        >
          Add what is there
        </button>
        <OtherJob change={change} done={setOpen} />
      </section>
      <Cars own={spot.cars} change={change} />
    </>
  );
}
/** Another job's structures where they stand, as what is there: they keep clear of one another and of the trains. */
function OtherJob({ change, done }: { change: Change; done: (id: string) => void }) {
  const { id: own } = useJob();
  const names = useJobNames();
  const others = Object.entries(names).filter(([x]) => x !== own).sort(([, a], [, b]) => (a < b ? -1 : 1)); // prettier-ignore
  const bring = async (job: string): Promise<void> => {
    try {
      const t = await thingOfJob(job, newId("x"));
      change(`${t.name} stands there`, (s) => void s.things.push(t));
      done(t.id);
    } catch (e) {
      toast.error((e as Error).message);
    }
  };
  if (others.length === 0) return null;
  return (
    <div className="mt-3">
      <SelectField
        label="Another job stands there"
        value=""
        options={[{ value: "", label: "Choose a job" }, ...others.map(([value, label]) => ({ value, label }))]}
        keep={(job) => job !== "" && void bring(job)}
        hint="As its own plan has it; move it here as it stands on the layout."
      />
    </div>
  );
}
/** What stands on the plan of another job, as it is kept now. */
async function thingOfJob(job: string, id: string): Promise<ThingDoc> {
  const r = await fetch(`/jobs/${job}/state?since=-1`);
  const said = (await r.json()) as JobState & { sentence?: string };
  if (!r.ok) throw new Error(said.sentence ?? "The job could not be read.");
  const { doc, events } = said.confirmed;
  const t = await askChecker((w) => w.asThing(newAsk(doc, issuedMarks(events)), job, id));
  if (!t) throw new Error(`Nothing of “${doc.name}” has a place on its own plan: put it there first.`);
  return t;
}
function Head({
  name,
  id,
  open,
  setOpen,
}: {
  name: string;
  id: string;
  open: string | undefined;
  setOpen: (id: string | undefined) => void;
}) {
  // prettier-ignore
  return (
    <button
      className="head min-h-6 w-full text-left text-[19px]"
      aria-expanded={open === id}
      onClick={() => setOpen(open === id ? undefined : id)}
    >
      {name}
    </button>
  );
}
type Change = (label: string, f: (s: SpotDoc) => void) => void;
/** A field for a length of the model that is kept in the job. */
function useLength() {
  const { doc } = useJob();
  return (label: string, mm: number, least: number, most: number, keep: (mm: number) => void, hint?: string) => (
    <LengthField
      label={label}
      world="model"
      mm={mm}
      units={doc.brief.units}
      {...(hint ? { hint } : {})}
      keep={(x) => (x < least || x > most ? [`It may be from ${least} to ${most} mm.`] : keep(x))}
    />
  );
}
const degrees = (label: string, value: number, keep: (n: number) => void) => (
  <TextField
    label={label}
    value={String(value)}
    hint="Counter-clockwise from the right."
    keep={(t) => {
      const n = parseNumber(t, "°");
      if (!(Math.abs(n) <= 360)) return [`Read “${t}”; write degrees from -360 to 360.`];
      keep(n);
    }}
  />
);

function Track({ t, i, spot, change }: { t: TrackDoc; i: number; spot: SpotDoc; change: Change }) {
  const { doc } = useJob();
  const { M } = useUnits();
  const length = useLength();
  const set = (label: string, part: Partial<TrackDoc>): void => change(label, (s) => void Object.assign(s.tracks[i]!, part)); // prettier-ignore
  const piece = (n: number, part: Partial<TrackPieceDoc>): void => change("Change a piece of track", (s) => void Object.assign(s.tracks[i]!.pieces[n]!, part)); // prettier-ignore
  const car = modelCar(carOf(t.car, spot.cars), doc.brief.scale.ratio);
  const radii = t.pieces.flatMap((p) => (p.kind !== "straight" && p.radius ? [p.radius] : []));
  const tightest = Math.min(...radii);
  const reach = radii.length > 0 ? reachOnArc(tightest, car) : undefined;
  return (
    <div className="mt-1 space-y-2.5">
      <TextField
        label="Name"
        value={t.name}
        keep={(x) => (x.trim() ? set("Name of a track", { name: x.trim().slice(0, 80) }) : ["A track needs a name."])}
      />{" "}
      {/* prettier-ignore */}
      <SelectField
        label="Longest car on it"
        value={t.car}
        options={[...spot.cars, ...CARS].map((c) => ({ value: c.id, label: c.name }))}
        keep={(x) => set("Longest car", { car: x })}
      />
      <p className="text-[15px] text-ink-2">
        {`${M(car.width, 1)} wide, ${M(car.height, 1)} high on the model.`}
        {reach &&
          ` On ${M(tightest, 0)} radius it reaches ${M(reach.inward, 1)} from the middle of the track inward and ${M(reach.outward, 1)} outward.`}
      </p>
      <div className="grid grid-cols-2 gap-2.5">
        {length("Begins, across", t.x, -1e5, 1e5, (x) => set("Where a track begins", { x }))}
        {length("Begins, up", t.y, -1e5, 1e5, (y) => set("Where a track begins", { y }))}
        {degrees("Runs, degrees", t.turn, (turn) => set("Which way a track runs", { turn }))}
        {length("Top of rail over the spot", t.rail, -1e4, 1e4, (rail) => set("Top of rail", { rail }))}
        <TextField
          label="Grade, %"
          value={String(t.grade ?? 0)}
          hint="How much it rises from its beginning on; less falls."
          keep={(x) => {
            const grade = parseNumber(x, "%");
            if (!(Math.abs(grade) <= 20)) return [`Read “${x}”; write a grade from -20 to 20 %, such as 2.`];
            set("Grade of a track", { grade });
          }}
        />
      </div>
      {t.pieces.map((p, n) => (
        <fieldset key={n} className="border-l-2 border-hair pl-3">
          <legend className="sr-only">Piece {n + 1}</legend>
          <SelectField
            label={`Piece ${n + 1}`}
            value={p.kind}
            options={TRACK_PIECES.map((k) => ({ value: k, label: PIECE[k] }))}
            keep={(kind) => piece(n, kind === "straight" ? { kind } : { kind, radius: p.radius ?? 600 })}
          />
          <div className="mt-1 grid grid-cols-2 gap-2.5">
            {length("Long", p.length, 1, 1e5, (x) => piece(n, { length: x }))}
            {p.kind !== "straight" && length("Radius", p.radius ?? 600, 20, 1e6, (x) => piece(n, { radius: x }))}
            {p.kind !== "straight" && length("Easement at each end", p.ease ?? 0, 0, 1e5, (x) => piece(n, { ease: x }))}
          </div>
          {t.pieces.length > 1 && (
            <button
              className="link min-h-6"
              onClick={() => change("Remove a piece of track", (s) => void s.tracks[i]!.pieces.splice(n, 1))}
            >
              {" "}
              {/* prettier-ignore */}
              Remove piece {n + 1}
            </button>
          )}
        </fieldset>
      ))}
      <div className="flex flex-wrap gap-2">
        <button
          className="btn"
          onClick={() => change("Add a piece of track", (s) => void s.tracks[i]!.pieces.push({ kind: "left", length: 300, radius: 600, ease: 0 }))} // prettier-ignore
        >
          Add a piece
        </button>
        <button className="btn" onClick={() => change(`Remove ${t.name}`, (s) => void s.tracks.splice(i, 1))}>
          Remove the track
        </button>
      </div>
    </div>
  );
}

function Thing({ t, i, change }: { t: ThingDoc; i: number; change: Change }) {
  const length = useLength();
  const set = (part: Partial<ThingDoc>): void => change(`Change ${t.name}`, (s) => void Object.assign(s.things[i]!, part)); // prettier-ignore
  return (
    <div className="mt-1 space-y-2.5">
      <TextField
        label="Name"
        value={t.name}
        keep={(x) => (x.trim() ? set({ name: x.trim().slice(0, 80) }) : ["It needs a name."])}
      />{" "}
      {/* prettier-ignore */}
      <SelectField
        label="What it is"
        value={t.kind}
        options={THING_KINDS.map((k) => ({ value: k, label: k }))}
        keep={(kind) => set({ kind })}
      />
      <div className="grid grid-cols-2 gap-2.5">
        {length("Its middle, across", t.x, -1e5, 1e5, (x) => set({ x }))}
        {length("Its middle, up", t.y, -1e5, 1e5, (y) => set({ y }))}
        {!t.parts && (
          <>
            {length("Long", t.length, 0.1, 1e5, (x) => set({ length: x }))}
            {length("Deep", t.depth, 0.1, 1e5, (x) => set({ depth: x }))}
            {length("Begins over the spot", t.low, -1e4, 1e4, (x) => set({ low: x }))}
            {length("Reaches to", t.high, -1e4, 1e4, (x) => set({ high: x }))}
          </>
        )}
      </div>
      {t.job && (
        <p className="text-[15px] text-ink-2">
          The structures of another job, as they were when it was taken.{" "}
          <button
            className="link min-h-6"
            onClick={() =>
              void thingOfJob(t.job!, t.id).then(
                (now) => set({ parts: now.parts!, length: now.length, depth: now.depth, low: now.low, high: now.high }),
                (e: unknown) => toast.error((e as Error).message),
              )
            }
          >
            Look again
          </button>
        </p>
      )}
      {degrees("Turned, degrees", t.turn, (turn) => set({ turn }))}
      <button className="btn" onClick={() => change(`Remove ${t.name}`, (s) => void s.things.splice(i, 1))}>
        Remove it
      </button>
    </div>
  );
}

/** Cars of one's own, in prototype sizes. */
function Cars({ own, change }: { own: readonly CarDoc[]; change: Change }) {
  const { doc } = useJob();
  return (
    <details className="mt-5">
      <summary className="label cursor-pointer">Cars of your own</summary>
      {own.map((c, i) => {
        const set = (part: Partial<CarDoc>): void => change(`Change ${c.name}`, (s) => void Object.assign(s.cars[i]!, part)); // prettier-ignore
        const size = (
          label: string,
          k: "length" | "trucks" | "width" | "height" | "floor",
          least: number,
          most: number,
        ) => (
          <LengthField
            label={label}
            world="prototype"
            mm={k === "floor" ? floorOf(c) : c[k]}
            units={doc.brief.units}
            keep={(x) => (x < least || x > most ? ["No car is that size."] : set({ [k]: x }))}
          />
        );
        return (
          <div key={c.id} className="space-y-2 border-t border-hair py-2">
            <TextField
              label="Name of the car"
              value={c.name}
              keep={(x) => (x.trim() ? set({ name: x.trim().slice(0, 80) }) : ["A car needs a name."])}
            />{" "}
            {/* prettier-ignore */}
            <div className="grid grid-cols-2 gap-2.5">
              {size("Long over the body", "length", 500, 60_000)}
              {size("Truck centres", "trucks", 300, 60_000)}
              {size("Wide", "width", 300, 6000)}
              {size("High over the rail", "height", 500, 9000)}
              {size("Its floor over the rail", "floor", 0, 6000)}
            </div>
            <button
              className="link min-h-6"
              onClick={() => change(`Remove ${c.name}`, (s) => void s.cars.splice(i, 1))}
            >
              Remove the car
            </button>
          </div>
        );
      })}
      <button
        className="btn mt-1"
        onClick={() => change("Add a car", (s) => void s.cars.push({ id: newId("c"), name: `Car ${s.cars.length + 1}`, length: feet(60), trucks: feet(44), width: inches(120), bottom: feet(2), height: inches(174) }))} // prettier-ignore
      >
        Add a car
      </button>
    </details>
  );
}
