// Which module goes into which file of the build: few files, each of what is needed together.
import { fileURLToPath } from 'node:url'
import type { Plugin } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

interface Module {
  importedIds: string[]
  code: string | null
}
type Info = (id: string) => Module | null

/** Lists of a folder's commands: who takes one from there does not need the others. */
const lists = /[\\/]core[\\/]commands[\\/]([a-z-]+)[\\/]index\.ts$/

/** What a module takes out of a list of commands: the modules of those alone. */
function takenFrom(list: string, by: Module, info: Info): string[] {
  const folder = lists.exec(list)?.[1] ?? ''
  const imports = by.code?.matchAll(/import\s*\{([^}]*)\}\s*from\s*['"]([^'"]+)['"]/g) ?? []
  const wanted = [...imports]
    .filter(([, , from]) => from?.endsWith(`commands/${folder}`))
    .flatMap(([, names = '']) => names.split(',').map((name) => name.trim()))
  return (info(list)?.importedIds ?? []).filter((id) => {
    const offered = info(id)?.code?.matchAll(/export (?:const|function) (\w+)/g) ?? []
    return [...offered].some(([, name = '']) => wanted.includes(name))
  })
}

/** What some modules import at once, and what that imports. */
function reached(from: readonly string[], info: Info): Set<string> {
  const seen = new Set<string>()
  const look = (id: string) => {
    if (seen.has(id)) return
    seen.add(id)
    const module = info(id)
    for (const next of module?.importedIds ?? [])
      if (module && lists.test(next)) takenFrom(next, module, info).forEach(look)
      else look(next)
  }
  from.forEach((path) => {
    look(path.startsWith('./') ? here(path) : path)
  })
  return seen
}

const desk = ['./app/index.html', './app/screens/today/Today.vue']
const welcome = ['./app/screens/welcome/Welcome.vue']
const pages = ['./app/jot.html', './app/post.html', './app/belt.html', './app/helper.html']
/** What works beside the screens, a moment after the start. */
const beside = ['plan', 'ranking', 'reminders', 'mail', 'belt', 'helpers', 'counts'].map(
  (name) => `./app/stores/${name}.ts`,
)

let known: Record<'desk' | 'welcome' | 'beside' | 'pages', Set<string>> | undefined
/** Who needs what at once; looked up once a build. */
function needs(info: Info): NonNullable<typeof known> {
  known ??= {
    desk: reached(desk, info),
    welcome: reached(welcome, info),
    beside: reached(beside, info),
    pages: reached(pages, info),
  }
  return known
}

/** Packages that every page needs at once. */
const packages = /node_modules.(@vue|vue|vue-router|pinia|@vueuse|dexie|rrule|tslib|zod)\b|@lucide/
/** Those, and the ones that Today needs besides. */
const there = /node_modules.(d3-array|internmap|temporal-polyfill)\b/
/** The program's own modules, and its icons. */
const ours = /^(?!.*node_modules).*[\\/](core|app)[\\/]|@lucide.*icons[\\/]/

/** Whether a module brings no package with it but those that are there already. */
function isLight(id: string, info: Info): boolean {
  return [...reached([id], info)].every(
    (is) => !is.includes('node_modules') || packages.test(is) || there.test(is),
  )
}

/** The file of a module that is not needed at the very start; the bundler decides where this says nothing. */
function fileOf(id: string, info: Info): 'every-page' | 'today' | 'beside' | 'shared' | null {
  const by = needs(info)
  if (by.pages.has(id)) return by.desk.has(id) ? 'every-page' : null
  if (by.desk.has(id)) return 'today'
  if (by.beside.has(id)) return 'beside'
  return by.welcome.has(id) || !isLight(id, info) ? null : 'shared'
}

interface Chunking {
  getModuleInfo: Info
}
const only = (wanted: readonly string[]) => (id: string, chunking: Chunking) => {
  const file = fileOf(id, (of) => chunking.getModuleInfo(of))
  return file !== null && wanted.includes(file) ? file : null
}
const atStart = ['$initial' as const]

/** The files that several parts share; a module is in the first that takes it, the rest is left to the bundler. */
export const files = [
  {
    // Needed by every page at once: one file instead of a dozen.
    name: 'packages',
    test: (id: string) => (packages.test(id) && !ours.test(id)) || id.includes('no-rule-texts'),
    tags: atStart,
  },
  {
    // The desk's own first parts, which no other page needs at once: one file instead of sixty.
    name: (id: string, chunking: Chunking) => (only(['today'])(id, chunking) ? 'desk' : null),
    test: ours,
    tags: atStart,
  },
  {
    // What Today needs besides, what the desk shares with the other pages, and what works beside the screens.
    name: only(['every-page', 'today', 'beside']),
    test: ours,
  },
  {
    // What several screens share.
    name: only(['shared']),
    test: ours,
    minShareCount: 2,
  },
]

/** Refuses a build in which two files need each other: what one of them begins with would not be there yet. */
export const noCircles: Plugin = {
  name: 'no-circles',
  generateBundle(_, bundle) {
    const needed = (file: string): string[] => {
      const made = bundle[file]
      return made?.type === 'chunk' ? made.imports : []
    }
    const done = new Set<string>()
    const look = (file: string, way: readonly string[]) => {
      if (way.includes(file))
        this.error(`Files that need each other: ${[...way.slice(way.indexOf(file)), file].join(' → ')}`)
      if (done.has(file)) return
      for (const next of needed(file)) look(next, [...way, file])
      done.add(file)
    }
    for (const file of Object.keys(bundle)) look(file, [])
  },
}
