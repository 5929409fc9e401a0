import type { Episode, Keyword, OwnField } from '../records'
import { chosenPictureIdea } from '../commands/episode/picture-ideas'
import { titlesByScore } from '../ideas/titles'
import { sayDay } from '../rhythm/days'

/** What an episode's notebook needs beside the episode. */
export interface Notebook {
  episode: Episode
  /** Its name where one was chosen. */
  title: string
  show: string
  keywords: readonly Keyword[]
  fields: readonly OwnField[]
}

const listed = (rows: readonly string[]) => rows.map((r) => `- ${r}`).join('\n')

/**
 * All that is known of an episode as Markdown (CommonMark with tick lists): its note as it was written, then
 * every other thing under a heading of its own; what is empty is left out. `pictures` gives the names under
 * which pictures of the note stand beside the file.
 */
export function notebookMarkdown(
  { episode, title, show, keywords, fields }: Notebook,
  pictures: ReadonlyMap<string, string> = new Map(),
): string {
  const { idea, nature } = episode
  const note = episode.note.replace(/\(picture:([\w-]+)\)/g, (whole, id: string) => {
    const name = pictures.get(id)
    return name === undefined ? whole : `(${encodeURI(name)})`
  })
  const chosen = chosenPictureIdea(episode)
  const sections: [heading: string, text: string][] = [
    ['Premise', idea.premise],
    ['Why now', idea.why],
    ['Series', idea.series],
    ['Topics', episode.topics.join(', ')],
    ['Keywords', keywords.map((k) => k.words).join(', ')],
    [
      'When',
      [
        nature.kind === 'topical' && nature.notBefore ? `not before ${sayDay(nature.notBefore)}` : '',
        nature.kind === 'topical' && nature.staleAfter ? `stale after ${sayDay(nature.staleAfter)}` : '',
        idea.occasion ? `${idea.occasion.name}, ${sayDay(idea.occasion.day)}` : '',
        idea.meant ? `meant for ${idea.meant}` : '',
      ]
        .filter(Boolean)
        .join('; '),
    ],
    ['Guests', episode.guests.join(', ')],
    [
      'Titles',
      listed(
        titlesByScore(episode.titles).map((t) =>
          [
            t.id === episode.chosenTitle ? `**${t.text}**` : t.text,
            t.score === undefined ? '' : `score ${t.score}`,
            t.note ?? '',
          ]
            .filter(Boolean)
            .join(', '),
        ),
      ),
    ],
    [
      'Ideas for the picture',
      listed(
        [
          ...(chosen ? [{ ...chosen, isChosen: true }] : []),
          ...(episode.pictureIdeas ?? []).map((p) => ({ ...p, isChosen: false })),
        ].map((p) =>
          [p.idea, p.words ? `words: ${p.words}` : '', p.isChosen ? 'chosen' : ''].filter(Boolean).join('; '),
        ),
      ),
    ],
    [
      'Links and files',
      listed([
        ...idea.sources.map((s) =>
          /^https?:/i.test(s.url)
            ? `[${s.text || s.url}](${s.url})`
            : [s.text, s.url].filter(Boolean).join(': '),
        ),
        ...[...idea.files, ...idea.images].map((f) => f.name),
      ]),
    ],
    [
      'Asked for by',
      listed(idea.asked.map((a) => [a.name || 'one of the audience', a.wish].filter(Boolean).join(': '))),
    ],
    ...fields.flatMap((f): [string, string][] => {
      const value = idea.own[f.id]
      return value === undefined || value === '' || value === false
        ? []
        : [[f.name, value === true ? 'yes' : String(value)]]
    }),
  ]
  const rest = sections
    .filter(([, text]) => text.trim() !== '')
    .map(([heading, text]) => `## ${heading}\n\n${text.trim()}`)
  return `${[`# ${title}`, `${show}, ${episode.code}`, note.trim(), ...rest].filter(Boolean).join('\n\n')}\n`
}
