import { fixNumber } from '../release/fix-number'
import { correctRelease } from '../release/correct-release'
import { markReleased } from '../release/mark-released'
import { scheduleRelease } from '../release/schedule-release'
import { moveToNextOpen } from '../schedule/move-to-next-open'
import { parkEpisode } from '../schedule/park-episode'
import { placeOnOwn } from '../schedule/place-on-own'
import { placeOnSlot } from '../schedule/place-on-slot'
import { placeSeveral } from '../schedule/place-several'
import { skipSlot } from '../schedule/skip-slot'
import { startWork } from '../schedule/start-work'
import { takeOff } from '../schedule/take-off'
import { dropOffer, keepOffer } from '../offers'
import { editSettings } from '../settings/edit-settings'
import { addShow } from '../shows/add-show'
import { changeRhythm } from '../shows/change-rhythm'
import { editOutlet } from '../shows/edit-outlet'
import { editShow } from '../shows/edit-show'
import { dropBusy, takeBusy } from '../standing/busy'
import { markStanding } from '../standing/mark-standing'
import { putStanding, removeStanding } from '../standing/put-standing'

import type { Deed } from './chance'
import { one, idIn, today, near, word, episode, inPhase, show, slotDay } from './chance'

/** Random deeds: shows. */
export const showsDeeds = {
  keepOffer: (x) =>
    keepOffer(
      x.r,
      {
        ...(x.n(3) > 0 ? { offer: idIn(x.r.offers, x) } : {}),
        name: word(x),
        address: x.n(2) > 0 ? `https://shop.example/${word(x)}` : '',
        wordings: x.n(4) > 0 ? [{ id: `w${x.n(3)}`, text: word(x) }] : [],
        shows: [show(x)],
      },
      x.c,
    ),
  dropOffer: (x) => dropOffer(x.r, { offer: idIn(x.r.offers, x) }, x.c),
  fixNumber: (x) => fixNumber(x.r, { episode: inPhase(x, 'work') }, x.c),
  markReleased: (x) =>
    markReleased(
      x.r,
      {
        episode: inPhase(x, 'work'),
        ...(x.n(2) > 0 ? { at: x.c.now - x.n(9) * 3_600_000 } : {}),
        ...(x.n(2) > 0 ? { addresses: { o1: `https://video.example/${word(x)}` } } : {}),
      },
      x.c,
    ),
  correctRelease: (x) =>
    correctRelease(
      x.r,
      {
        episode: inPhase(x, 'released'),
        at: x.c.now - x.n(99) * 3_600_000,
        addresses: { o1: x.n(2) > 0 ? '' : 'video.example/1' },
      },
      x.c,
    ),
  scheduleRelease: (x) => scheduleRelease(x.r, { episode: inPhase(x, 'work'), scheduled: x.n(3) > 0 }, x.c),
  placeOnSlot: (x) => placeOnSlot(x.r, { episode: episode(x), day: slotDay(x) }, x.c),
  placeOnOwn: (x) => placeOnOwn(x.r, { episode: episode(x), day: near(x, 3, 40), time: '12:00' }, x.c),
  startWork: (x) => startWork(x.r, { episode: inPhase(x, 'idea', 'parked') }, x.c),
  placeSeveral: (x) => placeSeveral(x.r, { episodes: [inPhase(x, 'idea'), episode(x)] }, x.c),
  parkEpisode: (x) => parkEpisode(x.r, { episode: episode(x), why: 'later' }, x.c),
  takeOff: (x) => takeOff(x.r, { episode: inPhase(x, 'work') }, x.c),
  skipSlot: (x) => skipSlot(x.r, { show: show(x), day: slotDay(x), skip: x.n(2) > 0 }, x.c),
  moveToNextOpen: (x) => moveToNextOpen(x.r, { episode: inPhase(x, 'work') }, x.c),
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
      {
        show: show(x),
        fields:
          one(
            [
              { prefix: x.n(2) ? 'T ' : '#' },
              { readyAhead: x.n(5) },
              { changeMinutes: { place: x.n(60), framing: x.n(9), light: x.n(30), clothes: x.n(300) } },
              {
                forms: [
                  { id: 'talk', name: 'talk', recipe: one([...x.r.recipes.keys()], x) },
                  { id: 'short', name: 'short' },
                ],
              },
            ],
            x,
          ) ?? {},
      },
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
} satisfies Record<string, Deed>
