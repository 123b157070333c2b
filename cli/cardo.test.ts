import { execFileSync, spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";

let dir = "";
beforeAll(() => void (dir = mkdtempSync(join(tmpdir(), "cardo-cli-"))));
afterAll(() => rmSync(dir, { recursive: true, force: true }));
const cardo = (...args: string[]) => {
  const r = spawnSync(process.execPath, ["cli/run.mjs", ...args], { encoding: "utf8" });
  return { out: r.stdout, err: r.stderr.trim(), status: r.status };
};
const JOB = "examples/gulch-trestle.json";
const file = (name: string, value: unknown): string => {
  const f = join(dir, name);
  writeFileSync(f, typeof value === "string" ? value : JSON.stringify(value));
  return f;
};

describe("the command line", () => {
  it("says what the framing square says, and a hip roof's rafters theoretical and shortened", () => {
    const r = JSON.parse(
      cardo("rafters", "6", "--length", "16'", "--width", "12'", "--overhang", "1'", "--scale", "HO").out,
    ) as {
      table: { inchesPerFootOfRun: { common: number } };
      common: Record<"theoretical" | "shortening" | "cut", { prototypeMm: number; modelMm: number }>;
      jacks: unknown[];
      hipRoof: { squareFeet: { all: number } };
    };
    expect(r.table.inchesPerFootOfRun.common).toBeCloseTo(13.4164, 4);
    expect(r.common.theoretical.prototypeMm / 25.4).toBeCloseTo(6 * 13.4164, 2);
    // half of a 2 in ridge, along the slope
    expect(r.common.shortening.prototypeMm / 25.4).toBeCloseTo(1.118, 3);
    expect(r.common.cut.modelMm).toBeCloseTo(r.common.cut.prototypeMm / 87.1, 2);
    expect(r.jacks).toHaveLength(2);
    expect(r.hipRoof.squareFeet.all).toBeCloseTo(281.7, 1);
    expect(cardo("rafters", "0")).toMatchObject({ status: 2 });
    expect(cardo("stairs", "8'9", "--run", "11'8", "--tread", "10").err).toMatch(/give one of them/);
    expect(JSON.parse(cardo("stairs", "8'9", "--run", "11'8").out)).toMatchObject({ risers: 15, remarks: [] });
  });

  it("gives the frame: every stick with its cuts and convex parts, every joint bearing", () => {
    const f = JSON.parse(cardo("frame", JOB).out) as {
      members: Record<string, never>[];
      joints: { ok: boolean }[];
      nodes: unknown[];
    };
    expect(f.members).toHaveLength(15);
    expect(f.members[0]).toMatchObject({
      id: "gulch/bent/cap",
      structure: "gulch",
      assembly: "gulch/bent",
      role: "cap",
      kind: "strip",
      nominal: [12, 14],
      overall: 49,
      mark: "C1",
      ends: [
        { mitre: 0, bevel: 0 },
        { mitre: 0, bevel: 0 },
      ],
    });
    expect((f.members[0]!.solid as unknown as number[][][])[0]).toHaveLength(8);
    expect(f.joints.every((j) => j.ok)).toBe(true);
  });
  it("lists pieces, as JSON and as CSV of the same rows", () => {
    const { pieces } = JSON.parse(cardo("pieces", JOB).out) as { pieces: { mark: string }[] };
    const csv = cardo("pieces", JOB, "--csv").out.trim().split("\n");
    expect(csv).toHaveLength(pieces.length + 1);
    expect(csv[1]).toMatch(/^C1,1,cap,12×14,/);
  });
  it("sets a job into another scale as a job file, with what had to give", () => {
    const { out, err } = cardo("rescale", JOB, "o");
    const doc = JSON.parse(out) as { brief: { scale: { id: string } }; structures: unknown[] };
    expect(doc.brief.scale).toEqual({ id: "O", ratio: 48 });
    expect(err).toMatch(/The spot stays as it was measured/);
    expect(cardo("rescale", JOB, "huge").err).toMatch(/Scale “huge” is not known; write Z, N, /);
  });
  it("tells the order of assembly, each step after those before it", () => {
    const out = JSON.parse(cardo("steps", JOB).out).structures[0];
    expect(out.no_way).toEqual([]);
    expect(out.steps.map((s: { title: string }) => s.title)).toHaveLength(7);
    expect(out.steps[3]).toMatchObject({ step: 4, title: "Bent: 8 batter posts", place: "board" });
    expect(Object.values(out.steps[3].pieces as Record<string, number>).reduce((a, b) => a + b, 0)).toBe(8);
    for (const s of out.steps) for (const a of s.after) expect(a).toBeLessThan(s.step);
  });
  it("plans from the shop, and from a drawer that is too small says by how much", () => {
    const { plans } = JSON.parse(cardo("plan", JOB).out) as {
      plans: { result: { proven: boolean }; sticks: { cuts: unknown[] }[] }[];
    };
    expect(plans.every((p) => p.result.proven)).toBe(true);
    expect(plans.flatMap((p) => p.sticks.flatMap((s) => s.cuts))).toHaveLength(15);
    const drawer = file("drawer.json", {
      items: {
        "scale/12x12": [{ length: 279.4, count: 1, cost: 1 }],
        "scale/12x14": [{ length: 60, count: 1, cost: 1 }],
        "scale/3x10": [{ length: 300, count: 9, cost: 1 }],
      },
    });
    const short = cardo("plan", JOB, "--drawer", drawer);
    expect(short.status).toBe(3);
    expect(short.err).toMatch(/^cardo: Scale lumber, HO 12×12: the sticks on hand are [\d.]+ mm short\.$/);
  });
  it("solves a bare problem, and names a piece no stick can carry", () => {
    const ok = cardo(
      "solve",
      file("p.json", {
        kerf: 0,
        stock: [{ length: 100, count: null, cost: 1 }],
        demand: [
          { length: 60, count: 2 },
          { length: 40, count: 2 },
        ],
      }),
    );
    expect(JSON.parse(ok.out)).toMatchObject({
      status: "optimal",
      sticks: 2,
      cost: 2,
      lowerBound: 2,
      proven: true,
      layouts: [{ stock: 0, count: 2, cuts: [60, 40] }],
    });
    const long = cardo(
      "solve",
      file("q.json", { kerf: 0, stock: [{ length: 100, count: null, cost: 1 }], demand: [{ length: 160, count: 2 }] }),
    );
    expect([long.status, long.err]).toEqual([
      3,
      "cardo: The problem: a piece of 160 mm is longer than the longest stick, 100 mm.",
    ]);
  });
  it("writes every sheet as PDF, SVG and DXF, and prints findings", () => {
    execFileSync(process.execPath, [
      "--import",
      "tsx",
      "cli/cardo.ts",
      "jigs",
      JOB,
      "--out",
      join(dir, "out"),
      "--paper",
      "Letter",
      "--date",
      "2026-05-01",
    ]);
    expect(readdirSync(join(dir, "out")).sort()).toEqual(["dxf", "pdf", "svg"].map((e) => `bent-4-of-9-template.${e}`));
    expect(JSON.parse(cardo("check", JOB).out)).toEqual({ findings: [] });
  });
  it("lays parts on sheets with the cuts in their order, tells the settings of the stop, and makes a jig", () => {
    const sheets = JSON.parse(cardo("sheets", "examples/agents-cottage.json", "--edge", "2").out);
    const [walls] = sheets.sheets;
    expect([sheets.by, sheets.edge, walls.name, walls.status, walls.sheets.length]).toEqual(["snap", 2, "Textured sheet, clapboards .060 in", "planned", 1]); // prettier-ignore
    expect(walls.sheets[0].parts.map((p: { mark: string }) => p.mark).sort()).toEqual(["FS1", "FS2", "FS3", "FS4"]);
    // four cuts square the sheet
    expect(walls.sheets[0].cuts.slice(0, 2)).toEqual([{ along: "y", at: 2, from: 0, to: 304.8 }, { along: "y", at: 150.4, from: 0, to: 304.8 }]); // prettier-ignore
    const small = JSON.parse(readFileSync("examples/agents-cottage.json", "utf8"));
    small.sheetCutting = { by: "free", apart: 0, edge: 0, sizes: { "sheet/clapboard/60": [{ wide: 30, long: 300, count: null, price: 0 }] } }; // prettier-ignore
    const none = cardo("sheets", file("small.json", small));
    expect(none.status).toBe(3);
    expect(JSON.parse(none.out).sheets[0]).toMatchObject({ status: "too large", marks: expect.arrayContaining(["FS1", "FS2"]) }); // prettier-ignore
    const { setups } = JSON.parse(cardo("setups", JOB).out);
    expect([setups.length, setups[0]]).toEqual([9, { stop_mm: 76.54, cuts: "both ends square", pieces: ["1 × S1, sill, Scale lumber, HO 12×12"] }]); // prettier-ignore
    const jig = JSON.parse(cardo("jig", "length", "--out", join(dir, "jig"), "--set", "length=35,wide=2.33", "--kerf", "0.15").out); // prettier-ignore
    expect([jig.figures.length, jig.says[0]]).toEqual([35, "Cuts 35 mm, from the slot's right edge to the stop."]);
    expect(readdirSync(join(dir, "jig")).sort()).toEqual(["length.dxf", "length.stl", "length.svg"]);
  });
  it("fits a building into a spot, and says what was given up", () => {
    const r = cardo("fit", "examples/tool-house-framed.json");
    expect(r.status).toBe(0);
    const [fitted] = (JSON.parse(r.out) as { fitted: { given: string[]; fits: boolean }[] }).fitted;
    expect(fitted).toMatchObject({ fits: true });
    expect(fitted!.given[0]).toBe("2 boards of the length: 16′-0″ became 14′-4″, 90 % of it.");
  });
  it.each([
    [["frame", "nowhere.json"], /^cardo: nowhere\.json cannot be read: there is no such file\.$/],
    [["frame", "package.json"], /^cardo: This is no Cardo job file/],
    [
      ["jigs", JOB, "--out", "x", "--paper", "A7"],
      /^cardo: Paper “A7” is not known; choose A4, A3, Letter, Tabloid\.$/,
    ],
    [[], /^cardo: No command was given\. Commands are frame/],
    [["carve", JOB], /^cardo: unknown command 'carve'.*Commands are frame/],
    [["solve", "README.md"], /^cardo: README\.md is not JSON/],
    [["sheets", JOB, "--by", "saw"], /^cardo: Cut by “saw” is not known; choose snap or free\.$/],
    [["sheets", JOB, "--apart", "21"], /^cardo: Apart “21” is no length in mm from 0 to 20\.$/],
    [["jig", "lathe", "--out", "x"], /^cardo: Jig “lathe” is not known; choose length, spacer, /],
    [
      ["jig", "length", "--out", "x", "--set", "deep=3"],
      /^cardo: “deep=3” is no figure of this jig; its figures are length /,
    ],
    [
      ["jig", "length", "--out", "x", "--set", "length=0"],
      /^cardo: Length of the piece: read 0; it may be from 1 to 600 mm\.$/,
    ],
    [["fit", JOB], /^cardo: .* has nothing that is fitted by whole parts; a single bent is not\.$/],
  ])("refuses %j in one line, status 2", (args, words) => {
    const r = cardo(...args);
    expect([r.status, r.out]).toEqual([2, ""]);
    expect(r.err).toMatch(words);
    expect(r.err.split("\n")).toHaveLength(1);
  });

  it("refuses numbers and dates that are none, and folders that are files", () => {
    const f = file("a-file", "x");
    for (const [args, words] of [
      [["rafters", "Infinity"], /The rise in 12 is “Infinity”; write a number above 0/],
      [["rafters", "6", "--run", "10'", "--jacks", "0"], /--jacks is “0”; write a length above nothing/],
      [["rafters", "6", "--run", "0"], /--run is “0”/],
      [["lines", JOB, "--page", "1.5"], /--page is “1\.5”; write a whole number from 1 on/],
      [["lines", JOB, "--page", "Infinity"], /--page is “Infinity”/],
      [["find", "examples", "--per-inch", "2"], /examples cannot be read: it is a folder/],
      [["frame", "9".repeat(300)], /^cardo: 9+ cannot be read: its name is too long\.$/],
      [["jigs", JOB, "--out", dir, "--date", "2026-02-30"], /Date “2026-02-30” is no day/],
      [["jigs", JOB, "--out", dir, "--paper", "constructor"], /Paper “constructor” is not known/],
      [["jigs", JOB, "--out", f], /a-file cannot be written: (there is a file of that name|a file stands)/],
      [["jigs", JOB, "--out", join(f, "in")], /cannot be written: a file stands where a folder should be/],
      [["jigs", JOB, "--out", "/dev/null/x"], /cannot be written/],
      // where no folder can be made at all
      [["jigs", JOB, "--out", "/proc/x/y"], /^cardo: \/proc\/x\/y cannot be written: /],
      [["restore", JOB, "--data", "/proc/x"], /^cardo: \/proc\/x cannot be written: /],
    ] as const) {
      const r = cardo(...args);
      expect([args.join(" "), r.status, r.out]).toEqual([args.join(" "), 2, ""]);
      expect(r.err).toMatch(words);
      expect(r.err.split("\n")).toHaveLength(1);
    }
  });
  it("backs up everything and restores it, but not under a server that is at work", () => {
    const data = join(dir, "data");
    const zip = join(dir, "all.zip");
    expect(cardo("backup", zip, "--data", data)).toMatchObject({ status: 2, err: `cardo: ${data} has no database of Cardo's, so there is nothing to back up.` }); // prettier-ignore
    expect(existsSync(data)).toBe(false);
    const seeded = spawnSync(process.execPath, ["--import", "tsx", "scripts/seed.ts"], { env: { ...process.env, CARDO_DATA: data } }); // prettier-ignore
    expect(seeded.status).toBe(0);
    expect(JSON.parse(cardo("backup", zip, "--data", data).out)).toMatchObject({ cardo: "backup", jobs: 14 });
    expect(cardo("backup", zip, "--data", data).err).toBe(`cardo: ${zip} is there already. Name another file.`);
    expect(JSON.parse(cardo("restore", zip, "--data", data).out)).toMatchObject({ jobs: 14, before: "cardo.before-restore-1.sqlite" }); // prettier-ignore
    expect(cardo("restore", JOB, "--data", data)).toMatchObject({ status: 2, err: "cardo: The file is no backup of Cardo's, or it breaks off or is damaged. Choose another." }); // prettier-ignore
    writeFileSync(join(data, "server.lock"), String(process.pid));
    expect(cardo("restore", zip, "--data", data).err).toBe(`cardo: Cardo is serving ${data}. Stop it first, or restore from its Shelf.`); // prettier-ignore
  });
  it("says when its output is closed or has no room", () => {
    const sh = (line: string) => spawnSync("bash", ["-c", line], { encoding: "utf8" });
    const closed = sh(`node cli/run.mjs frame examples/depot.json | head -c 10 > /dev/null; echo \${PIPESTATUS[0]}`);
    expect(closed.stdout.trim()).toBe("2");
    expect(closed.stderr.trim()).toBe("cardo: What reads the output closed it before all was written.");
    if (!existsSync("/dev/full")) return;
    const full = sh(`node cli/run.mjs pieces ${JOB} > /dev/full; echo $?`);
    expect(full.stderr.trim()).toBe("cardo: The output could not be written: the disk is full.");
    expect(full.stdout.trim()).toBe("2");
  });

  it("writes what is glued up as one solid, once, and leaves what is none", () => {
    const out = join(dir, "whole");
    const r = JSON.parse(cardo("stl", JOB, "--out", out, "--whole").out) as { written: string[]; left: string[] };
    // a bent is one body, whichever of its pieces is asked for
    expect(r).toEqual({ written: ["C1.stl"], left: [] });
    expect(readFileSync(join(out, "C1.stl")).readUInt32LE(80)).toBeGreaterThan(15 * 12 - 80);
  });
});
