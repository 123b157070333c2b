/** Vector drawings read from files: lines as lines, x right and y down, in the sheet's own units. */
export * from "./sheetLines";
export * from "./svg";
export * from "./dxf";
export * from "./pdf";
export * from "./pdfStreams";
