import { hasSoffit, hasGables, hasLoftFlight, hasOwnFeet, hasTrusses, isHip, sloped } from "./plan/nominal";
import { type BuildingValues } from "./parameters";

/** Which parameters matter for these values. */
export function buildingShown(v: BuildingValues, path: string): boolean {
  const [p, , column] = path.split(".") as [keyof BuildingValues, string?, string?];
  if (column === "part") return v.wings.some((w) => w.kind === "gable" || w.kind === "lean" || w.kind === "bay");
  const posts = v.framing === "posts";
  const walls = v.framing !== "none";
  const roof = sloped(v);
  const wings = v.wings.some((w) => w.kind === "gable" || w.kind === "lean" || w.kind === "bay");
  const anyRoof = roof || wings;
  const decks = v.wings.some((w) => w.kind === "platform");
  const canopy = v.wings.some((w) => w.kind === "canopy");
  switch (p) {
    case "baySlant":
    case "bayOverhang":
    case "bayOpen":
      return v.wings.some((w) => w.kind === "bay");
    case "wallHeight":
    case "wings":
    case "openings":
    case "faceUp":
    case "blockingRows":
    case "wallBrace":
    case "siding":
    case "lined":
    case "seenFront":
    case "seenRight":
    case "seenBack":
    case "seenLeft":
      return walls;
    case "trackRadius":
    case "carLength":
      return v.track !== "none" && v.trackCurve !== "straight";
    case "unseenRooms":
      return walls;
    case "viewFrom":
      return v.track !== "none";
    case "eyeAway":
    case "eyeOver":
      return v.track !== "none" && v.viewFrom !== "unknown" && v.viewFrom !== v.track;
    case "trackCurve":
    case "trackOff":
    case "railBelow":
      return v.track !== "none";
    case "interior":
      return walls;
    case "leftOff":
      return walls && v.interior;
    case "lining":
      return walls && v.lined;
    case "standBents":
    case "standHeight":
    case "standPosts":
    case "standBatter":
    case "standStory":
    case "standCap":
    case "standPost":
    case "standBrace":
    case "standGirt":
    case "standFooting":
      return v.foundation === "bents";
    case "stud":
    case "studSpacing":
    case "studFrom":
    case "topPlates":
    case "corner":
    case "openingFrame":
      return walls && !posts;
    case "cornerPost":
      return walls && !posts && v.corner === "solid";
    case "header":
      return walls && !posts && v.openingFrame === "jacks";
    case "brace":
      return walls && v.wallBrace !== "none";
    case "post":
    case "bay":
    case "girt":
    case "knees":
      return posts;
    case "knee":
      return (posts && v.knees > 0) || canopy;
    case "joist":
    case "joistSpacing":
    case "plank":
    case "plankLength":
    case "plankGap":
      return v.floor !== "none" || decks;
    case "floorBlocking":
      return v.floor !== "none" || decks;
    case "blockingSet":
      return (v.floor !== "none" || decks) && v.floorBlocking > 0;
    case "outline":
      return !walls;
    case "plankWay":
      return v.floor !== "none";
    case "plankOver":
      return decks;
    case "floorPlay":
      return v.floor === "lift";
    case "stringer":
    case "tread":
      return v.stairs.length > 0 || hasLoftFlight(v);
    case "sillBeam":
    case "pierSpacing":
    case "pier":
      return (v.foundation !== "none" && v.foundation !== "bents") || decks;
    case "groundDepth":
    case "groundFall":
    case "groundBack":
      return (v.foundation !== "none" && v.foundation !== "bents") || decks || v.stairs.length > 0;
    case "ridgeAlong":
      return hasGables(v);
    case "rise":
    case "rafter":
    case "overhang":
    case "tail":
    case "fascia":
      return anyRoof;
    case "rafterSpacing":
      return anyRoof || v.roof === "flat" || canopy;
    case "upperRise":
    case "breakAt":
      return v.roof === "gambrel";
    case "ridgeShift":
      return v.roof === "saltbox";
    case "deckWidth":
      return v.roof === "hipdeck";
    case "ridge":
      return roof || canopy || wings;
    case "hipRafter":
      return isHip(v) || v.wings.some((w) => w.kind === "gable" || w.kind === "bay");
    case "backing":
      return isHip(v);
    case "collar":
    case "ceiling":
      return hasGables(v) && v.roof !== "shed";
    case "collarSize":
      return hasGables(v) && v.roof !== "shed" && v.collar !== "none";
    case "collarAt":
      return hasGables(v) && v.roof !== "shed" && v.roof !== "gambrel" && v.collar !== "none";
    case "ceilingJoist":
      return hasGables(v) && v.roof !== "shed" && v.ceiling !== "none";
    case "parapet":
      return v.roof === "flat";
    case "locating":
      return v.roof !== "none";
    case "gableOverhang":
    case "barge":
      return hasGables(v) || wings;
    case "lookout":
      return (
        ((hasGables(v) || wings) && v.gableOverhang > 0) || v.roof === "flat" || canopy || v.stairs.some((x) => x.rail)
      );
    case "fasciaSize":
      return anyRoof && (v.fascia === "board" || v.barge);
    case "soffit":
      return anyRoof && v.fascia === "board";
    case "brackets":
      return anyRoof && !hasSoffit(v);
    case "bracketReach":
    case "bracketSpacing":
    case "bracketSize":
      return anyRoof && v.brackets && !hasSoffit(v);
    case "canopyBracket":
      return canopy;
    case "covering":
      return v.roof !== "none" && v.seenRoof;
    case "roofBoard":
      return v.roof !== "none" && v.seenRoof && (v.covering === "boards" || v.covering === "spaced");
    case "roofBoardLength":
      return roof && v.seenRoof && (v.covering === "boards" || v.covering === "spaced");
    case "roofBoardSpacing":
      return roof && v.seenRoof && v.covering === "spaced";
    case "monitor":
      return v.roof === "gable";
    case "roofFrame":
      return v.roof === "gable";
    case "trussSpacing":
    case "purlins":
    case "tieBeam":
    case "principal":
    case "kingPost":
    case "strut":
    case "purlin":
      return hasTrusses(v);
    case "queenAt":
    case "strainingBeam":
      return hasTrusses(v) && v.roofFrame === "queens";
    case "dormers":
      return v.roof === "gable" || v.roof === "saltbox" || v.roof === "shed";
    case "monitorWidth":
    case "monitorHeight":
    case "monitorInset":
      return v.roof === "gable" && v.monitor;
    case "partitions":
      return walls;
    case "roofHoles":
      return roof && v.roof !== "gambrel";
    case "caps":
      return roof && v.roof !== "shed" && (v.covering !== "none" || !v.seenRoof);
    case "flashing":
      return roof && v.roofHoles.length > 0 && (v.covering === "boards" || v.covering === "sheet" || !v.seenRoof);
    case "flashWidth":
    case "flashThick":
      return roof && v.roofHoles.length > 0 && v.flashing;
    case "capBoard":
      return v.caps && roof && (v.covering !== "none" || !v.seenRoof);
    case "shingle":
      return roof || wings;
    case "roofSheet":
      return v.covering === "sheet" || !v.seenRoof || !(v.seenFront && v.seenBack && v.seenLeft && v.seenRight);
    case "sidingBoard":
      return v.siding !== "none" && v.siding !== "sheet";
    case "sheetTexture":
    case "sheetPitch":
      return v.siding === "sheet";
    case "sheetCorner":
      return v.siding === "sheet" && !v.cornerBoards;
    case "skirt":
    case "cornerBoards":
      return v.siding !== "none";
    case "footFront":
    case "footRight":
    case "footBack":
    case "footLeft":
      return hasOwnFeet(v);
    case "loft":
      return walls;
    case "loftHeight":
    case "loftStair":
      return walls && v.loft;
    case "loftStairAt":
    case "loftStairIn":
    case "loftStairWidth":
    case "loftStairLength":
      return walls && v.loft && v.loftStair;
    case "loftFlight":
      return walls && v.loft && v.loftStair && v.floor !== "none";
    case "loftTread":
    case "loftRiser":
      return hasLoftFlight(v);
    case "waterTable":
    case "frieze":
      return walls;
    case "waterBoard":
      return walls && v.waterTable;
    case "friezeBoard":
      return walls && v.frieze;
    case "exposure":
      return v.siding === "clapboard";
    case "batten":
      return v.siding === "batten";
    case "cornerBoard":
      return v.siding !== "none" && v.cornerBoards;
    case "casings":
      return v.openings.length > 0 || v.dormers.some((d) => d.windowWidth > 0);
    case "casing":
      return v.casings;
    case "fit":
      return v.openings.length > 0;
    case "seenRoof":
      return roof;
    default:
      return true;
  }
}
