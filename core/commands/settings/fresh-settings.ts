import { type Settings, freshSetup, freshWeights } from '../../records'

/** The settings of one who has set nothing: ten hours a week, on weekday evenings and Saturday. */
export function freshSettings(at: string): Settings {
  return {
    id: 'settings',
    hours: [90, 90, 90, 90, 90, 150, 0],
    daysOff: [],
    exceptions: {},
    setup: freshSetup,
    preferred: {},
    weights: freshWeights,
    views: [],
    away: {},
    theme: 'booth',
    createdAt: at,
    updatedAt: at,
  }
}
