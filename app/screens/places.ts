/**
 * The screens in the order of the bar; their numbers are their keys, in the bar, in Find or do and on the
 * sheet of shortcuts.
 */
export const places = [
  { name: 'today', label: 'Today', words: 'now next what to do home' },
  { name: 'ideas', label: 'Ideas', words: 'backlog notes capture topics' },
  { name: 'schedule', label: 'Schedule', words: 'slots calendar countdown month plan releases' },
  { name: 'week', label: 'Week', words: 'hours days blocks planning' },
  { name: 'catalogue', label: 'Catalogue', words: 'released archive back catalogue published' },
  { name: 'shows', label: 'Shows', words: 'series rhythm recipes outlets' },
  { name: 'settings', label: 'Settings', words: 'preferences options hours theme' },
] as const
