import { expose } from "comlink";
import wasmUrl from "highs/runtime?url";
import { planner } from "./planner";

expose(planner(wasmUrl));
