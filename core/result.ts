/** An error as a value: a plain sentence for a person, and where the fault lies. */
export interface Problem {
  /** What is wrong and how to mend it, in one or two sentences. */
  sentence: string
  /** The path to the fault, such as `shows.rhythm.time` or `records/steps.json line 12`. */
  path?: string
}

/** What a computation that can be refused gives back. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem }

/** A success. */
export function ok<T>(value: T): Result<T> {
  return { ok: true, value }
}

/** A refusal, with its sentence and the path to the fault. */
export function refused<T = never>(sentence: string, path?: string): Result<T> {
  return { ok: false, problem: path === undefined ? { sentence } : { sentence, path } }
}
