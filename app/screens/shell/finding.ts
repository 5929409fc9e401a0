import { computed, ref, watch, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import { editSettings } from '@core/commands/settings'
import type { Episode } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useReading } from '@app/stores/reading'
import { places } from '../registry'
import { chordsIn, shownKeys } from '@app/ui/keymap'
import { shellKeys } from './keymap'

/** One thing that is found, or that can be done. `words` are other words by which people ask for it. */
export interface Entry {
  key: string
  text: string
  note: string
  hint?: string | undefined
  words?: string
  act: () => void
}

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
  const desk = useDesk()
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
  watch(asked, async () => {
    const mine = ++step
    inTexts.value = []
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
      ...[...library.records.episodes.values()].filter(
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
      const e = library.records.episodes.get(id)
      if (e && !seen.has(id)) found.push(entryOf(e, 'in its text'))
    }
    return found
  })

  const theme = (name: 'booth' | 'daylight' | 'system') => () => {
    void library.perform(editSettings, { theme: name }, 'quietly')
  }
  const deeds = computed<Entry[]>(() =>
    [
      {
        key: 'jot',
        text: 'Jot an idea',
        note: '',
        hint: shownKeys(shellKeys.lines.jot),
        words: 'new idea add capture note',
        act: () => {
          desk.toCapture++
        },
      },
      {
        key: 'undo',
        text: 'Undo',
        note: '',
        hint: shownKeys(shellKeys.lines.undo),
        words: 'take back revert',
        act: () => {
          void library.step('undo')
        },
      },
      {
        key: 'redo',
        text: 'Do it again',
        note: '',
        hint: shownKeys(shellKeys.lines.redo),
        words: 'redo repeat',
        act: () => {
          void library.step('redo')
        },
      },
      {
        key: 'plan',
        text: 'Plan the week',
        note: 'Week',
        words: 'plan it for me schedule automatic',
        act: go('/week'),
      },
      {
        key: 'lost',
        text: 'A day is lost, or has other hours',
        note: 'Week',
        words: 'ill sick holiday off free evening hours',
        act: go('/week'),
      },
      {
        key: 'busy',
        text: 'Busy time from a calendar',
        note: 'Week',
        words: 'import ics calendar standing work',
        act: go('/week'),
      },
      {
        key: 'new-show',
        text: 'A new show',
        note: 'Shows',
        words: 'add show series podcast video create',
        act: go('/shows'),
      },
      {
        key: 'rhythm',
        text: 'Change the rhythm',
        note: 'Shows',
        words: 'upload schedule weekly frequency release day',
        act: go('/shows'),
      },
      {
        key: 'backup',
        text: 'Back-up, or restore one',
        note: 'Settings',
        words: 'backup export save download import data',
        act: go('/settings'),
      },
      {
        key: 'hours',
        text: 'Hours of the week',
        note: 'Settings',
        words: 'working time availability days off holidays',
        act: go('/settings'),
      },
      {
        key: 'reminders',
        text: 'Notifications',
        note: 'Settings',
        words: 'reminders alarms nudge',
        act: go('/settings'),
      },
      {
        key: 'ics',
        text: 'Calendar file of releases',
        note: 'Schedule',
        words: 'ics export subscribe icalendar',
        act: go('/schedule'),
      },
      {
        key: 'csv',
        text: 'Ideas in and out as a table',
        note: 'Ideas',
        words: 'csv markdown import export spreadsheet',
        act: go('/ideas'),
      },
      {
        key: 'mailbox',
        text: 'Ideas from the phone, post-box',
        note: 'Ideas',
        words: 'mailbox audience wishes qr code',
        act: go('/ideas/mailbox'),
      },
      { key: 'sort', text: 'Sort ideas', note: 'Ideas', words: 'triage rank', act: go('/ideas/sort') },
      {
        key: 'now',
        text: 'Strip back to now',
        note: '',
        hint: shownKeys(shellKeys.lines.now),
        words: 'today film',
        act: () => {
          desk.toNow++
        },
      },
      {
        key: 'booth',
        text: 'Booth, the dark theme',
        note: '',
        words: 'night mode colours',
        act: theme('booth'),
      },
      {
        key: 'daylight',
        text: 'Daylight, the light theme',
        note: '',
        words: 'bright mode colours',
        act: theme('daylight'),
      },
      {
        key: 'system',
        text: 'The theme of the system',
        note: '',
        words: 'automatic dark light',
        act: theme('system'),
      },
      library.world === 'demo'
        ? {
            key: 'leave',
            text: 'Leave the demo',
            note: '',
            words: 'own data exit',
            act: () => {
              void library.enter('own')
            },
          }
        : {
            key: 'demo',
            text: 'Look round in the demo',
            note: '',
            words: 'example sample',
            act: () => {
              void library.enter('demo')
            },
          },
    ].filter((e) => fits(`${e.text} ${e.words}`)),
  )

  /** People and sponsors lead to the episode that they are in next, or were in last. */
  const named = computed<Entry[]>(() => {
    const by = new Map<string, { note: string; episode: Episode }>()
    const all = [...cards.released].reverse().concat(cards.working.map((c) => c.episode))
    for (const e of all) {
      for (const g of e.guests) by.set(g, { note: 'guest', episode: e })
      if (e.sponsor !== undefined) by.set(e.sponsor, { note: 'sponsor', episode: e })
    }
    for (const s of library.records.steps.values()) {
      const episode = library.records.episodes.get(s.episode)
      if (s.owner !== 'me' && episode) by.set(s.owner, { note: 'helps', episode })
    }
    return [...by].map(([name, { note, episode }]) => ({
      key: `name ${name}`,
      text: name,
      note,
      act: entryOf(episode).act,
    }))
  })
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
          const recipe = library.records.recipes.get(id)
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
