import { linkTo } from '@core/catalogue/links'
import type { Day, Episode, Picture, Script, Show, Step, Zone } from '@core/records'
import { dayIn } from '@core/rhythm/creator'
import { addDays, daysBetween } from '@core/rhythm/days'
import type { PictureOrder, Progress } from './progress'
import type { Motif, Subject } from './titles'

/** The pictures of an episode with what is to be painted for them; released ones at half the size. */
export function picturesOf(
  id: string,
  subject: Subject,
  count: number,
  { audio, half }: { audio: boolean; half: boolean },
): { order: PictureOrder; picture: Picture }[] {
  const part = half ? 0.5 : 1
  return Array.from({ length: count }, (_, i) => ({
    order: { id: `${id}/p${i}`, subject, audio, variant: i, half },
    picture: {
      id: `${id}/p${i}`,
      name: `${audio ? 'cover' : 'thumbnail'}-${'abc'[i] ?? 'd'}.jpg`,
      type: 'image/jpeg',
      width: (audio ? 1000 : 1280) * part,
      height: (audio ? 1000 : 720) * part,
      size: 1,
    },
  }))
}

/** Who is waited for, since so many days before today. */
export function waitingSince(
  { who, what, days }: NonNullable<Progress['waiting']>,
  today: Day,
): NonNullable<Step['waiting']> {
  return { who, what, since: addDays(today, -days) }
}

/** How far back releases still have the picture that was second, days. */
const kept = 30

/** Gives the boats that went out lately the picture that was second, painted after all others. */
export function runnersUp(
  episodes: readonly Episode[],
  pictures: PictureOrder[],
  today: Day,
  zone: Zone,
): void {
  for (const episode of episodes) {
    const order = pictures.find((p) => p.id === episode.chosenPicture)
    if (episode.phase.kind !== 'released' || !order || order.audio) continue
    if (daysBetween(dayIn(episode.phase.at, zone), today) > kept) continue
    const [picture] = episode.pictures
    if (!picture) continue
    const id = `${episode.id}/p1`
    pictures.push({ ...order, id, variant: 1 })
    episode.pictures.push({ ...picture, id, name: 'thumbnail-b.jpg' })
    episode.runnerUp = id
  }
}

/** Shots that were drawn before they are filmed, and what is on the sheet. */
const drawn: Readonly<Record<string, Motif>> = {
  'New bolt turning in, compound squeezing out': 'nails',
  'String snapping chalk on brown paper': 'ribs',
}

/** Gives shots in work that were drawn their sketches, painted after all others. */
export function drawnShots(
  episodes: readonly Episode[],
  scripts: readonly Script[],
  pictures: PictureOrder[],
): void {
  for (const episode of episodes) {
    const script = episode.phase.kind === 'work' ? scripts.find((s) => s.id === episode.id) : undefined
    for (const cue of script?.sections.flatMap((s) => s.beats.flatMap((b) => b.cues)) ?? []) {
      const motif = cue.kind === 'shot' ? drawn[cue.text] : undefined
      if (!motif) continue
      const id = `${cue.id}/sketch`
      const subject = { title: cue.text, topic: '', thing: '', material: '', tool: '', words: '', motif }
      pictures.push({ id, subject, audio: false, variant: 0, half: true })
      const sheet = { id, name: 'sketch.jpg', type: 'image/jpeg' as const, width: 640, height: 360, size: 1 }
      episode.idea = { ...episode.idea, images: [...episode.idea.images, sheet] }
      cue.shot = { ...cue.shot, picture: id }
    }
  }
}

/**
 * What is out leads to what was said of the same topic before, two times of three; the earlier one leads on where that was
 * thought of at the time.
 */
export function linked(episodes: readonly Episode[], shows: readonly Show[]): void {
  const last = new Map<string, Episode>()
  episodes
    .filter((e) => e.phase.kind === 'released')
    .forEach((episode, i) => {
      const key = `${episode.show} ${episode.topics[0] ?? ''}`
      const earlier = last.get(key)
      last.set(key, episode)
      if (!earlier || episode.phase.kind !== 'released') return
      const link = (from: Episode, to: Episode, at: string) => {
        const show = shows.find((s) => s.id === to.show)
        const made = show && linkTo(to, show)
        if (made) from.links = [...from.links, { ...made, id: `${from.id}/to-${to.id}`, pasted: at }]
      }
      if (i % 3 !== 0) link(episode, earlier, episode.phase.at)
      if (i % 4 === 1) link(earlier, episode, episode.phase.at)
    })
}

/** What was said of some releases after they were out, by their numbers. */
const saidOf: Readonly<Record<string, readonly [well: string, change: string]>> = {
  'boats-40': ['The sawyer said it better than I could', 'Film the end grain before it rains'],
  'boats-38': ['Counting aloud kept people watching', 'One nail closer, ten fewer'],
  'talks-18': ['The silence after the sluice', 'Ask for the last question before the kettle boils'],
}

/** Lines that were written looking back, two days after the release. */
export function lookedBackOn(episodes: readonly Episode[]): void {
  for (const episode of episodes) {
    const said = saidOf[episode.id]
    if (!said || episode.phase.kind !== 'released') continue
    const at = new Date(Date.parse(episode.phase.at) + 2 * 86_400_000).toISOString()
    episode.lookedBack = { well: said[0], change: said[1], at }
  }
}
