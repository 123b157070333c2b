import { TEXTURES } from "../../../lumber";
import { feet, inches } from "../../../units";
import { choice, flag, length, section } from "../../spec";
import { options, span, zero } from "./shared";

const cladding = "Cladding and trim";

/** What covers the walls. Prototype mm, rises in inches per foot; usual values are common practice. */
export const claddingSpec = {
  siding: choice({
    group: cladding,
    label: "Cladding",
    def: "none",
    options: options({
      none: "left open",
      horizontal: "horizontal boards",
      clapboard: "clapboards",
      vertical: "vertical planks",
      batten: "board and batten",
      sheet: "textured sheet",
    }),
    help: "What covers the frame; what it adds is followed through to eaves, corners and openings.",
  }),
  sheetTexture: choice({
    group: cladding,
    label: "Sheet",
    def: "clapboard",
    options: TEXTURES.map((t) => ({ value: t.id, label: t.name })),
    help: "What is moulded into its face.",
  }),
  sheetPitch: length({
    group: cladding,
    label: "Pitch of its lines",
    def: inches(6),
    ...span(inches(1), inches(48), [inches(2), inches(24)]),
    help: "On the prototype, from line to line; the nearest sheet that is sold is taken. Stock tells how far off it is.",
  }),
  sheetCorner: choice({
    group: cladding,
    label: "Corners of the sheet",
    def: "ends",
    options: options({
      ends: "the ends cover the long walls",
      sides: "the long walls cover the ends",
      mitre: "mitred",
    }),
    help: "Where there are no corner boards.",
  }),
  sidingBoard: section({ group: cladding, label: "Board", def: "1×8", help: "Nominal inches, thickness by width." }),
  exposure: length({
    group: cladding,
    label: "Clapboards show",
    def: inches(6),
    ...span(inches(2), inches(14), [inches(3), inches(8)]),
    help: "The exposure: a board is as wide as its size says.",
  }),
  batten: section({ group: cladding, label: "Batten", def: "1×2", help: "Nominal inches, thickness by width." }),
  cornerBoards: flag({ group: cladding, label: "Corner boards", def: true, help: "The cladding ends against them." }),
  cornerBoard: section({
    group: cladding,
    label: "Corner board",
    def: "1×6",
    help: "Nominal inches, thickness by width.",
  }),
  lined: flag({
    group: cladding,
    label: "Planks on the inside of the walls",
    def: false,
    help: "As in a bin or a sand house.",
  }),
  lining: section({ group: cladding, label: "Lining plank", def: "3×12", help: "Nominal inches, thickness by width." }),
  waterTable: flag({
    group: cladding,
    label: "Water table",
    def: false,
    help: "A board round the foot of the cladding, mitred at the corners.",
  }),
  waterBoard: section({
    group: cladding,
    label: "Water table board",
    def: "2×8",
    help: "Nominal inches, thickness by width.",
  }),
  frieze: flag({
    group: cladding,
    label: "Frieze board under the eaves",
    def: false,
    help: "The cladding ends under it; mitred where the eaves go round.",
  }),
  friezeBoard: section({
    group: cladding,
    label: "Frieze board",
    def: "1×8",
    help: "Nominal inches, thickness by width.",
  }),
  casings: flag({
    group: cladding,
    label: "Casings round openings",
    def: false,
    help: "On the framing, the cladding ends against them.",
  }),
  casing: section({ group: cladding, label: "Casing", def: "1×4", help: "Nominal inches, thickness by width." }),
  skirt: length({
    group: cladding,
    label: "Cladding runs below the floor by",
    def: zero,
    ...span(zero, feet(12), [zero, feet(4)]),
    help: "Over the rim and the sill beam.",
  }),
};
