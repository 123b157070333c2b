/**
 * What the framing square and the stair gauge give: the sums of roof and stair framing by themselves, before anything is
 * placed in space. Lengths are prototype mm; slopes are a rise in 12; angles are degrees.
 */
export * from "./rafterTable";
export * from "./rafters";
export * from "./hipRoof";
export * from "./stairs";
export * from "./sheetWork";
export * from "./roughOpening";
