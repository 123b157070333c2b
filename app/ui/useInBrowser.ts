import { useSyncExternalStore } from "react";

const nothing = (): (() => void) => () => undefined;
/** False while the page is rendered on the server and hydrated, true from then on: what computes frames waits for it. */
export const useInBrowser = (): boolean =>
  useSyncExternalStore(
    nothing,
    () => true,
    () => false,
  );
