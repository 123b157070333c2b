import { feet } from "../../units";
import type { TrussValues } from "./parameters";

/** What a new truss may start as: the designs people compare, each at a span it was built for. Common practice. */
export const TRUSS_STARTS: readonly { readonly name: string; readonly params: Partial<TrussValues> }[] = [
  {
    name: "King-post bridge",
    params: { kind: "king", span: feet(30), depth: feet(12), panels: 2, position: "pony" },
  },
  {
    name: "Queen-post bridge",
    params: { kind: "queen", span: feet(45), depth: feet(12), panels: 3, position: "pony" },
  },
  { name: "Howe truss", params: { kind: "howe" } },
  { name: "Pratt truss", params: { kind: "pratt" } },
  { name: "Warren deck truss", params: { kind: "warren", position: "deck" } },
  { name: "Warren truss with verticals", params: { kind: "warren-verticals" } },
  { name: "Double-intersection lattice", params: { kind: "double" } },
  { name: "Plank lattice", params: { kind: "plank" } },
  { name: "Polygonal top chord", params: { kind: "polygonal", position: "pony" } },
  { name: "Fink roof truss", params: { kind: "fink", position: "roof", span: feet(30), depth: feet(8) } },
  { name: "Scissors roof truss", params: { kind: "scissors", position: "roof", span: feet(24), depth: feet(7) } },
];
