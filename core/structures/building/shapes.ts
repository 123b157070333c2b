/** What sheets, checks and screens ask of a building besides its kind: its layout, its facets, its builds. */
export { buildingLayout, type BuildingLayout, type Part, type Wall } from "./plan/layout";
export { facetsOf, trueShape, type Facet } from "./roof/facets";
export { compressBuilding, footprint, type Compressed } from "./compress";
export { bayShapes, baysOf } from "./bay/bayPlan";
export { coverHoles } from "./roof/covering";
export { raisedOf, wallsOf } from "./plan/raised";
export { interruptionsOf } from "./roof/valley";
export { buildsOf, facetWords, type BuildingBuild } from "./builds";
export { isCladding } from "./cladding/cladRoles";
export type { BuildingValues } from "./parameters";
