import type { IdeaMail } from '../../formats/mail'
import type { Asked, Episode, Id, Picture } from '../../records'
import { ok, refused } from '../../result'
import { type Command, type FileRecord, putRecord } from '../change'
import { codesOf, newIdea } from './new-idea'

/**
 * Takes mail in as ideas under the mail's own ids: what is there already, whatever became of it, is left as
 * it is, so that the same mail arrives once however often it is handed over. Mail for an unknown show goes
 * to `show`.
 *
 * Refused:
 * - “Begin a show first; the ideas wait until then.”
 */
export const keepMail: Command<{ show: Id; mail: IdeaMail[]; files?: FileRecord[] }> = (
  records,
  { show, mail, files = [] },
  context,
) => {
  if (!records.shows.has(show))
    return refused('Begin a show first; the ideas wait until then.', 'episodes.show')
  const taken = codesOf(records)
  const fresh = [...new Map(mail.map((m) => [m.id, m])).values()].filter((m) => !records.episodes.has(m.id))
  const kept = fresh.map((m): Episode => {
    const idea = newIdea(
      records,
      records.shows.has(m.show) ? m.show : show,
      m.line,
      { now: Math.min(Date.parse(m.at), context.now), id: () => m.id },
      taken,
    )
    const sources = m.url === '' ? [] : [{ id: `${m.id}/source`, text: '', url: m.url }]
    if (m.kind === 'jotted') return { ...idea, note: m.note, idea: { ...idea.idea, sources } }
    const asked: Asked[] = [
      { id: `${m.id}/asked`, name: m.name, mail: m.mail, tell: m.tell, wish: m.line, at: m.at },
    ]
    const file = files.find((f) => f.id === `${m.id}/picture`)
    const images: Picture[] =
      file && m.picture
        ? [
            {
              id: file.id,
              name: 'sent with the wish',
              type: m.picture.type,
              width: m.picture.width,
              height: m.picture.height,
              size: file.bytes.byteLength,
            },
          ]
        : []
    return { ...idea, idea: { ...idea.idea, sources, asked, images } }
  })
  const wanted = new Set(kept.flatMap((e) => e.idea.images.map((p) => p.id)))
  return ok({
    changes: kept.map((e) => putRecord(records, 'episodes', e)),
    sentence: kept.length === 1 ? `Took in “${kept[0]?.title ?? ''}”` : `Took in ${kept.length} ideas`,
    about: kept.map((e) => e.id),
    files: files.filter((f) => wanted.has(f.id)),
  })
}
