import type { Id, Script, ScriptStand } from '../../records'
import { ok, refused } from '../../result'
import { sectionText } from '../../script/copy-edit'
import { scriptWritten, sectionWritten } from '../../script/timing'
import { type Command, momentOf, putRecord } from '../change'

/** How far a script is, as it is said. */
export const scriptStands: Readonly<Record<ScriptStand, string>> = {
  writing: 'writing',
  'copy-edit': 'copy-edit',
  ready: 'ready to film',
}

/**
 * Passes a script on from writing to copy-edit to ready, or takes it back. Going to copy-edit, it is remembered as it
 * stands, so that what changes from then on can be seen.
 *
 * Refused:
 * - “This episode has no script yet. Write a section first.”
 * - “… has no words yet. Write it, or say that it is spoken freely.”
 */
export const passScript: Command<{ episode: Id; stand: ScriptStand }> = (
  records,
  { episode, stand },
  context,
) => {
  const script = records.scripts.get(episode)
  if (!script) return refused('This episode has no script yet. Write a section first.', 'scripts')
  const blank = script.sections.find((s) => !sectionWritten(script, s))
  if (stand === 'ready' && !scriptWritten(script))
    return refused(
      `${blank ? `“${blank.title}”` : 'The script'} has no words yet. Write it, or say that it is spoken freely.`,
      'scripts.sections',
    )
  const at = momentOf(context)
  const after: Script = { ...script, stand, updatedAt: at }
  if (stand === 'copy-edit')
    after.then = {
      at,
      sections: script.sections.map((s) => ({ id: s.id, title: s.title, text: sectionText(s) })),
    }
  return ok({
    changes: [putRecord(records, 'scripts', after)],
    sentence:
      stand === 'writing'
        ? 'Took the script back to writing'
        : `The script is ${stand === 'ready' ? 'ready to film' : 'at copy-edit'}`,
    about: [episode],
  })
}
