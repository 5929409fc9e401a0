/** What a thing that is got in a session can be: `own` a shot of no episode, `step` where steps are gone through. */
export const itemKinds = ['shot', 'camera', 'section', 'own', 'step'] as const
export type ItemKind = (typeof itemKinds)[number]

/** Whether a remark for the edit can be kept beside it: those stand in a script. */
export function takesRemarks(kind: ItemKind): boolean {
  return kind !== 'own' && kind !== 'step'
}

/** Whether it is done in takes, of which one is kept; a step is done or not. */
export function hasTakes(kind: ItemKind): boolean {
  return kind !== 'step'
}
