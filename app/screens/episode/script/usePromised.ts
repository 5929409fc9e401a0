import { computed, type ComputedRef, type Ref } from 'vue'
import type { Command } from '@tiptap/pm/state'
import type { Id, Offer, Script, Wording } from '@core/records'
import { beatBefore, nextWording, promisedIn, readDiffers, readStands } from '@core/script/promised'
import { readAsked } from '@core/partners/deal-of'
import { readOf } from '@core/partners/deal-reads'
import { readChecks } from '@core/partners/read-checks'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useOffers } from '@app/stores/offers'
import { placePromised, rewordPromised } from './document/promised-deeds'

/** An offer beside its script: the wording that comes next, and the one that stands in it. */
export interface OfferHere {
  offer: Offer
  next: Wording | undefined
  /** Episodes that said the next wording before this one. */
  lastIn: string | undefined
  here: { beat: Id; section: Id; wording: Wording | undefined } | undefined
}

/** The read that a sponsor asked for, beside its script. */
export interface ReadHere {
  sponsor: string
  seconds: number | undefined
  words: string
  here: { beat: Id; seconds: number; differs: string[] } | undefined
}

/** Words that were promised to others: offers of the show, and the sponsor's read; put into the script by one move. */
export function usePromised(
  script: Ref<Script>,
  card: () => Card,
  act: (command: Command) => boolean,
): {
  offers: ComputedRef<OfferHere[]>
  read: ComputedRef<ReadHere | undefined>
  labels: ComputedRef<ReadonlyMap<Id, string>>
  placeOffer: (at: OfferHere) => void
  placeRead: () => void
} {
  const library = useLibrary()
  const promised = computed(() => promisedIn(script.value))
  const moment = useMoment()
  const known = useOffers()
  known.start()
  const ofShow = computed(() => known.of(card().episode))
  const uses = computed(() => new Map(ofShow.value.map((o) => [o.id, known.usesOf(o)])))
  const offers = computed(() =>
    ofShow.value.flatMap((offer): OfferHere[] => {
      const used = uses.value.get(offer.id) ?? []
      const found = promised.value.find((p) => p.promised.kind === 'offer' && p.promised.offer === offer.id)
      const wording = found?.promised.kind === 'offer' ? found.promised.wording : undefined
      const others = offer.wordings.filter((w) => w.id !== wording)
      const next = nextWording({ wordings: others }, used, card().episode.id)
      const last = used.find((u) => u.wording === next?.id && u.episode.id !== card().episode.id)
      if (!next && !found) return []
      return [
        {
          offer,
          next,
          lastIn: last?.episode.title,
          here: found && { ...found, wording: offer.wordings.find((w) => w.id === wording) },
        },
      ]
    }),
  )
  const asked = computed(() => readAsked(card().episode, card().deal))
  /** What of the read is not as its deal has it, by the words as they are being written; nothing where there is no deal. */
  const lacking = computed(() => {
    const { deal, episode, show } = card()
    if (!deal) return undefined
    const records = { ...library.tables, scripts: new Map([[episode.id, script.value]]) }
    return readChecks(readOf(records, deal, episode, show, moment.today)).flatMap((c) =>
      c.decides && c.state !== 'passes' ? [`${c.asked}: ${c.says}`] : [],
    )
  })
  const read = computed((): ReadHere | undefined => {
    if (!asked.value) return undefined
    const stands = readStands(script.value, card().show.pace)
    return {
      sponsor: asked.value.sponsor,
      seconds: asked.value.seconds,
      words: asked.value.words,
      here: stands && {
        ...stands,
        differs: lacking.value ?? [readDiffers(asked.value, stands) ?? []].flat(),
      },
    }
  })
  const labels = computed(
    () =>
      new Map(
        promised.value.map(({ promised: p, beat }) => {
          if (p.kind === 'read') return [beat, `${asked.value?.sponsor ?? 'A sponsor'}’s read`]
          const offer = library.tables.offers.get(p.offer)
          const at = (offer?.wordings.findIndex((w) => w.id === p.wording) ?? -1) + 1
          const which =
            offer && at > 0 && offer.wordings.length > 1 ? `, wording ${at} of ${offer.wordings.length}` : ''
          return [beat, `${offer?.name ?? 'An offer that is gone'}${which}`]
        }),
      ),
  )
  return {
    offers,
    read,
    labels,
    placeOffer: ({ offer, next, here }) => {
      if (!next) return
      const words = {
        promised: { kind: 'offer' as const, offer: offer.id, wording: next.id },
        text: next.text,
      }
      act(here ? rewordPromised(here.beat, words) : placePromised(words))
    },
    placeRead: () => {
      if (!asked.value) return
      const { words, place } = asked.value
      const behind = place && beatBefore(script.value, place, card().show.pace)
      act(placePromised({ promised: { kind: 'read' }, text: words }, behind))
    },
  }
}
