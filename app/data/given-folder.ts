import Dexie, { type Table } from 'dexie'
import type { FolderPlan } from '@core/formats/folder'

/** Where a folder that was given once is remembered; a handle can stand in no other table. */
class Given extends Dexie {
  declare folders: Table<{ key: string; handle: FileSystemDirectoryHandle }, string>

  constructor() {
    super('lamp-reel-folder')
    this.version(1).stores({ folders: 'key' })
  }
}

let store: Given | undefined
const given = () => (store ??= new Given()).folders

/** Whether this browser lets a page write into a folder that is given to it. */
export function canGive(): boolean {
  return typeof window.showDirectoryPicker === 'function'
}

/** The folder that was given before; nothing where none was, or where the browser keeps nothing. */
export async function givenFolder(): Promise<FileSystemDirectoryHandle | undefined> {
  try {
    return (await given().get('filming'))?.handle
  } catch {
    return undefined
  }
}

/** Asks for a folder and remembers it; nothing where none was chosen. */
export async function askForFolder(): Promise<FileSystemDirectoryHandle | undefined> {
  try {
    const handle = await window.showDirectoryPicker?.({ id: 'filming', mode: 'readwrite' })
    if (handle) await given().put({ key: 'filming', handle })
    return handle
  } catch (problem) {
    // Closed without a choice.
    if (problem instanceof DOMException && problem.name === 'AbortError') return undefined
    throw problem
  }
}

/** Whether a folder may be written into; asks where it was not said for this visit yet. */
export async function mayWrite(handle: FileSystemDirectoryHandle): Promise<boolean> {
  if (!handle.queryPermission || !handle.requestPermission) return true
  if ((await handle.queryPermission({ mode: 'readwrite' })) === 'granted') return true
  return (await handle.requestPermission({ mode: 'readwrite' })) === 'granted'
}

/** What of a folder handle the making of folders uses. */
export interface FolderHandle {
  getDirectoryHandle: (name: string, options?: { create?: boolean }) => Promise<FolderHandle>
  getFileHandle: (
    name: string,
    options?: { create?: boolean },
  ) => Promise<{
    createWritable: () => Promise<{ write: (text: string) => Promise<void>; close: () => Promise<void> }>
  }>
}

async function hasFile(folder: FolderHandle, name: string): Promise<boolean> {
  try {
    await folder.getFileHandle(name)
    return true
  } catch {
    return false
  }
}

/** Makes the folders of an episode in one that was given. What is there stays: no file is written over. */
export async function makeFolders(root: FolderHandle, plan: FolderPlan): Promise<{ kept: string[] }> {
  const outer = await root.getDirectoryHandle(plan.outer, { create: true })
  for (const path of plan.folders) {
    let at = outer
    for (const part of path.split('/')) at = await at.getDirectoryHandle(part, { create: true })
  }
  const kept: string[] = []
  for (const [name, text] of Object.entries(plan.texts)) {
    if (await hasFile(outer, name)) {
      kept.push(name)
      continue
    }
    const file = await outer.getFileHandle(name, { create: true })
    const writing = await file.createWritable()
    await writing.write(text)
    await writing.close()
  }
  return { kept }
}
