import { addDays } from '../../rhythm/days'
import { markAllReleased } from '../release/mark-all-released'
import { swapInSpare } from '../schedule/swap-in-spare'
import { putOnNext } from '../schedule/put-on-next'
import { skipMissed } from '../schedule/skip-missed'
import { moveToSlot } from '../schedule/move-to-slot'
import { pullEpisodes } from '../schedule/pull-episodes'
import { pushEpisode } from '../schedule/push-episode'
import { swapEpisodes } from '../schedule/swap-episodes'
import { keepSlots, removeReservation } from '../schedule/keep-slots'
import { putLaunch, removeLaunch } from '../schedule/launch'
import { supportLaunch } from '../schedule/support-launch'

import type { Deed } from './chance'
import { idIn, one, today, near, episode, inPhase, show, slotDay } from './chance'
import { slotsOf } from '../../rhythm/slots'

/** Random deeds: schedule. */
export const scheduleDeeds = {
  putOnNext: (x) => putOnNext(x.r, { episode: inPhase(x, 'work') }, x.c),
  skipMissed: (x) => skipMissed(x.r, { episode: inPhase(x, 'work') }, x.c),
  markAllReleased: (x) => markAllReleased(x.r, { episodes: [inPhase(x, 'work')] }, x.c),
  pushEpisode: (x) => pushEpisode(x.r, { episode: inPhase(x, 'work') }, x.c),
  pullEpisodes: (x) => {
    const e = x.r.episodes.get(inPhase(x, 'work'))
    const s = x.r.shows.get(e?.show ?? '')
    // A slot before the one it stands on, where there is one.
    const before =
      s && e?.place.kind === 'slot' ? slotsOf(s, addDays(today(x), 1), addDays(e.place.day, -1)) : []
    return pullEpisodes(x.r, { show: s?.id ?? show(x), day: one(before, x)?.original ?? slotDay(x) }, x.c)
  },
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
} satisfies Record<string, Deed>
