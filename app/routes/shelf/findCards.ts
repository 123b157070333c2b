import { hasWords } from "core/units/plain";

/** What the Shelf is asked for: words to find, an order, a folder, and how many cards. */
export interface ShelfQuery {
  readonly q: string;
  readonly sort: ShelfSort;
  readonly folder: string;
  readonly show: number;
}
export const SORTS = { changed: "Last changed", name: "Name", scale: "Scale", progress: "Progress" } as const;
export type ShelfSort = keyof typeof SORTS;
/** Cards that are shown at first, and that each "Show more" adds. */
export const PAGE = 60;

/** Reads the query of an address; what is not understood counts as not said. */
export function readQuery(params: URLSearchParams): ShelfQuery {
  const sort = params.get("sort") ?? "";
  const show = Number(params.get("show"));
  return {
    q: (params.get("q") ?? "").slice(0, 200),
    sort: Object.hasOwn(SORTS, sort) ? (sort as ShelfSort) : "changed",
    folder: (params.get("folder") ?? "").slice(0, 60),
    show: Number.isInteger(show) && show > 0 ? Math.min(show, 10_000) : PAGE,
  };
}

interface Listed {
  readonly name: string;
  readonly scale: string;
  readonly what: string;
  readonly railroad: string;
  readonly folder: string;
  readonly stages: readonly string[];
  readonly bench: readonly string[];
}
/** The cards that a query finds, in its order; every word of it has to stand somewhere on the card. Cards come in last changed first. */
export function findCards<C extends Listed>(cards: readonly C[], query: ShelfQuery): C[] {
  const found = cards.filter(
    (c) =>
      (!query.folder || c.folder === query.folder) &&
      hasWords([c.name, c.scale, c.what, c.railroad, c.folder].join(" "), query.q),
  );
  const natural = new Intl.Collator("en", { numeric: true, sensitivity: "base" });
  const by: Record<ShelfSort, (a: C, b: C) => number> = {
    changed: () => 0,
    name: (a, b) => natural.compare(a.name, b.name),
    scale: (a, b) => natural.compare(a.scale, b.scale) || natural.compare(a.name, b.name),
    progress: (a, b) => b.stages.length + b.bench.length - a.stages.length - a.bench.length,
  };
  return query.sort === "changed" ? found : found.sort(by[query.sort]);
}
/** The folders in use, with how many jobs lie in each. */
export function foldersOf(cards: readonly Listed[]): [name: string, count: number][] {
  const count = new Map<string, number>();
  for (const { folder } of cards) if (folder) count.set(folder, (count.get(folder) ?? 0) + 1);
  return [...count].sort(([a], [b]) => a.localeCompare(b));
}
