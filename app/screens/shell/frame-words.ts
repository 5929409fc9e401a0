import type { Frame } from '@core/rhythm/film'

/** An open frame in words: what it is kept for, and ideas for it. `out` is when it goes out. */
export function saysOpen(
  number: string,
  out: string,
  keptFor: string | undefined,
  ideas: readonly { episode: { title: string }; reason: string }[],
): string {
  const kept = keptFor === undefined ? '' : `, kept for ${keptFor}`
  const named = ideas.map((s) => `${s.episode.title} (${s.reason})`).join(' or ')
  return `${number} open, ${out}${kept}. Choose an idea${named === '' ? '' : `, for example ${named}`}`
}

/** A release in words: which, when, what stands in its way, and of which kind it is. */
export function saysRelease(
  name: string,
  kind: Frame['kind'],
  out: string,
  trouble: string | undefined,
  form: string | undefined,
): string {
  const goes = kind === 'exposed' ? 'released' : 'goes out'
  return [name, `${goes} ${out}`, ...[trouble, form].filter((x) => x !== undefined)].join(', ')
}
