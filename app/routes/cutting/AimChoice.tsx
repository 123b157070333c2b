import { AIMS, type Aim } from "core/cutting";

/** What stick plans aim at. */
export function AimChoice({ aim, choose }: { aim: Aim; choose: (a: Aim) => void }) {
  return (
    <label className="flex flex-col text-[15px]">
      Plans aim at
      <select className="field" value={aim} onChange={(e) => choose(e.target.value as Aim)}>
        {(Object.keys(AIMS) as Aim[]).map((a) => (
          <option key={a} value={a}>
            {AIMS[a].name}
          </option>
        ))}
      </select>
      <span className="text-ink-2">{AIMS[aim].hint}</span>
    </label>
  );
}
