import { MM_PER_INCH, model, printFraction, printNumber, toModel, toPrototype, type Model, type Prototype, type Scale } from "../units"; // prettier-ignore

export type TextureId = "clapboard" | "batten" | "scribed" | "corrugated" | "seam" | "block" | "brick" | "shingle";
/** What is moulded or cut into one side of a sheet. */
export interface Texture {
  readonly id: TextureId;
  readonly name: string;
  /** What lies between two of its lines: "clapboard". */
  readonly unit: string;
  /** How its lines run on a wall as it is built. */
  readonly runs: "level" | "upright";
  /** Whether it looks the same turned by half a turn in its plane: clapboards lap downwards. */
  readonly turns: boolean;
}
/** The textures there are. Pitches are measured square to the lines. Common practice. */
export const TEXTURES: readonly Texture[] = [
  { id: "clapboard", name: "clapboards", unit: "clapboard", runs: "level", turns: false },
  { id: "batten", name: "board and batten", unit: "board", runs: "upright", turns: true },
  { id: "scribed", name: "scribed planks", unit: "plank", runs: "upright", turns: true },
  { id: "corrugated", name: "corrugated iron", unit: "corrugation", runs: "upright", turns: true },
  { id: "seam", name: "standing seam", unit: "pan", runs: "upright", turns: true },
  { id: "block", name: "concrete block", unit: "course", runs: "level", turns: true },
  { id: "brick", name: "brick", unit: "course", runs: "level", turns: true },
  { id: "shingle", name: "shingles", unit: "course", runs: "level", turns: false },
];
export const textureOf = (id: TextureId): Texture => TEXTURES.find((t) => t.id === id)!;

export type SheetMaterial = "styrene" | "card" | "wood" | "clear";
/** One sheet that is sold. */
export interface SheetItem {
  readonly id: string;
  readonly name: string;
  readonly material: SheetMaterial;
  /** Over all: of a textured sheet from its back to the crest of the texture. */
  readonly thickness: Model;
  /** Sizes as sold; the lines of a texture run along the second. */
  readonly sizes: readonly (readonly [Model, Model])[];
  readonly texture?: { readonly id: TextureId; readonly pitch: Model; readonly relief: Model };
}

/** How long sheets are as they are sold, model mm: 12 in of plain styrene and of most wood sheet of hobby shops. Common practice, no source. */
export const USUAL_SHEET = 304.8;

const inch = (n: number): Model => model(n * MM_PER_INCH);
const thou = (n: number): string => `.${String(n).padStart(3, "0")}`;
const sizes = (...of: readonly (readonly [number, number])[]) => of.map(([a, b]) => [inch(a), inch(b)] as const);

const STYRENE = [5, 10, 15, 20, 30, 40, 60, 80, 100, 125];
const CARD_MM = [0.3, 0.5, 1, 1.5, 2];
const CORE_MM = [3, 5, 6, 8, 10];
/** 64ths of an inch. */
const WOOD = [1, 2, 3, 4, 6, 8];
const CLEAR = [5, 10, 15, 20, 30];
/** Pitch, then thickness and relief, thousandths of an inch. */
const TEXTURED: Readonly<Record<TextureId, readonly (readonly [number, number, number])[]>> = {
  clapboard: [25, 30, 40, 50, 60, 80, 100, 125, 167].map((p) => [p, 40, 10]),
  batten: [60, 75, 100, 125, 150, 200].map((p) => [p, 40, 15]),
  scribed: [25, 30, 40, 50, 60, 80, 100, 125, 188, 250].map((p) => [p, p < 40 ? 20 : 40, 5]),
  corrugated: [30, 40, 60, 80, 100, 125].map((p) => [p, 40, 15]),
  seam: [125, 188, 250, 375, 500].map((p) => [p, 40, 15]),
  block: [50, 83, 92, 109, 167, 250].map((p) => [p, 40, 5]),
  brick: [17, 20, 32, 38, 45, 57].map((p) => [p, 40, 5]),
  shingle: [30, 40, 60, 80, 100, 125].map((p) => [p, 40, 10]),
};

