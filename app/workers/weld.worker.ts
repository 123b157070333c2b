import { expose } from "comlink";
import wasmUrl from "manifold-3d/manifold.wasm?url";
import { welder } from "./welder";

expose(welder(wasmUrl));
