import { choice, count, flag, table } from "../../spec";
import { options } from "./shared";

const seen = "Seen, unseen and built";

/** What is seen, and how it is put together. Prototype mm, rises in inches per foot; usual values are common practice. */
export const seenSpec = {
  interior: flag({
    group: seen,
    label: "The inside is finished and seen",
    def: false,
    help: "Then it has to be reached until it is done.",
  }),
  leftOff: choice({
    group: seen,
    label: "Left off until the inside is done",
    def: "none",
    options: options({
      none: "nothing",
      roof: "the roof",
      front: "the front wall",
      right: "the right end",
      back: "the back wall",
      left: "the left end",
    }),
    help: "Closed last, when no brush or hand has to reach in any more.",
  }),
  faceUp: choice({
    group: seen,
    label: "Walls are built",
    def: "outside",
    options: options({ outside: "outside face up", inside: "inside face up" }),
    help: "How their templates are drawn.",
  }),
  unseenRooms: table({
    group: seen,
    label: "Rooms that nobody sees into",
    noun: "room",
    most: 9,
    def: [],
    help: "Their floor, the partitions between them and the walls that bound nothing else give way to sheet.",
    columns: {
      part: count({ group: seen, label: "In wing", def: 0, min: 0, max: 6, help: "0 is the main part." }),
      room: count({
        group: seen,
        label: "Room",
        def: 1,
        min: 1,
        max: 9,
        help: "Counted from the left end; partitions part the main one.",
      }),
    },
  }),
  seenFront: flag({
    group: seen,
    label: "Front framing is seen",
    def: true,
    help: "Unseen framing gives way to a sheet between corner posts.",
  }),
  seenRight: flag({ group: seen, label: "Right end framing is seen", def: true, help: "As the front." }),
  seenBack: flag({ group: seen, label: "Back framing is seen", def: true, help: "As the front." }),
  seenLeft: flag({ group: seen, label: "Left end framing is seen", def: true, help: "As the front." }),
  seenRoof: flag({
    group: seen,
    label: "Roof framing is seen",
    def: true,
    help: "Unseen, only sheets of the roof's true shapes are left, with a former at each rafter that stays.",
  }),
};
