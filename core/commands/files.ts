import type { Episode, Id } from '../records'

/** The ids of all files that an episode refers to: its pictures, its images as an idea, what is attached. */
export function filesOf(episode: Episode): Id[] {
  return [...episode.pictures, ...episode.idea.images, ...episode.idea.files].map((f) => f.id)
}
