import type { ScriptWish } from '@core/commands/episode'
import type { Beat, Id, Section } from '@core/records'
import { keysOn, type Pressed } from '@app/ui/keymap'
import { scriptKeys } from '../keymap'

interface InBeat {
  section: Section
  beat: Beat
  i: number
}
/** Where the caret stands in the beat that a key was pressed in. */
function caretIn({ target }: Pressed): { at: number; end: number; value: string } {
  return target instanceof HTMLTextAreaElement
    ? { at: target.selectionStart, end: target.selectionEnd, value: target.value }
    : { at: 0, end: 0, value: '' }
}
/** What the keys of a beat do. `after` is the beat that follows one of a section, by its place. */
export function useScriptKeys({
  act,
  focusBeat,
  deliver,
  shot,
  after,
}: {
  act: (wish: ScriptWish) => Promise<unknown>
  focusBeat: (id: Id | undefined, caret?: number) => void
  deliver: (beat: Beat) => void
  shot: (beat: Beat) => void
  after: (section: Id, i: number) => Id | undefined
}) {
  return keysOn<keyof (typeof scriptKeys)['lines'], [InBeat]>(scriptKeys, {
    split: ({ event }, { section, beat, i }) => {
      void act({ kind: 'split beat', beat: beat.id, at: caretIn(event).at })
      focusBeat(after(section.id, i), 0)
    },
    join: ({ event }, { section, beat, i }) => {
      const { at, end, value } = caretIn(event)
      if (at !== 0 || end !== 0 || (i === 0 && value !== '')) return false
      const before = section.beats[i - 1]
      void act({ kind: 'join beat', beat: beat.id })
      if (before) focusBeat(before.id, before.text.length + (before.text && value ? 1 : 0))
      return true
    },
    deliver: (_, { beat }) => {
      deliver(beat)
    },
    shot: (_, { beat }) => {
      shot(beat)
    },
    move: ({ event, which }, { beat }) => {
      void act({ kind: 'move beat', beat: beat.id, by: which === 0 ? -1 : 1 })
      focusBeat(beat.id, caretIn(event).at)
    },
    go: ({ event, which }, { section, i }) => {
      const { at, value } = caretIn(event)
      const to = section.beats[i + (which === 0 ? -1 : 1)]
      if (!to || at !== (which === 0 ? 0 : value.length)) return false
      focusBeat(to.id, which === 0 ? undefined : 0)
      return true
    },
  })
}
