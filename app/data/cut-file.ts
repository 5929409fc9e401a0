import Dexie, { type Table } from 'dexie'

/** Where files of cuts are remembered, by the cut's id: only where they lie, never what is in them. */
class Remembered extends Dexie {
  declare files: Table<{ cut: string; handle: FileSystemFileHandle }, string>

  constructor() {
    super('lamp-reel-cut-files')
    this.version(1).stores({ files: 'cut' })
  }
}

let store: Remembered | undefined
const files = () => (store ??= new Remembered()).files

/** Whether this browser can remember where a file lies. */
export function canRemember(): boolean {
  return typeof window.showOpenFilePicker === 'function'
}

/** Asks for a file to play; nothing where none was chosen. */
export async function askForFile(): Promise<FileSystemFileHandle | undefined> {
  try {
    const chosen = await window.showOpenFilePicker?.({
      id: 'cut',
      types: [{ description: 'Video or sound', accept: { 'video/*': [], 'audio/*': [] } }],
    })
    return chosen?.[0]
  } catch (problem) {
    // Closed without a choice.
    if (problem instanceof DOMException && problem.name === 'AbortError') return undefined
    throw problem
  }
}

/** Remembers where a cut's file lies. Where the browser keeps nothing, it plays this time alone. */
export async function rememberFile(cut: string, handle: FileSystemFileHandle): Promise<void> {
  try {
    await files().put({ cut, handle })
  } catch {
    // Asked for again the next time.
  }
}

/** Where a cut's file lies, as far as it is remembered. */
export async function rememberedFile(cut: string): Promise<FileSystemFileHandle | undefined> {
  try {
    return (await files().get(cut))?.handle
  } catch {
    return undefined
  }
}

/** The file of a handle, if it may be read; with `ask` the browser may ask for leave. Nothing where it is gone. */
export async function fileOf(handle: FileSystemFileHandle, ask: boolean): Promise<File | undefined> {
  try {
    const state = await (ask
      ? handle.requestPermission?.({ mode: 'read' })
      : handle.queryPermission?.({ mode: 'read' }))
    return state === undefined || state === 'granted' ? await handle.getFile() : undefined
  } catch {
    return undefined
  }
}
