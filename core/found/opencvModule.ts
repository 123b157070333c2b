import * as module from "@techstark/opencv-js";

/**
 * OpenCV's module behind a function. It has a `then` of its own, so whatever awaits it, or imports it dynamically where
 * its names are passed on, would wait for ever. Import this file dynamically instead: it starts the library, which
 * looks for globalThis.Module.
 */
export const openCvModule = (): typeof module =>
  ((module as unknown as { default?: typeof module }).default ?? module) as typeof module;
