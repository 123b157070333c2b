import { stockItem, type StockItem } from "../lumber";
import { scaleOf } from "../units";

export { sheetOf } from "../lumber";
/** A stick of the series by its id, in HO. */
export const stickBy = (id: string): StockItem => stockItem(scaleOf("HO"), id)!;
