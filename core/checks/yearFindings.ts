import type { Design } from "../job";
import { yearNotes } from "../years";
import type { Finding } from "./findings";

/** What of the job is of another year than the one that is modelled, and what is exchanged but does not fit. */
export const yearFindings = (d: Design): Finding[] =>
  yearNotes(d).map((n): Finding => ({ key: `years:${n.key}`, level: n.level, text: n.text, sticks: [], ...(n.leave ? { structure: n.structure!, remedy: { label: "Leave it out", do: "omit", paths: n.leave } } : {}) })); // prettier-ignore
