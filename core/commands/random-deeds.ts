import { planFor } from '../plan/load'
import { Planner } from '../plan/planner'
import { stateOf } from '../plan/state'
import type { Day, Episode, Id, Picture, Records, Step } from '../records'
import type { Result } from '../result'
import { addDays, weekday } from '../rhythm/days'
import type { Context, Outcome } from './change'
import { todayOf } from './step-of'
import { correctLog } from './work/correct-log'
import { endStep } from './work/end-step'
import { handStep } from './work/hand-step'
import { startStep, stopStep } from './work/timer'
import { addPicture, choosePicture, removePicture } from './episode/pictures'
import { addTitle, chooseTitle } from './episode/titles'
import { dropTags } from './episode/drop-tags'
import { writeEpisode } from './episode/write-episode'
import { backToIdeas } from './ideas/back-to-ideas'
import { dropEpisodes } from './ideas/drop-episodes'
import { editMany } from './ideas/edit-many'
import { jotIdea, jotIdeas } from './ideas/jot'
import { keepMail } from './ideas/keep-mail'
import { markTold } from './ideas/mark-told'
import { intendForMonth } from './ideas/intend-for-month'
import { mergeIdeas } from './ideas/merge-ideas'
import { reorderIdea } from './ideas/reorder-idea'
import { restIdeas } from './ideas/rest-ideas'
import { sortIdeas } from './ideas/sort-ideas'
import { writeIdea } from './ideas/write-idea'
import { addKeyword } from './keywords/add-keyword'
import { editKeyword } from './keywords/edit-keyword'
import { importKeywords } from './keywords/import-keywords'
import { removeKeyword } from './keywords/remove-keyword'
import { markAllReleased } from './release/mark-all-released'
import { swapInSpare } from './schedule/swap-in-spare'
import { jotForKeyword, giveKeyword } from './keywords/give-keyword'
import { putOnNext } from './schedule/put-on-next'
import { skipMissed } from './schedule/skip-missed'
import { moveToSlot } from './schedule/move-to-slot'
import { pullEpisodes } from './schedule/pull-episodes'
import { pushEpisode } from './schedule/push-episode'
import { swapEpisodes } from './schedule/swap-episodes'
import { keepSlots, removeReservation } from './schedule/keep-slots'
import { putLaunch, removeLaunch } from './schedule/launch'
import { supportLaunch } from './schedule/support-launch'
import { addRecipe, removeRecipe } from './recipes/add-recipe'
import { copyEpisode } from './episode/copy-episode'
import { editLine } from './recipes/edit-line'
import { editRecipe } from './recipes/edit-recipe'
import { firstRecipe } from './recipes/first-recipe'
import { leaveOutStage } from './recipes/leave-out-stage'
import { openDifferences } from './recipes/open-differences'
import { settleDifferences } from './recipes/settle-differences'
import { takeStarter } from './recipes/take-starter'
import { changeRecipe } from './recipes/change-recipe'
import { fixNumber } from './release/fix-number'
import { markReleased } from './release/mark-released'
import { moveToNextOpen } from './schedule/move-to-next-open'
import { parkEpisode } from './schedule/park-episode'
import { placeOnOwn } from './schedule/place-on-own'
import { placeOnSlot } from './schedule/place-on-slot'
import { placeSeveral } from './schedule/place-several'
import { skipSlot } from './schedule/skip-slot'
import { startWork } from './schedule/start-work'
import { takeOff } from './schedule/take-off'
import { takeSection } from './episode/take-section'
import { writeScript, type ScriptWish } from './episode/write-script'
import { editSettings } from './settings/edit-settings'
import { addShow } from './shows/add-show'
import { changeRhythm } from './shows/change-rhythm'
import { editOutlet } from './shows/edit-outlet'
import { editShow } from './shows/edit-show'
import { dropBusy, takeBusy } from './standing/busy'
import { markStanding } from './standing/mark-standing'
import { putStanding, removeStanding } from './standing/put-standing'
import { addStep, removeStep } from './work/add-step'
import { backdateStep } from './work/backdate-step'
import { editStep } from './work/edit-step'
import { estimateStep } from './work/estimate-step'
import { finishStages } from './work/finish-stages'
import { dismissFollowed } from './work/dismiss-followed'
import { tickItem } from './work/tick-item'
import { tickStep } from './work/tick-step'
import { waitStep } from './work/wait-step'
import { takeTable } from './ideas/take-table'
import { joinBlocks, splitBlock } from './week/split-block'
import { layEpisode } from './week/lay-episode'
import { layOnDay, takeOffDay } from './week/lay-on-day'
import { moveLeftoversToToday } from './week/move-leftovers'
import { moreOnDays, setDays } from './week/set-days'
import { orderDay } from './week/order-day'
import { pinBlock } from './week/pin-block'
import { takePlan } from './week/take-plan'
import { timeBlock } from './week/time-block'

