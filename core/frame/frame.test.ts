import { describe, expect, it } from "vitest";
import { volumeOf, type Vec3 } from "../geometry";
import { model } from "../units";
import {
  arcBreaks,
  arcRings,
  bearings,
  connectedGroups,
  emptyFrame,
  interferences,
  laminated,
  longestChord,
  pieceShape,
  piecesOf,
  resolve,
  single,
  type Frame,
  type Member,
} from ".";

const square = { kind: "square", beyond: 0 } as const;
const bar = (
  id: string,
  a: Vec3,
  b: Vec3,
  more: Partial<Member> = {},
  components = single(model(4), model(4), "x"),
): Member => ({
  id,
  structure: "t",
  assembly: "t",
  role: "bar",
  letter: "P",
  kind: "strip",
  nominal: [12, 12],
  ends: [square, square],
  body: { shape: "straight", a, b, up: [0, 0, 1], seat: ["centre", "centre"], components },
  ...more,
});
const frameOf = (members: Member[], rest: Partial<Frame> = {}): Frame => ({ ...emptyFrame, members, ...rest });

describe("kernel", () => {
  it("bends plies round a curve: the blank is R·θ long and chords stay within tolerance", () => {
    const R = 600;
    const theta = Math.PI / 6;
    const breaks = arcBreaks(0, theta, R + 4, [theta / 3]);
    expect(breaks).toContain(theta / 3);
    expect(
      Math.max(...breaks.slice(1).map((t, i) => 2 * (R + 4) * Math.sin((t - breaks[i]!) / 2))),
    ).toBeLessThanOrEqual(longestChord(R + 4) + 1e-9);
    const ply: Member = {
      ...bar("ply", [0, 0, 0], [1, 0, 0]),
      kind: "bent",
      ends: [undefined, undefined],
      body: {
        shape: "run",
        axis: [0, 0, 1],
        rings: arcRings([0, 0, 0], [0, 0, 1], [1, 0, 0], R, breaks),
        seat: ["centre", "centre"],
        components: laminated(model(4), model(8), 2, "v", "x"),
      },
    };
    const r = resolve(frameOf([ply]));
    // closed form: plies of 2 mm either side of the centre line
    expect(r.sticks.map((s) => pieceShape(s).overall)).toEqual([
      expect.closeTo((R - 1) * theta, 6),
      expect.closeTo((R + 1) * theta, 6),
    ]);
    expect(piecesOf(r.sticks)).toHaveLength(2);
    expect(interferences(r)).toEqual([]);
  });

  it("bevels a panel's edge and cuts its hole", () => {
    const t = 3;
    const beta = 26.565051177;
    const panel: Member = {
      ...bar("wall", [0, 0, 0], [1, 0, 0]),
      kind: "panel",
      ends: [undefined, undefined],
      body: {
        shape: "panel",
        origin: [0, 0, 0],
        u: [1, 0, 0],
        v: [0, 0, 1],
        outline: [
          [0, 0],
          [100, 0],
          [100, 60],
          [0, 60],
        ],
        bevel: [0, 0, beta, 0],
        thickness: model(t),
        stock: "sheet",
        holes: [
          {
            name: "window",
            outline: [
              [30, 20],
              [50, 20],
              [50, 50],
              [30, 50],
            ],
            bevel: [0, 0, 0, 0],
          },
        ],
      },
    };
    const r = resolve(frameOf([panel]));
    // closed form: the bevel takes a wedge t²·tan β / 2 along the top, the hole 20 × 30 through
    const want = 100 * 60 * t - (100 * t * t * Math.tan((beta * Math.PI) / 180)) / 2 - 20 * 30 * t;
    expect(r.sticks[0]!.parts.reduce((v, p) => v + volumeOf(p), 0)).toBeCloseTo(want, 6);
    expect(
      r.sticks[0]!.parts.flatMap((p) => p.faces)
        .filter((f) => f.tag === "e2")
        .every((f) => Math.abs(f.plane.n[2] - Math.cos((beta * Math.PI) / 180)) < 1e-9),
    ).toBe(true);
  });

  it("mitres two ends on the halving plane, and bores a hole for a rod", () => {
    const r = resolve(
      frameOf(
        [
          bar("a", [0, 0, 0], [50, 0, 0], { ends: [square, undefined] }),
          bar("b", [50, 0, 0], [50, 50, 0], { ends: [undefined, square] }),
          {
            ...bar("rod", [20, 0, -10], [20, 0, 10]),
            kind: "round",
            body: { shape: "round", a: [20, 0, -10], b: [20, 0, 10], up: [1, 0, 0], diameter: model(1), stock: "r" },
          },
        ],
        {
          joints: [
            { kind: "mitre", id: "m", a: "a", end: 1, b: "b", bEnd: 0, contact: "face" },
            { kind: "rod-in-hole", id: "h", a: "a", b: "rod", clearance: 0, contact: "face" },
          ],
        },
      ),
    );
    expect(Math.abs(pieceShape(r.byMember.get("a")![0]!).ends[1][0]!.mitre)).toBeCloseTo(45, 9);
    expect(interferences(r)).toEqual([]);
    expect(bearings(r).every((b) => b.ok)).toBe(true);
    expect(connectedGroups(r)).toHaveLength(1);
  });

  it("trims all below a node and mitres equals, short of a gusset's gap", () => {
    const members = [
      bar("chord", [0, 0, 0], [100, 0, 0]),
      bar("d1", [50, 0, 0], [20, 0, 40], { ends: [undefined, square] }),
      bar("d2", [50, 0, 0], [80, 0, 40], { ends: [undefined, square] }),
    ];
    const tiers = [
      [
        { member: "d1", end: 0 as const },
        { member: "d2", end: 0 as const },
      ],
    ];
    const r = resolve(frameOf(members, { nodes: [{ id: "n", passing: ["chord"], tiers, gap: 0 }] }));
    expect(interferences(r)).toEqual([]);
    expect(pieceShape(r.byMember.get("d1")![0]!).ends[0]).toHaveLength(2);
    const gapped = resolve(frameOf(members, { nodes: [{ id: "n", passing: ["chord"], tiers, gap: 1 }] }));
    expect(
      Math.min(...gapped.byMember.get("d1")![0]!.parts[0]!.faces.flatMap((f) => f.corners.map((c) => c[2]))),
    ).toBeCloseTo(3, 9);
  });

  it("a post cut square where it should be mitred does not bear", () => {
    const cap = bar("cap", [0, -20, 42], [0, 20, 42]);
    const leaning = (ends: Member["ends"]): Member => bar("post", [0, 0, 0], [0, 10, 40], { ends });
    const butt = resolve(
      frameOf([cap, leaning([square, undefined])], {
        joints: [{ kind: "butt", id: "j", a: "post", end: 1, b: "cap", face: "-v", contact: "face" }],
      }),
    );
    expect(bearings(butt)[0]).toMatchObject({ ok: true });
    for (const beyond of [-0.5, 0, 0.5]) {
      const r = resolve(
        frameOf([cap, leaning([square, { kind: "square", beyond }])], {
          joints: [{ kind: "bearing", id: "j", a: "post", aFace: "end1", b: "cap", bFace: "-v", contact: "face" }],
        }),
      );
      expect(bearings(r)[0]!.ok).toBe(false);
    }
  });

  it("finds sticks that stand in each other and parts that hang on nothing", () => {
    const r = resolve(
      frameOf([
        bar("a", [0, 0, 0], [50, 0, 0]),
        bar("b", [25, -20, 1], [25, 20, 1]),
        bar("c", [0, 90, 0], [50, 90, 0]),
      ]),
    );
    expect(interferences(r)).toEqual([{ a: "a", b: "b", depth: expect.closeTo(3, 9) }]);
    expect(connectedGroups(r)).toHaveLength(3);
  });

  it("lets a joint name one component of a built-up member: one ply of a post stops under the cap, the other runs past", () => {
    const plies = laminated(model(4), model(4), 2, "w", "x");
    // up is +z for the cap; the post stands, its plies side by side along y
    const cap = bar("cap", [-20, 1, 42], [20, 1, 42], {}, single(model(4), model(2), "x"));
    const post = bar(
      "post",
      [0, 0, 0],
      [0, 0, 50],
      {
        ends: [square, square],
        body: {
          shape: "straight",
          a: [0, 0, 0],
          b: [0, 0, 50],
          up: [1, 0, 0],
          seat: ["centre", "centre"],
          components: plies,
        },
      },
      plies,
    );
    const r = resolve(
      frameOf([cap, post], {
        joints: [{ kind: "butt", id: "j", a: "post#2", end: 1, b: "cap", face: "-v", contact: "face" }],
      }),
    );
    const [one, two] = r.byMember.get("post")!.map((s) => pieceShape(s).overall);
    expect([one, two]).toEqual([expect.closeTo(50, 9), expect.closeTo(40, 9)]);
    expect(bearings(r)[0]).toMatchObject({ a: "post#2", ok: true });
    expect(interferences(r)).toEqual([]);
    expect(connectedGroups(r)).toHaveLength(1);
    expect(() =>
      resolve(
        frameOf([cap, post], {
          joints: [{ kind: "butt", id: "j", a: "post#3", end: 1, b: "cap", face: "-v", contact: "face" }],
        }),
      ),
    ).toThrow('the bar "post" has no component "3"');
  });

  it("refuses ends nobody finishes and joints to nowhere, in sentences", () => {
    expect(() => resolve(frameOf([bar("a", [0, 0, 0], [5, 0, 0], { ends: [square, undefined] })]))).toThrow(
      'Nothing says how the bar "a" ends at its far end.',
    );
    expect(() =>
      resolve(
        frameOf([bar("a", [0, 0, 0], [5, 0, 0])], {
          joints: [{ kind: "butt", id: "j", a: "a", end: 0, b: "z", face: "+v", contact: "face" }],
        }),
      ),
    ).toThrow('names the member "z"');
  });

  it("counts a turned-over stick as the same piece and keeps issued marks", () => {
    const slanted = (id: string, z: number, up: Vec3): Member =>
      bar(id, [0, 0, z], [40, 0, z], {
        ends: [{ kind: "plumb", beyond: 0 }, square],
        body: {
          shape: "straight",
          a: [0, 0, z],
          b: [40, 0, z + 10],
          up,
          seat: ["centre", "centre"],
          components: single(model(4), model(4), "x"),
        },
      });
    const frame = frameOf([
      slanted("a", 0, [0, 0, 1]),
      slanted("b", 50, [0, 0, -1]),
      bar("c", [0, 50, 0], [33, 50, 0]),
    ]);
    const first = piecesOf(resolve(frame).sticks);
    expect(first.map((p) => [p.mark, p.sticks])).toEqual([
      ["P1", ["a", "b"]],
      ["P2", ["c"]],
    ]);
    const issued = [
      { mark: "P1", stock: "x", shape: first[0]!.shape },
      { mark: "P7", stock: "x", shape: first[1]!.shape },
    ];
    const later = piecesOf(resolve(frameOf([bar("new", [0, 0, 0], [77, 0, 0]), ...frame.members])).sticks, issued);
    expect(later.map((p) => p.mark)).toEqual(["P2", "P1", "P7"]);
  });
});
