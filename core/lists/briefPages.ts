import { elevation, line, tablePages, text, VIEWS, type Entity, type PagePlan, type PaperId, type TableColumn, type TableLine } from "../drawing"; // prettier-ignore
import type { Design } from "../job";
import { sourceCounts, sourcedDimensions, toFindOut } from "../job";
import { planFacts } from "../site";
import { model, printModel, printPrototype, prototype, scaleLabel } from "../units";
import { seenPicture } from "./seenPicture";

const COLUMNS: readonly TableColumn[] = [
  { head: "", width: 70 },
  { head: "", width: 116 },
];
/** How high a structure is pictured, and how many of them are, mm. */
const [HIGH, MOST] = [46, 3];
const TRACK = {
  over: "over the track",
  beside: "beside the track",
  under: "under the track",
  none: "no track near",
} as const;

/** What is built, where and why on a page to be sent or signed: structures with their sizes and pictures, the spot, what was agreed and what was decided with its reasons, and what has still to be found out. */
export function briefPages(d: Design, paper: PaperId, date: string): PagePlan {
  const { brief, name } = d.doc;
  const M = (mm: number): string => printModel(model(mm), brief.units.model, 1);
  const P = (mm: number): string => printPrototype(prototype(mm * d.scale.ratio), brief.units.prototype, 1);
  const row = (a: string, b: string): TableLine => ({ kind: "row", cells: [a, b] });
  const facts = new Map(planFacts(d).map((f) => [f.structure, f]));
  const framed = d.structures.filter((s) => !s.fault && s.resolved.sticks.length > 0);
  const sizes = framed.flatMap((s): TableLine[] => {
    const f = facts.get(s.structure.id);
    if (!f) return [];
    const corners = f.silhouette.flat();
    const span = (k: 0 | 1): number => Math.max(...corners.map((c) => c[k])) - Math.min(...corners.map((c) => c[k]));
    const all = [span(0), span(1), f.high - f.low];
    return [
      row(
        s.structure.name,
        `${all.map(M).join(" × ")} long, deep and high; ${all.map(P).join(" × ")} of the prototype`,
      ),
    ];
  });
  const pictures = framed.slice(0, MOST).flatMap((s): TableLine[] => {
    const seen = elevation(s.resolved.sticks, VIEWS[s.kind.home]);
    return [
      {
        kind: "picture",
        height: HIGH,
        draw: (at, width): Entity[] => [
          ...seenPicture(seen, [at[0], at[1] + 6], [width, HIGH - 8]),
          text([at[0] + width / 2, at[1] + 2], s.structure.name, 2.2, "middle"),
        ],
      },
    ];
  });
  const spot = [
    ["Where it goes", brief.place],
    ["Spot", brief.spotLength > 0 && brief.spotDepth > 0 ? `${M(brief.spotLength)} × ${M(brief.spotDepth)}` : ""],
    ["Track", TRACK[brief.track]],
    ["Era", brief.era],
    ["Scale", scaleLabel(d.scale)],
  ].flatMap(([a, b]) => (b ? [row(a!, b)] : []));
  const decided = (agreed: boolean): TableLine[] => brief.decisions.filter((x) => (x.agreed === true) === agreed).map((x) => row(x.what, x.reason)); // prettier-ignore
  const open = d.doc.structures.flatMap((s) => {
    const all = sourcedDimensions(s);
    const n = all.filter(toFindOut).length;
    return n > 0 && sourceCounts(all)["not said"] < all.length ? [row(s.name, `${n} of ${all.length} dimensions are estimated, assumed or not said yet`)] : []; // prettier-ignore
  });
  const part = (title: string, lines: readonly TableLine[]): TableLine[] => (lines.length > 0 ? [{ kind: "head", text: title }, ...lines] : []); // prettier-ignore
  const sign: TableLine = { kind: "picture", height: 18, draw: (at, width): Entity[] => ["Date", brief.client ?? "", "Builder"].flatMap((who, i) => { const x = at[0] + (i * width) / 3; return [line([x, at[1] + 5], [x + width / 3 - 6, at[1] + 5], "thin"), text([x, at[1] + 1], who, 2)]; }) }; // prettier-ignore
  return tablePages(
    COLUMNS,
    [
      ...pictures,
      ...part("What is built", sizes.length > 0 ? sizes : [row("Nothing is framed yet", "")]),
      ...part("The spot", spot),
      ...part(brief.client ? `Agreed with ${brief.client}` : "Agreed", decided(true)),
      ...part("Decided", decided(false)),
      ...part("Still to be found out", open),
      ...(brief.client ? [sign] : []),
    ],
    paper,
    { title: brief.client ? `Brief for ${brief.client}` : "Brief", job: [name, brief.railroad].filter(Boolean).join(" · "), note: "A model: sizes of the prototype are as far as they are known.", date }, // prettier-ignore
  );
}
