import type { Design } from "../job";
import { offLevels } from "../spot";
import { rooms, type Room } from "../trains";
import { model, printMm } from "../units";
import type { Finding } from "./findings";
import { moveWords, outward } from "./moveWords";

/** Room that is told as tight, prototype mm: a foot. Common practice: what is nearer catches steps, doors and a hand. */
const TIGHT = 304.8;
const mm = (x: number, decimals = 1): string => printMm(model(x), decimals);
/** Where the longest car of a track goes into what stands on the spot, or passes it nearer than a foot. */
export function trainFindings(d: Design): Finding[] {
  const tight = TIGHT / d.doc.brief.scale.ratio;
  // a road that does not meet the rail is told as that: nobody moves it out of the way of its own crossing
  const crossings = new Set(
    offLevels(d)
      .filter((o) => o.what === "road off the rail")
      .map((o) => `${o.thing.id} ${o.track.id}`),
  );
  return rooms(d).flatMap((r: Room): Finding[] => {
    if (crossings.has(`${r.what.id} ${r.track.id}`)) return [];
    const key = `${r.what.id}:train:${r.track.id}`;
    const where = `${mm(Math.max(0, r.station), 0)} from the first end of ${r.track.name}`;
    const of = r.what.kind === "structure" ? `the ${r.part} of ${r.what.name}` : r.what.name;
    const structure = r.what.kind === "structure" ? { structure: r.what.id } : {};
    if (r.lower) {
      const by = mm(outward(r.lower.by));
      const at = r.what.kind === "structure" ? `the ${r.lower.part} of ${r.what.name}` : r.what.name;
      return [{ key, level: "fault", text: `The longest car on ${r.track.name} is ${by} too high for ${at}, ${where}. Lower the rail by that, or raise what is over it.`, sticks: [], ...structure }]; // prettier-ignore
    }
    if (r.room < -0.005 && r.move) {
      const cure = r.what.kind === "structure" ? `Move ${r.what.name} ${moveWords([outward(r.move[0]), outward(r.move[1])])}, or the track the other way.` : `Move the track by ${mm(Math.hypot(...r.move))}, or take a shorter car.`; // prettier-ignore
      return [{ key, level: "fault", text: `The longest car on ${r.track.name} goes into ${of} by ${mm(-r.room)}, ${where}. ${cure}`, sticks: [], ...structure, ...(r.what.kind === "structure" ? { remedy: { label: "Move it clear", do: "move" as const, by: [outward(r.move[0]), outward(r.move[1])] as const } } : {}) }]; // prettier-ignore
    }
    if (r.room < tight) return [{ key, level: "warning", text: `The longest car on ${r.track.name} passes ${of} with ${mm(Math.max(0, r.room))} to spare, ${where}; a foot of the prototype is ${mm(tight)}.`, sticks: [], ...structure }]; // prettier-ignore
    return [];
  });
}
