import { after, exampleScript } from '../../examples'
import type { Day, Id, Records } from '../../records'
import type { Context } from '../change'
import { beginSession, planSession, rollSession } from '../sessions'

/**
 * Records with a script of two shots for an episode, and its filming in a session that is set up, or runs. Test
 * support.
 */
export function withSession(
  records: Records,
  episode: Id,
  day: Day,
  context: Context,
  until: 'setting up' | 'running' = 'running',
): Records {
  const script = exampleScript({ Hook: ['The plane shaves the plank.', 'It curls.'] }, episode)
  for (const s of script.sections)
    s.beats.forEach((b, i) => {
      b.cues = [
        { id: `${episode}-shot${i}`, kind: 'shot', text: `Shot ${i}`, got: false, shot: { place: 'Bench' } },
      ]
    })
  let r: Records = { ...records, scripts: new Map([...records.scripts, [episode, script]]) }
  const session = `${episode}-session`
  const film = [...r.steps.values()].filter((s) => s.episode === episode && s.kind === 'film')
  r = after(r, planSession(r, { id: session, kind: 'film', day, steps: film.map((s) => s.id) }, context))
  r = after(r, beginSession(r, { session }, context))
  if (until === 'setting up') return r
  const order = [`${episode}-shot0`, `camera:${episode}`, `${episode}-shot1`]
  // Said once that something is not ready, then gone on.
  r = after(r, rollSession(r, { session, order }, context))
  return after(r, rollSession(r, { session, order }, context))
}
