import type { Episode, Id } from '../records'

/** The ids of all files that an episode refers to: its pictures, images and sketches, what is attached. */
export function filesOf(episode: Episode): Id[] {
  const { brief, pictureIdeas = [] } = episode
  const sketches = [brief.pictureSketch, ...pictureIdeas.map((p) => p.sketch)].filter((s) => s !== undefined)
  return [...episode.pictures, ...episode.idea.images, ...episode.idea.files, ...sketches].map((f) => f.id)
}
