import { chosenVariant } from "core/job";
import { Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import { ChevronDownIcon } from "@heroicons/react/20/solid";
import type { StructureDoc } from "core/job";
import { kindOf, type BuildingValues } from "core/structures";
import { lazy, Suspense, useState } from "react";
import { toast } from "sonner";
import { askChecker } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import { Modal } from "~/ui/Modal";

const KindChooser = lazy(() => import("./KindChooser"));

/** Which structure and which of its variants is on the board, and how to add, rename or drop one. */
export function VariantBar({
  structure: s,
  which,
  setWhich,
  compare,
}: {
  structure: StructureDoc;
  which: number;
  setWhich: (n: number) => void;
  compare: () => void;
}) {
  const job = useJob();
  const v = chosenVariant(s);
  const [choosing, setChoosing] = useState(false);
  const [renaming, setRenaming] = useState(false);
  const change = (label: string, f: (x: StructureDoc) => void): void =>
    void job.edit(label, (d) => f(d.structures.find((x) => x.id === s.id)! as StructureDoc));
  const rename = (typed: string): void => {
    const name = typed.trim().slice(0, 120);
    if (name) change("Rename the structure", (x) => void (x.name = name));
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
  const smaller = async (): Promise<{ readonly given: readonly string[]; readonly values: object } | undefined> => {
    const { spotLength, spotDepth, scale } = job.doc.brief;
    try {
      if (!kindOf(s.kind).offers?.includes("fit")) return await askChecker((w) => w.compress(job.ask, s.id));
      const { compressBuilding } = await import("core/structures/building/compress");
      return compressBuilding(v.params as unknown as BuildingValues, { length: spotLength * scale.ratio, depth: spotDepth * scale.ratio }); // prettier-ignore
    } catch (e) {
      toast.error(`It could not be fitted: ${(e as Error).message}`);
      return undefined;
    }
  };
  // a copy made to fit the measured spot, beside the one it was made from
  const fit = async (): Promise<void> => {
    const { spotLength, spotDepth } = job.doc.brief;
    if (spotLength <= 0 && spotDepth <= 0) {
      toast.error("The spot is not measured: write its length and depth on the Brief first.");
      return;
    }
    const made = await smaller();
    if (!made) return;
    if (made.given.length === 0) {
      toast.success("It fits the spot as it is.");
      return;
    }
    const [refused] = job.edit("Fit a copy into the spot", (d) => {
      const x = d.structures.find((y) => y.id === s.id)!;
      const id = `v${crypto.randomUUID().slice(0, 6)}`;
      x.variants.push({
        ...structuredClone(JSON.parse(JSON.stringify(v))),
        id,
        name: "Fitted to the spot",
        reason: `Given up: ${made.given.join(" ")} Doors, windows and lumber keep their sizes.`.slice(0, 1900),
        params: structuredClone(made.values),
      });
      x.chosen = id;
    });
    if (refused) toast.error(refused);
    else compare();
  };
  const add = (x: StructureDoc): void => {
    setChoosing(false);
    job.edit(`Frame: ${x.name}`, (d) => void d.structures.push(x));
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
          {(kindOf(s.kind).offers?.includes("fit") || kindOf(s.kind).shrinks) && (
            <MenuItem>
              <button className={item} onClick={() => void fit()}>
                Fit a copy into the spot
              </button>
            </MenuItem>
          )}
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
            <button className={item} onClick={() => setRenaming(true)}>
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
          <MenuItem>
            <button className={item} onClick={() => setChoosing(true)}>
              Frame another structure
            </button>
          </MenuItem>
          <MenuItem>
            <button className={`${item} text-fault`} onClick={drop}>
              Remove this structure
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
      <Modal open={choosing} onClose={() => setChoosing(false)} title="Frame another structure" wide>
        <div className="mt-3">
          <Suspense fallback={<p className="text-ink-2">Fetching the pictures …</p>}>
            <KindChooser choose={add} />
          </Suspense>
        </div>
      </Modal>
      <Modal open={renaming} onClose={() => setRenaming(false)} title="Name of the structure">
        <form
          className="mt-3 flex gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            setRenaming(false);
            rename(String(new FormData(e.currentTarget).get("name") ?? ""));
          }}
        >
          <input name="name" autoFocus className="field" aria-label="Name of the structure" defaultValue={s.name} />
          <button className="act">Rename</button>
        </form>
      </Modal>
    </div>
  );
}
