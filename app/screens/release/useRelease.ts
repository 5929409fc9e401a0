import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { handOver, markReleased, noteCopied, scheduleRelease } from '@core/commands/release'
import type { HandState } from '@core/commands/release/hand-over'
import { dropTags } from '@core/commands/episode'
import type { Going, Move } from '@core/release/moves'
import type { PartAt } from '@core/release/part-at'
import { spinName } from '@core/release/spin-offs'
import { inItsWords } from '@core/release/spin-parts'
import { frameOf } from '@core/pictures/frame'
import { strictest } from '@core/release/parts'
import { likelyOut } from '@core/release/likely-out'
import { scheduledSince } from '@core/release/when'
import { isSeen, leadOf, releaseView } from '@core/views/release'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useLines } from '@app/stores/lines'
import { useMoment } from '@app/stores/moment'
import { download } from '@app/ui/download'
import { stageWith } from '../episode/mend'
import { renderPicture } from '../episode/pictures'

/** What goes out in the next two weeks, which of it is looked at, and what can be done with it. */
export function useRelease() {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const dialogs = useDialogs()
  const router = useRouter()
  const lines = useLines()
  // What is out since lately has things that follow it.
  const view = computed(() => releaseView([...cards.placed, ...cards.lately], moment.now))
  const chosen = ref('')
  const idOf = (t: Going) => `${t.card.episode.id} ${t.key}`
  const all = computed(() => view.value.rows.flatMap((r) => r.things).sort((a, b) => a.at - b.at))
  const here = computed(
    () =>
      all.value.find((t) => idOf(t) === chosen.value) ??
      view.value.week.find((t) => !t.isReady) ??
      all.value[0],
  )
  /** At a show's first outlet a thing is the episode itself: it is scheduled, and out, as the episode is. */
  const isMain = (t: Going) => t.key === t.card.show.outlets[0]
  /** Since when a state holds, as a moment; nothing where it does not. */
  function since(t: Going, state: HandState): string | undefined {
    const { phase } = t.card.episode
    if (isMain(t) && state === 'scheduled')
      return t.card.standing.scheduled && phase.kind === 'work' ? phase.scheduled : undefined
    if (isMain(t) && state === 'live') return phase.kind === 'released' ? phase.at : undefined
    return state === 'scheduled' ? scheduledSince(t) : t.handed[state]
  }
  function say(t: Going, state: HandState) {
    const on = since(t, state) === undefined
    const episode = t.card.episode.id
    if (isMain(t) && state === 'scheduled' && on && t.card.standing.missing.length > 0)
      dialogs.show({ kind: 'schedule', episode })
    else if (isMain(t) && state === 'scheduled')
      void library.perform(scheduleRelease, { episode, scheduled: on })
    else if (isMain(t) && state === 'live') {
      const { taken } = t.handed
      if (on && t.at <= moment.now)
        void library.perform(markReleased, {
          episode,
          at: likelyOut(t.card.standing, moment.now),
          ...(taken ? { addresses: { [t.key]: taken.address } } : {}),
        })
      else dialogs.show({ kind: 'released', episode })
    } else void library.perform(handOver, { episode, key: t.key, state, on, going: t.at }, 'quietly')
  }
  const isCopied = (t: Going, part: PartAt) => t.handed.copied?.includes(part.field) ?? false
  const copyable = (t: Going) => t.parts.filter((p) => p.text !== '')
  async function copy(t: Going, part: PartAt) {
    try {
      await navigator.clipboard.writeText(part.text)
    } catch {
      library.say('The browser did not allow copying. Mark the text and press Ctrl C.', 'refused')
      return
    }
    await library.perform(
      noteCopied,
      { episode: t.card.episode.id, key: t.key, field: part.field },
      'quietly',
    )
  }
  /** Does what mends a part: at once where that can be, else by going to where it is done. */
  function mendBy(move: Move) {
    const { card, mend } = move
    if (mend.focus === 'fit-tags') {
      void library.perform(dropTags, { episode: card.episode.id, limit: strictest(card.outlets).tags })
      return
    }
    void router.push({
      name: 'episode',
      params: { code: card.episode.code, stage: stageWith(card, mend.stage) },
      query: { at: mend.focus },
    })
  }
  return {
    view,
    lead: computed(() => leadOf(view.value)),
    here,
    idOf,
    look: (t: Going) => {
      chosen.value = idOf(t)
    },
    turn: (by: -1 | 1) => {
      const at = all.value.findIndex((t) => t === here.value)
      const next = all.value[at + by]
      if (next) chosen.value = idOf(next)
    },
    since,
    say,
    isCopied,
    copyable,
    copy,
    copyNext: () => {
      const t = here.value
      const next = t && copyable(t).find((p) => !isCopied(t, p))
      if (t && next) void copy(t, next)
    },
    copyAnew: () => {
      const t = here.value
      if (t)
        void library.perform(
          noteCopied,
          { episode: t.card.episode.id, key: t.key, field: undefined },
          'quietly',
        )
    },
    mend: mendBy,
    /** Hands a thing over to its outlet, with its picture as a JPEG that the outlet takes. */
    hand: async (t: Going) => {
      const { chosenPicture } = t.card.episode
      const file = chosenPicture === undefined ? undefined : await library.file(chosenPicture)
      const most = t.outlet.pictureBytes
      const picture = file && (await renderPicture(file, 'image/jpeg', frameOf(t.card.show), most))
      await lines.hand(t, picture)
    },
    /** Saves what the outlet asks of a thing, as one file. */
    saveKit: async (t: Going) => {
      const { outletKit } = await import('../episode/kit')
      const { chosenPicture } = t.card.episode
      const file = chosenPicture === undefined ? undefined : await library.file(chosenPicture)
      const made = await outletKit(
        t.spin ? { ...inItsWords(t.card, t.spin), title: spinName(t.spin) } : t.card,
        t.outlet,
        file,
      )
      download(made.name, made.bytes, 'application/zip')
    },
    isSeen: (t: Going) => isSeen(t.card, t.key, t.outlet),
  }
}

export type ReleaseDeeds = ReturnType<typeof useRelease>
