import { chosenVariant } from "core/job";
import { Disclosure, DisclosureButton, DisclosurePanel } from "@headlessui/react";
import { ChevronRightIcon, DocumentDuplicateIcon, PlusIcon, TrashIcon } from "@heroicons/react/20/solid";
import { kindOf, newRow, paramAt, type Row, type TableParam } from "core/structures";
import { toast } from "sonner";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { ParamField } from "./ParamField";
import { setParam } from "./useParam";

/** A parameter of rows: each folds open to its fields, is copied or taken out. `only` shows a single row of it. */
export function TableField({ structure, path, only }: { structure: string; path: string; only?: number }) {
  const { doc, edit } = useJob();
  const { P } = useUnits();
  const s = doc.structures.find((x) => x.id === structure)!;
  const kind = kindOf(s.kind);
  const params = chosenVariant(s).params;
  const spec = paramAt(kind.spec, path) as TableParam;
  const rows = params[path] as readonly Row[];
  const keep = (what: string, next: readonly Row[]): void => {
    const [refused] = edit(what, setParam(structure, path, next));
    if (refused) toast.error(refused, { duration: 9000 });
  };
  const noun = spec.noun;
  /** "Front, window, 16′-0″": its choices and its first length. */
  const words = (r: Row): string => {
    const cells = Object.entries(spec.columns);
    const choices = cells.flatMap(([k, c]) =>
      c.type === "choice" ? [c.options.find((o) => o.value === r[k])?.label ?? String(r[k])] : [],
    );
    const length = cells.find(([, c]) => c.type === "length");
    return [...choices.slice(0, 2), ...(length ? [P(Number(r[length[0]]))] : [])].join(", ");
  };
  return (
    <div>
      <p className="text-[15px]">
        {spec.label} <span className="text-ink-2">· {rows.length === 0 ? "none" : rows.length}</span>
      </p>
      {spec.help && <p className="text-[14px] text-ink-2">{spec.help}</p>}
      <ol className="mt-1 border-t border-hair">
        {rows.map((r, i) =>
          only !== undefined && only !== i ? null : (
            <Disclosure as="li" key={i} defaultOpen={only === i} className="border-b border-hair">
              {({ open }) => (
                <>
                  <div className="flex items-center">
                    <DisclosureButton className="flex min-h-[34px] min-w-0 flex-1 items-center gap-1 text-left text-[15px]">
                      <ChevronRightIcon className={`size-5 shrink-0 text-ink-2 ${open ? "rotate-90" : ""}`} />
                      <span className="truncate">
                        {i + 1}. {words(r)}
                      </span>
                    </DisclosureButton>
                    <button
                      className="p-1.5 text-ink-2 hover:text-vermilion"
                      aria-label={`Take out ${noun} ${i + 1}`}
                      title="Take out"
                      onClick={() =>
                        keep(
                          `Take out ${noun} ${i + 1}`,
                          rows.filter((_, n) => n !== i),
                        )
                      }
                    >
                      <TrashIcon className="size-4.5" />
                    </button>
                  </div>
                  <DisclosurePanel className="space-y-2.5 border-l-2 border-hair pb-3 pl-2.5">
                    {Object.entries(spec.columns)
                      .filter(([k]) => kind.shown(params, `${path}.${i}.${k}`))
                      .map(([k, c]) => (
                        <ParamField key={k} structure={structure} path={`${path}.${i}.${k}`} label={c.label} />
                      ))}
                  </DisclosurePanel>
                </>
              )}
            </Disclosure>
          ),
        )}
      </ol>
      {only === undefined && (
        <button
          className="btn mt-2 inline-flex items-center gap-1"
          disabled={rows.length >= spec.most}
          onClick={() =>
            keep(`Add ${/^[aeiou]/.test(noun) ? "an" : "a"} ${noun}`, [...rows, newRow(kind, params, path)])
          }
        >
          {rows.length > 0 ? <DocumentDuplicateIcon className="size-4" /> : <PlusIcon className="size-4" />}
          {rows.length > 0 ? "Add another" : "Add"}{" "}
          {rows.length > 0 ? noun : `${/^[aeiou]/.test(noun) ? "an" : "a"} ${noun}`}
        </button>
      )}
    </div>
  );
}
