import { dto, type ParamsOf } from "../spec";
import { claddingSpec } from "./spec/cladding";
import { coveringSpec } from "./spec/covering";
import { eavesSpec } from "./spec/eaves";
import { floorSpec } from "./spec/floor";
import { foundationSpec } from "./spec/foundation";
import { openingsSpec } from "./spec/openings";
import { planSpec } from "./spec/plan";
import { roofSpec } from "./spec/roof";
import { seenSpec } from "./spec/seen";
import { standSpec } from "./spec/stand";
import { trackSpec } from "./spec/track";
import { wallsSpec } from "./spec/walls";

export { SIDES, type SideName } from "./spec/shared";

/**
 * A framed building. Prototype mm, rises in inches per foot. Heights are over the floor, which is where the walls stand.
 */
export const buildingSpec = {
  ...planSpec,
  ...wallsSpec,
  ...openingsSpec,
  ...floorSpec,
  ...foundationSpec,
  ...standSpec,
  ...roofSpec,
  ...eavesSpec,
  ...coveringSpec,
  ...claddingSpec,
  ...trackSpec,
  ...seenSpec,
};
export type BuildingValues = ParamsOf<typeof buildingSpec>;
export const BuildingParams = dto(buildingSpec);
export type OpeningRow = BuildingValues["openings"][number];
export type WingRow = BuildingValues["wings"][number];
