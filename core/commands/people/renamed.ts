import { folded } from '../../partners/names'
import type { Episode, Moment, Records } from '../../records'
import type { Change } from '../change'
import { putRecord } from '../change'

/**
 * The changes that write a name in place of others wherever it is read at the start: guests and sponsors of episodes, deals, slots that
 * are kept, and when somebody is away. Steps and jobs keep the name that was written; a person's other names stand for them.
 */
export function renamed(records: Records, from: readonly string[], to: string, at: Moment): Change[] {
  const old = new Set(from.map(folded))
  old.delete(folded(''))
  const isOld = (name: string) => old.has(folded(name)) && name !== to
  const changes: Change[] = []
  for (const e of records.episodes.values()) {
    const next = episodeNamed(e, isOld, to)
    if (next !== e) changes.push(putRecord(records, 'episodes', { ...next, updatedAt: at }))
  }
  for (const d of records.deals.values())
    if (isOld(d.sponsor)) changes.push(putRecord(records, 'deals', { ...d, sponsor: to, updatedAt: at }))
  for (const r of records.reservations.values())
    if (r.kind === 'sponsor' && isOld(r.name))
      changes.push(putRecord(records, 'reservations', { ...r, name: to, updatedAt: at }))
  const settings = records.settings.get('settings')
  const away = Object.entries(settings?.away ?? {})
  if (settings && away.some(([name]) => isOld(name))) {
    const times = new Map<string, (typeof settings.away)[string]>()
    for (const [name, all] of away) {
      const key = isOld(name) ? to : name
      times.set(key, [...(times.get(key) ?? []), ...all])
    }
    const next = Object.fromEntries(times)
    changes.push(putRecord(records, 'settings', { ...settings, away: next, updatedAt: at }))
  }
  return changes
}

function episodeNamed(e: Episode, isOld: (name: string) => boolean, to: string): Episode {
  const isGuest = e.guests.some(isOld)
  const isSponsor = e.sponsor !== undefined && isOld(e.sponsor)
  const visits = e.visits ?? []
  const isVisit = visits.some((v) => isOld(v.guest))
  if (!isGuest && !isSponsor && !isVisit) return e
  const guests = [...new Set(e.guests.map((g) => (isOld(g) ? to : g)))]
  // Of two visits that become one the first is kept.
  const kept = new Map(
    visits
      .map((v) => ({ ...v, guest: isOld(v.guest) ? to : v.guest }))
      .reverse()
      .map((v) => [folded(v.guest), v]),
  )
  return {
    ...e,
    guests,
    ...(isVisit ? { visits: [...kept.values()].reverse() } : {}),
    ...(isSponsor ? { sponsor: to } : {}),
  }
}
