import type { Episode, Id } from '../records'

/**
 * The ids of all files that an episode refers to: its pictures and what they were made of, images and sketches, what is
 * attached.
 */
export function filesOf(episode: Episode): Id[] {
  const { brief, pictureIdeas = [] } = episode
  const sketches = [brief.pictureSketch, ...pictureIdeas.map((p) => p.sketch)].filter((s) => s !== undefined)
  const bases = episode.pictures.flatMap((p) => p.made?.base ?? [])
  return [...episode.pictures, ...bases, ...episode.idea.images, ...episode.idea.files, ...sketches].map(
    (f) => f.id,
  )
}
