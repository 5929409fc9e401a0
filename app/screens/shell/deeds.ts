import { computed, type ComputedRef } from 'vue'
import type { useRouter } from 'vue-router'
import { editSettings } from '@core/commands/settings'
import { useDesk } from '@app/stores/desk'
import { useLibrary } from '@app/stores/library'
import { shownKeys } from '@app/ui/keymap'
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

type Target = Parameters<ReturnType<typeof useRouter>['push']>[0]

/** What can be done from anywhere; `go` makes the act of going to a place. */
export function useDeeds(go: (to: Target) => () => void): ComputedRef<Entry[]> {
  const library = useLibrary()
  const desk = useDesk()
  const theme = (name: 'booth' | 'daylight' | 'system') => () => {
    void library.perform(editSettings, { theme: name }, 'quietly')
  }
  return computed<Entry[]>(() => [
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
    {
      key: 'sponsor',
      text: 'A sponsor, and what was agreed',
      note: 'People',
      words: 'deal read fee invoice partner guest helper add someone',
      act: go('/shows/partners'),
    },
    {
      key: 'copy',
      text: 'Copy an episode as a pattern',
      note: 'in an episode, under Kind and dates',
      words: 'duplicate template pattern again like',
      act: go('/schedule'),
    },
    {
      key: 'patterns',
      text: 'Patterns of descriptions and titles',
      note: 'Shows',
      words: 'template outlet boilerplate texts thumbnail recipe',
      act: go('/shows'),
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
  ])
}
