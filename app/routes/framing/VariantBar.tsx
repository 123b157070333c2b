import { Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import { ChevronDownIcon } from "@heroicons/react/20/solid";
import { newStructure, type StructureDoc } from "core/job";
import { KINDS } from "core/structures";
import { chosenVariant, useJob } from "~/job/JobContext";

/** Which structure and which of its variants is on the board, and how to add, rename or drop one. */
export function VariantBar({
  structure: s,
  which,
  setWhich,
}: {
  structure: StructureDoc;
  which: number;
  setWhich: (n: number) => void;
}) {
  const job = useJob();
  const v = chosenVariant(s);
  const change = (label: string, f: (x: StructureDoc) => void): void =>
    void job.edit(label, (d) => f(d.structures.find((x) => x.id === s.id)! as StructureDoc));
  const rename = (): void => {
    const name = window.prompt("Name of the structure", s.name)?.trim();
    if (name) change("Rename the structure", (x) => void (x.name = name.slice(0, 120)));
  };
  const copy = (): void =>
    change("Add a variant", (x) => {
      const id = `v${crypto.randomUUID().slice(0, 6)}`;
      x.variants.push({
        ...structuredClone(JSON.parse(JSON.stringify(v))),
        id,
        name: `Variant ${x.variants.length + 1}`,
        reason: "",
      });
      x.chosen = id;
    });
  const add = (kind: string, name: string, values = {}): void => {
    job.edit(
      `Frame a ${name.toLowerCase()}`,
      (d) =>
        void d.structures.push(
          newStructure(kind, `s${crypto.randomUUID().slice(0, 6)}`, name, structuredClone(values)),
        ),
    );
    setWhich(job.doc.structures.length);
  };
  const drop = (): void => {
    job.edit(`Remove ${s.name}`, (d) => void (d.structures = d.structures.filter((x) => x.id !== s.id)));
    setWhich(0);
  };
  const item = "block w-full px-3 py-1.5 text-left text-[15px] data-focus:bg-shade";
  return (
    <div className="absolute top-11 left-4 flex gap-2 bg-film/85 px-1.5">
      <Menu>
        <MenuButton className="flex min-h-[26px] items-center gap-1 text-[15px] text-ink-2 hover:text-vermilion">
          {s.name}
          {s.variants.length > 1 ? ` · ${v.name}` : ""}
          <ChevronDownIcon className="size-4" />
        </MenuButton>
        <MenuItems anchor="bottom start" className="z-40 w-72 border border-edge bg-film py-1 focus:outline-none">
          {s.variants.length > 1 &&
            s.variants.map((x) => (
              <MenuItem key={x.id}>
                <button className={item} onClick={() => change(`Choose ${x.name}`, (y) => void (y.chosen = x.id))}>
                  {x.id === s.chosen ? "● " : "○ "}
                  {x.name}
                </button>
              </MenuItem>
            ))}
          <MenuItem>
            <button className={item} onClick={copy}>
              Copy as a variant
            </button>
          </MenuItem>
          {s.variants.length > 1 && (
            <MenuItem>
              <button
                className={item}
                onClick={() =>
                  change(`Remove ${v.name}`, (y) => {
                    y.variants = y.variants.filter((x) => x.id !== v.id);
                    y.chosen = y.variants[0]!.id;
                  })
                }
              >
                Remove this variant
              </button>
            </MenuItem>
          )}
          <MenuItem>
            <button className={item} onClick={rename}>
              Rename the structure
            </button>
          </MenuItem>
          {job.doc.structures.length > 1 &&
            job.doc.structures.map(
              (x, i) =>
                i !== which && (
                  <MenuItem key={x.id}>
                    <button className={item} onClick={() => setWhich(i)}>
                      Show {x.name}
                    </button>
                  </MenuItem>
                ),
            )}
          {KINDS.flatMap((k) =>
            [{ name: k.name, params: {} }, ...(k.starts ?? [])].map((x) => ({ kind: k.id, ...x })),
          ).map((x) => (
            <MenuItem key={`${x.kind} ${x.name}`}>
              <button className={item} onClick={() => add(x.kind, x.name, x.params)}>
                Frame another {x.name.toLowerCase()}
              </button>
            </MenuItem>
          ))}
          <MenuItem>
            <button className={`${item} text-fault`} onClick={drop}>
              Remove this structure
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </div>
  );
}
