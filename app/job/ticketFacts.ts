import { gluedUpWith, type Piece } from "core/frame";
import type { Design } from "core/job";

/** What a ticket and the parameters' panel ask of one stick. */
export interface TicketFacts {
  readonly stick: string;
  readonly piece: Piece;
  /** What the member is. */
  readonly member: { readonly id: string; readonly role: string; readonly assembly: string };
  /** The length between the points that the framing square gives, model mm, where it differs. */
  readonly theoretical: number | undefined;
  /** How many pieces its part of the structure has that are glued up with it, itself among them. */
  readonly gluedUp: number;
}
/** The facts of a stick; undefined where the design has none of that id. */
export function ticketOf(design: Design, stick: string): TicketFacts | undefined {
  const structure = design.structures.find((s) => stick.startsWith(`${s.structure.id}/`));
  const cut = structure?.resolved.sticks.find((k) => k.id === stick);
  const piece = cut && design.pieces.find((p) => p.sticks.includes(stick));
  if (!piece) return undefined;
  const { id, role, assembly, theoretical } = cut.member;
  return {
    stick,
    piece,
    member: { id, role, assembly },
    theoretical,
    gluedUp: gluedUpWith(structure!.resolved, stick).length,
  };
}
