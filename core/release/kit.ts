import { chaptersText } from '../formats/chapters-text'
import { ffmetadata } from '../formats/ffmetadata'
import { jsonChapters } from '../formats/json-chapters'
import { scriptMarkdown } from '../formats/script-markdown'
import type { Outlet } from '../records'
import { publicLinks } from './description'
import { partsAt } from './part-at'
import { episodeChapters, episodeDescription, titleOf, type PartSources } from './parts'

/**
 * The text files of a release kit by their names in the zip; the thumbnail's two pictures are the caller's.
 */
export type KitTexts = Record<
  | 'description.txt'
  | 'chapters.txt'
  | 'chapters.json'
  | 'chapters.ffmeta'
  | 'tags.txt'
  | 'script.md'
  | 'kit.json',
  string
>

/**
 * Everything about a release that is text, each in its open format. `number` is as shown, `at` the release
 * moment in ms.
 */
export function kitTexts(
  of: PartSources,
  about: { number: string; at: number | undefined; pictures: readonly string[] },
): KitTexts {
  const { episode, show, script } = of
  const title = titleOf(episode)
  const chapters = episodeChapters(of)
  const kit = {
    format: 'lamp-reel kit',
    version: 1,
    show: show.title,
    number: about.number,
    code: episode.code,
    title,
    goesOut: about.at === undefined ? null : new Date(about.at).toISOString(),
    season: episode.season ?? null,
    explicit: episode.explicit ?? false,
    lengthSeconds: episode.cut.length ?? null,
    chaptersFrom: chapters.from,
    tags: episode.tags,
    links: publicLinks(episode).map(({ label, url, goes = 'description' }) => ({ label, url, goes })),
    outlets: of.outlets.map((o) => o.name),
    files: [
      'description.txt',
      'chapters.txt',
      'chapters.json',
      'chapters.ffmeta',
      'tags.txt',
      'script.md',
      ...about.pictures,
    ],
  }
  return {
    'description.txt': `${episodeDescription(of)}\n`,
    'chapters.txt': chaptersText(chapters.list),
    'chapters.json': jsonChapters(chapters.list, title),
    'chapters.ffmeta': ffmetadata(chapters.list, { title, artist: show.title, length: episode.cut.length }),
    'tags.txt': `${episode.tags.join(', ')}\n`,
    'script.md': scriptMarkdown(script, title, show.pace),
    'kit.json': `${JSON.stringify(kit, null, 2)}\n`,
  }
}

/** What stands in the fields of one outlet, a file each, numbered in the order in which they are copied over. */
export function outletTexts(outlet: Outlet, of: PartSources): Record<string, string> {
  return Object.fromEntries(
    partsAt(outlet, of)
      .filter((p) => p.text !== '')
      .map((p, i) => [`${i + 1}-${fileName('', p.name)}.txt`, `${p.text.trimEnd()}\n`]),
  )
}

/** A name for files made of an episode: its number and title in plain letters, `42-steaming-oak-ribs`. */
export function fileName(number: string, title: string): string {
  const plain = `${number} ${title}`.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()
  return (
    plain
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60)
      .replace(/-+$/, '') || 'episode'
  )
}
