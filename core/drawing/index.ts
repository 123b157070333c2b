/**
 * A Drawing is data, mm, x to the right and y up; svg, dxf and pdf are writers of the same description:
 * (drawing, options) => output, the date passed in, identical bytes for identical input.
 * Example: { layers: [{ name: "members", entities: [line([0, 0], [100, 0], "outline")] }] }.
 */
export * from "./drawing";
export * from "./svg";
export * from "./dxf";
export * from "./pages";
export * from "./tablePages";
export * from "./pdf";
export * from "./printer";
export { boundsOfShown, elevation, VIEWS, type Seen, type Shown, type View } from "./elevation";
export * from "./packedSeen";
export * from "./thumbnail";
