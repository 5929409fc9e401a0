import type { Caption, Id, Transcript } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/**
 * Keeps what is heard in an episode, in place of what was kept before.
 *
 * Refused:
 * - “This episode is no longer there.”
 * - “There is no subtitle to keep.”
 */
export const keepTranscript: Command<{
  episode: Id
  made: Transcript['made']
  captions: readonly Caption[]
}> = (records, { episode, made, captions }, context) => {
  if (!records.episodes.has(episode)) return refused('This episode is no longer there.', 'episodes')
  if (captions.length === 0) return refused('There is no subtitle to keep.', 'transcripts')
  const at = momentOf(context)
  const old = records.transcripts.get(episode)
  const kept = { id: episode, made, captions: [...captions], createdAt: old?.createdAt ?? at, updatedAt: at }
  return ok({
    changes: [putRecord(records, 'transcripts', kept)],
    sentence: `${made === 'read' ? 'Read' : 'Made'} ${captions.length} subtitles`,
    about: [episode],
  })
}

/**
 * Corrects one caption: its words or its times. It is found by what it was, so that what another tab changed before it is
 * not written over. One without words goes.
 *
 * Refused:
 * - “This subtitle is no longer there.”
 */
export const correctCaption: Command<{ episode: Id; was: Caption; to: Partial<Caption> }> = (
  records,
  { episode, was, to },
  context,
) => {
  const transcript = records.transcripts.get(episode)
  const at = transcript?.captions.findIndex(
    (c) => c.from === was.from && c.to === was.to && c.text === was.text,
  )
  if (!transcript || at === undefined || at < 0)
    return refused('This subtitle is no longer there.', 'transcripts')
  const after = { ...was, ...to }
  const captions = transcript.captions.toSpliced(at, 1, ...(after.text.trim() === '' ? [] : [after]))
  return ok({
    changes: [putRecord(records, 'transcripts', { ...transcript, captions, updatedAt: momentOf(context) })],
    sentence: 'Corrected a subtitle',
    about: [episode],
  })
}

/**
 * Lets the transcript of an episode go.
 *
 * Refused:
 * - “It has no transcript.”
 */
export const dropTranscript: Command<{ episode: Id }> = (records, { episode }, _context) =>
  records.transcripts.has(episode)
    ? ok({
        changes: [removeRecord(records, 'transcripts', episode)],
        sentence: 'Let the transcript go',
        about: [episode],
      })
    : refused('It has no transcript.', 'transcripts')
