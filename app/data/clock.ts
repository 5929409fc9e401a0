/** The one clock of the application: ms since 1970. */
export function now(): number {
  return Date.now()
}

/** A new id. */
export function newId(): string {
  return crypto.randomUUID().replaceAll('-', '').slice(0, 20)
}

/** The browser's own time zone. */
export function browserZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
}
