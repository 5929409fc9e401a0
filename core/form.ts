import type { Episode, Form, Id, Show } from './records'

/** Which of its show's kinds of episode it is; none where none was said, or it is gone. */
export function formOf(
  shows: ReadonlyMap<Id, Pick<Show, 'forms'>>,
  episode: Pick<Episode, 'show' | 'form'>,
): Form | undefined {
  return shows.get(episode.show)?.forms?.find((f) => f.id === episode.form)
}

/** A show's kind of episode of some name, whatever its case. */
export function formNamed(show: Pick<Show, 'forms'>, name: string): Form | undefined {
  const wanted = name.trim().toLowerCase()
  return show.forms?.find((f) => f.name.trim().toLowerCase() === wanted)
}

/** What kinds of episodes are called over several shows, each name once. */
export function formNames(shows: Iterable<Pick<Show, 'forms'>>): string[] {
  return [...new Set([...shows].flatMap((s) => s.forms ?? []).map((f) => f.name))]
}

/** An episode as one of a kind: made by the kind's recipe from then on, where that has one. */
export function asForm(episode: Episode, show: Show, form: Form | undefined): Episode {
  const { recipe } = form ?? {}
  return {
    ...episode,
    form: form?.id,
    ...(recipe === undefined ? {} : { recipe: recipe === show.recipe ? undefined : recipe }),
  }
}
