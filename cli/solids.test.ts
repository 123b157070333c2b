import { beforeAll, describe, expect, it } from "vitest";
import { loadWelder, type Welder } from "../core/drawing/welded";
import { designOf, emptyJob, newStructure } from "../core/job";
import { feet } from "../core/units";
import { pieceSolids, wholeSolids } from "./solids";

let welder: Welder;
beforeAll(async () => void (welder = await loadWelder()));
const chimney = (at: number, corbels: number) => ({ at: feet(at), in: feet(8), width: feet(2), depth: feet(2), high: feet(5), corbels }); // prettier-ignore
const house = (...chimneys: object[]) => designOf({ ...emptyJob("J"), structures: [newStructure("sheet", "s", "House", { chimneys })] }); // prettier-ignore
const names = (d: ReturnType<typeof house>, ...marks: string[]) =>
  wholeSolids(d, welder, marks).files.map((f) => f.name);

describe("wholes as solids", () => {
  it("that are alike are written once", () => {
    expect(names(house(chimney(6, 2)), "CH1")).toEqual(["CH1.stl"]);
    expect(names(house(chimney(6, 2), chimney(18, 2)), "CH1")).toEqual(["CH1.stl"]);
  });
  it("that share a mark and differ otherwise are all there, none silently left out", () => {
    // sides alike, one chimney with a corbel more
    const d = house(chimney(6, 2), chimney(18, 3));
    expect(d.pieces.find((p) => p.mark === "CH1")!.sticks).toHaveLength(8);
    const { files, left } = wholeSolids(d, welder, ["CH1"]);
    expect(files.map((f) => f.name)).toEqual(["CH1.stl", "CH1-2.stl"]);
    expect(left).toEqual([]);
    const triangles = files.map((f) => new DataView(f.bytes.buffer).getUint32(80, true));
    expect(triangles[1]).toBeGreaterThan(triangles[0]!);
  });
});
it("pieces as solids are one a mark, and what is bent is left", () => {
  const d = designOf({ ...emptyJob("J"), structures: [newStructure("tubes", "s", "Tank", { tubes: 1, hoops: 2 })] });
  const { files, left } = pieceSolids(d);
  expect(files.length + left.length).toBe(d.pieces.length);
  expect(left).toEqual(d.pieces.filter((p) => p.role === "hoop").map((p) => p.mark));
});
