import type { Cut, CutNote, Day, Episode } from '@core/records'
import { addDays } from '@core/rhythm/days'

/** A note as it is written here: its second, `!` before what is to be done, `x` before what is done. */
type Line = readonly [at: number, says: string]

const ribs: readonly Line[] = [
  [4, 'x Open on the kettle, the face comes later'],
  [31, 'The pause before the bend stays'],
  [96, 'x Two seconds more of the grain opening'],
  [171, 'x Drop the music under the hiss'],
  [232, 'x Swap the two clamps, the far one was first'],
  [318, 'Best line of it, for the excerpt'],
]
const pilot: readonly Line[] = [
  [22, '! Cut the chair that creaks'],
  [140, 'She laughs here, leave it in'],
  [415, '! Say her name again when she comes back'],
  [902, '! The gull takes three words, ask her for them'],
]

function notesOf(id: string, lines: readonly Line[], asked: readonly number[], at: string): CutNote[] {
  return lines.map(([seconds, says], i) => {
    const isTask = /^[!x] /.test(says)
    return {
      id: `${id}/n${i + 1}`,
      at: seconds,
      kind: isTask ? 'to do' : 'remark',
      text: isTask ? says.slice(2) : says,
      ...(says.startsWith('x ') ? { done: at } : {}),
      asked: [...asked],
      noted: at,
    }
  })
}

/** Cuts of the demo: one under review, one approved after two rounds, and what the last releases took. */
export function demoCuts(today: Day, moment: (day: Day) => string, episodes: readonly Episode[]): Cut[] {
  const cut = (episode: string, number: number, day: Day, rest: Partial<Cut>): Cut => ({
    id: `${episode}/cut-${number}`,
    episode,
    number,
    came: moment(day),
    from: '',
    notes: [],
    createdAt: moment(day),
    updatedAt: moment(day),
    ...rest,
  })
  const ended = (kind: 'approved' | 'another', day: Day) => ({ closed: { kind, at: moment(day) } })
  const byTitle = (start: string) =>
    episodes.find((e) => e.title.startsWith(start) && e.phase.kind === 'work')
  const [bent, talk] = [byTitle('Steaming oak ribs'), byTitle('The ferry pilot')]
  const released = episodes.filter((e) => e.show === 'boats' && e.phase.kind === 'released').slice(-4)
  const of = (e: Episode | undefined, make: (e: Episode) => Cut[]) => (e ? make(e) : [])
  return [
    ...of(bent, (e) => {
      const length = e.cut.length === undefined ? {} : { length: e.cut.length }
      const first = notesOf(`${e.id}/1`, ribs, [1], moment(addDays(today, -4)))
      return [
        cut(e.id, 1, addDays(today, -5), {
          ...length,
          notes: first,
          ...ended('another', addDays(today, -4)),
        }),
        cut(e.id, 2, addDays(today, -3), {
          ...length,
          notes: notesOf(`${e.id}/2`, [[318, 'Now it holds']], [2], moment(addDays(today, -3))),
          ...ended('approved', addDays(today, -3)),
        }),
      ]
    }),
    ...of(talk, (e) => [
      cut(e.id, 1, addDays(today, -1), {
        length: 1024,
        notes: notesOf(`${e.id}/1`, pilot, [1], moment(addDays(today, -1))),
      }),
    ]),
    ...released.flatMap((e, i) => {
      const day = addDays(today, -12 - 7 * (released.length - i))
      const last = i === 1 ? 1 : 2
      return Array.from({ length: last }, (_, n) =>
        cut(
          e.id,
          n + 1,
          addDays(day, n * 2),
          ended(n + 1 === last ? 'approved' : 'another', addDays(day, n * 2 + 1)),
        ),
      )
    }),
  ]
}
