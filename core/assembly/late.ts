/** Roles by how late they come: what closes comes last. Common practice; where two are as late the lower one comes first. */
const CLASSES: readonly (readonly [RegExp, number])[] = [
  [/mudsill|footing|base plate|pier|foundation/, 0],
  [/glazing/, 8.5],
  [/sash|opening frame|exchange panel|panel back|door (face|back|boards|ledge|brace)|shutter/, 8],
  [/panel (stop|key)|casing|window sill|trim|quoin|lintel|stone sill|band|shelf|bracket|dentil|coping|parapet cap/, 7],
  [/gutter|downpipe|outlet|neck/, 9.5],
  [/chimney|corbel$/, 9.2],
  [/roof (board|plank|sheet)|cover strip|starter strip|ridge cap|shingle|flashing/, 9],
  [/rafter|ridge board|purlin|lookout|fascia|barge/, 6],
  [/collar tie|ceiling joist|tie beam/, 5],
  [/railing|handrail|picket|rail post|gate|tread|stair/, 9.6],
];
/** How late a role comes, from 0 to 10; undefined where its height says. */
export const lateness = (role: string): number | undefined => CLASSES.find(([r]) => r.test(role))?.[1];
