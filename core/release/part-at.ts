import type { Outlet, Part } from '../records'
import { chaptersText } from '../formats/chapters-text'
import { sayTime } from '../script/timecode'
import { charactersIn } from './limits'
import { descriptionAt, isSaidOtherwise, tagsAt, tagsLengthAt, takesPart, titleAt } from './at-outlet'
import { publicLinks } from './description'
import {
  chosenTitle,
  episodeChapters,
  episodeDescription,
  partState,
  titleOf,
  type PartSources,
  type PartState,
} from './parts'

/** A field at an outlet: a part of the episode, or what is written once for all that goes there. */
export interface PartAt {
  field: Part | 'playlist' | 'comment' | 'endScreen' | 'season' | 'explicit'
  name: string
  /** `begun`: something is there to choose from. */
  state: 'there' | 'begun' | 'missing' | 'failing'
  isRequired: boolean
  /** What stands there, or what is wrong. */
  says: string
  /** How much of its limit it takes, and the limit in words: `37 of 90 characters`. */
  share?: number
  limit?: string
  /** What is copied over; nothing where there is nothing to copy. */
  text: string
  /** What mends it, where it is a part of the episode. */
  mend?: PartState['mend']
}

/** The parts in the order in which they are handed over. */
const order: readonly Part[] = ['title', 'description', 'tags', 'chapters', 'thumbnail', 'length', 'links']

/** Every field of an outlet for an episode, in the order in which they are handed over: what is there, of which limit. */
export function partsAt(outlet: Outlet, of: PartSources): PartAt[] {
  const here = { ...of, outlets: [outlet] }
  const parts = order
    .filter((part) => outlet.required.includes(part) || (takesPart(outlet, part) && part !== 'length'))
    .map((part): PartAt => {
      const { name, state, sentence, mend } = partState(part, here)
      return {
        field: part,
        name: part === 'length' ? 'File' : name,
        state: state === 'missing' && isBegun(part, of) ? 'begun' : state,
        isRequired: outlet.required.includes(part),
        says:
          part === 'title' && state === 'there'
            ? (titleAt(outlet, of.episode, titleOf(of.episode)) ?? sentence)
            : sentence,
        mend,
        ...measured(part, outlet, of),
      }
    })
  const { standing = {} } = outlet
  const lines = [
    ['playlist', 'Playlist', standing.playlist],
    ['comment', 'First comment', standing.comment],
    ['endScreen', 'End screen', standing.endScreen],
  ] as const
  return [
    ...parts,
    ...marksAt(outlet, of),
    ...lines.flatMap(([field, name, text]): PartAt[] =>
      text === undefined || text.trim() === ''
        ? []
        : [{ field, name, state: 'there', isRequired: false, says: text, text }],
    ),
  ]
}

/** What an outlet that takes the file asks besides, as far as it was said: season and number, strong words. */
function marksAt(outlet: Outlet, { episode }: PartSources): PartAt[] {
  if (!takesPart(outlet, 'length')) return []
  const { season, explicit, number } = episode
  const mark = (field: 'season' | 'explicit', name: string, text: string): PartAt => ({
    ...{ field, name, state: 'there', isRequired: false, says: text, text },
  })
  return [
    ...(season === undefined
      ? []
      : [mark('season', 'Season', `Season ${season}${number === undefined ? '' : `, episode ${number}`}`)]),
    ...(explicit ? [mark('explicit', 'Strong words', 'Strong words in it')] : []),
  ]
}

function isBegun(part: Part, { episode }: PartSources): boolean {
  return (
    (part === 'thumbnail' && episode.pictures.some((p) => p.refused === undefined)) ||
    (part === 'title' && episode.titles.length > 0)
  )
}

/** A part's text to copy, and how much of the outlet's limit it takes. */
function measured(part: Part, outlet: Outlet, of: PartSources): Pick<PartAt, 'text' | 'share' | 'limit'> {
  const share = (used: number, most: number, unit: string) => ({
    share: most === 0 ? 0 : Math.min(1, used / most),
    limit: `${used} of ${most} ${unit}`,
  })
  switch (part) {
    case 'title': {
      const text = titleAt(outlet, of.episode, chosenTitle(of.episode)) ?? ''
      return { text, ...share(charactersIn(text), outlet.titleLimit, 'characters') }
    }
    case 'description': {
      const isThere =
        of.episode.brief.description.trim() !== '' || isSaidOtherwise([outlet], of.episode, 'description')
      const text = isThere ? descriptionAt(outlet, of.episode, episodeDescription(of)) : ''
      return { text, ...share(charactersIn(text), outlet.descriptionLimit, 'characters') }
    }
    case 'tags': {
      const text = tagsAt(outlet, of.episode).join(outlet.tagForm === 'hashtags' ? ' ' : ', ')
      return { text, ...share(tagsLengthAt(outlet, of.episode), outlet.tagLimit, 'characters') }
    }
    case 'chapters': {
      const { list } = episodeChapters(of)
      return { text: chaptersText(list), limit: `${list.length}, at least ${outlet.chapters.least}` }
    }
    case 'thumbnail': {
      const size = of.episode.pictures.find((p) => p.id === of.episode.chosenPicture)?.size ?? 0
      return { text: '', ...share(Math.round(size / 1000), Math.round(outlet.pictureBytes / 1000), 'kB') }
    }
    case 'length': {
      const { length } = of.episode.cut
      return { text: '', ...(length === undefined ? {} : { limit: sayTime(length) }) }
    }
    default: {
      const links = publicLinks(of.episode)
      return { text: links.map((l) => `${l.label}: ${l.url}`).join('\n'), limit: String(links.length) }
    }
  }
}
