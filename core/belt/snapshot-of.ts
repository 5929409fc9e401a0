import type { Episode, Session, TakenLetter } from '../records'
import { checksAfter, checksBefore } from '../session/checks'
import { episodesIn, itemsIn, type Item } from '../session/items'
import { sessionKinds } from '../session/kinds'
import { inOrder, setUpName } from '../session/order'
import { scriptFigures } from '../script/timing'
import { sayDay } from '../rhythm/days'
import type { Day, Id } from '../records'
import type { Card, StepIn } from '../views/card'
import type { Today } from '../views/today'
import type { BeltSession, Snapshot } from './snapshot'

/** What a snapshot is made from. */
export interface SnapshotOf {
  now: number
  today: Day
  day: Pick<Today, 'blocks' | 'first' | 'notToday'>
  /** What goes out next. */
  next: Card | undefined
  working: readonly Card[]
  ideas: readonly Episode[]
  /** Not struck, each with the order in which its items stand. */
  sessions: readonly { session: Session; order: readonly Id[] }[]
  stepIn: ReadonlyMap<Id, StepIn>
  letters: Iterable<TakenLetter>
}

/** As many ideas, scripts and letters go along. */
const most = { ideas: 60, scripts: 8, letters: 400 }

function beltSession(
  { session, order }: SnapshotOf['sessions'][number],
  stepIn: SnapshotOf['stepIn'],
): BeltSession {
  const items = itemsIn(session, stepIn)
  const cards = episodesIn(session, stepIn)
  const number = (i: Item) => cards.find((c) => c.episode.id === i.episode)?.number ?? ''
  const put = new Set(session.put)
  const check = ({ id, text, on }: { id: string; text: string; on: boolean }) => ({ id, text, on })
  return {
    id: session.id,
    name: `${sessionKinds[session.kind].name}, ${sayDay(session.day)}`,
    day: session.day,
    running: session.run.kind === 'running',
    items: inOrder(items, order).map((i) => ({
      id: i.id,
      kind: i.kind,
      name: i.name,
      words: i.words,
      where: setUpName(i.shot),
      of: number(i),
      minutes: i.shot.minutes,
      got: i.got,
      put: put.has(i.id),
      takes: i.takes.length,
      ...(i.picture === undefined ? {} : { picture: i.picture }),
    })),
    before: checksBefore(session, cards).map(check),
    after: checksAfter(session, items)
      .filter((c) => !c.known)
      .map(check),
  }
}

/** What the phone gets of the desk: today, what goes out next, ideas to read, scripts, and sessions. */
export function snapshotOf(of: SnapshotOf): Snapshot {
  const { next } = of
  const steps = new Map(
    [
      ...(of.day.first ? [of.day.first] : []),
      ...of.day.blocks,
      ...of.day.notToday.filter(({ state }) => state.late !== undefined),
    ].map((s) => [s.state.step.id, s]),
  )
  const scripts = of.working.filter(
    (c) =>
      c.episode.phase.kind === 'work' &&
      (c.script?.sections.length ?? 0) > 0 &&
      c.standing.stages.some((s) => s.stage.kind === 'film' && s.lamp.state !== 'lit'),
  )
  return {
    format: 'lamp-reel belt 1',
    at: new Date(of.now).toISOString(),
    today: [...steps.values()].map(({ card, state }) => ({
      step: state.step.id,
      name: state.step.name,
      of: `${card.number} ${card.title}`,
      minutes: state.minutesLeft,
      done: state.done,
    })),
    ...(next
      ? {
          next: {
            title: next.title,
            number: next.number,
            when: next.standing.release ? sayDay(next.standing.release.day, of.today) : '',
            missing: next.standing.missing.length,
          },
        }
      : {}),
    ideas: of.ideas.slice(0, most.ideas).map((e) => ({ title: e.title, note: e.note.slice(0, 1000) })),
    scripts: scripts.slice(0, most.scripts).map((c) => ({
      title: c.title,
      number: c.number,
      seconds: Math.round(scriptFigures(c.script, c.show.pace).seconds),
      sections: (c.script?.sections ?? []).map((s) => ({
        title: s.title,
        lines: s.beats.flatMap((b) => (b.text.trim() === '' ? [] : [b.text])),
      })),
    })),
    sessions: of.sessions.map((s) => beltSession(s, of.stepIn)),
    taken: [...of.letters]
      .sort((a, b) => (a.at < b.at ? 1 : -1))
      .slice(0, most.letters)
      .map(({ id, over }) => (over === undefined ? { id } : { id, over })),
  }
}
