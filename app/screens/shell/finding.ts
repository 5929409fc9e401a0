import { everyone } from '@core/partners/people'
import { computed, ref, watch, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Episode } from '@core/records'
import { titleOf } from '@core/release/parts'
import { sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useAddresses } from '@app/stores/addresses'
import { useReading } from '@app/stores/reading'
import { places } from '../registry'
import { chordsIn, shownKeys } from '@app/ui/keymap'
import { useDeeds, type Entry } from './deeds'
import { shellKeys } from './keymap'

export type { Entry }

/** How many episodes are listed at most. */
const most = 9

/**
 * What Find or do lists for what is asked: episodes (by their words, people and scripts, those let go too),
 * deeds and places.
 */
export function useFinding(asked: Ref<string>) {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const dialogs = useDialogs()
  const reading = useReading()
  const router = useRouter()
  const words = computed(() => asked.value.toLowerCase().split(/\s+/).filter(Boolean))
  const fits = (text: string) => words.value.every((w) => text.toLowerCase().includes(w))
  const go = (to: Parameters<typeof router.push>[0]) => () => {
    void router.push(to)
  }

  function entryOf(e: Episode, note = ''): Entry {
    const { kind } = e.phase
    const card = kind === 'idea' || kind === 'dropped' ? undefined : cards.cardOf(e)
    const out = card?.standing.release
    const said =
      kind === 'idea'
        ? 'idea'
        : kind === 'dropped'
          ? 'let go'
          : `${card?.number ?? ''}${out ? ` · ${sayDay(out.day, moment.today)}` : ''}`
    return {
      key: e.id,
      text: card?.title ?? e.title,
      note: [said, note].filter(Boolean).join(' · '),
      act:
        kind === 'idea' || kind === 'dropped'
          ? go({ name: 'ideas', query: { idea: e.code } })
          : go({ name: 'episode', params: { code: e.code } }),
    }
  }
  const textOf = (e: Episode) =>
    [
      e.title,
      ...e.titles.map((t) => t.text),
      e.code,
      e.number === undefined ? '' : String(e.number),
      ...e.guests,
      e.sponsor ?? '',
      ...e.topics,
    ].join(' ')

  /** Episodes in whose scripts and notes the words stand, as the worker has read them. */
  const inTexts = ref<string[]>([])
  let step = 0
  watch([asked, () => reading.edition], async ([now], [before]) => {
    const mine = ++step
    if (now !== before) inTexts.value = []
    if (asked.value.trim().length < 3) return
    const found = await reading.search(asked.value).catch(() => [])
    if (mine === step) inTexts.value = found.map((f) => f.id)
  })
  const episodes = computed<Entry[]>(() => {
    const found: Entry[] = []
    const seen = new Set<string>()
    const all = [
      ...cards.working.map((c) => c.episode),
      ...cards.ideas,
      ...cards.released,
      ...[...library.tables.episodes.values()].filter(
        (e) => e.phase.kind === 'dropped' || e.phase.kind === 'parked',
      ),
    ]
    for (const e of all) {
      if (found.length >= most) break
      if (words.value.length > 0 && !fits(textOf(e))) continue
      seen.add(e.id)
      found.push(entryOf(e))
    }
    for (const id of inTexts.value) {
      if (found.length >= most) break
      const e = library.tables.episodes.get(id)
      if (e && !seen.has(id)) found.push(entryOf(e, 'in its text'))
    }
    return found
  })

  const can = useDeeds(go)
  /** Where what is out lives: opened, or its address copied. */
  const addresses = useAddresses()
  const homes = computed<Entry[]>(() => {
    if (words.value.length === 0) return []
    const found: Entry[] = []
    for (const e of cards.released) {
      if (found.length >= 4) break
      const [home] = addresses.of(e)
      if (!home || !fits(`open copy address of ${textOf(e)}`)) continue
      const name = `${cards.cardOf(e)?.number ?? e.code} ${titleOf(e)}`
      found.push(
        {
          key: `copy ${e.id}`,
          text: `Copy the address of ${name}`,
          note: home.name,
          act: () => void addresses.copy(home.address),
        },
        {
          key: `open ${e.id}`,
          text: `Open ${name}`,
          note: home.name,
          act: () => void window.open(home.address, '_blank', 'noopener,noreferrer'),
        },
      )
    }
    return found
  })
  const deeds = computed(() => [
    ...homes.value,
    ...can.value.filter((e) => fits(`${e.text} ${e.words ?? ''}`)),
  ])

  /** Everybody whose name stands somewhere, under all their names, and what each is. */
  const named = computed<Entry[]>(() =>
    everyone(library.tables).map(({ id, name, person, roles }) => ({
      key: `name ${id}`,
      text: name,
      note: (person?.work ?? '') || ([...roles][0] ?? ''),
      words: person?.also.join(' ') ?? '',
      act: go({ name: 'partners', params: { who: id } }),
    })),
  )
  const goals = computed<Entry[]>(() =>
    [
      ...places.map(({ name, title, words: other }, i) => ({
        key: name,
        text: title,
        note: '',
        hint: chordsIn(shellKeys.lines.go)[i],
        words: other,
        act: go({ name }),
      })),
      ...moment.shows.map((s) => ({
        key: s.id,
        text: s.title,
        note: 'show',
        act: go({ name: 'shows', params: { show: s.id } }),
      })),
      ...moment.shows.flatMap((s) =>
        [s.recipe, ...(s.recipes ?? [])].flatMap((id): Entry[] => {
          const recipe = library.tables.recipes.get(id)
          return recipe
            ? [
                {
                  key: `${s.id} ${id}`,
                  text: recipe.name,
                  note: 'recipe',
                  words: `${s.title} steps stages`,
                  act: go(`/shows/${s.id}/recipe/${id}`),
                },
              ]
            : []
        }),
      ),
      ...(words.value.length > 0 ? named.value : []),
      {
        key: 'keys',
        text: 'All shortcuts',
        note: '',
        hint: shownKeys(shellKeys.lines.shortcuts),
        words: 'keyboard help',
        act: () => {
          dialogs.show({ kind: 'shortcuts' })
        },
      },
    ]
      .filter((e: Entry) => fits(`${e.text} ${e.words ?? ''} ${e.note}`))
      .slice(0, 16),
  )
  return computed(() => [
    { name: 'Episodes', list: episodes.value },
    { name: 'Do', list: deeds.value },
    { name: 'Go to', list: goals.value },
  ])
}