/**
 * What a random wish is made from: the records, the moment, and a source of numbers from 0 to below `most`.
 */
export interface Chance {
  r: Records
  c: Context
  n: (most: number) => number
}

type Deed = (chance: Chance) => Result<Outcome>

const words = ['Oak ribs', 'Keel bolts', 'A spar', 'Oars & tar', 'Sailcloth', 'Rope walk', 'Pitch']

function one<T>(list: readonly T[], { n }: Chance): T | undefined {
  return list[n(Math.max(1, list.length))]
}
/** An id among those there; now and then one that is nowhere, so that refusing is tried too. */
function idIn(map: ReadonlyMap<Id, unknown>, chance: Chance): Id {
  return chance.n(25) === 24 ? 'nowhere' : (one([...map.keys()], chance) ?? 'nowhere')
}
const today = ({ r, c }: Chance): Day => todayOf(r, c)
const near = (chance: Chance, before: number, after: number): Day =>
  addDays(today(chance), chance.n(before + after) - before)
const word = (chance: Chance): string => one(words, chance) ?? 'Oak'
const episode = (chance: Chance): Id => idIn(chance.r.episodes, chance)
const inPhase = (chance: Chance, ...names: Episode['phase']['kind'][]): Id =>
  one(
    [...chance.r.episodes.values()].filter((e) => names.includes(e.phase.kind)),
    chance,
  )?.id ?? episode(chance)
const show = (chance: Chance): Id => idIn(chance.r.shows, chance)
const recipe = (chance: Chance): Id => idIn(chance.r.recipes, chance)
const step = (chance: Chance): Id => idIn(chance.r.steps, chance)
/** Any open work, derived steps among it. */
const openStep = (chance: Chance): Id =>
  one(stateOf(chance.r, chance.c.now).open.tasks, chance)?.id ?? step(chance)
const laid = (chance: Chance): { s: Step; b: Step['blocks'][number] } | undefined =>
  one(
    [...chance.r.steps.values()].flatMap((s) => s.blocks.map((b) => ({ s, b }))),
    chance,
  )
const slotDay = (chance: Chance): Day => {
  const from = [...chance.r.shows.values()][0]?.rhythm.start ?? today(chance)
  return addDays(from, 7 * (chance.n(14) + 1))
}
const picture = (id: Id): Picture => ({
  id,
  name: 'ribs.png',
  type: 'image/png',
  width: 1280,
  height: 720,
  size: 4,
})
const chosenStage = (chance: Chance): Id =>
  one(
    [...chance.r.recipes.values()].flatMap((x) => x.stages),
    chance,
  )?.id ?? ''

function scriptWish(chance: Chance, id: Id): ScriptWish {
  const { r, c, n } = chance
  const sections = r.scripts.get(id)?.sections ?? []
  const beats = sections.flatMap((s) => s.beats)
  const beat = one(beats, chance)?.id ?? 'none'
  const section = one(sections, chance)?.id ?? 'none'
  const cue = one(
    beats.flatMap((b) => b.cues),
    chance,
  )?.id
  const wishes: ScriptWish[] = [
    { kind: 'write beat', beat, text: `${word(chance)} bend when they are warm. They hold.` },
    { kind: 'split beat', beat, at: n(20) },
    { kind: 'join beat', beat },
    { kind: 'add beat', section },
    { kind: 'deliver', beat, delivery: n(2) ? 'camera' : 'voice' },
    {
      kind: 'paste',
      beat,
      beats: [{ id: c.id(), delivery: 'voice', text: 'Pasted words.', hold: 0, cues: [] }],
    },
    { kind: 'move beat', beat, by: n(2) ? 1 : -1 },
    { kind: 'add cue', beat, text: 'the plane', cue: 'shot' },
    { kind: 'write cue', cue: cue ?? 'none', text: 'the adze' },
    { kind: 'remove cue', cue: cue ?? 'none' },
    { kind: 'get cue', cue: cue ?? 'none', got: n(2) > 0 },
    { kind: 'add section', title: word(chance) },
    { kind: 'name section', section, title: word(chance) },
    { kind: 'remove section', section },
    { kind: 'replace', sections: sections.slice(0, 1) },
  ]
  return wishes[n(wishes.length)] ?? { kind: 'add section', title: 'More' }
}

