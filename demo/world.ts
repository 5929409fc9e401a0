import type { WholeStore } from '@core/formats/backup'
import { type Day, type Place } from '@core/records'
import { addDays } from '@core/rhythm/days'
import {
  ideaBoats,
  ideaTalks,
  readIdeas,
  releasedBoats,
  releasedTalks,
  spareBoats,
  workBoats,
  workTalks,
} from './titles'

import { Maker } from './maker'
import { everything, whole, type PictureOrder } from './progress'

/**
 * Lays the demo world out relative to a moment (ms): its records, and the pictures to paint. The same
 * moment gives the same world.
 */
export function demoWorld(now: number): { whole: WholeStore; pictures: PictureOrder[] } {
  const maker = new Maker(now, 42)
  const { boats, talks } = maker
  const thursday = maker.next(3, '17:00')
  const tuesday = addDays(thursday, 5)
  releasedBoats.forEach((s, i) => {
    maker.released(boats, s, i + 1, addDays(thursday, -7 * (41 - i)), i)
  })
  releasedTalks.forEach((s, i) => {
    maker.released(talks, s, i + 1, addDays(tuesday, -14 * (18 - i)), i)
  })
  const [ribs, bolts, spar, caulk, tent, loft] = workBoats
  const [pilot, tides, ledger, nets] = workTalks
  if (!ribs || !bolts || !spar || !caulk || !tent || !loft || !pilot || !tides || !ledger || !nets)
    throw new Error('The demo lacks an episode')
  const slot = (day: Day): Place => ({ kind: 'slot', day })
  maker.inWork(
    boats,
    ribs,
    slot(thursday),
    {
      ...whole,
      done: [...everything.slice(0, 8)],
      pictures: 3,
      description: false,
      tags: 'over',
      logged: { choose: 5 },
    },
    3 * 7,
  )
  delete maker.last.episode.chosenPicture
  maker.inWork(
    talks,
    pilot,
    slot(tuesday),
    {
      ...whole,
      done: everything.slice(0, 5),
      logged: { rough: 70 },
      length: false,
      pictures: 0,
      description: false,
      tags: 'none',
      waiting: { line: 'pictures', who: 'Ines Varga', what: 'a portrait for the cover', days: 5 },
    },
    25,
  )
  maker.inWork(
    boats,
    bolts,
    slot(addDays(thursday, 7)),
    {
      ...whole,
      done: everything.slice(0, 4),
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    20,
  )
  maker.inWork(
    boats,
    spar,
    slot(addDays(thursday, 14)),
    {
      ...whole,
      done: everything.slice(0, 2),
      written: { sections: 'but', last: 2 },
      got: 2,
      logged: { script: 115 },
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    14,
  )
  maker.inWork(
    boats,
    caulk,
    slot(addDays(thursday, 21)),
    {
      ...whole,
      done: [],
      written: { sections: 'none' },
      logged: { brief: 20 },
      brief: 'part',
      title: 'candidates',
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    6,
  )
  maker.inWork(
    talks,
    tides,
    slot(addDays(tuesday, 28)),
    {
      ...whole,
      done: everything.slice(0, 2),
      written: { sections: 'none' },
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    8,
  )
  maker.inWork(
    boats,
    tent,
    slot(addDays(thursday, 49)),
    {
      ...whole,
      done: [],
      written: { sections: 'none' },
      brief: 'none',
      title: 'candidates',
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    3,
  )
  maker.inWork(
    talks,
    ledger,
    slot(addDays(tuesday, 56)),
    {
      ...whole,
      done: [],
      written: { sections: 'none' },
      brief: 'part',
      title: 'candidates',
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    4,
  )
  maker.inWork(
    boats,
    loft,
    { kind: 'nothing' },
    {
      ...whole,
      done: everything.slice(0, 4),
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    40,
  )
  maker.inWork(
    talks,
    nets,
    { kind: 'nothing' },
    {
      ...whole,
      done: [],
      written: { sections: 'none' },
      brief: 'part',
      title: 'candidates',
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    30,
  )
  for (const s of spareBoats) {
    maker.inWork(boats, s, { kind: 'nothing' }, { ...whole, pictures: 1 }, 60)
    maker.last.episode.spare = true
  }
  maker.promises(thursday)
  readIdeas(ideaBoats).forEach((idea, i) => {
    maker.idea(boats, idea, i)
  })
  readIdeas(ideaTalks).forEach((idea, i) => {
    maker.idea(talks, idea, i)
  })
  return { whole: maker.world(), pictures: maker.pictures }
}
