import { strToU8, zipSync, type Zippable } from 'fflate'
import type { Recipe } from '../records'
import { heldBy } from '../named'

/** What an outer folder's name may hold in braces. */
export interface FolderNames {
  number: string
  title: string
  code: string
  /** The release's date, or nothing. */
  date: string
  show: string
}

export const folderPattern = '{number} {title}'

const reserved = /^(con|prn|aux|nul|com[0-9¹²³]|lpt[0-9¹²³])(\.|$)/i

/** A name without what file systems refuse (Windows and POSIX), at most 120 characters. */
export function safeName(name: string): string {
  const clean = name
    .replace(/[<>:"/\\|?*\u0000-\u001f\u007f]|\p{Cs}/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/[. ]+$/, '')
  const cut = [...clean]
    .slice(0, 120)
    .join('')
    .trim()
    .replace(/[. ]+$/, '')
  // Names that Windows keeps for devices, also with an ending.
  return reserved.test(cut) ? cut.replace(/^[^.]+/, '$&_') : cut || 'Episode'
}

/** An outer folder's name by a pattern; words that are empty leave no gap. */
export function folderName(pattern: string | undefined, names: FolderNames): string {
  const values: Record<string, string> = { ...names }
  return safeName(
    (pattern?.trim() || folderPattern).replace(
      /\{(\w+)\}/g,
      (whole, word: string) => heldBy(values, word) ?? whole,
    ),
  )
}

/** The folders of a recipe, cleaned, each with those it lies in, in order. */
export function folderTree(folders: readonly string[]): string[] {
  const all = new Set<string>()
  for (const folder of folders) {
    const parts = folder
      .split('/')
      .map((p) => p.trim())
      .filter(Boolean)
      .map(safeName)
    parts.forEach((_, i) => {
      all.add(parts.slice(0, i + 1).join('/'))
    })
  }
  return [...all].sort()
}

/** The folders of an episode as they are made: the outer one, those in it, and texts laid in it by file name. */
export interface FolderPlan {
  outer: string
  folders: string[]
  texts: Readonly<Record<string, string>>
}

/** What folders an episode has, and which texts are laid in them. */
export function folderPlan(
  recipe: Pick<Recipe, 'folders' | 'folderName'>,
  names: FolderNames,
  texts: Readonly<Record<string, string>> = {},
): FolderPlan {
  return {
    outer: folderName(recipe.folderName, names),
    folders: folderTree(recipe.folders),
    texts: Object.fromEntries(Object.entries(texts).map(([file, text]) => [safeName(file), text])),
  }
}

/** An episode's folder tree as a zip, with texts laid in its outer folder by file name. */
export function folderZip({ outer, folders, texts }: FolderPlan): { name: string; bytes: Uint8Array } {
  const entries: Zippable = { [`${outer}/`]: new Uint8Array() }
  for (const folder of folders) entries[`${outer}/${folder}/`] = new Uint8Array()
  for (const [file, text] of Object.entries(texts)) entries[`${outer}/${file}`] = strToU8(text)
  return { name: `${outer}.zip`, bytes: zipSync(entries) }
}
