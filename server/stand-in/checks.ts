import type { HandedThing, Refusal } from '../../core/line/message'
import { tagLength } from '../../core/release/tags'

/** Its own limits, as an outlet has them. */
export const limits = {
  title: 100,
  description: 5000,
  tags: 500,
  pictureBytes: 2_000_000,
  chapters: 3,
  gap: 10,
}

/** What the simulated outlet refuses of a thing, by part, each with how to mend it. */
export function problemsOf(
  thing: HandedThing,
  picture: Uint8Array | undefined,
  refusedTag: string | undefined,
): Refusal['problems'] {
  const problems: Refusal['problems'] = []
  const refuse = (part: string, says: string) => problems.push({ part, says })
  if (thing.title.trim() === '') refuse('title', 'It has no title. Write one.')
  const title = [...thing.title].length
  if (title > limits.title)
    refuse('title', `The title has ${title} characters; ${limits.title} are taken. Shorten it.`)
  const words = [...thing.description].length
  if (words > limits.description)
    refuse(
      'description',
      `The description has ${words} characters; ${limits.description} are taken. Shorten it.`,
    )
  const tags = tagLength(thing.tags)
  if (tags > limits.tags)
    refuse('tags', `The tags take ${tags} characters; ${limits.tags} are taken. Drop the last ones.`)
  const tag = thing.tags.find((t) => t.toLowerCase() === refusedTag?.toLowerCase())
  if (tag !== undefined)
    refuse('tags', `The tag “${tag}” is not taken here. Take it out and hand it over again.`)
  const { chapters } = thing
  if (chapters.length > 0) {
    if (chapters.length < limits.chapters || chapters[0]?.start !== 0)
      refuse('chapters', `Chapters begin at 0:00, and there are ${limits.chapters} at least.`)
    const near = chapters.find((c, i) => i > 0 && c.start - (chapters[i - 1]?.start ?? 0) < limits.gap)
    if (near)
      refuse('chapters', `“${near.title}” begins less than ${limits.gap} seconds after the one before.`)
  }
  if (picture && picture.byteLength > limits.pictureBytes)
    refuse(
      'thumbnail',
      `The picture has ${Math.round(picture.byteLength / 1000)} kB; 2,000 are taken. Make it lighter.`,
    )
  if (picture && !(picture[0] === 0xff && picture[1] === 0xd8))
    refuse('thumbnail', 'The picture is no JPEG. Choose it anew.')
  return problems
}
