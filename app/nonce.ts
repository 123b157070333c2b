import { createContext } from "react";

/** The word by which a page's own inline scripts are known: made anew for each answer, empty in the browser. */
export const Nonce = createContext<string | undefined>(undefined);
