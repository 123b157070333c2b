import { describe, expect, it } from "vitest";
import { feet, inches } from "../../../units";
import { newRow } from "../../newRow";
import { withValue } from "../../spec";
import { values } from "../building.fixture";
import { building } from "..";
import { buildingCheck } from "../judgement/check";
import { buildingRemarks } from "../judgement/remarks";
import type { BuildingValues } from "../parameters";

describe("what cannot be, and what is unusual", () => {
  const says = (over: Partial<BuildingValues>): string => buildingCheck(values(over)).join(" ");
  const door = {
    part: 0,
    wall: "front",
    kind: "door",
    at: feet(1),
    width: feet(3),
    height: feet(7),
    sill: feet(0),
    mount: "inside",
    lap: feet(0),
  };
  it("is said with what was read and what would do", () => {
    expect(says({ openings: [door] })).toMatch(
      /^Opening 1 in the front wall reaches from .* between the corners there is room from/,
    );
    expect(says({ openings: [{ ...door, at: feet(8), height: feet(10) }] })).toMatch(
      /under its header and the plate there is room up to/,
    );
    expect(says({ roof: "hip", length: feet(16), width: feet(15.9) })).toMatch(
      /The ridge would be only .* square for a point/,
    );
    expect(says({ roof: "gambrel", rise: 6, upperRise: 8 })).toMatch(/upper slope is the flatter one/);
    expect(says({ fascia: "board", overhang: feet(0) })).toMatch(/leaves no tail behind a fascia/);
    expect(says({ stud: "2y4" })).toMatch(/“2y4”, which is no nominal size/);
  });
  const remarks = (over: Partial<BuildingValues>): string =>
    buildingRemarks(values(over))
      .map((r) => r.text)
      .join(" ");
  it("is remarked on: low doors, thin corner posts, strips, steep stairs", () => {
    expect(remarks({ openings: [{ ...door, at: feet(8), height: feet(6) }] })).toMatch(
      /Door 1 is 6′-0″ high; people need 6′-8″/,
    );
    expect(remarks({ corner: "solid", stud: "2×6", cornerPost: "4×4" })).toMatch(
      /corner posts are 0′-4″ deep and the wall 0′-6″/,
    );
    expect(remarks({ siding: "vertical", sidingBoard: "1×8", cornerBoards: false, length: feet(20, 3) })).toMatch(
      /a good wall ends on a full board/,
    );
    // IRC R311.7.5: riser at most 7 3/4 in
    expect(
      remarks({
        stairs: [
          {
            side: "front",
            at: feet(6),
            out: feet(0),
            width: feet(4),
            level: feet(0),
            tread: inches(9),
            riser: inches(9),
            rail: true,
          },
        ],
      }),
    ).toMatch(/higher than the 7\.75 in/);
    expect(remarks({ framing: "posts", bay: feet(8), openings: [{ ...door, at: feet(12), width: feet(9) }] })).toMatch(
      /a post is left out for it/,
    );
  });
  it("a row that goes in is offered for each table", () => {
    const v = values({});
    for (const path of ["openings", "wings", "partitions", "stairs", "unseenRooms"]) {
      const row = newRow(building, v, path);
      expect(buildingCheck(withValue(v, path, [row]) as BuildingValues), path).toEqual([]);
    }
  });
});
