import { nominalOf } from "core/frame";
import { bothEnds, chosenVariant, furtherWork, whereRanges } from "core/job";
import { lookOf, stockName } from "core/lumber";
import { toast } from "sonner";
import { askDrafter, askWelder } from "~/job/framer";
import { fileName, saveFile } from "~/job/saveFile";
import { useCutMarks } from "~/job/useCutMarks";
import { useJob } from "~/job/JobContext";
import type { TicketFacts as Facts } from "~/job/ticketFacts";
import { Figure, useUnits } from "~/job/units";
import { PieceDrawing } from "./PieceDrawing";

/** Where pieces go, no longer than a ticket has room for. */
function placesOf(sticks: readonly string[]): string {
  const words = whereRanges(sticks);
  return words.length <= 300 ? words : `${words.slice(0, words.lastIndexOf(" ", 300))} …`;
}

/** The most cuts besides the ends that a ticket tells one by one. */
const MOST_WORK = 6;

/** What is told of a piece; fetched when the first one is pointed at. */
export default function TicketFacts({ facts, selected }: { readonly facts: Facts; readonly selected: string }) {
  const { design, select, doc, statuses, edit, ask } = useJob();
  const { P, M, up, units } = useUnits();
  const { takeBack } = useCutMarks();
  const { piece, theoretical: theory } = facts;
  const { shape } = piece;
  const same = Math.abs(shape.longPoint - shape.shortPoint) < 0.0005;
  const ends = bothEnds(shape, (mm) => M(mm, 2));
  const work = furtherWork(shape, (mm) => M(mm, 2));
  // thickness first, as the trade says a size
  const section = [...shape.section].sort((a, b) => a - b);
  const structure = doc.structures.find((s) => selected.startsWith(`${s.id}/`));
  const path = structure ? selected.replace(/#.*$/, "").slice(structure.id.length + 1) : "";
  const cut = statuses.filter((s) => piece.sticks.includes(s.stick));
  const leaveOut = (): void => {
    edit(`Leave out ${piece.role} ${piece.mark}`, (d) => {
      const s = d.structures.find((x) => x.id === structure!.id)!;
      const v = chosenVariant(s);
      v.overrides[path] = { ...v.overrides[path], omit: true };
    });
    select(undefined);
  };
  const saveStl = async (): Promise<void> => {
    const bytes = await askDrafter((w) => w.stl(ask, selected));
    if (bytes)
      saveFile(new Blob([bytes as BlobPart], { type: "model/stl" }), fileName(`${doc.name} ${piece.mark}`, "stl")); // prettier-ignore
    else toast(`${piece.mark} is not one closed body; take it to pieces first.`);
  };
  const saveWhole = async (): Promise<void> => {
    const { bytes, bodies } = await askDrafter((w) => w.bodies(ask, selected)).then((all) =>
      askWelder((w) => w.stl(all, piece.mark)),
    );
    if (bytes)
      saveFile(new Blob([bytes as BlobPart], { type: "model/stl" }), fileName(`${doc.name} ${piece.mark} whole`, "stl")); // prettier-ignore
    else toast(`The ${facts.gluedUp} pieces stand apart as ${bodies} bodies: they are not one solid.`);
  };
  return (
    <section aria-label={`Ticket of ${piece.mark}`}>
      <h2 className="label">Piece</h2>
      <p className="head text-[21px] leading-tight">
        <span className="text-vermilion">{piece.mark}</span> {piece.role} · {piece.sticks.length}{" "}
        {piece.sticks.length === 1 ? "of them" : "alike"}
      </p>
      <div className="mt-2">
        <PieceDrawing shape={shape} length={M(shape.overall)} look={lookOf(piece.stock)} />
      </div>
      <table className="w-full text-[15px]">
        <tbody>
          {shape.kind === "panel" ? (
            // a sheet part has no ends and no nominal size
            [
              ["Long", shape.overall] as const,
              ["Wide", shape.section[0]] as const,
              ["Thick", shape.section[1]] as const,
            ].map(([what, mm]) => <Row key={what} what={what} model={M(mm, 2)} proto={P(up(mm))} />)
          ) : (
            <>
              {same ? (
                <Row what="Long edges" model={M(shape.longPoint, 2)} proto={P(up(shape.longPoint))} />
              ) : (
                <>
                  <Row what="Long point" model={M(shape.longPoint, 2)} proto={P(up(shape.longPoint))} />
                  <Row what="Short point" model={M(shape.shortPoint, 2)} proto={P(up(shape.shortPoint))} />
                </>
              )}
              <Row what="Tip to tip" model={M(shape.overall, 2)} proto={P(up(shape.overall))} />
              {theory !== undefined && <Row what="Theoretical" model={M(theory, 2)} proto={P(up(theory))} />}
              {ends.first === ends.far ? (
                <EndRow what="Both ends" words={[ends.first, ends.relation].filter(Boolean).join(", ")} />
              ) : (
                <>
                  <EndRow what="First end" words={ends.first} />
                  <EndRow what="Far end" words={ends.far} />
                </>
              )}
              <Row
                what="Section"
                model={
                  units.model === "mm"
                    ? `${section.map((x) => x.toFixed(2)).join(" × ")} mm`
                    : section.map((x) => M(x, 2)).join(" × ")
                }
                proto={nominalOf(piece.shape.kind, piece.nominal)}
              />
            </>
          )}
        </tbody>
      </table>
      {work.length > 0 && (
        <ul className="mt-2 text-[15px]" aria-label="Further cuts">
          {work.slice(0, MOST_WORK).map((words) => (
            <li key={words} className="row py-1">
              <Figure>{`${words.charAt(0).toUpperCase()}${words.slice(1)}.`}</Figure>
            </li>
          ))}
          {work.length > MOST_WORK && (
            <li className="row py-1 text-ink-2">{work.length - MOST_WORK} more are in the CSV.</li>
          )}
        </ul>
      )}
      <dl className="mt-3 text-[15px]">
        <Pair label="Stock">{stockName(design.scale, piece.stock)}</Pair>
        {piece.handOf && <Pair label="Hand">mirror of {piece.handOf}</Pair>}
        <Pair label="Goes to">{placesOf(piece.sticks)}</Pair>
        {cut.length > 0 && (
          <Pair label="Cut">
            {cut.length === piece.sticks.length && cut.every((c) => c.state === "valid")
              ? "all, still valid"
              : [...new Set(cut.map((c) => c.words))]
                  .map((w) => `${cut.filter((c) => c.words === w).length} ${w}`)
                  .join("; ")}{" "}
            <button className="link min-h-6" onClick={() => takeBack(cut.map((c) => c.stick))}>
              Take back
            </button>
          </Pair>
        )}
      </dl>
      <p className="mt-2 flex flex-wrap gap-x-4 text-[15px]">
        {structure && (
          <button className="link min-h-6" onClick={leaveOut}>
            Leave this stick out
          </button>
        )}
        {shape.kind !== "bent" && (
          <button className="link min-h-6" onClick={() => void saveStl()}>
            Save as STL
          </button>
        )}
        {facts.gluedUp > 1 && (
          <button className="link min-h-6" onClick={() => void saveWhole()}>
            Save the {facts.gluedUp} glued up as one solid (STL)
          </button>
        )}
      </p>
    </section>
  );
}

function Row({ what, model, proto }: { what: string; model: string; proto: string }) {
  return (
    <tr className="row">
      <td className="py-1.5 pr-2 whitespace-nowrap">{what}</td>
      <td className="py-1.5 pr-2 text-right font-semibold whitespace-nowrap">
        <Figure>{model}</Figure>
      </td>
      <td className="py-1.5 text-right whitespace-nowrap text-ink-2">
        <Figure>{proto}</Figure>
      </td>
    </tr>
  );
}
/** An end in words: of one that is cut several times they take more than a line. */
function EndRow({ what, words }: { what: string; words: string }) {
  return (
    <tr className="row">
      <td className="py-1.5 pr-2 align-top whitespace-nowrap">{what}</td>
      <td colSpan={2} className="py-1.5 text-right font-semibold">
        <Figure>{words}</Figure>
      </td>
    </tr>
  );
}
function Pair({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="row flex gap-3 py-1.5">
      <dt className="label w-[62px] shrink-0 pt-0.5">{label}</dt>
      <dd className="min-w-0">{children}</dd>
    </div>
  );
}
