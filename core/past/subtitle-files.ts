import { readSubtitles } from '../formats/subtitles'
import type { Caption, Id } from '../records'
import { matchEpisode, type EpisodeNames } from '../results/match'

/** Subtitles of a folder: which file is which episode's, and which can't be taken. */
export interface ReadFolder {
  files: { name: string; episode: Id; captions: Caption[] }[]
  faults: { name: string; sentence: string }[]
}

/** What of a file's name may be an episode's: all of it, without its language, its number alone, what stands behind that. */
function namesIn(name: string): string[] {
  const bare = name.replace(/\.(srt|vtt)$/i, '').replace(/\.[a-z]{2}(-[a-z]{2})?$/i, '')
  const spaced = bare.replace(/[_]+/g, ' ')
  const numbered = /^(\D{0,6}?)\s*0*(\d{1,5})(?:\D|$)(.*)$/.exec(spaced)
  return [
    spaced,
    numbered?.[3] ?? '',
    numbered ? `${(numbered[1] ?? '').trim()} ${numbered[2] ?? ''}` : '',
    numbered ? `#${numbered[2] ?? ''}` : '',
  ].map((n) => n.trim())
}

/** Subtitle files by their names and texts, each to the episode that its name tells. */
export function readFolder(
  files: readonly { name: string; text: string }[],
  names: EpisodeNames,
): ReadFolder {
  const read: ReadFolder = { files: [], faults: [] }
  for (const { name, text } of files) {
    const episode = namesIn(name).flatMap((n) => matchEpisode(names, n) ?? [])[0]
    const captions = readSubtitles(text)
    if (episode === undefined)
      read.faults.push({ name, sentence: 'Its name tells of no episode that is out.' })
    else if (!captions.ok) read.faults.push({ name, sentence: captions.problem.sentence })
    else read.files.push({ name, episode, captions: captions.value.captions })
  }
  return read
}
