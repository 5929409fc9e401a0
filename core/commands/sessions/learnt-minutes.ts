import { changeCosts, changeNames, changeParts } from '../../plan/shots'
import type { ChangeMinutes, Id, Records, Session, Show, StepKind } from '../../records'
import { sayMinutes } from '../../script/timecode'
import { changesTook } from '../../session/changes-took'
import { ownItem, type Item } from '../../session/items'
import { sessionKinds, setUpKind } from '../../session/kinds'
import { momentOf, putRecord, type Change, type Context } from '../change'
import { settingsOf } from '../work/logged'

/** Share that one session has in the minutes that something counts, as in other rates (`engine` 9). */
const share = 0.3

/** Minutes that something counts from now on: a little more like what it took. */
const nearer = (counted: number, took: number) => Math.round(counted + share * (took - counted))

/** What counts otherwise from now on: the changes, and what they are called, “setting up”, with their minutes. */
export interface Learnt {
  changes: Change[]
  counts: ReadonlyMap<string, number>
}
const nothing: Learnt = { changes: [], counts: new Map() }

/** “. From now on setting up counts 42 min, going elsewhere 20 min”; empty where nothing counts otherwise. */
export function sayLearnt(learnt: readonly Learnt[]): string {
  const [first, ...more] = learnt.flatMap((l) => [...l.counts])
  if (!first) return ''
  const rest = more.map(([name, minutes]) => `, ${name} ${sayMinutes(minutes)}`)
  return `. From now on ${first[0]} counts ${sayMinutes(first[1])}${rest.join('')}`
}

/** Setting up counts a little more like it took; not where it took hardly any time, or was forgotten to be ended. */
export function setUpLearnt(records: Records, session: Session, took: number, context: Context): Learnt {
  const kind: StepKind = setUpKind(session.kind)
  const settings = settingsOf(records, context)
  const counted = settings.setup[kind]
  if (counted === undefined || took < 2 || took > 240) return nothing
  const next = nearer(counted, took)
  if (next === counted) return nothing
  const after = { ...settings, setup: { ...settings.setup, [kind]: next }, updatedAt: momentOf(context) }
  return { changes: [putRecord(records, 'settings', after)], counts: new Map([['setting up', next]]) }
}

/** What changing between shots counts in each show whose shots these were, a little more like it took. */
export function changesLearnt(
  records: Records,
  session: Session,
  items: readonly Pick<Item, 'id' | 'shot'>[],
  context: Context,
): Learnt {
  if (sessionKinds[session.kind].items !== 'shots') return nothing
  const shows = showsOf(records, session)
  const shots = new Map([...items, ...session.shots.map(ownItem)].map((i) => [i.id, i.shot]))
  const took = changesTook(session, shots, changeCosts(shows))
  const counts = new Map<string, number>()
  const changes = shows.flatMap((show) => {
    const counted = changeCosts([show])
    const next = nearerTo(counted, took)
    const others = changeParts.filter((part) => next[part] !== counted[part])
    for (const part of others) counts.set(changeNames[part].toLowerCase(), next[part])
    if (others.length === 0) return []
    return [putRecord(records, 'shows', { ...show, changeMinutes: next, updatedAt: momentOf(context) })]
  })
  return { changes, counts }
}

function nearerTo(counted: ChangeMinutes, took: Partial<ChangeMinutes>): ChangeMinutes {
  const next = { ...counted }
  for (const part of changeParts) next[part] = nearer(counted[part], took[part] ?? counted[part])
  return next
}

/** The shows of the episodes that are done in a session. */
function showsOf(records: Records, session: Session): Show[] {
  const ids = new Set<Id>()
  for (const id of session.steps) {
    const episode = records.episodes.get(records.steps.get(id)?.episode ?? '')
    if (episode) ids.add(episode.show)
  }
  return [...ids].flatMap((id) => records.shows.get(id) ?? [])
}
