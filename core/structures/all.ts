import { building } from "./building";
import { canopy } from "./canopy";
import type { StructureKind } from "./kind";
import { platform } from "./platform";
import { registerKind } from "./registry";
import { sheetBuilding } from "./sheet";
import { snowshed } from "./snowshed";
import { traced } from "./traced";
import { trestleBent } from "./trestle";
import { tubes } from "./tubes";
import { truss } from "./truss";
import { wholeTrestle } from "./whole-trestle";

/** Every kind, at hand at once: for the server, the command line, workers and tests. */
export const KINDS: readonly StructureKind[] = [
  trestleBent,
  wholeTrestle,
  truss,
  building,
  sheetBuilding,
  canopy,
  tubes,
  platform,
  snowshed,
  traced,
];
KINDS.forEach(registerKind);
