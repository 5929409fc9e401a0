import { correctLog } from '../work/correct-log'
import { endStep } from '../work/end-step'
import { handStep } from '../work/hand-step'
import { startStep, stopStep } from '../work/timer'
import { choosePictureIdea } from '../episode/picture-ideas'
import { addTitle, chooseTitle } from '../episode/titles'
import { chooseForm } from '../episode/choose-form'
import { dropTags } from '../episode/drop-tags'
import { writeEpisode } from '../episode/write-episode'

import type { Deed } from './chance'
import { one, near, word, episode, step, openStep } from './chance'

/** Random deeds: episode. */
export const episodeDeeds = {
  startStep: (x) => startStep(x.r, { step: openStep(x) }, x.c),
  stopStep: (x) => stopStep(x.r, {}, x.c),
  endStep: (x) =>
    endStep(
      x.r,
      {
        step: openStep(x),
        took: one(['shorter', 'as planned', 'longer'] as const, x) ?? 'as planned',
        day: near(x, 1, 1),
        part: x.n(3) > 0 ? undefined : 30,
      },
      x.c,
    ),
  correctLog: (x) => correctLog(x.r, { step: step(x), minutes: x.n(200), day: near(x, 3, 1) }, x.c),
  handStep: (x) => handStep(x.r, { step: step(x), owner: x.n(2) ? 'Jo' : '' }, x.c),
  writeEpisode: (x) =>
    writeEpisode(
      x.r,
      x.n(2)
        ? { episode: episode(x), typed: { tags: x.n(2) ? ['oak', 'ribs'] : [] }, what: 'tags' }
        : { episode: episode(x), typed: { note: word(x) }, what: 'the note' },
      x.c,
    ),
  chooseForm: (x) => {
    const e = x.r.episodes.get(episode(x))
    const show = x.r.shows.get(e?.show ?? '')
    const kinds = (show?.forms ?? []).map((f) => f.name)
    return chooseForm(x.r, { episodes: [e?.id ?? ''], form: one([...kinds, undefined], x) }, x.c)
  },
  addTitle: (x) => addTitle(x.r, { episode: episode(x), text: word(x) }, x.c),
  chooseTitle: (x) => {
    const e = x.r.episodes.get(episode(x))
    return chooseTitle(x.r, { episode: e?.id ?? '', title: one(e?.titles ?? [], x)?.id }, x.c)
  },
  dropTags: (x) => {
    const e = one(
      [...x.r.episodes.values()].filter((y) => y.tags.length > 0),
      x,
    )
    return dropTags(x.r, { episode: e?.id ?? episode(x), limit: x.n(10) }, x.c)
  },
  choosePictureIdea: (x) => {
    const e = one(
      [...x.r.episodes.values()].filter((y) => (y.pictureIdeas ?? []).length > 0),
      x,
    )
    if (e && x.n(2) === 0)
      return choosePictureIdea(x.r, { episode: e.id, idea: e.pictureIdeas?.[0]?.id ?? '' }, x.c)
    const id = episode(x)
    const ideas = [...(x.r.episodes.get(id)?.pictureIdeas ?? []), { id: x.c.id(), idea: word(x), words: '' }]
    return writeEpisode(x.r, { episode: id, typed: { pictureIdeas: ideas }, what: 'the ideas' }, x.c)
  },
} satisfies Record<string, Deed>
