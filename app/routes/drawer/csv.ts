import Papa from "papaparse";
import { COLUMNS, drawerRows } from "core/drawer";
import { inDrawer } from "~/data/drawer.server";

/** The drawer as a table to save, sizes in mm. */
export function loader() {
  const text = Papa.unparse({ fields: [...COLUMNS], data: drawerRows(inDrawer()) });
  const headers = { "content-type": "text/csv; charset=utf-8", "content-disposition": 'attachment; filename="drawer.csv"' }; // prettier-ignore
  // the mark at the start tells a spreadsheet that it is UTF-8
  return new Response(`\uFEFF${text}\r\n`, { headers });
}
