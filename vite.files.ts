// Which module goes into which file of the build: few files, each of what is needed together.
import { fileURLToPath } from 'node:url'
import type { Plugin } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

interface Module {
  importedIds: string[]
  code: string | null
}
type Info = (id: string) => Module | null

/** Lists of a folder's commands, and of the icons: who takes one from there does not need the others. */
const lists =
  /[\\/]core[\\/](commands[\\/][a-z-]+)[\\/]index\.ts$|[\\/](@lucide[\\/]vue)[\\/].*lucide-vue\.mjs$/

/** The names that a list hands on, by the file they come from. */
function handedOn(code: string): Map<string, string[]> {
  const lines = code.matchAll(/export\s*\{([^}]*)\}\s*from\s*['"][^'"]*\/([^'"]+)['"]/g)
  return new Map(
    [...lines].map(([, names = '', file = '']) => [
      file,
      names.split(',').map((name) => name.replace('default as', '').trim()),
    ]),
  )
}

const looked = new Map<string, Map<string, string[]>>()
/** The modules of a list with the names that it offers of them; looked up once a build. */
function offeredBy(list: string, info: Info): Map<string, string[]> {
  const known = looked.get(list)
  if (known) return known
  const handed = handedOn(info(list)?.code ?? '')
  const all = new Map<string, string[]>()
  for (const id of info(list)?.importedIds ?? []) {
    const own = info(id)?.code?.matchAll(/export (?:const|function) (\w+)/g) ?? []
    all.set(id, [...[...own].map(([, name = '']) => name), ...(handed.get(id.replace(/.*[\\/]/, '')) ?? [])])
  }
  looked.set(list, all)
  return all
}

/** What a module takes out of a list: the modules of that alone. */
function takenFrom(list: string, by: Module, info: Info): string[] {
  const [, folder, icons] = lists.exec(list) ?? []
  const imports = by.code?.matchAll(/import\s*\{([^}]*)\}\s*from\s*['"]([^'"]+)['"]/g) ?? []
  const wanted = [...imports]
    .filter(([, , from]) => from?.endsWith(folder ?? icons ?? ''))
    .flatMap(([, names = '']) => names.split(',').map((name) => name.replace(/\sas\s.*/, '').trim()))
  return [...offeredBy(list, info)]
    .filter(([, names]) => names.some((name) => wanted.includes(name)))
    .map(([id]) => id)
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

/** What is needed at once by each part that is fetched as one. */
const parts = {
  desk: ['./app/index.html', './app/screens/today/Today.vue'],
  welcome: ['./app/screens/welcome/Welcome.vue'],
  /** Today once there is something to do. */
  day: ['./app/screens/today/Day.vue'],
  /** The write path, fetched when Today stands. */
  writing: ['./app/data/writing.ts'],
  /** What works beside the screens, a moment after the start. */
  beside: ['plan', 'ranking', 'reminders', 'mail', 'belt', 'helpers', 'counts'].map(
    (name) => `./app/stores/${name}.ts`,
  ),
  pages: ['./app/jot.html', './app/post.html', './app/belt.html', './app/helper.html'],
}
type Part = keyof typeof parts

let known: Map<string, Set<string>> | undefined
/** Whether a part needs a module at once; looked up once a build. */
function isFor(part: Part, id: string, info: Info): boolean {
  known ??= new Map(Object.entries(parts).map(([name, from]) => [name, reached(from, info)]))
  return known.get(part)?.has(id) ?? false
}

/** Packages that every page needs at once. */
const packages = /node_modules.(@vue|vue|vue-router|pinia|@vueuse|idb|rrule|tslib|zod)\b|@lucide/
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

type File = 'every-page' | 'today' | 'day' | 'writing' | 'beside' | 'shared'

/** The file of a module that is not needed at the very start; the bundler decides where this says nothing. */
function fileOf(id: string, info: Info): File | null {
  const by = (part: Part) => isFor(part, id, info)
  if (by('pages')) return by('desk') ? 'every-page' : null
  if (by('desk')) return 'today'
  // None of these waits for what another one needs besides.
  const one = (['welcome', 'day', 'writing'] as const).filter(by)
  if (one.length > 0) return one.length > 1 || one[0] === 'welcome' ? null : (one[0] ?? null)
  if (by('beside')) return 'beside'
  return isLight(id, info) ? 'shared' : null
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
    name: only(['every-page', 'today', 'day', 'writing', 'beside']),
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