const named = (kind: string, material: SheetMaterial, of: string, id: string, mm: Model, sold: SheetItem["sizes"]): SheetItem => ({ id: `sheet/${kind}/${id}`, name: of, material, thickness: mm, sizes: sold }); // prettier-ignore
/** Everything the generic series of sheet offer, in a fixed order. Thicknesses, pitches and sizes are common practice. */
export const SHEETS: readonly SheetItem[] = [
  ...STYRENE.map((t) => named("styrene", "styrene", `Styrene sheet ${thou(t)} in`, String(t), inch(t / 1000), sizes([6, 12], [12, 24]))), // prettier-ignore
  ...CARD_MM.map((t) => named("card", "card", `Card ${printNumber(t, 1)} mm`, String(t), model(t), [[model(500), model(700)]])), // prettier-ignore
  ...CORE_MM.map((t) => named("core", "card", `Core board ${t} mm`, String(t), model(t), [[model(500), model(700)]])),
  ...WOOD.map((t) => named("wood", "wood", `Basswood sheet ${printFraction(t, 64)} in`, String(t), inch(t / 64), sizes([3, 24], [4, 24], [6, 24]))), // prettier-ignore
  ...CLEAR.map((t) => named("clear", "clear", `Clear sheet ${thou(t)} in`, String(t), inch(t / 1000), sizes([6, 12]))),
  ...TEXTURES.flatMap((x) =>
    TEXTURED[x.id].map(([pitch, thick, relief]): SheetItem => ({
      id: `sheet/${x.id}/${pitch}`,
      name: `Textured sheet, ${x.name} ${thou(pitch)} in`,
      material: "styrene",
      thickness: inch(thick / 1000),
      sizes: sizes([6, 12], [12, 24]),
      texture: { id: x.id, pitch: inch(pitch / 1000), relief: inch(relief / 1000) },
    })),
  ),
];
const byId = new Map<string, SheetItem | undefined>(SHEETS.map((s) => [s.id, s]));
/** A sheet by its id, "sheet/clapboard/60", or "sheet/own/card-9" of one's own; undefined where there is none. */
export function sheetOf(id: string): SheetItem | undefined {
  if (!byId.has(id) && id.startsWith("sheet/own/")) byId.set(id, readOwnSheet(id));
  return byId.get(id);
}
/** Materials that a plain sheet of one's own may be of. */
export const OWN_SHEET_MATERIALS: readonly SheetMaterial[] = ["card", "wood", "styrene"];
/** From the thinnest to the thickest sheet that is taken, model mm. */
export const OWN_SHEET: readonly [number, number] = [0.05, 30];
/** What "sheet/" comes before of a plain sheet of one's own: "own/card-9". Errors: a thickness that is none. */
export function ownSheet(material: SheetMaterial, mm: number): string {
  const [least, most] = OWN_SHEET;
  if (!(mm >= least && mm <= most)) throw new RangeError(`A sheet of ${printNumber(mm, 3)} mm is not taken; it may be from ${least} to ${most} mm thick.`); // prettier-ignore
  return `own/${material}-${Number(mm.toFixed(3))}`;
}
function readOwnSheet(id: string): SheetItem | undefined {
  const m = /^sheet\/own\/(card|wood|styrene)-(\d+(?:\.\d{1,3})?)$/.exec(id);
  const mm = Number(m?.[2]);
  if (!m || !(mm >= OWN_SHEET[0] && mm <= OWN_SHEET[1])) return undefined;
  const material = m[1] as SheetMaterial;
  const sold = SHEETS.find((s) => s.material === material && !s.texture)!.sizes;
  return {
    id,
    name: `Own ${material} sheet, ${Number(mm.toFixed(3))} mm`,
    material,
    thickness: model(mm),
    sizes: sold,
  };
}

/** A textured sheet as it is wanted: what is on it and the pitch of its lines on the prototype. */
export interface SheetWanted {
  readonly texture: TextureId;
  readonly pitch: Prototype;
}
/** A sheet that would stand in for one that is wanted, and how far its pitch is off: real less wanted. */
export interface SheetMatch {
  readonly item: SheetItem;
  readonly wanted: SheetWanted;
  readonly error: { readonly model: Model; readonly prototype: Prototype; readonly percent: number };
}
/** The name by which a wanted sheet is chosen and kept: "clapboard 6", its pitch in prototype inches to a hundredth. */
export const sheetName = (w: SheetWanted): string => `${w.texture} ${Number((w.pitch / MM_PER_INCH).toFixed(2))}`;

/** How a sheet of a wanted texture would do. Errors: a sheet without that texture. */
export function sheetMatch(item: SheetItem, wanted: SheetWanted, scale: Scale): SheetMatch {
  if (item.texture?.id !== wanted.texture)
    throw new Error(`${item.name} has no ${textureOf(wanted.texture).name} on it; choose another sheet in Stock.`);
  const want = toModel(scale, wanted.pitch);
  const off = model(item.texture.pitch - want);
  return { item, wanted, error: { model: off, prototype: toPrototype(scale, off), percent: (100 * off) / want } };
}
/** Sheets of a texture for a wanted pitch, nearest first: half as wide is as far off as double. Where two are as near, the wider comes first. */
export function sheetMatches(wanted: SheetWanted, scale: Scale): SheetMatch[] {
  const apart = (m: SheetMatch): number => Math.abs(Math.log(1 + m.error.percent / 100));
  return SHEETS.filter((s) => s.texture?.id === wanted.texture)
    .map((s) => sheetMatch(s, wanted, scale))
    .sort((a, b) => apart(a) - apart(b) || b.item.texture!.pitch - a.item.texture!.pitch);
}
/** The sheet that a wanted one is really made of: the one picked by hand (by `sheetName`), else the nearest. Errors: a picked sheet that there is not, or of another texture. */
export function chooseSheet(
  wanted: SheetWanted,
  picked: Readonly<Record<string, { readonly item: string }>>,
  scale: Scale,
): SheetMatch {
  // prettier-ignore
  const name = sheetName(wanted);
  const pick = picked[name];
  if (!pick) return sheetMatches(wanted, scale)[0]!;
  const item = sheetOf(pick.item);
  if (!item) throw new Error(`Sheet "${pick.item}" chosen for ${name} is in no series; choose another in Stock.`);
  return sheetMatch(item, wanted, scale);
}
/** A wanted sheet from its name, "clapboard 6"; undefined where it is none. */
export function parseSheetName(name: string): SheetWanted | undefined {
  const m = /^([a-z]+) (\d+(?:\.\d+)?)$/.exec(name);
  const texture = TEXTURES.find((t) => t.id === m?.[1])?.id;
  return texture ? { texture, pitch: (Number(m![2]) * MM_PER_INCH) as Prototype } : undefined;
}
