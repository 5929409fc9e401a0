import type { Episode } from './episode'
import { bareIdea } from './idea'

/** An episode that is only an idea, with nothing said of it but its title. `at` is the moment it was jotted. */
export function blankEpisode({
  id,
  show,
  code,
  title,
  at,
}: Pick<Episode, 'id' | 'show' | 'code' | 'title'> & { at: string }): Episode {
  return {
    id,
    show,
    code,
    title,
    note: '',
    idea: bareIdea(),
    phase: { kind: 'idea' },
    place: { kind: 'nothing' },
    nature: { kind: 'evergreen' },
    spare: false,
    priority: 0,
    brief: { takeaway: '', points: ['', '', ''], description: '', pictureIdea: '', pictureWords: '' },
    titles: [],
    tags: [],
    topics: [],
    links: [],
    guests: [],
    pictures: [],
    cut: { starts: {} },
    figures: [],
    createdAt: at,
    updatedAt: at,
  }
}
