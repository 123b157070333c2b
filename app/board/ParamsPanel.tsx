import { chosenVariant } from "core/job";
import { ChevronRightIcon } from "@heroicons/react/20/solid";
import { COMMON_SIZES } from "core/lumber";
import { kindOf, paramAt, pathsOf, type SingleParam } from "core/structures";
import { hasWords } from "core/units";
import { useDeferredValue, useEffect, useMemo, useState, type ReactNode } from "react";
import { JobContext, useJob } from "~/job/JobContext";
import { useTicket } from "~/job/useTicket";
import { ParamField } from "./ParamField";
import { TableField } from "./TableField";

/** The parameters of a structure, brought up to date just after the picture: some ninety fields take longer than it. */
export function ParamsPanel({ structure }: { structure: string }) {
  const job = useJob();
  const behind = useDeferredValue(useMemo(() => ({ job, structure }), [job, structure]));
  return useMemo(
    () => (
      <JobContext.Provider value={behind.job}>
        <Params structure={behind.structure} />
      </JobContext.Provider>
    ),
    [behind],
  );
}
/** The same parameters as on the drawing, as a list: searched, in groups that fold, and narrowed to what belongs to the stick that is pressed. */
function Params({ structure }: { structure: string }) {
  const { doc, selected } = useJob();
  const [text, setText] = useState("");
  const [whole, setWhole] = useState(true);
  const [all, setAll] = useState<boolean>();
  const s = doc.structures.find((x) => x.id === structure)!;
  const kind = kindOf(s.kind);
  const params = chosenVariant(s).params;
  const paths = pathsOf(kind.spec)
    .filter((p) => kind.shown(params, p))
    .map((path) => ({ path, p: paramAt(kind.spec, path)! }));
  const facts = useTicket();
  const member = selected?.startsWith(`${structure}/`) ? facts?.member : undefined;
  const about = useMemo(() => (member ? (kind.about?.(member) ?? []) : []), [kind, member]);
  // what is pressed narrows the list at once; all of it is one press away
  useEffect(() => setWhole(about.length === 0), [selected, about.length]);
  const found = paths.filter(
    ({ p }) => text.trim() === "" || hasWords(`${p.label} ${p.group} ${p.help} ${columnsOf(p)}`, text),
  );
  const near = (g: string): boolean => about.includes(g);
  const rows = about.filter((a) => /^\w+\.\d+$/.test(a) && paths.some((x) => x.path === a.split(".")[0]));
  const shown = text.trim() || whole ? found : found.filter(({ p }) => near(p.group));
  const groups = [...new Set(shown.map(({ p }) => p.group))];
  if (!whole) groups.sort((a, b) => about.indexOf(a) - about.indexOf(b));
  return (
    <div className="space-y-3">
      <datalist id="nominal-sizes">
        {COMMON_SIZES.map((x) => (
          <option key={x} value={x} />
        ))}
      </datalist>
      <div className="flex items-center gap-2">
        <input
          type="search"
          className="field min-w-0"
          aria-label="Find a parameter"
          placeholder="Find: rise, stud, sill …"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <button className="btn shrink-0" onClick={() => setAll(!all)}>
          {all ? "Fold all" : "Unfold all"}
        </button>
      </div>
      {member && about.length > 0 && text.trim() === "" && (
        <p className="flex items-baseline justify-between gap-2 text-[15px]">
          <span className="text-ink-2">{whole ? "All parameters" : `What the ${member.role} belongs to`}</span>
          <button className="link min-h-6" onClick={() => setWhole(!whole)}>
            {whole ? `Only those of the ${member.role}` : "All parameters"}
          </button>
        </p>
      )}
      {!whole &&
        text.trim() === "" &&
        rows.map((path) => (
          <TableField key={path} structure={structure} path={path.split(".")[0]!} only={Number(path.split(".")[1])} />
        ))}
      {groups.length === 0 && (
        <p className="text-[15px]">
          No parameter has “{text.trim()}”. Look for what it is called on the drawing, such as height, spacing or rise.
        </p>
      )}
      {groups.map((g) => (
        <Group key={g} name={g} open={all ?? (text.trim() !== "" || !whole || groups.length <= 3)}>
          {shown
            .filter(({ p }) => p.group === g)
            .map(({ path, p }) =>
              p.type === "table" ? (
                <TableField key={path} structure={structure} path={path} />
              ) : (
                <ParamField key={path} structure={structure} path={path} />
              ),
            )}
        </Group>
      ))}
    </div>
  );
}
/** The labels of a table's columns, for a search to find. */
const columnsOf = (p: SingleParam): string =>
  p.type === "table" ? Object.values(p.columns).map((c) => c.label).join(" ") : ""; // prettier-ignore

/** A group of parameters that folds; what a search or a pressed stick asks for stands open. */
function Group({ name, open, children }: { name: string; open: boolean; children: ReactNode }) {
  const [own, setOwn] = useState<boolean>();
  useEffect(() => setOwn(undefined), [open]);
  const unfolded = own ?? open;
  return (
    <section aria-label={name}>
      <h2>
        <button
          className="label flex min-h-[30px] w-full items-center gap-1 border-b border-hair text-left"
          aria-expanded={unfolded}
          onClick={() => setOwn(!unfolded)}
        >
          <ChevronRightIcon className={`size-5 ${unfolded ? "rotate-90" : ""}`} />
          {name}
        </button>
      </h2>
      {unfolded && <div className="space-y-2.5 pt-2 pb-3">{children}</div>}
    </section>
  );
}
