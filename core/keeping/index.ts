/**
 * How a job is kept: patches at the place they change, entries that wait for the server with the revision each was made
 * on, undo as an entry like any other. Pure: `keep(state, act)` gives the next state; the shell around it sends, stores
 * and tells.
 */
export * from "./patches";
export * from "./keeping";
export * from "./mine";
export * from "./request";
