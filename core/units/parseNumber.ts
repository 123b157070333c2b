/** A plain number as people type it, "1.25", "1,25", "−3" or ".5", with the unit of its field behind it or without ("30 %", "22.5°"). NaN for what is no number, nothing typed included. */
export function parseNumber(text: string, ...units: readonly string[]): number {
  let t = text.trim().replace(/^[−–]/, "-");
  const unit = units.find((u) => t.toLowerCase().endsWith(u.toLowerCase()));
  if (unit) t = t.slice(0, -unit.length).trim();
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(t) ? Number(t.replace(",", ".")) : NaN;
}
