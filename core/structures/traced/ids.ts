/** Twins of mirrored members end in this. */
export const TWIN = "-mirrored";
/** The id of the member that was drawn, of a twin or of one of the sticks it was cut into. */
export const drawnId = (id: string): string => id.replace(/\/\d+$/, "").replace(new RegExp(`${TWIN}$`), "");

/** The path of a member within its structure at a place; one place alone has none in its paths. */
export const pathAt = (place: number, places: number, id: string): string =>
  places > 1 ? `place${place + 1}/${id}` : id;
