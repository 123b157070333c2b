/** Whether a text is a day that there is, written as 2026-05-31. */
export const isDay = (text: string): boolean => {
  if (!/^\d{4}-\d\d-\d\d$/.test(text)) return false;
  const t = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(t.getTime()) && t.toISOString().slice(0, 10) === text;
};
