/** Full-size jigs, model mm: jigSheets(design, "2026-05-01") gives the template of each structure. */
export * from "./template";
export * from "./sheets";
export * from "./jigPdf";
