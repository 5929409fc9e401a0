/**
 * What a record of records holds under a name that somebody typed; nothing for names that every object has
 * (`toString`, `__proto__`).
 */
export function heldBy<T>(record: Readonly<Record<string, T>>, name: string): T | undefined {
  return Object.hasOwn(record, name) ? record[name] : undefined
}
