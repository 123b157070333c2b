import "core/structures/all";
import { expose } from "comlink";
import { drafter } from "./drafter";

expose(drafter);
