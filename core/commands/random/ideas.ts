import { backToIdeas } from '../ideas/back-to-ideas'
import { dropEpisodes } from '../ideas/drop-episodes'
import { editMany } from '../ideas/edit-many'
import { followUp } from '../ideas/follow-up'
import { jotIdea, jotIdeas } from '../ideas/jot'
import { layStart } from '../ideas/lay-start'
import { keepMail } from '../ideas/keep-mail'
import { markTold } from '../ideas/mark-told'
import { intendForMonth } from '../ideas/intend-for-month'
import { mergeIdeas } from '../ideas/merge-ideas'
import { orderByHand } from '../ideas/order-by-hand'
import { reorderIdea } from '../ideas/reorder-idea'
import { restIdeas } from '../ideas/rest-ideas'
import { sortIdeas } from '../ideas/sort-ideas'
import { writeIdea } from '../ideas/write-idea'
import { addKeyword } from '../keywords/add-keyword'
import { editKeyword } from '../keywords/edit-keyword'
import { importKeywords } from '../keywords/import-keywords'
import { removeKeyword } from '../keywords/remove-keyword'
import { jotForKeyword, giveKeyword } from '../keywords/give-keyword'

import type { Deed } from './chance'
import { one, idIn, today, near, word, episode, inPhase, show } from './chance'

/** Random deeds: ideas. */
export const ideasDeeds = {
  followUp: (x) => followUp(x.r, { episode: episode(x), why: word(x) }, x.c),
  jotIdea: (x) => jotIdea(x.r, { show: show(x), line: word(x) }, x.c),
  jotIdeas: (x) =>
    jotIdeas(
      x.r,
      {
        show: show(x),
        drafts: [word(x), word(x)].map((title) => ({
          title,
          note: 'noted',
          urls: ['https://example.org/oak'],
          topics: ['Oak'],
          ticked: false,
        })),
      },
      x.c,
    ),
  keepMail: (x) =>
    keepMail(
      x.r,
      {
        show: show(x),
        mail: [
          {
            kind: 'wish',
            id: `letter-${x.c.id()}`,
            at: new Date(x.c.now).toISOString(),
            line: 'How do you bend oak?',
            url: '',
            show: show(x),
            name: 'Ines',
            mail: 'ines@example.org',
            tell: true,
          },
        ],
      },
      x.c,
    ),
  dropEpisodes: (x) => dropEpisodes(x.r, { episodes: [episode(x)], why: 'too long' }, x.c),
  backToIdeas: (x) => backToIdeas(x.r, { episode: inPhase(x, 'work', 'parked', 'dropped') }, x.c),
  sortIdeas: (x) => sortIdeas(x.r, { episodes: [inPhase(x, 'idea')], standing: 'promising' }, x.c),
  restIdeas: (x) => restIdeas(x.r, { episodes: [inPhase(x, 'idea')], until: near(x, 2, 60) }, x.c),
  intendForMonth: (x) =>
    intendForMonth(x.r, { episodes: [inPhase(x, 'idea')], month: x.n(2) ? '2027-02' : undefined }, x.c),
  editMany: (x) =>
    editMany(
      x.r,
      { episodes: [episode(x), episode(x)], edits: { topics: ['Oak'], rating: 1 + x.n(5) } },
      x.c,
    ),
  writeIdea: (x) =>
    writeIdea(x.r, { episode: episode(x), typed: { premise: word(x) }, what: 'the premise' }, x.c),
  mergeIdeas: (x) => mergeIdeas(x.r, { into: episode(x), from: inPhase(x, 'idea') }, x.c),
  orderByHand: (x) => orderByHand(x.r, { episodes: [inPhase(x, 'work'), episode(x)] }, x.c),
  reorderIdea: (x) =>
    reorderIdea(x.r, { episode: inPhase(x, 'idea'), before: inPhase(x, 'idea'), after: undefined }, x.c),
  markTold: (x) => {
    const e = one(
      [...x.r.episodes.values()].filter((y) => y.idea.asked.length > 0),
      x,
    )
    return markTold(x.r, { episode: e?.id ?? '', asked: e?.idea.asked.map((a) => a.id) ?? [] }, x.c)
  },
  addKeyword: (x) => addKeyword(x.r, { show: show(x), words: word(x) }, x.c),
  editKeyword: (x) =>
    editKeyword(x.r, { keyword: idIn(x.r.keywords, x), fields: { searches: x.n(5000) } }, x.c),
  removeKeyword: (x) => removeKeyword(x.r, { keyword: idIn(x.r.keywords, x) }, x.c),
  giveKeyword: (x) => giveKeyword(x.r, { episode: episode(x), words: word(x) }, x.c),
  jotForKeyword: (x) => jotForKeyword(x.r, { keyword: idIn(x.r.keywords, x) }, x.c),
  importKeywords: (x) =>
    importKeywords(
      x.r,
      {
        show: show(x),
        rows: [
          { words: word(x), searches: x.n(900), competing: x.n(90), notes: '' },
          { words: `${word(x)} ${x.n(9)}`, notes: 'read' },
        ],
        measured: today(x),
      },
      x.c,
    ),
  layStart: (x) =>
    layStart(x.r, { episode: episode(x), parts: [{ heading: `Outline ${x.n(99)}`, text: word(x) }] }, x.c),
} satisfies Record<string, Deed>
