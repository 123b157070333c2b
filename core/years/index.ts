/**
 * What of a job was there from when to when: which sticks, papers and bodies that is, what stands in a year, what is too early
 * or too late for the one that is modelled, and whether what is exchanged is of one size. Years are whole; both ends are told.
 */
export * from "./items";
export * from "./judged";
