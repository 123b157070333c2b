import { Popover, PopoverButton, PopoverPanel } from "@headlessui/react";
import { ChevronDownIcon } from "@heroicons/react/20/solid";
import type { Look } from "core/job";

/** Which part of a structure the board shows. */
export function PartMenu({
  builds,
  clad,
  picked,
  pick,
  bare,
  setBare,
}: {
  builds: Look["builds"];
  /** Whether there is cladding to leave out. */
  clad: boolean;
  picked: string | undefined;
  pick: (id: string | undefined) => void;
  bare: boolean;
  setBare: (is: boolean) => void;
}) {
  const name = builds.find((b) => b.id === picked)?.name;
  return (
    <Popover className="relative">
      <PopoverButton
        className={`head flex min-h-[30px] items-center gap-1 text-[17px] ${name ? "border-b-2 border-vermilion" : "text-ink-2"}`}
      >
        {name ?? "Part by part"} <ChevronDownIcon className="size-4" />
      </PopoverButton>
      <PopoverPanel className="absolute top-full left-0 z-30 max-h-[70vh] w-72 overflow-auto border border-edge bg-film py-1 text-[16px]">
        {({ close }) => (
          <>
            {clad && (
              <label className="flex min-h-[34px] items-center gap-2 border-b border-hair px-4">
                <input
                  type="checkbox"
                  className="size-4 accent-[var(--ink)]"
                  checked={bare}
                  onChange={(e) => setBare(e.target.checked)}
                />
                Frame alone, without cladding
              </label>
            )}
            {[{ id: undefined, name: "The whole of it" }, ...builds].map((b) => (
              <button
                key={b.id ?? "all"}
                className={`block min-h-[32px] w-full px-4 text-left hover:bg-shade ${b.id === picked ? "font-semibold" : ""}`}
                onClick={() => {
                  pick(b.id);
                  close();
                }}
              >
                {b.name}
              </button>
            ))}
          </>
        )}
      </PopoverPanel>
    </Popover>
  );
}
