/**
 * How many members are found on plan sheets, and how many offers are members: npx tsx bench/foundLines.ts [first seed]
 * [how many]. The seeds of the tests and of tuning are best left alone; say others.
 */
import { inkStrokes, membersAmong } from "../core/found";
import { tally } from "../core/found/score.fixture";
import { membersOn, scanOf, sheetOf } from "../core/found/sheets.fixture";

const first = Number(process.argv[2] ?? 401);
const many = Number(process.argv[3] ?? 12);
for (const how of ["clean", "tilted", "noisy"] as const) {
  const sum = { members: 0, offered: 0, found: 0, right: 0, ms: 0, sheets: 0 };
  for (let seed = first; seed < first + many; seed++) {
    let sheet: ReturnType<typeof sheetOf>;
    try {
      sheet = sheetOf(seed);
    } catch {
      // a random bent with no room for its braces has no sheet
      continue;
    }
    const scan = await scanOf(sheet, how, seed);
    const perInch = (scan.perMm * sheet.k * 3.5) / 12;
    const started = Date.now();
    const offers = membersAmong(await inkStrokes(scan.image), {
      least: 4,
      most: 26 * perInch,
      skew: 1,
      slack: 2.5,
      perInch,
    });
    const t = tally(offers, membersOn(sheet, scan.toPixel, scan.perMm));
    for (const k of ["members", "offered", "found", "right"] as const) sum[k] += t[k];
    sum.ms += Date.now() - started;
    sum.sheets++;
  }
  const share = (a: number, b: number): string => `${((100 * a) / b).toFixed(1)} %`;
  console.log(
    `${how}: ${sum.sheets} sheets, ${share(sum.found, sum.members)} of ${sum.members} members offered, ${share(sum.right, sum.offered)} of ${sum.offered} offers are members; ${Math.round(sum.ms / sum.sheets)} ms a sheet`,
  );
}
process.exit(0);
