import type { Episode, Outlet, Part, Recipe, Script, Show } from '../records'
import { clipCredits } from '../edit/clips'
import { creditsOf } from '../script/cues'
import { chapterFaults, chaptersOf, type Chapters } from '../script/chapters'
import { sayTime } from '../script/timecode'
import { shotsToGet } from '../script/to-camera'
import { isInFullWords, scriptFigures, scriptWritten, sectionWritten } from '../script/timing'
import { descriptionOf, publicLinks } from './description'
import { descriptionAt, isSaidOtherwise, tagsLengthAt, takesPart, titleAt } from './at-outlet'
import { charactersIn, isLonger, strictest, whereIf } from './limits'
import { fitTags, tagLength } from './tags'

export { requiredParts, strictest } from './limits'

/** All that an episode's parts are read from. */
export interface PartSources {
  episode: Episode
  show: Show
  recipe: Recipe
  script: Script | undefined
  outlets: readonly Outlet[]
}

/** How one part stands: there, not there yet, or there but refused by an outlet. */
export interface PartState {
  part: Part
  name: string
  state: 'there' | 'missing' | 'failing'
  /** What stands there or what is wrong, a few words. */
  sentence: string
  /** What mends it: the words on the button, and the stage whose workspace has it. */
  mend: {
    label: string
    stage: 'brief' | 'script' | 'film' | 'edit' | 'thumbnail' | 'release'
    focus: string
  }
}

/** The chosen title's text, or nothing. */
export function chosenTitle(episode: Episode): string | undefined {
  const text = episode.titles.find((t) => t.id === episode.chosenTitle)?.text.trim()
  return text === '' ? undefined : text
}

/** The title to show: the chosen one, or the working title. */
export function titleOf(episode: Episode): string {
  return chosenTitle(episode) ?? episode.title
}

/** The chapters of an episode as its show times them. */
export function episodeChapters({
  episode,
  show,
  script,
}: Pick<PartSources, 'episode' | 'show' | 'script'>): Chapters {
  return chaptersOf(script, episode.cut, show.pace)
}

/** The description that goes out. */
export function episodeDescription(of: PartSources): string {
  return descriptionOf(of.recipe, of.episode, titleOf(of.episode), episodeChapters(of).list, [
    ...new Set([...creditsOf(of.script), ...clipCredits(of.episode)]),
  ])
}

/**
 * Seconds that a script lasts at the least to count as written: half the shorter running time that its show
 * aims at.
 */
export function leastScript(show: Pick<Show, 'aim'>): number {
  return show.aim.from * 30
}

/**
 * How one part of an episode stands, against every outlet of its show. Linear in the script's length at
 * worst.
 */
