import { index, layout, prefix, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/shelf/shelf.tsx"),
  route("backup", "routes/shelf/backup.ts"),
  route("restore", "routes/shelf/restore.ts"),
  ...prefix("jobs/:job", [
    layout("routes/job/layout.tsx", [
      index("routes/job/start.tsx"),
      route("brief", "routes/brief/brief.tsx"),
      route("drawings", "routes/drawings/drawings.tsx"),
      route("framing", "routes/framing/framing.tsx"),
      route("stock", "routes/stock/stock.tsx"),
      route("cutting", "routes/cutting/cutting.tsx"),
      route("jigs", "routes/jigs/jigs.tsx"),
      route("bench", "routes/bench/bench.tsx"),
    ]),
    route("revisions", "routes/job/revisions.ts"),
    route("state", "routes/job/state.ts"),
    route("card.svg", "routes/job/card.ts"),
    route("pictures", "routes/drawings/upload.ts"),
    route("file", "routes/job/file.ts"),
  ]),
  route("drawer", "routes/drawer/drawer.tsx"),
  route("drawer/state", "routes/drawer/state.ts"),
  route("drawer/cut", "routes/drawer/cut.ts"),
  route("drawer/aside", "routes/drawer/aside.ts"),
  route("drawer/together", "routes/drawer/together.tsx"),
  route("drawer/jigs", "routes/drawer/jigs.ts"),
  route("drawer/prices", "routes/drawer/prices.ts"),
  route("drawer/drawer.csv", "routes/drawer/csv.ts"),
  route("lines/:hash", "routes/drawings/lines.ts"),
  route("pictures/:hash/:level/:column/:row", "routes/drawings/tile.ts"),
] satisfies RouteConfig;
