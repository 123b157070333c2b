import { describe, expect, it } from "vitest";
import "../structures/all";
import { JOININGS } from "../assembly";
import { designOf, emptyBuild, type GlueDoc } from "../job";
import { demo } from "./built.fixture";
import { glueChosen } from "./glues";
import { buildOrder } from "./order";

const glue = (to: string, of: Pick<GlueDoc, "step" | "instead">): GlueDoc => ({ ...of, with: to, name: JOININGS.find((j) => j.id === to)?.name ?? "Hide glue" }); // prettier-ignore
const built = (name: string, glues: readonly GlueDoc[], more: object = {}) => {
  const doc = demo(name);
  return buildOrder(designOf({ ...doc, build: { ...emptyBuild(), ...more, glues: [...glues] } }));
};
const steps = (b: ReturnType<typeof buildOrder>) => b.orders.flatMap((o) => o.steps);

describe("joinings that were chosen", () => {
  it("take the place of the usual one at a step, or at all like it; a step's own word counts more", () => {
    const plain = steps(built("gulch-trestle", []));
    expect(new Set(plain.map((s) => s.joining))).toEqual(new Set(["white"]));
    expect(plain.every((s) => s.chosen === undefined)).toBe(true);
    const [one, two] = plain;
    const some = steps(built("gulch-trestle", [glue("aliphatic", { instead: "white" }), glue("epoxy", { step: two!.id })])); // prettier-ignore
    expect(some[0]!.joining).toBe("aliphatic");
    expect(some[0]!.chosen).toEqual({ name: "Aliphatic wood glue", instead: "white" });
    expect(some[1]!.joining).toBe("epoxy");
    // the order itself stays
    expect(some.map((s) => [s.id, s.after])).toEqual(plain.map((s) => [s.id, s.after]));
    const own = steps(built("gulch-trestle", [glue("own-hide-glue", { step: one!.id })]));
    expect([own[0]!.joining, own[0]!.chosen!.name, own[1]!.joining]).toEqual(["own-hide-glue", "Hide glue", "white"]);
  });
  it("replace what was chosen for the same before, and are gone when the usual one is chosen for all again", () => {
    const a = glueChosen([], glue("epoxy", { step: "s/1" }));
    const b = glueChosen(a, glue("ca-thin", { step: "s/1" }));
    expect(b.map((g) => g.with)).toEqual(["ca-thin"]);
    const c = glueChosen(glueChosen(b, glue("aliphatic", { instead: "white" })), glue("epoxy", { instead: "white" }));
    expect(c.map((g) => [g.step, g.with])).toEqual([["s/1", "ca-thin"], [undefined, "epoxy"]]); // prettier-ignore
    expect(glueChosen(c, glue("white", { instead: "white" })).map((g) => g.with)).toEqual(["ca-thin"]);
  });
  it("are judged: cement on wood, white glue on plastic, cyanoacrylate at a pane; the usual ones never", () => {
    const said = (name: string, glues: readonly GlueDoc[]): readonly string[] => built(name, glues).mistakes.filter((m) => m.key.includes(":glue:")).map((m) => m.text); // prettier-ignore
    for (const name of ["gulch-trestle", "agents-cottage", "silos"]) expect(said(name, [])).toEqual([]);
    const wood = said("gulch-trestle", [glue("solvent", { instead: "white" })]);
    expect(wood.length).toBe(steps(built("gulch-trestle", [])).length);
    expect(wood[0]).toMatch(
      /^“Bent: .*” is joined with solvent cement, which does not hold wood or card: take white glue/,
    );
    const plastic = said("silos", [glue("white", { instead: "solvent" })]);
    expect(plastic.length).toBeGreaterThan(3);
    expect(plastic[0]).toMatch(/white glue, which does not hold plastic: take solvent cement\.$/);
    const glass = said("agents-cottage", [glue("ca-thick", { instead: "contact" })]);
    expect(glass.length).toBeGreaterThan(0);
    expect(glass[0]).toMatch(/fumes fog clear sheet/);
    expect(said("gulch-trestle", [glue("epoxy", { instead: "white" })])).toEqual([]);
  });
  it("decide what a stain meets: tinted over white glue it does not take, over epoxy nothing is said of white glue", () => {
    const doc = demo("gulch-trestle");
    const id = doc.structures[0]!.id;
    const coats = [{ id: "stain", name: "Weathered wood stain", kind: "stain", mix: "", touch: 20, over: 120, covers: 100 }]; // prettier-ignore
    const finish = [{ structure: id, group: "framing", when: "standing", coats: ["stain"] }];
    const words = (glues: readonly GlueDoc[]): string => built("gulch-trestle", glues, { coats, finish }).mistakes.map((m) => m.text).join(" "); // prettier-ignore
    expect(words([])).toMatch(/does not take where white glue was/);
    expect(words([glue("epoxy", { instead: "white" })])).not.toMatch(/white glue was/);
  });
});
