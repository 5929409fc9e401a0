import type { Episode, Picture } from '@core/records'

/** What a candidate is called: A for the first, B for the next. */
export function letterOf(episode: Episode, picture: Picture): string {
  return 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'[episode.pictures.findIndex((p) => p.id === picture.id)] ?? ''
}
