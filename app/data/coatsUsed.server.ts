import { desc, sql } from "drizzle-orm";
import type { Issue } from "core/job";
import { db } from "./db.server";
import { jobNames } from "./shelf.server";
import { issues } from "./schema.server";

/** Something that was painted: with which mix, where and when. */
export interface CoatUsed {
  readonly name: string;
  readonly mix: string;
  readonly title: string;
  readonly job: string;
  readonly at: string;
}
/** How many are told at most. */
const MOST = 200;
/** What the logs of all jobs say was painted, the last first. */
export function coatsUsed(): CoatUsed[] {
  const names = jobNames();
  const rows = db().select().from(issues).where(sql`json_extract(${issues.content}, '$.bench.coat.name') is not null and json_extract(${issues.content}, '$.kind') = 'done'`).orderBy(desc(issues.at)).limit(MOST).all(); // prettier-ignore
  return rows.flatMap((r): CoatUsed[] => {
    const i = r.content as Issue;
    const job = names[r.job];
    const coat = i.bench?.coat;
    return coat && job !== undefined ? [{ ...coat, title: i.bench?.title ?? "", job, at: i.at }] : [];
  });
}
