/** Builds the application where what it is built from has changed. */
import { build } from "./setup.mjs";

build();
