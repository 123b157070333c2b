import type { Resolved } from "../../../frame";

const CLAD = /^(facing|board|batten|clapboard|corner board|casing|coping|lining plank|water table|frieze board)$/;
const COVER = /^(roof board|roof sheet|ridge cap|hip cap|flashing collar|flashing upstand)$/;
/** Whether a stick only covers what is framed: siding, trim, lining, roofing. */
export const isCladding = (s: Resolved): boolean => CLAD.test(s.member.role) || COVER.test(s.member.role);