/**
 * One way or more to wish for each command, at random; refusals are part of it. Test support: every command
 * of `core/commands` has a row.
 */
export const randomDeeds = {
  startStep: (x) => startStep(x.r, { step: openStep(x) }, x.c),
  stopStep: (x) => stopStep(x.r, {}, x.c),
  endStep: (x) =>
    endStep(
      x.r,
      {
        step: openStep(x),
        took: one(['shorter', 'as planned', 'longer'] as const, x) ?? 'as planned',
        day: near(x, 1, 1),
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
  addPicture: (x) => {
    const id = x.c.id()
    return addPicture(
      x.r,
      {
        episode: episode(x),
        picture: picture(id),
        file: { id, type: 'image/png', bytes: new Uint8Array([1, 2, 3, 4]) },
      },
      x.c,
    )
  },
  removePicture: (x) => {
    const e = one(
      [...x.r.episodes.values()].filter((y) => y.pictures.length > 0),
      x,
    )
    return removePicture(x.r, { episode: e?.id ?? episode(x), picture: e?.pictures[0]?.id ?? '' }, x.c)
  },
  choosePicture: (x) => {
    const e = one(
      [...x.r.episodes.values()].filter((y) => y.pictures.length > 0),
      x,
    )
    return choosePicture(x.r, { episode: e?.id ?? episode(x), picture: e?.pictures[x.n(2)]?.id }, x.c)
  },
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
  putOnNext: (x) => putOnNext(x.r, { episode: inPhase(x, 'work') }, x.c),
  skipMissed: (x) => skipMissed(x.r, { episode: inPhase(x, 'work') }, x.c),
  markAllReleased: (x) => markAllReleased(x.r, { episodes: [inPhase(x, 'work')] }, x.c),
  pushEpisode: (x) => pushEpisode(x.r, { episode: inPhase(x, 'work') }, x.c),
  pullEpisodes: (x) => pullEpisodes(x.r, { show: show(x), day: slotDay(x) }, x.c),
  swapEpisodes: (x) => swapEpisodes(x.r, { episode: inPhase(x, 'work'), other: inPhase(x, 'work') }, x.c),
  swapInSpare: (x) => swapInSpare(x.r, { episode: inPhase(x, 'work'), spare: episode(x) }, x.c),
  moveToSlot: (x) => moveToSlot(x.r, { episode: inPhase(x, 'work'), day: slotDay(x) }, x.c),
  keepSlots: (x) =>
    keepSlots(
      x.r,
      {
        ...(x.n(3) ? {} : { reservation: idIn(x.r.reservations, x) }),
        show: show(x),
        name: 'Kelpline Rope',
        kind: 'sponsor',
        kept: x.n(3)
          ? { kind: 'slot', day: slotDay(x) }
          : { kind: 'deal', perMonth: 1 + x.n(2), from: today(x), to: addDays(today(x), 90) },
        note: '',
      },
      x.c,
    ),
  removeReservation: (x) => removeReservation(x.r, { reservation: idIn(x.r.reservations, x) }, x.c),
  putLaunch: (x) =>
    putLaunch(
      x.r,
      {
        ...(x.n(3) ? {} : { launch: idIn(x.r.launches, x) }),
        name: 'Regatta',
        from: near(x, 0, 20),
        to: addDays(today(x), 20 + x.n(9)),
        runUp: 14,
        wanted: 2,
        note: '',
      },
      x.c,
    ),
  removeLaunch: (x) => removeLaunch(x.r, { launch: idIn(x.r.launches, x) }, x.c),
  supportLaunch: (x) =>
    supportLaunch(x.r, { launch: idIn(x.r.launches, x), episode: episode(x), supports: x.n(3) > 0 }, x.c),
  editRecipe: (x) =>
    editRecipe(
      x.r,
      {
        recipe: recipe(x),
        fields: x.n(2)
          ? {
              call: word(x),
              checklists: [
                {
                  id: 'list',
                  stage: chosenStage(x),
                  name: 'Before filming',
                  items: [{ id: `item${x.n(3)}`, text: 'Charge the lamp' }],
                },
              ],
            }
          : {
              follow: [
                {
                  id: 'f1',
                  when: { kind: 'lit', stage: chosenStage(x) },
                  then: { kind: 'note', text: 'Back up' },
                },
              ],
            },
      },
      x.c,
    ),
  editLine: (x) => {
    const found = x.r.recipes.get(recipe(x))
    const line = one(found?.lines ?? [], x)
    const blank = {
      id: 'none',
      stage: '',
      name: 'x',
      kind: 'admin' as const,
      minutes: 1,
      lead: { kind: 'before' as const, days: 0 },
      needs: [],
      required: true,
    }
    return editLine(
      x.r,
      { recipe: found?.id ?? '', line: { ...(line ?? blank), minutes: 15 + x.n(200) } },
      x.c,
    )
  },
  leaveOutStage: (x) => {
    const found = x.r.recipes.get(recipe(x))
    return leaveOutStage(x.r, { recipe: found?.id ?? '', stage: one(found?.stages ?? [], x)?.id ?? '' }, x.c)
  },
  settleDifferences: (x) => {
    const id = one(
      [...x.r.recipes.keys()].filter((k) => openDifferences(x.r, k).length > 0),
      x,
    )
    const keys = id === undefined ? [] : openDifferences(x.r, id).map((d) => d.key)
    return settleDifferences(
      x.r,
      {
        recipe: id ?? recipe(x),
        take: keys.filter((_, i) => i % 2 === 0),
        leave: keys.filter((_, i) => i % 2 === 1),
      },
      x.c,
    )
  },
  addRecipe: (x) =>
    addRecipe(
      x.r,
      {
        show: show(x),
        name: `${word(x)} ${x.n(99)}`,
        from: one(['small', 'full', { recipe: recipe(x) }] as const, x) ?? 'small',
      },
      x.c,
    ),
  removeRecipe: (x) => {
    const s = x.r.shows.get(show(x))
    return removeRecipe(x.r, { show: s?.id ?? '', recipe: one(s?.recipes ?? [], x) ?? '' }, x.c)
  },
  firstRecipe: (x) => {
    const s = x.r.shows.get(show(x))
    return firstRecipe(x.r, { show: s?.id ?? '', recipe: one(s?.recipes ?? [], x) ?? '' }, x.c)
  },
  changeRecipe: (x) => {
    const e = x.r.episodes.get(inPhase(x, 'work', 'idea'))
    const s = x.r.shows.get(e?.show ?? '')
    const all = s ? [s.recipe, ...(s.recipes ?? [])] : []
    return changeRecipe(x.r, { episode: e?.id ?? '', recipe: one(all, x) ?? '' }, x.c)
  },
  takeStarter: (x) => takeStarter(x.r, { show: show(x), starter: x.n(2) ? 'full' : 'small' }, x.c),
  copyEpisode: (x) => copyEpisode(x.r, { episode: episode(x), texts: x.n(2) > 0 }, x.c),
  fixNumber: (x) => fixNumber(x.r, { episode: inPhase(x, 'work') }, x.c),
  markReleased: (x) => markReleased(x.r, { episode: inPhase(x, 'work'), late: x.n(2) > 0 }, x.c),
  placeOnSlot: (x) => placeOnSlot(x.r, { episode: episode(x), day: slotDay(x) }, x.c),
  placeOnOwn: (x) => placeOnOwn(x.r, { episode: episode(x), day: near(x, 3, 40), time: '12:00' }, x.c),
  startWork: (x) => startWork(x.r, { episode: inPhase(x, 'idea', 'parked') }, x.c),
  placeSeveral: (x) => placeSeveral(x.r, { episodes: [inPhase(x, 'idea'), episode(x)] }, x.c),
  parkEpisode: (x) => parkEpisode(x.r, { episode: episode(x), why: 'later' }, x.c),
  takeOff: (x) => takeOff(x.r, { episode: inPhase(x, 'work') }, x.c),
  skipSlot: (x) => skipSlot(x.r, { show: show(x), day: slotDay(x), skip: x.n(2) > 0 }, x.c),
  moveToNextOpen: (x) => moveToNextOpen(x.r, { episode: inPhase(x, 'work') }, x.c),
  writeScript: (x) => {
    const id = one([...x.r.scripts.keys()], x) ?? episode(x)
    return writeScript(x.r, { episode: id, wish: scriptWish(x, id) }, x.c)
  },
  takeSection: (x) =>
    takeSection(x.r, { episode: episode(x), title: word(x), points: ['steam', 'bend'] }, x.c),
  editSettings: (x) =>
    editSettings(
      x.r,
      x.n(2) ? { hours: [x.n(240), 90, 90, 90, 90, 150, 0] } : { preferred: { film: [x.n(7)] } },
      x.c,
    ),
  addShow: (x) =>
    addShow(
      x.r,
      {
        title: word(x),
        kind: x.n(2) ? 'video' : 'audio',
        zone: 'Europe/Lisbon',
        rhythm: { kind: 'week', every: 1 + x.n(2), weekdays: [x.n(7)] },
        time: '17:00',
        start: today(x),
        hours: [90, 90, 90, 90, 90, 0, 0],
      },
      x.c,
    ),
  editShow: (x) =>
    editShow(
      x.r,
      { show: show(x), fields: x.n(2) ? { prefix: x.n(2) ? 'T ' : '#' } : { readyAhead: x.n(5) } },
      x.c,
    ),
  changeRhythm: (x) =>
    changeRhythm(
      x.r,
      {
        show: show(x),
        rhythm: { kind: 'week', every: 1 + x.n(2), weekdays: [x.n(7)] },
        time: '18:00',
        start: near(x, 0, 10),
        displaced: one(['nearest', 'keep', 'off', 'ideas'] as const, x) ?? 'nearest',
      },
      x.c,
    ),
  editOutlet: (x) =>
    editOutlet(x.r, { outlet: idIn(x.r.outlets, x), fields: { titleLimit: 20 + x.n(100) } }, x.c),
  putStanding: (x) =>
    putStanding(
      x.r,
      {
        ...(x.n(3) ? {} : { standing: idIn(x.r.standing, x) }),
        name: 'Mailing list',
        kind: 'admin',
        minutes: 30,
        when: x.n(2)
          ? { kind: 'once', day: near(x, 0, 9) }
          : { kind: 'rule', rule: 'FREQ=WEEKLY;BYDAY=MO', start: near(x, 9, 9) },
      },
      x.c,
    ),
  removeStanding: (x) => removeStanding(x.r, { standing: idIn(x.r.standing, x) }, x.c),
  markStanding: (x) =>
    markStanding(
      x.r,
      {
        standing: idIn(x.r.standing, x),
        day: near(x, 2, 9),
        as: one(['skipped', 'done', 'to do'] as const, x) ?? 'done',
      },
      x.c,
    ),
  takeBusy: (x) => {
    const uid = `busy${x.n(4)}`
    return takeBusy(
      x.r,
      { events: [{ uid, name: 'Dentist', day: near(x, 1, 20), minutes: 30 + x.n(90) }], uids: [uid] },
      x.c,
    )
  },
  dropBusy: (x) => dropBusy(x.r, { busy: x.n(4) ? idIn(x.r.busy, x) : undefined }, x.c),
  tickStep: (x) => tickStep(x.r, { step: step(x), done: x.n(4) > 0 }, x.c),
  waitStep: (x) =>
    waitStep(
      x.r,
      { step: step(x), waiting: x.n(2) ? { who: 'Ines', what: '', since: today(x) } : undefined },
      x.c,
    ),
  estimateStep: (x) => estimateStep(x.r, { step: step(x), minutes: 5 + x.n(300) }, x.c),
  addStep: (x) =>
    addStep(
      x.r,
      { episode: inPhase(x, 'work'), stage: chosenStage(x), name: word(x), minutes: 5 + x.n(90) },
      x.c,
    ),
  removeStep: (x) => removeStep(x.r, { step: step(x) }, x.c),
  finishStages: (x) =>
    finishStages(x.r, { episode: inPhase(x, 'work'), stages: [chosenStage(x)], done: x.n(4) > 0 }, x.c),
  backdateStep: (x) => {
    const done = [...x.r.steps.values()].filter((s) => s.doneAt !== undefined)
    return backdateStep(x.r, { step: one(done, x)?.id ?? step(x), day: near(x, 5, 1) }, x.c)
  },
  tickItem: (x) => {
    const items = [...x.r.recipes.values()].flatMap((y) => (y.checklists ?? []).flatMap((l) => l.items))
    return tickItem(x.r, { episode: episode(x), item: one(items, x)?.id ?? '', on: x.n(3) > 0 }, x.c)
  },
  dismissFollowed: (x) => {
    const e = one(
      [...x.r.episodes.values()].filter((y) => (y.followed ?? []).length > 0),
      x,
    )
    return dismissFollowed(x.r, { episode: e?.id ?? '', followed: e?.followed?.[0]?.id ?? '' }, x.c)
  },
  editStep: (x) =>
    editStep(
      x.r,
      {
        step: step(x),
        fields: x.n(2) ? { minutes: 10 + x.n(90) } : { lead: { kind: 'before', days: x.n(9) } },
      },
      x.c,
    ),
  takeTable: (x) =>
    takeTable(
      x.r,
      {
        table: {
          columns: ['Title'],
          rows: [{ line: 2, cells: new Map([['Title', `${word(x)} ${x.n(99)}`]]) }],
        },
        show: show(x),
      },
      x.c,
    ),
  layOnDay: (x) => layOnDay(x.r, { step: openStep(x), day: near(x, 0, 9), minutes: 15 + x.n(90) }, x.c),
  takeOffDay: (x) => {
    const at = laid(x)
    return takeOffDay(x.r, { step: at?.s.id ?? step(x), day: x.n(2) ? at?.b.day : undefined }, x.c)
  },
  pinBlock: (x) => {
    const at = laid(x)
    return pinBlock(
      x.r,
      { step: at?.s.id ?? step(x), day: at?.b.day ?? today(x), pinned: !(at?.b.pinned ?? false) },
      x.c,
    )
  },
  splitBlock: (x) => {
    const at = laid(x)
    return splitBlock(
      x.r,
      {
        step: at?.s.id ?? step(x),
        day: at?.b.day ?? today(x),
        minutes: at?.b.minutes ?? 0,
        to: addDays(at?.b.day ?? today(x), 1),
      },
      x.c,
    )
  },
  joinBlocks: (x) => {
    const parted = [...x.r.steps.values()].filter((s) => s.blocks.length > 1)
    const s = one(parted, x)
    const at = s ? { s, b: one(s.blocks, x) } : laid(x)
    return joinBlocks(x.r, { step: at?.s.id ?? step(x), day: at?.b?.day ?? today(x) }, x.c)
  },
  timeBlock: (x) => {
    const at = laid(x)
    return timeBlock(
      x.r,
      {
        step: at?.s.id ?? step(x),
        day: at?.b.day ?? today(x),
        minutes: at?.b.minutes ?? 30,
        at: x.n(3) ? '15:00' : undefined,
      },
      x.c,
    )
  },
  orderDay: (x) => {
    const day = laid(x)?.b.day ?? today(x)
    const row = [...x.r.steps.values()].flatMap((s) =>
      s.blocks.flatMap((b) => (b.day === day ? [{ step: s.id, minutes: b.minutes }] : [])),
    )
    return orderDay(x.r, { day, row: row.reverse() }, x.c)
  },
  layEpisode: (x) => {
    const monday = addDays(today(x), -weekday(today(x)) + 7 * x.n(2))
    return layEpisode(x.r, { episode: inPhase(x, 'work'), monday, hours: stateOf(x.r, x.c.now).hours }, x.c)
  },
  takePlan: (x) => {
    const { open, hours, today: day } = stateOf(x.r, x.c.now)
    const pins = open.laid.filter((b) => b.pinned)
    const planner = new Planner(planFor(open.tasks, pins, hours, day))
    planner.improve(10)
    return takePlan(x.r, { blocks: planner.plan.blocks.filter((b) => !b.fixed) }, x.c)
  },
  moveLeftoversToToday: (x) => moveLeftoversToToday(x.r, { steps: [...x.r.steps.keys()] }, x.c),
  setDays: (x) =>
    setDays(x.r, { days: [near(x, 1, 4)], minutes: one([0, 0, 240, undefined] as const, x) }, x.c),
  moreOnDays: (x) => moreOnDays(x.r, { days: [near(x, 0, 6)], minutes: 30 + x.n(60) }, x.c),
} satisfies Record<string, Deed>

export type CommandName = keyof typeof randomDeeds
export const commandNames: readonly string[] = Object.keys(randomDeeds)

/** Does one command's deed by name. Throws on a name that none has. */
export function doDeed(name: string, chance: Chance): Result<Outcome> {
  const all: Readonly<Record<string, Deed>> = randomDeeds
  const deed = all[name]
  if (!deed) throw new Error(`No random deed for ${name}`)
  return deed(chance)
}
