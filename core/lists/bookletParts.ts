/** What of a job goes into one PDF, in the order it is used; by the names it is ticked under. */
export const BOOKLET = {
  cover: "Cover with a picture",
  findings: "Findings",
  shopping: "Shopping list",
  cutList: "Cut list",
  setUps: "Set-up cards",
  sticks: "Stick layout",
  sheets: "Sheet layout",
  labels: "Labels for trays",
  jigs: "Templates at full size",
  finish: "Finish plan",
  steps: "Steps with pictures",
  notes: "Lined pages for notes",
} as const;
export type BookletPart = keyof typeof BOOKLET;
