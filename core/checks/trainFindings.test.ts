import { describe, expect, it } from "vitest";
import { designOf, emptyJob, newStructure, type JobDoc, type TrackDoc } from "../job";
import { feet } from "../units";
import { findings } from "./findings";

const track: TrackDoc = { id: "t1", name: "Main", x: -300, y: 0, turn: 0, rail: 0, car: "coach-85", pieces: [{ kind: "straight", length: 600 }] }; // prettier-ignore
const spot = (y: number, t: TrackDoc = track): JobDoc => ({
  ...emptyJob("Spot"),
  structures: [{ ...newStructure("building", "h", "Freight house", { length: feet(40), width: feet(20), roof: "flat" }), place: { x: 0, y, z: 0, turn: 0 } }], // prettier-ignore
  spot: { tracks: [t], things: [], cars: [] },
});
const trains = (doc: JobDoc) => findings(designOf(doc)).filter((f) => f.key.includes(":train:"));

describe("what the trains touch", () => {
  it("is a fault with the figure, the place, and a move that cures it when it is pressed", () => {
    const doc = spot(50);
    const [f] = trains(doc);
    expect(f!.level).toBe("fault");
    expect(f!.text).toMatch(/^The longest car on Main goes into the .+ of Freight house by \d+\.\d mm, \d+ mm from the first end of Main\. Move Freight house \d+\.\d mm to the back, or the track the other way\.$/); // prettier-ignore
    if (f!.remedy?.do !== "move") throw new Error("no move");
    const [x, y] = f!.remedy.by;
    const s = doc.structures[0]!;
    const cured = { ...doc, structures: [{ ...s, place: { ...s.place!, x: s.place!.x + x, y: s.place!.y + y } }] };
    expect(trains(cured).filter((g) => g.level === "fault")).toEqual([]);
  });
  it("is a warning nearer than a foot, and nothing beyond", () => {
    // the move that only just cures leaves less than a foot, 3.5 mm in HO
    const at = 50 + (trains(spot(50))[0]!.remedy as unknown as { by: [number, number] }).by[1];
    expect(trains(spot(at + 1))[0]).toMatchObject({ level: "warning", key: "h:train:t1" });
    expect(trains(spot(at + 1))[0]!.text).toMatch(/with 1\.\d mm to spare, .*; a foot of the prototype is 3\.5 mm\.$/);
    expect(trains(spot(at + 4))).toEqual([]);
    expect(trains({ ...spot(50), spot: { tracks: [], things: [], cars: [] } })).toEqual([]);
  });
});