export function partState(part: Part, of: PartSources): PartState {
  const { episode, show, script, outlets } = of
  const cover = show.kind === 'audio' ? 'cover' : 'thumbnail'
  const say = (
    name: string,
    state: PartState['state'],
    sentence: string,
    label: string,
    stage: PartState['mend']['stage'],
    focus: string = part,
  ): PartState => ({ part, name, state, sentence, mend: { label, stage, focus } })
  const there = (yes: boolean): PartState['state'] => (yes ? 'there' : 'missing')
  switch (part) {
    case 'brief': {
      const points = episode.brief.points.filter((p) => p.trim() !== '').length
      const whole = episode.brief.takeaway.trim() !== '' && points === 3
      return say(
        'Brief',
        there(whole),
        whole
          ? 'settled'
          : episode.brief.takeaway.trim() === ''
            ? 'nothing to take away yet'
            : `${points} of 3 points`,
        'Settle it',
        'brief',
        'takeaway',
      )
    }
    case 'title': {
      const title = chosenTitle(episode)
      if (title === undefined && !isSaidOtherwise(outlets, episode, 'title'))
        return say(
          'Title',
          'missing',
          episode.titles.length > 0
            ? `${episode.titles.length} ${episode.titles.length === 1 ? 'candidate' : 'candidates'}, none chosen`
            : 'none chosen',
          episode.titles.length > 0 ? 'Choose one' : 'Write some',
          'brief',
        )
      const long = outlets.find(
        (o) => takesPart(o, 'title') && charactersIn(titleAt(o, episode, title) ?? '') > o.titleLimit,
      )
      return long
        ? say(
            'Title',
            'failing',
            `${charactersIn(titleAt(long, episode, title) ?? '')} of ${long.titleLimit} characters${whereIf(outlets, long)}`,
            'Shorten it',
            'brief',
          )
        : say('Title', 'there', titleOf(episode), 'Change', 'brief')
    }
    case 'script': {
      const figures = scriptFigures(script, show.pace)
      const empty = script?.sections.filter((s) => !sectionWritten(script, s)).length ?? 0
      const least = leastScript(show)
      // Only what is written out can be too short; from points or freely one speaks as long as one likes.
      const inWords = isInFullWords(script)
      const short = inWords && figures.seconds < least
      const begun = figures.words > 0 || (!inWords && figures.seconds > 0)
      return say(
        'Script',
        there(scriptWritten(script) && !short),
        !begun
          ? script?.spoken === 'free'
            ? 'no length typed'
            : 'not begun'
          : empty > 0
            ? `${empty} ${empty === 1 ? 'section' : 'sections'} unwritten`
            : short
              ? `${sayTime(figures.seconds)} of at least ${sayTime(least)}`
              : inWords
                ? `${sayTime(figures.seconds)}, ${figures.words} words`
                : `${sayTime(figures.seconds)}, not written out`,
        begun ? 'Write on' : 'Begin it',
        'script',
      )
    }
    case 'shots': {
      const { got, needed } = shotsToGet(script, show)
      return say(
        'Shots',
        there(needed > 0 && got === needed),
        needed === 0 ? 'none noted' : `${got} of ${needed} got`,
        'Get them',
        'film',
      )
    }
    case 'length':
      return say(
        'Length',
        there(episode.cut.length !== undefined),
        episode.cut.length === undefined ? 'not typed yet' : sayTime(episode.cut.length),
        'Type it',
        'edit',
      )
    case 'picture':
      return say(
        'Pictures',
        there(episode.pictures.length > 0),
        episode.pictures.length === 0 ? 'none yet' : `${episode.pictures.length} there`,
        'Add one',
        'thumbnail',
      )
    case 'thumbnail': {
      const name = cover === 'cover' ? 'Cover' : 'Thumbnail'
      const picture = episode.pictures.find((p) => p.id === episode.chosenPicture)
      if (!picture)
        return say(
          name,
          'missing',
          episode.pictures.length === 0
            ? 'no picture yet'
            : `${episode.pictures.length} ${episode.pictures.length === 1 ? 'picture' : 'pictures'}, none chosen`,
          episode.pictures.length === 0 ? 'Add one' : 'Choose one',
          'thumbnail',
        )
      return say(name, 'there', `${picture.width} × ${picture.height}`, 'Change', 'thumbnail')
    }
    case 'description': {
      const written =
        episode.brief.description.trim() !== '' || isSaidOtherwise(outlets, episode, 'description')
      if (!written) return say('Description', 'missing', 'your words are missing', 'Write it', 'brief')
      const everywhere = episodeDescription(of)
      const textAt = (o: Outlet) => descriptionAt(o, episode, everywhere)
      const long = outlets.find((o) => takesPart(o, 'description') && isLonger(textAt(o), o.descriptionLimit))
      return long
        ? say(
            'Description',
            'failing',
            `${charactersIn(textAt(long))} of ${long.descriptionLimit} characters${whereIf(outlets, long)}`,
            'Shorten it',
            'brief',
          )
        : say('Description', 'there', `${charactersIn(everywhere)} characters`, 'Change', 'brief')
    }
    case 'tags': {
      const limit = strictest(outlets).tags
      const length = tagLength(episode.tags)
      const long = outlets.find(
        (o) => o.tagForm === 'hashtags' && takesPart(o, 'tags') && tagsLengthAt(o, episode) > o.tagLimit,
      )
      if (long)
        return say(
          'Tags',
          'failing',
          `${tagsLengthAt(long, episode)} of ${long.tagLimit} characters${whereIf(outlets, long)}`,
          'Fewer there',
          'release',
        )
      if (length > limit)
        return say(
          'Tags',
          'failing',
          `${length} of ${limit} characters`,
          `Drop the last ${fitTags(episode.tags, limit).left.length}`,
          'release',
          'fit-tags',
        )
      return say(
        'Tags',
        there(episode.tags.length > 0),
        episode.tags.length === 0
          ? 'none yet'
          : limit < 100_000
            ? `${length} of ${limit} characters`
            : `${episode.tags.length} tags`,
        'Add some',
        'brief',
      )
    }
    case 'chapters': {
      const chapters = episodeChapters(of)
      const faults = [
        ...chapters.left,
        ...outlets.flatMap((o) =>
          takesPart(o, 'chapters') ? chapterFaults(chapters.list, o.chapters, episode.cut.length) : [],
        ),
      ]
      if (script?.spoken === 'free' && script.sections.length === 0)
        return say('Chapters', 'there', 'spoken freely, none needed', '', 'script')
      if (chapters.list.length === 0)
        return say('Chapters', 'missing', 'none yet', 'Make them from the script', 'script', 'script')
      if (faults[0] !== undefined) return say('Chapters', 'failing', faults[0], 'Mend the times', 'edit')
      return say(
        'Chapters',
        'there',
        chapters.from === 'edit'
          ? `${chapters.list.length}, timed at the edit`
          : `${chapters.list.length}, times estimated`,
        'Type the times',
        'edit',
      )
    }
    case 'keyword':
      return say(
        'Keyword',
        there(episode.idea.keywords.length > 0),
        episode.idea.keywords.length === 0 ? 'none chosen' : `${episode.idea.keywords.length} chosen`,
        'Choose one',
        'brief',
      )
    case 'links':
      return say(
        'Links',
        there(publicLinks(episode).length > 0),
        publicLinks(episode).length === 0 ? 'none' : `${publicLinks(episode).length} listed`,
        'Add one',
        'release',
      )
  }
}
