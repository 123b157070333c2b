import { useState } from "react";
import { useJob } from "~/job/JobContext";
import { Next } from "~/ui/Next";
import { Tabs } from "~/ui/Tabs";
import { Evenings } from "./Evenings";
import { Finish } from "./Finish";
import { Glues } from "./Glues";
import { Lights } from "./Lights";
import { Log } from "./Log";
import { Mistakes } from "./Mistakes";
import { Pieces } from "./Pieces";
import { Steps } from "./Steps";
import { useBench, useJoinings, useWay } from "./useBench";

const TABS = {
  steps: "Steps",
  finish: "Finish",
  evenings: "Evenings",
  pieces: "Pieces",
  lights: "Lights",
  log: "Log",
  glues: "Glues",
} as const;

/** What next, how long to wait, and what really happened: read at arm's length. */
export default function Bench() {
  const { id, doc, issues } = useJob();
  const [tab, setTab] = useState<keyof typeof TABS>(() => (doc.structures.length > 0 ? "steps" : "log"));
  const [way, setWay] = useWay(id);
  const order = useBench(way);
  const [joinings, setJoinings] = useJoinings();
  const [large, setLarge] = useState(false);
  const trestle = doc.structures.some((s) => s.kind === "trestle");
  return (
    <div className={`flex h-full flex-col text-[18px] ${large ? "fixed inset-0 z-40 bg-film" : ""}`}>
      {!large && (
        <div className="flex flex-wrap items-center gap-4 px-7 pt-3">
          <Tabs tabs={TABS} now={tab} choose={setTab} />
          {tab === "steps" && trestle && (
            <label className="ml-auto flex items-center gap-2 text-[15px]">
              Built
              <select
                className="field !w-44"
                value={way}
                onChange={(e) => setWay(e.target.value === "down" ? "down" : "up")}
              >
                <option value="up">standing, from the ground</option>
                <option value="down">upside down, from the deck</option>
              </select>
            </label>
          )}
        </div>
      )}
      {tab === "steps" ? (
        <>
          {!large && (
            <Mistakes all={order.mistakes.filter((m) => m.level !== "remark" || m.key.includes(":by-hand:"))} />
          )}
          {order.gone.map((i) => (
            <p key={i.id} className="mx-7 mt-2 border-l-[3px] border-ochre bg-shade px-4 py-1.5 text-[16px]">
              “{i.bench?.title}” was done, and is no step any more: the design went on. It stays in the log.
            </p>
          ))}
          {order.steps.length > 0 ? (
            <Steps order={order} joinings={joinings} large={large} setLarge={setLarge} />
          ) : (
            <div className="max-w-2xl flex-1 p-8">
              <p className="mb-4">
                {order.fault
                  ? `The order could not be made: ${order.fault}`
                  : order.known
                    ? "There is nothing to put together yet. Frame a structure first."
                    : "The order of assembly is being made …"}
              </p>
              <Next />
            </div>
          )}
        </>
      ) : (
        <div className="min-h-0 flex-1 overflow-auto px-7 py-4">
          {tab === "finish" ? (
            <Finish order={order} />
          ) : tab === "evenings" ? (
            <Evenings order={order} joinings={joinings} />
          ) : tab === "pieces" ? (
            <Pieces order={order} />
          ) : tab === "lights" ? (
            <Lights />
          ) : tab === "log" ? (
            <Log />
          ) : (
            <Glues all={joinings} changed={setJoinings} />
          )}
        </div>
      )}
      {!large && (
        <p className="flex flex-wrap items-center gap-x-6 border-t border-hair px-7 py-2 text-[15px] text-ink-2">
          <span className="min-w-0 flex-1">
            {doc.stock.series.includes("styrene")
              ? "Solvent cement and paint only with fresh air. "
              : "CA and spray paint only with fresh air. "}
            Cut away from the hand; a new blade is safer than a blunt one; wear eye protection at saws and when sticks
            snap.
          </span>
          <span>
            {issues.length} {issues.length === 1 ? "entry" : "entries"} in the log
          </span>
        </p>
      )}
    </div>
  );
}
