import { HISTORY, advance, type Confirmed, type Entry, type Step } from "./keeping";
import { PatchError } from "./patches";

/** A small job, shaped like the real one where keeping looks. */
export interface Small {
  readonly name: string;
  readonly aside: Readonly<Record<string, string>>;
  readonly structures: readonly {
    readonly id: string;
    readonly variants: readonly { readonly id: string; readonly name: string; readonly params: Readonly<Record<string, number>> }[]; // prettier-ignore
  }[];
}
export const small = (): Small => ({
  name: "Job",
  aside: {},
  structures: [
    { id: "a", variants: [{ id: "v", name: "First", params: { height: 1, width: 2 } }] },
    { id: "b", variants: [{ id: "v", name: "First", params: { height: 1, width: 2 } }] },
  ],
}); // prettier-ignore

export type Told =
  | { readonly ok: true; readonly revision: number }
  | { readonly ok: false; readonly why: "conflict"; readonly state: Confirmed<Small, string>; readonly kept: ReadonlySet<string> } // prettier-ignore
  | { readonly ok: false; readonly why: "refused" | "gone" };

/** What the database does, in memory: one revision after another, each entry once. */
export class SmallServer {
  doc = small();
  revision = 0;
  past: Step[] = [];
  future: Step[] = [];
  events: string[] = [];
  deleted = false;
  readonly known = new Map<string, number>();

  state(): Confirmed<Small, string> {
    const { doc, revision, past, future, events } = this;
    // only the nearest steps are told, as the real one does
    const shown = past.slice(-3);
    return { doc, revision, past: shown, future: [...future], older: past.length - shown.length, at: "", events: [...events] }; // prettier-ignore
  }
  take(e: Entry<string>): Told {
    if (this.deleted) return { ok: false, why: "gone" };
    const known = this.known.get(e.id);
    if (known !== undefined) return { ok: true, revision: known };
    if (e.kind === "event") {
      this.events.push(e.event);
      this.known.set(e.id, this.revision);
      return { ok: true, revision: this.revision };
    }
    if (e.base !== this.revision)
      return { ok: false, why: "conflict", state: this.state(), kept: new Set(this.known.keys()) };
    try {
      const next = advance({ doc: this.doc, past: this.past, future: this.future }, e);
      if (Object.values(next.doc.structures).some((s) => s.variants.some((v) => v.params.height === 13)))
        return { ok: false, why: "refused" };
      this.doc = JSON.parse(JSON.stringify(next.doc)) as Small;
      this.past = next.past.slice(-HISTORY);
      this.future = [...next.future];
      this.known.set(e.id, ++this.revision);
      return { ok: true, revision: this.revision };
    } catch (x) {
      if (x instanceof PatchError) return { ok: false, why: "refused" };
      throw x;
    }
  }
}
