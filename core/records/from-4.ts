/**
 * Records of version 4 said which of several forms they had under six names (`on`, `by`, `is`, `name`). Version 5
 * says it under one, `kind`. A row that is no record, or that is damaged, is left as it is there.
 */
export function recordFrom4(table: unknown, row: unknown): unknown {
  if (!isObject(row)) return row
  switch (table) {
    case 'episodes':
      return at(at(at(row, 'phase', kindFrom('name')), 'place', kindFrom('on')), 'nature', kindFrom('is'))
    case 'steps':
      return at(row, 'lead', kindFrom('by'))
    case 'recipes':
      return at(
        at(
          row,
          'lines',
          each((line) => at(line, 'lead', kindFrom('by'))),
        ),
        'follow',
        each((f) => at(at(f, 'when', kindFrom('is')), 'then', kindFrom('is'))),
      )
    case 'standing':
      return at(row, 'when', kindFrom('by'))
    case 'reservations':
      return at(kindFrom('is')(row), 'kept', kindFrom('by'))
    case 'settings':
      return at(
        row,
        'views',
        each((view) => at(view, 'where', condition)),
      )
    default:
      return row
  }
}

type Turn = (value: unknown) => unknown

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

/** The field `old` under the name `kind`. */
function kindFrom(old: string): Turn {
  return (value) => {
    if (!isObject(value) || !(old in value) || 'kind' in value) return value
    const { [old]: kind, ...rest } = value
    return { kind, ...rest }
  }
}

function at(value: unknown, field: string, turn: Turn): unknown {
  return isObject(value) && field in value ? { ...value, [field]: turn(value[field]) } : value
}

function each(turn: Turn): Turn {
  return (value) => (Array.isArray(value) ? value.map(turn) : value)
}

/** A condition of a kept view: groups in groups, with tests as their leaves. */
function condition(value: unknown): unknown {
  return at(kindFrom('is')(value), 'of', each(condition))
}
