import "./allSheets";
import { paginate, type Drawing, toDxf, toSvg, type PagePlan, type PaperId, type SheetText } from "../drawing";
import { edgeMasks, finishParts, GROUP_WORDS, maskDrawing } from "../finish";
import { FASTENER_WORDS, holeDrawing } from "../fasteners";
import { buildOf, designHash, shortHash, type Design, type StructureDesign } from "../job";
import { feet, prototype, scaleLabel, tellIn, toModel, type Units } from "../units";
import { singleSheet, template } from "./template";
import { buildSheets } from "./buildSheets";
import { insideSheets } from "./insideSheets";
import { clearanceGauges } from "./clearanceGauge";
import { cardNet, CARD_MOCKUP } from "./cardNet";
import { sitePlan } from "./sitePlan";
import { spotSectionSheet } from "./spotSection";
import { cardOf, sheetsOfKind, type NamedDrawing } from "./kindSheets";

/** One jig of a job: a template with the words that go in its title block. */
export interface JigSheet {
  readonly structure: StructureDesign;
  readonly words: SheetText;
  readonly drawing: ReturnType<typeof template>;
  /** A name for files, letters, digits and hyphens. */
  readonly fileName: string;
}

/** Every jig sheet of a design that was framed without fault. `date` is printed as given. */
export function jigSheets(d: Design, date: string): JigSheet[] {
  const metric = d.doc.brief.units.prototype === "m";
  const graphic = metric
    ? { length: toModel(d.scale, prototype(5000)), label: "5 m" }
    : { length: toModel(d.scale, feet(10)), label: "10 ft" };
  const issue = shortHash(designHash(d));
  const sheet = (structure: StructureDesign, title: string, fileName: string, drawing: Drawing): JigSheet => ({
    structure,
    words: {
      job: [d.doc.name, d.doc.brief.railroad].filter(Boolean).join(" · "),
      title,
      scale: scaleLabel(d.scale),
      date,
      issue,
      graphic,
    },
    drawing: inUnits(drawing, d.doc.brief.units),
    fileName,
  });
  const framed = d.structures.filter((s) => !s.fault && s.resolved.sticks.length > 0);
  const plan = sitePlan(d);
  const section = spotSectionSheet(d);
  return [
    ...(plan && framed[0] ? [sheet(framed[0], "Plan of the spot", "plan-of-the-spot", plan)] : []),
    ...(section && framed[0] ? [sheet(framed[0], "Section of the spot", "section-of-the-spot", section)] : []),
    ...(framed[0] ? clearanceGauges(d).map(({ what, drawing }) => sheet(framed[0]!, `${what[0]!.toUpperCase()}${what.slice(1)}`, slug(what), drawing)) : []), // prettier-ignore
    ...framed.flatMap((s) =>
      [...drawingsOf(s, d), ...masksOf(s, d), ...holesFor(s, d), ...insideSheets(s, d)].map(({ what, drawing }) =>
        sheet(s, `${s.structure.name}: ${what}`, `${slug(s.structure.name) || "jig"}-${slug(what)}`, drawing),
      ),
    ),
  ];
}
/** The same drawing with the words on it in the units of the job. */
const inUnits = (d: Drawing, units: Units): Drawing => ({
  layers: d.layers.map((l) => ({
    ...l,
    entities: l.entities.map((e) => (e.kind === "text" ? { ...e, text: tellIn(e.text, units) } : e)),
  })),
});
/** Letters, digits and hyphens. */
const slug = (name: string): string =>
  name
    .toLowerCase()
    .normalize("NFKD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");
/** The jigs of a structure: one template, or what its kind is built on. */
const drawingsOf = (s: StructureDesign, d: Design): NamedDrawing[] => {
  const own = sheetsOfKind(s.kind.id)?.(s, d.pieces) ?? (s.kind.builds ? buildSheets(s, d.pieces) : [{ what: "template", drawing: template(s, d.pieces) }]); // prettier-ignore
  // a mock-up is printed in the papers that it is shown in on the photograph of its place
  const papers = d.doc.spot?.photo?.colours;
  const card = papers && cardOf(s);
  return card ? own.map((x) => (x.what === CARD_MOCKUP ? { ...x, drawing: cardNet(card, papers) } : x)) : own;
};

/** Masks for what is glued after it is painted, and for edges where two colours meet. */
function masksOf(s: StructureDesign, d: Design): NamedDrawing[] {
  const parts = finishParts({ ...d, structures: [s] });
  const faces = parts.flatMap((p): NamedDrawing[] => {
    const drawing = maskDrawing(s, p, d.pieces);
    return drawing ? [{ what: `masks for the ${GROUP_WORDS[p.group]}`, drawing }] : [];
  });
  return [...faces, ...edgeMasks(s, parts)];
}

/** Where the parts are drilled for what joins them. */
const holesFor = (s: StructureDesign, d: Design): NamedDrawing[] =>
  buildOf(d.doc).fasteners.flatMap((f): NamedDrawing[] => {
    const drawing = f.structure === s.structure.id ? holeDrawing(s, f, d.pieces) : undefined;
    return drawing ? [{ what: `holes for the ${FASTENER_WORDS[f.kind]}s between ${f.joint.replace(">", " and ")}`, drawing }] : []; // prettier-ignore
  });

/** Pages of a sheet on a paper. */
export const pagesOf = (s: JigSheet, paper: PaperId): PagePlan => paginate(s.drawing, paper, s.words);

/** One sheet, not cut into pages, as SVG or DXF. */
export const jigSvg = (s: JigSheet): string =>
  toSvg(singleSheet(s.drawing, s.words), { title: s.words.title, margin: 5, words: true });
export const jigDxf = (s: JigSheet): string => toDxf(singleSheet(s.drawing, s.words));
