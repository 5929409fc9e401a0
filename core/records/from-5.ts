/**
 * Scripts of version 5 knew one shot that another follows; version 6 knows several. A row that is no record, or that is
 * damaged, is left as it is there.
 */
export function recordFrom5(table: unknown, row: unknown): unknown {
  return table === 'scripts'
    ? each(row, 'sections', (s) => each(s, 'beats', (b) => each(b, 'cues', cue)))
    : row
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function each(value: unknown, field: string, turn: (row: unknown) => unknown): unknown {
  const rows = isObject(value) ? value[field] : undefined
  return isObject(value) && Array.isArray(rows) ? { ...value, [field]: rows.map(turn) } : value
}

function cue(value: unknown): unknown {
  const shot = isObject(value) ? value['shot'] : undefined
  if (!isObject(value) || !isObject(shot) || typeof shot['after'] !== 'string') return value
  return { ...value, shot: { ...shot, after: [shot['after']] } }
}
