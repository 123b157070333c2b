import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { findings } from "../checks";
import { clipAll, planeAt, volumeOf } from "../geometry";
import { jigSheets } from "../jigs";
import { designOf, readJobText, rescaled, type JobDoc, type TrackDoc } from "../job";
import { rooms } from "../trains";
import { feet, inches, scaleOf } from "../units";
import { at, job, thing } from "./randomSpots.fixture";
import { apartBy, cutRing, levelsOf, offLevels, spotSection, widthOf } from ".";

const HO = 3048 / 35;
const track = (more: Partial<TrackDoc> = {}): TrackDoc => ({ id: "t", name: "Main", x: -300, y: -60, turn: 0, rail: 0, car: "coach-60", pieces: [{ kind: "straight", length: 600 }], ...more }); // prettier-ignore
const AREA = (r: readonly (readonly [number, number])[]): number => Math.abs(r.reduce((n, p, i) => { const q = r[(i + 1) % r.length]!; return n + (p[0] * q[1] - q[0] * p[1]) / 2; }, 0)); // prettier-ignore

describe("the spot in section", () => {
  const doc = job([300, 200], at(0, 0), { tracks: [track()], things: [thing({ id: "p", name: "Platform", kind: "platform", x: 0, y: -34, length: 200, depth: 12, low: 0, high: 9 })] }); // prettier-ignore
  it("has tracks, cars and things where a ruler finds them", () => {
    const s = spotSection(designOf(doc), { along: "depth", at: 20 });
    expect(s.edges).toEqual([-100, 100]);
    const [t] = s.tracks;
    expect(s.tracks).toHaveLength(1);
    expect(t!.at).toBeCloseTo(-60, 6);
    // a coach is 10 ft wide, 14 ft 6 in high, its body begins 2 ft over the rail, its floor lies at 4 ft
    expect(t!.car.from).toBeCloseTo(-60 - feet(5) / HO, 4);
    expect(t!.car.to).toBeCloseTo(-60 + feet(5) / HO, 4);
    expect([t!.car.low, t!.car.high]).toEqual([expect.closeTo(feet(2) / HO, 6), expect.closeTo(inches(174) / HO, 6)]);
    expect(t!.floor).toBeCloseTo(feet(4) / HO, 6);
    expect(s.things).toEqual([{ id: "p", name: "Platform", kind: "platform", box: { from: -40, to: -28, low: 0, high: 9 } }]); // prettier-ignore
    // along it, seen from the front, the cut at 20 to the back meets neither track nor platform
    const l = spotSection(designOf(doc), { along: "length", at: 20 });
    expect([l.edges, l.tracks, l.things]).toEqual([[-150, 150], [], []]);
    expect(widthOf(s)[0]).toBeLessThanOrEqual(-100);
  });
  it("cuts the shed's two walls of studs, each as high as it is, and shows all of it behind", () => {
    const d = designOf(doc);
    const s = spotSection(d, { along: "depth", at: 0.3 });
    const [shed] = s.structures;
    const zs = shed!.seen.flat().map((p) => p[1]);
    const ys = shed!.seen.flat().map((p) => p[0]);
    const all = d.structures[0]!.resolved.sticks.flatMap((k) => k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners))); // prettier-ignore
    expect([Math.min(...zs), Math.max(...zs)]).toEqual([expect.closeTo(Math.min(...all.map((c) => c[2])), 4), expect.closeTo(Math.max(...all.map((c) => c[2])), 4)]); // prettier-ignore
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(feet(16) / HO, 3);
    // wood that is cut is where its sticks are: its area is that of the sticks a plane meets, each cut by itself at both sides of it
    const near = (x: number): number => spotSection(d, { along: "depth", at: x }).structures[0]!.wood.reduce((n, r) => n + AREA(r), 0); // prettier-ignore
    expect(near(0.3)).toBeGreaterThan(1);
    // plates run through: a slice as thick as a hair has the volume of its area
    const volume = (a: number, b: number): number => { let v = 0; const n = 350; for (let i = 0; i < n; i++) v += (near(a + ((i + 0.5) * (b - a)) / n) * (b - a)) / n; return v; }; // prettier-ignore
    const between = [planeAt([-7, 0, 0], [-1, 0, 0]), planeAt([7, 0, 0], [1, 0, 0])].map((p) => ({ ...p, tag: "cut" }));
    const solid = d.structures[0]!.resolved.sticks.reduce((n, k) => n + k.parts.reduce((m, p) => { const c = clipAll(p, between); return m + (c ? volumeOf(c) : 0); }, 0), 0); // prettier-ignore
    expect(Math.abs(volume(-7, 7) / solid - 1)).toBeLessThan(0.01);
  });
  it("on a grade has the rail as high as it is there, and the car's ends with it", () => {
    const graded = { ...doc, spot: { ...doc.spot!, tracks: [track({ grade: 3, rail: 5 })] } };
    const [t] = spotSection(designOf(graded), { along: "depth", at: 0 }).tracks;
    // 300 mm from its beginning: 9 mm higher
    expect(t!.rail).toBeCloseTo(14, 6);
    expect(t!.car.high).toBeGreaterThan(14 + inches(174) / HO);
    expect(t!.car.low).toBeLessThan(14 + feet(2) / HO);
  });
  it("of a ring is where the line goes through it, mirrored for the other way", () => {
    expect(cutRing([[0, 0], [10, 0], [10, 4], [0, 4]], { along: "depth", at: 5 })).toEqual([0, 4]); // prettier-ignore
    expect(cutRing([[0, 0], [10, 0], [10, 4], [0, 4]], { along: "length", at: 1 })).toEqual([0, 10]); // prettier-ignore
    expect(cutRing([[0, 0], [10, 0], [5, 10]], { along: "length", at: 5 })).toEqual([2.5, 7.5]); // prettier-ignore
    expect(
      cutRing(
        [
          [0, 0],
          [10, 0],
          [10, 4],
          [0, 4],
        ],
        { along: "depth", at: 11 },
      ),
    ).toBeUndefined();
  });
  it("tells levels once where two agree, and their words keep apart", () => {
    const levels = levelsOf(spotSection(designOf(doc), { along: "depth", at: 0 }));
    expect(levels.find((l) => l.names.includes("rail, Main"))!.z).toBe(0);
    expect(levels.map((l) => l.z)).toEqual([...levels.map((l) => l.z)].sort((a, b) => a - b));
    expect(apartBy([{ z: 0 }, { z: 1 }, { z: 20 }], 5).map((l) => l.y)).toEqual([0, 5, 20]);
  });
  it("is printed at full size where the job has a cut, and not where it has none", () => {
    const title = (d: JobDoc): string[] => jigSheets(designOf(d), "2026-11-28").map((s) => s.words.title);
    expect(title(doc)).not.toContain("Section of the spot");
    expect(title({ ...doc, spot: { ...doc.spot!, cut: { along: "depth", at: 0 } } })).toContain("Section of the spot");
  });
});
describe("levels", () => {
  const at9 = (kind: "platform" | "road", high: number, more = {}) => job([0, 0], undefined, { tracks: [track()], things: [thing({ id: "p", name: "Dock", kind, x: 0, y: kind === "road" ? -60 : -34, length: kind === "road" ? 30 : 200, depth: kind === "road" ? 90 : 12, low: 0, high, ...more })] }); // prettier-ignore
  const told = (d: JobDoc) => offLevels(designOf(d)).map((o) => [o.what, Number(o.by.toFixed(3)), Number(o.would.toFixed(3))]); // prettier-ignore
  it("of a platform may be up to the car floor, 4 ft in HO: 14.0 mm", () => {
    expect(told(at9("platform", 14))).toEqual([]);
    expect(told(at9("platform", 9))).toEqual([]);
    expect(told(at9("platform", 18))).toEqual([["platform over the car floor", 4, 14]]);
    const [f] = findings(designOf(at9("platform", 18))).filter((x) => x.key === "p:spot:level:t");
    expect(f!.text).toBe("Dock is 4.0 mm higher than the floor of the cars on Main: what is rolled out of their doors meets its edge. At 14.0 mm over the spot it would be level with them."); // prettier-ignore
    // one far from the track, and a roof over the cars, are nobody's platform
    expect(told(at9("platform", 18, { y: 60 }))).toEqual([]);
    expect(told(at9("platform", 80, { low: 70 }))).toEqual([]);
  });
  it("of a road meets the rail where it crosses it, unless it passes over or under", () => {
    expect(told(at9("road", 0))).toEqual([]);
    expect(told(at9("road", 3))).toEqual([["road off the rail", 3, 0]]);
    expect(told(at9("road", 90, { low: 80 }))).toEqual([]);
    expect(told(at9("road", -60, { low: -70 }))).toEqual([]);
    expect(told(at9("road", 3, { y: 60 }))).toEqual([]);
    // one that lies wholly over the rail, but in the way of the cars, is off it, and told as that alone
    expect(told(at9("road", 20, { low: 12 }))).toEqual([["road off the rail", 20, 0]]);
    const keys = findings(designOf(at9("road", 20, { low: 12 }))).map((f) => f.key);
    expect(keys.filter((k) => k.startsWith("p:"))).toEqual(["p:spot:level:t"]);
  });
});

