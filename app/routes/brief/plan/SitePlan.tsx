import { useMemo, useState } from "react";
import { spotOf } from "core/job";
import { clearances, planPoint } from "core/site";
import { centreLine, thingOutline } from "core/trains";
import { Board } from "~/board/Board";
import { Halo } from "~/board/Halo";
import { useJob } from "~/job/JobContext";
import { Figure, useUnits } from "~/job/units";
import { Findings } from "~/ui/Findings";
import { SidePanel } from "~/ui/SidePanel";
import { Tabs } from "~/ui/Tabs";
import { Footprint } from "./Footprint";
import { nameAt } from "./nameAt";
import { PlaceHandles } from "./PlaceHandles";
import { PlaceList } from "./PlaceList";
import { SpotHandles } from "./SpotHandles";
import { SpotList } from "./SpotList";
import { PhotoBoard, PhotoFields, useSpotPhoto } from "./SpotPhoto";
import { CutFields, SectionBoard } from "./SpotSection";
import { cornersOf, SpotPictureFields, SpotPictureLayer, useSpotPicture } from "./SpotPicture";
import { TrackDrawing } from "./TrackDrawing";
import { usePlaces } from "./usePlaces";

/** What the plan is fitted to while nothing is on it and the spot has no size, model mm. */
const EMPTY = { min: [-150, -90], max: [150, 90] } as const;
const PADDING = [60, 70, 60, 90] as const;
/** Clear distances longer than this are not drawn, model mm. */
const FAR = 400;

const LOOKS = { plan: "From above", section: "In section", photo: "On a photograph" } as const;

