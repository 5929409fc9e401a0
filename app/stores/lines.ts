import { defineStore } from 'pinia'
import { shallowReactive } from 'vue'
import { noteTaken } from '@core/commands/release'
import { editOutlet } from '@core/commands/shows'
import { writeVtt } from '@core/formats/subtitles'
import type { Answer, OutletLine, Standing } from '@core/line/message'
import { lineId, thingToHand } from '@core/line/thing'
import type { Id, Outlet } from '@core/records'
import { StandInLine, standInKey } from '@app/data/stand-in-line'
import type { Going } from '@core/release/moves'
import { useLibrary } from './library'

/** Which outlets can be spoken to, what is on its way to them, and what they answered. */
export const useLines = defineStore('lines', () => {
  const library = useLibrary()
  const doing = shallowReactive(new Set<string>())
  const answers = shallowReactive(new Map<string, Answer>())
  const standings = shallowReactive(new Map<string, Standing>())
  const idOf = ({ card, key }: Going) => lineId(card.episode, key)

  const lineOf = (outlet: Outlet): OutletLine | undefined =>
    outlet.line ? new StandInLine(outlet.line.key) : undefined

  /** Joins the stand-in to an outlet; refused in a sentence where it does not answer. */
  async function join(outlet: Id): Promise<void> {
    const key = await standInKey()
    if (key === undefined) {
      library.say('The stand-in does not answer. Start the program anew, then try again.', 'refused')
      return
    }
    await library.perform(editOutlet, { outlet, fields: { line: { kind: 'stand-in', key } } })
  }
  const leave = (outlet: Id) => library.perform(editOutlet, { outlet, fields: { line: undefined } })

  /** Hands a thing over; a lost answer is asked after, and handing it over again never makes two. */
  async function hand(going: Going, picture: Uint8Array | undefined): Promise<void> {
    const line = lineOf(going.outlet)
    const id = idOf(going)
    if (!line || doing.has(id)) return
    doing.add(id)
    const { card, key } = going
    const transcript = library.tables.transcripts.get(card.episode.id)
    const answer = await line.hand(
      thingToHand(going, card.episode.number, transcript && writeVtt(transcript.captions)),
      picture,
    )
    doing.delete(id)
    answers.set(id, answer)
    if (answer.kind !== 'taken') return
    standings.set(id, answer.standing)
    await library.perform(noteTaken, {
      episode: card.episode.id,
      key,
      address: answer.standing.address,
      going: going.at,
    })
  }
  /** Asks how an outlet has a thing. */
  async function ask(going: Going): Promise<void> {
    const standing = await lineOf(going.outlet)?.ask(idOf(going))
    if (standing) standings.set(idOf(going), standing)
  }
  /** How an outlet has a thing, by its id there. */
  const standingAt = async (outlet: Outlet, id: string) => lineOf(outlet)?.ask(id)
  return {
    standingAt,
    join,
    leave,
    hand,
    ask,
    isDoing: (going: Going) => doing.has(idOf(going)),
    answerOf: (going: Going) => answers.get(idOf(going)),
    standingOf: (going: Going) => standings.get(idOf(going)),
  }
})
