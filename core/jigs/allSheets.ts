import { registerCard, registerSheets } from "./kindSheets";
import { buildingCard, buildingSheets } from "./building/buildingSheets";
import { canopySheets } from "./canopy/canopySheets";
import { platformSheets } from "./platform/platformSheets";
import { sheetBuildingSheets, sheetCard } from "./sheet/sheetBuildingSheets";
import { tubeSheets } from "./tubes/tubeSheets";
import { trestleSheets } from "./trestle/trestleSheets";

// kinds that are built on more than a template of each build
registerSheets("trestle", trestleSheets);
registerSheets("building", buildingSheets);
registerSheets("sheet", sheetBuildingSheets);
registerSheets("canopy", canopySheets);
registerSheets("tubes", tubeSheets);
registerSheets("platform", platformSheets);
// kinds that are tried in card first
registerCard("building", buildingCard);
registerCard("sheet", sheetCard);