/** The spot from above with the structures of the job as they stand on it. */
export default function SitePlan() {
  const { doc } = useJob();
  const { M } = useUnits();
  const places = usePlaces();
  const picture = useSpotPicture();
  const [moves, setMoves] = useState(false);
  const { placed, edges } = places;
  const [pickedId, pick] = useState<string>();
  const [look, setLook] = useState<keyof typeof LOOKS>("plan");
  const photo = useSpotPhoto(look === "photo");
  const picked = placed.find((p) => p.id === pickedId);
  const { spotLength, spotDepth } = doc.brief;
  const onSpot = edges.length > 0;
  const kept = doc.structures.map((s) => JSON.stringify(s.place ?? 0)).join();
  const bounds = useMemo(() => {
    const all = placed.flatMap((p) => p.facts.silhouette.flat().map((c) => planPoint(p.place, c)));
    for (const t of spotOf(doc).tracks) {
      const line = centreLine(t);
      for (let i = 0; i <= 8; i++) all.push(line.at((line.length * i) / 8).at);
    }
    all.push(...spotOf(doc).things.flatMap(thingOutline));
    if (picture) all.push(...cornersOf(picture));
    if (onSpot) all.push([-spotLength / 2, -spotDepth / 2], [spotLength / 2, spotDepth / 2]);
    if (all.length === 0) return EMPTY;
    const end = (f: (...n: number[]) => number, k: 0 | 1): number => f(...all.map((p) => p[k]));
    return { min: [end(Math.min, 0), end(Math.min, 1)], max: [end(Math.max, 0), end(Math.max, 1)] } as const;
    // while one is dragged the plan stays as it lies
  }, [kept, places.known, onSpot, spotLength, spotDepth, doc.spot]);
  const clear = useMemo(() => {
    if (!picked) return [];
    const others = [...placed.filter((p) => p.id !== picked.id).map((p) => p.walls), ...edges.map((e) => [e])];
    return clearances(picked.walls, others).filter((c) => c.gap < FAR);
  }, [picked, placed, edges]);
  const off = doc.structures.filter((s) => !s.place).length;

  return (
    <div className="stage flex h-full min-h-0">
      <div className="stage-main relative flex min-w-0 flex-1 flex-col">
        <div className="px-7 pt-2">
          <Tabs tabs={LOOKS} now={look} choose={setLook} />
        </div>
        <div className="relative mt-2 flex min-h-0 flex-1 border-t border-hair">
          {look === "section" ? (
            <SectionBoard />
          ) : look === "photo" ? (
            <PhotoBoard p={photo} />
          ) : (
            <Board
              label="Plan of the spot"
              bounds={bounds}
              padding={PADDING}
              fitKey={`${picture?.drawing.id} ${picture?.under.of} ${places.known} ${spotOf(doc).tracks.length} ${spotOf(doc).things.length} ${spotLength} ${spotDepth} ${placed.map((p) => p.id).join()}`}
              unitMm={1}
              onPoint={(_, ids) => pick(ids[0])}
              furniture={
                <p className="pointer-events-none absolute right-5 bottom-3.5 flex border-[1.5px] border-ink bg-film text-[15px]">
                  <span className="head border-r-[1.5px] border-ink px-2.5 py-0.5">Plan of the spot</span>
                  <span className="head px-2.5 py-0.5">
                    {onSpot ? <Figure>{`${M(spotLength, 0)} × ${M(spotDepth, 0)}`}</Figure> : "no size noted yet"}
                    {` · ${placed.length} of ${placed.length + off} placed`}
                  </span>
                </p>
              }
              overlay={(v) =>
                picked ? (
                  <PlaceHandles p={picked} view={v} places={places} />
                ) : (
                  <SpotHandles view={v} picked={pickedId} />
                )
              }
            >
              {(v) => (
                <>
                  <rect width={v.width} height={v.height} fill="transparent" />
                  {picture && <SpotPictureLayer p={picture} view={v} moves={moves} />}
                  {onSpot && (
                    <rect
                      x={v.X(-spotLength / 2)}
                      y={v.Y(spotDepth / 2)}
                      width={spotLength * v.k}
                      height={spotDepth * v.k}
                      fill={picture ? "none" : "var(--shade)"}
                      stroke="var(--ink-2)"
                      strokeWidth={1.4}
                      strokeDasharray="14 4 3 4"
                    />
                  )}
                  <TrackDrawing view={v} picked={pickedId} />
                  {[...placed]
                    .sort((a, b) => a.place.z + a.facts.high - b.place.z - b.facts.high || a.id.localeCompare(b.id))
                    .map((p) => (
                      <Footprint key={p.id} p={p} view={v} places={places} picked={p.id === picked?.id} />
                    ))}
                  {clear.map((c, i) => {
                    const [a, b] = [c.from, c.to].map((q) => [v.X(q[0]), v.Y(q[1])] as const) as [
                      readonly [number, number],
                      readonly [number, number],
                    ];
                    const words = M(c.gap, 1);
                    const wide = words.length * 8 + 10;
                    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
                    // a figure wider than its line stands beside it
                    const aside = long < wide + 8 && Math.abs(b[0] - a[0]) > Math.abs(b[1] - a[1]) ? 16 : 0;
                    const [x, y] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2 - aside];
                    return (
                      <g key={i} style={{ pointerEvents: "none" }}>
                        <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="var(--vermilion)" strokeWidth={1.4} />
                        <rect x={x - wide / 2} y={y - 11} width={wide} height={22} fill="var(--film)" />
                        <text
                          x={x}
                          y={y + 5}
                          textAnchor="middle"
                          fontSize={15}
                          fontFamily="var(--font-label)"
                          fill="var(--ink)"
                        >
                          {words}
                        </text>
                      </g>
                    );
                  })}
                  {placed
                    .filter((p) => p.id !== picked?.id)
                    .map((p) => {
                      const [x, y] = nameAt(p, v, p.name.length * 9);
                      return <Halo key={p.id} x={x} y={y + 6} words={p.name} size={18} bold rim="var(--timber)" />;
                    })}
                </>
              )}
            </Board>
          )}
          {look === "plan" && (placed.length === 0 || places.fault) && (
            <p className="pointer-events-none absolute inset-x-0 top-16 text-center text-[17px] text-ink-2">
              {places.fault
                ? `The plan could not be drawn: ${places.fault}`
                : !places.known
                  ? "Drawing the plan …"
                  : doc.structures.length === 0
                    ? "Nothing is framed yet."
                    : "Press “Put it on the plan” at the right to place a structure."}
            </p>
          )}
        </div>
      </div>
      <SidePanel label="Places">
        {look === "section" && <CutFields />}
        {look === "photo" && <PhotoFields p={photo} />}
        <section>
          <h2 className="label">On the plan</h2>
          <p className="mb-2 text-[15px] text-ink-2">
            Press a structure, then drag its handles. Walls that come near others touch them; hold Alt to go freely.
          </p>
          <PlaceList places={places} picked={picked?.id} pick={pick} />
        </section>
        <SpotList open={pickedId} setOpen={pick} />
        <SpotPictureFields moves={moves} setMoves={setMoves} />
        <Findings only={(f) => /:(clash|slit|blocked|spot|train)(:|$)/.test(f.key)} />
      </SidePanel>
    </div>
  );
}
