/**
 * How a structure is put together: sub-assemblies on their boards, then what stands, each piece with a straight way to its
 * place. Example: assemblyOf(design.structures[0]!).steps[0]!.title is "Bent: 2 caps".
 */
export * from "./body";
export * from "./clear";
export * from "./cautions";
export * from "./joinings";
export * from "./sequence";
export * from "./step";
export { countOf, wayWords } from "./stepWords";
export * from "./steps";
export * from "./units";
export * from "./wholeOf";
export * from "./progress";
export * from "./evenings";
