import type { Episode, Idea } from '../../records'

/** An episode with some of what is known of it as an idea changed; `undefined` takes a field away. */
export function withIdea(episode: Episode, fields: { [K in keyof Idea]?: Idea[K] | undefined }): Episode {
  const { idea: old } = episode
  const idea: Partial<Idea> = { ...old, ...fields }
  return {
    ...episode,
    idea: {
      ...idea,
      standing: idea.standing ?? old.standing,
      premise: idea.premise ?? '',
      why: idea.why ?? '',
      series: idea.series ?? '',
      keywords: idea.keywords ?? [],
      sources: idea.sources ?? [],
      asked: idea.asked ?? [],
      images: idea.images ?? [],
      files: idea.files ?? [],
      own: idea.own ?? {},
    },
  }
}