describe("a track on a grade", () => {
  it("clears at its high end what it hits at its low one, and grows with its lengths alone in another scale", () => {
    const bar = thing({ id: "b", name: "Pipe", x: 200, y: -60, length: 4, depth: 60, low: 62, high: 70 });
    const doc = job([0, 0], undefined, { tracks: [track()], things: [bar] });
    expect(rooms(designOf(doc))).toEqual([]);
    const up: JobDoc = { ...doc, spot: { ...doc.spot!, tracks: [track({ grade: 4 })] } };
    const [r] = rooms(designOf(up));
    expect(r!.room).toBeLessThan(0);
    const left = { ...up, spot: { ...up.spot!, things: [{ ...bar, x: -280 }] } };
    expect(rooms(designOf(left)).filter((x) => x.room < 0)).toEqual([]);
    const o = rescaled(up, scaleOf("O")).doc.spot!.tracks[0]!;
    expect([o.grade, o.pieces[0]!.length]).toEqual([4, expect.closeTo(600 * (HO / 48), 6)]);
  });
});

describe("the lift-out span", () => {
  const doc = readJobText(readFileSync("examples/howe-truss.json", "utf8")).doc;
  it("stands on its shelves, lets the longest coach through, and keeps the way below it free", () => {
    const d = designOf(doc);
    const own = findings(d).filter((f) => /:(spot|train)(:|$)/.test(f.key));
    expect(own.filter((f) => f.level === "fault")).toEqual([]);
    // lower by 6 mm it stands in the shelves; a car of plate F on its curve does not pass the trusses
    const lower = { ...doc, structures: [{ ...doc.structures[0]!, place: { ...doc.structures[0]!.place!, z: -13 } }] };
    expect(findings(designOf(lower)).map((f) => f.key)).toContain("bridge:spot:in:left");
    const high = { ...doc, spot: { ...doc.spot!, cars: [{ id: "high", name: "High car", length: feet(40), trucks: feet(30), width: feet(10), bottom: feet(2), height: feet(21) }], tracks: [{ ...doc.spot!.tracks[0]!, car: "high" }] } }; // prettier-ignore
    const hit = findings(designOf(high)).filter((f) => f.key === "bridge:train:main");
    expect(hit[0]).toMatchObject({ level: "fault" });
    // 21 ft over the rail are 73.5 mm; the lowest of what is over the track, its knee braces, begins nearer to the trusses than the car is wide
    expect(hit[0]!.text).toMatch(
      /^The longest car on Main is \d\.\d mm too high for the (overhead strut|lateral brace|knee brace) of Bridge over the Notch river, .*Lower the rail by that/,
    );
    const low = {
      ...high,
      spot: {
        ...high.spot,
        tracks: [{ ...high.spot.tracks[0]!, rail: -Number(/is (\d\.\d) mm/.exec(hit[0]!.text)![1]) }],
      },
    };
    expect(findings(designOf(low)).filter((f) => f.key === "bridge:train:main" && f.level === "fault")).toEqual([]);
  });
});
