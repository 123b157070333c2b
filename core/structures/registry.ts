import type { KindFace, StructureKind } from "./kind";

/**
 * Every kind of structure Cardo can frame: a new kind is one more line here. Each is loaded when a job needs it, so that a
 * bent does not bring a building along; `core/structures/all` has them all at once.
 */
const LOADERS = {
  "trestle-bent": async () => (await import("./trestle")).trestleBent,
  trestle: async () => (await import("./whole-trestle")).wholeTrestle,
  truss: async () => (await import("./truss")).truss,
  building: async () => (await import("./building")).building,
  sheet: async () => (await import("./sheet")).sheetBuilding,
  canopy: async () => (await import("./canopy")).canopy,
  tubes: async () => (await import("./tubes")).tubes,
  platform: async () => (await import("./platform")).platform,
  snowshed: async () => (await import("./snowshed")).snowshed,
  traced: async () => (await import("./traced")).traced,
} as const satisfies Readonly<Record<string, () => Promise<StructureKind>>>;
export const KIND_IDS = Object.keys(LOADERS);

/** Faces of kinds whose frames weigh enough to be loaded apart from them. */
const FACES: Readonly<Partial<Record<string, () => Promise<KindFace>>>> = {
  building: async () => (await import("./building/face")).buildingFace,
};

const loaded = new Map<string, StructureKind>();
const faces = new Map<string, KindFace>();
const isKnown = (id: string): id is keyof typeof LOADERS => Object.hasOwn(LOADERS, id);

/** Makes a kind known without loading it. */
export const registerKind = (kind: StructureKind): void => void loaded.set(kind.id, kind);
/** Whether all of these kinds are at hand; ids that nobody registered count as such, since no loading would help. */
export const kindsAtHand = (ids: readonly string[]): boolean => ids.every((id) => loaded.has(id) || !isKnown(id));
/** Loads the kinds of these ids that are not at hand. */
export async function loadKinds(ids: readonly string[]): Promise<void> {
  for (const id of new Set(ids)) if (isKnown(id) && !loaded.has(id)) registerKind(await LOADERS[id]());
}
/** Whether the faces of these kinds are at hand. */
export const facesAtHand = (ids: readonly string[]): boolean => ids.every((id) => faces.has(id) || kindsAtHand([id]));
/** Loads what a screen needs of these kinds: their faces, of those without one the whole. */
export async function loadFaces(ids: readonly string[]): Promise<void> {
  const todo = [...new Set(ids)].filter((id) => !facesAtHand([id]));
  await Promise.all([
    loadKinds(todo.filter((id) => !FACES[id])),
    ...todo.map(async (id) => FACES[id] && faces.set(id, await FACES[id]())),
  ]);
}
/** The kind of that id, or its face where that alone was loaded. Errors: an id nobody registered, or a kind that was not loaded. */
export const kindOf = (id: string): KindFace => loaded.get(id) ?? faces.get(id) ?? framerOf(id);
/** The whole kind of that id, with what makes its sticks. Errors: an id nobody registered, or a kind that was not loaded. */
export function framerOf(id: string): StructureKind {
  const k = loaded.get(id);
  if (k) return k;
  if (isKnown(id)) throw new Error(`The kind “${id}” was not loaded before it was asked for.`);
  throw new Error(`“${id}” is no kind of structure known here; known are ${KIND_IDS.join(", ")}.`);
}
/** The kinds at hand, in the order they were made known. */
export const kindsKnown = (): readonly StructureKind[] => [...loaded.values()];
