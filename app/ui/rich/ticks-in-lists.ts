import { Extension, InputRule } from '@tiptap/core'
// Whose command it gives.
import type {} from '@tiptap/extension-list'

/** `[ ]` or `[x]` typed at the start of a list's line makes the list one of things to tick. */
export const ticksInLists = Extension.create({
  name: 'ticksInLists',
  addInputRules() {
    return [
      new InputRule({
        find: /^\[([ x])?\]\s$/,
        handler: ({ range, chain, state }) => {
          const { $from } = state.selection
          if ($from.node(-1).type.name !== 'listItem') return null
          chain().deleteRange(range).toggleTaskList().run()
          return undefined
        },
      }),
    ]
  },
})
