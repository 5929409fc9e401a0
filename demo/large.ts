import type { WholeStore } from '@core/formats/backup'
import { type Show } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { dayAt } from '@core/rhythm/zone'

import { ideaBoats, ideaTalks, readIdeas, releasedBoats, releasedTalks } from './titles'
import { Maker } from './maker'
import { zone } from './shows'
import type { PictureOrder } from './progress'
import { demoWorld } from './world'

/**
 * A world for trying out scale: `count` released episodes of daily shows with scripts of about 1,200 words,
 * twice as many ideas, and the usual demo's work.
 */
export function largeWorld(
  now: number,
  progress: (share: number) => void,
  count = 5000,
): { whole: WholeStore; pictures: PictureOrder[] } {
  const { whole: usual, pictures } = demoWorld(now)
  const maker = new Maker(now, 7, new Set(usual.tables.episodes.map((e) => e.code)))
  const subjects = [...releasedBoats, ...releasedTalks]
  const today = dayAt(now, zone)
  const days = Math.ceil(count / 2)
  const fixed = usual.tables.episodes.filter((e) => e.phase.kind !== 'released')
  for (let i = 0; i < days; i++) {
    const day = addDays(today, i - days)
    const topic = subjects[i % subjects.length]
    if (!topic) continue
    const again = Math.floor(i / subjects.length) + 1
    maker.released(
      maker.boats,
      { ...topic, title: `${topic.title}, part ${again}` },
      i + 1,
      day,
      i,
      false,
      1200,
    )
    maker.released(
      maker.talks,
      { ...topic, title: `${topic.title}, heard again ${again}` },
      i + 1,
      day,
      i,
      false,
      1200,
    )
    if (i % 25 === 0) progress(i / days)
  }
  for (const [show, lines, many] of [
    [maker.boats, readIdeas(ideaBoats), count * 1.2],
    [maker.talks, readIdeas(ideaTalks), count * 0.8],
  ] as const)
    for (let i = 0; i < many; i++) {
      const line = lines[i % lines.length]
      if (line)
        maker.idea(
          show,
          { ...line, title: `${line.title}, take ${Math.floor(i / lines.length) + 1}` },
          i % 300,
          `n${i}`,
        )
    }
  const large = maker.world()
  const kept = new Set(fixed.map((e) => e.id))
  const daily = (show: Show): Show => ({
    ...show,
    rhythm: { ...show.rhythm, rule: 'FREQ=DAILY;INTERVAL=1' },
    nextNumber: days + 1,
  })
  const whole: WholeStore = {
    ...usual,
    tables: {
      ...usual.tables,
      shows: usual.tables.shows.map(daily),
      episodes: [...fixed, ...large.tables.episodes],
      steps: [...usual.tables.steps.filter((s) => kept.has(s.episode)), ...large.tables.steps],
      scripts: [...usual.tables.scripts.filter((s) => kept.has(s.id)), ...large.tables.scripts],
    },
  }
  const wanted = new Set(fixed.flatMap((e) => [...e.pictures, ...e.idea.images].map((p) => p.id)))
  return { whole, pictures: pictures.filter((p) => wanted.has(p.id)) }
}
