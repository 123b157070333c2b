import { useState } from "react";
import { parseNumber, tellIn } from "core/units";
import { Link } from "react-router";
import { placeOf } from "core/site";
import { LengthField, TextField } from "~/ui/Fields";
import { askLooker } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import { standsAt, tidyTurn, type Places } from "./usePlaces";

/** The structures of the job: those on the plan with where they stand, the others with a way onto it. */
export function PlaceList({
  places,
  picked,
  pick,
}: {
  places: Places;
  picked: string | undefined;
  pick: (id: string | undefined) => void;
}) {
  const { id: job, doc, ask } = useJob();
  const [said, setSaid] = useState<{ readonly id: string; readonly words: string }>();
  const findPlace = async (id: string, name: string): Promise<void> => {
    setSaid({ id, words: "Trying places …" });
    try {
      const r = await askLooker((w) => w.fit(ask, id));
      if (r.place) places.keep(id, r.place, `Find a place for ${name}`);
      setSaid({ id, words: r.said });
      if (r.place) pick(id);
    } catch (e) {
      setSaid({ id, words: `No place could be looked for: ${(e as Error).message}` });
    }
  };
  const { units } = doc.brief;
  if (doc.structures.length === 0)
    return (
      <p>
        Nothing is framed yet.{" "}
        <Link className="link" to={`/jobs/${job}/framing`}>
          Frame a structure
        </Link>
        , then place it here.
      </p>
    );
  return (
    <ul className="space-y-3">
      {doc.structures.map((s) => {
        const p = places.placed.find((x) => x.id === s.id);
        const at = p && standsAt(p);
        const change = (part: Partial<typeof at & { turn: number }>): void => {
          if (!p || !at) return;
          const to = { ...at, turn: p.place.turn, ...part };
          places.keep(s.id, placeOf(p.facts, [to.x, to.y], to.over, to.turn), `Move ${s.name}`);
        };
        const length = (label: string, key: "x" | "y" | "over", most: number, hint: string) => (
          <LengthField
            label={label}
            world="model"
            mm={at![key]}
            units={units}
            hint={hint}
            keep={(mm) => (Math.abs(mm) > most ? [`Write a length up to ${most / 1000} m.`] : change({ [key]: mm }))}
          />
        );
        return (
          <li key={s.id} className="border-t border-hair pt-2">
            <div className="flex items-baseline justify-between gap-2">
              {s.place ? (
                <button
                  className="head min-h-6 text-left text-[19px]"
                  aria-expanded={picked === s.id}
                  onClick={() => pick(picked === s.id ? undefined : s.id)}
                >
                  {s.name}
                </button>
              ) : (
                <span className="head text-[19px] text-ink-2">{s.name}</span>
              )}
              {!s.place && (
                <button
                  className="btn shrink-0"
                  disabled={!places.known}
                  onClick={() => {
                    places.put(s.id, s.name);
                    pick(s.id);
                  }}
                >
                  Put it on the plan
                </button>
              )}
            </div>
            {said?.id === s.id && (
              <p className="my-1 border-l-[3px] border-edge pl-3 text-[15px]" role="status">
                {tellIn(said.words, units)}
              </p>
            )}
            {p && picked === s.id && (
              <div className="mt-1 space-y-2.5">
                {length("Its middle, across", "x", 1e5, "From the middle of the spot, to the right.")}
                {length("Its middle, up", "y", 1e5, "From the middle of the spot, to the back.")}
                {length("Its foot over the spot", "over", 1e4, "0 stands on it; more is on a platform, a roof.")}
                <TextField
                  label="Turned, degrees"
                  value={String(tidyTurn(p.place.turn))}
                  hint="Counter-clockwise, seen from above."
                  keep={(t) => {
                    const n = parseNumber(t, "°");
                    if (!Number.isFinite(n)) return [`Read “${t}”; write degrees, such as 22.5.`];
                    change({ turn: n });
                  }}
                />
                <div className="flex flex-wrap gap-2">
                  <button className="btn" onClick={() => void findPlace(s.id, s.name)}>
                    Find it a place
                  </button>
                  <button className="btn" onClick={() => change({ turn: p.place.turn + 90 })}>
                    A quarter round
                  </button>
                  <button
                    className="btn"
                    onClick={() => {
                      pick(undefined);
                      places.keep(s.id, undefined, `Take ${s.name} off the plan`);
                    }}
                  >
                    Take it off
                  </button>
                </div>
              </div>
            )}
          </li>
        );
      })}
    </ul>
  );
}
