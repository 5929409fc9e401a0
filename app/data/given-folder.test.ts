import { folderPlan } from '@core/formats/folder'
import { makeFolders, type FolderHandle } from './given-folder'

/** A folder in memory, as a browser gives one. */
class Folder implements FolderHandle {
  folders = new Map<string, Folder>()
  files = new Map<string, string>()

  getDirectoryHandle(name: string, { create = false } = {}): Promise<Folder> {
    const there = this.folders.get(name) ?? (create ? new Folder() : undefined)
    if (!there) return Promise.reject(new Error('NotFoundError'))
    this.folders.set(name, there)
    return Promise.resolve(there)
  }

  getFileHandle(name: string, { create = false } = {}) {
    if (!this.files.has(name) && !create) return Promise.reject(new Error('NotFoundError'))
    if (!this.files.has(name)) this.files.set(name, '')
    const write = (text: string) => {
      this.files.set(name, text)
      return Promise.resolve()
    }
    return Promise.resolve({
      createWritable: () => Promise.resolve({ write, close: () => Promise.resolve() }),
    })
  }
}

test('folders are made within each other, texts laid in; a second time nothing is written over', async () => {
  const recipe = { folders: ['Media/Camera', 'Media/Sound'], folderName: '{number} {title}' }
  const names = { number: '#44', title: 'A spar: cut', code: 'AB22', date: '', show: 'Tern' }
  const root = new Folder()
  const plan = folderPlan(recipe, names, { 'Brief.md': 'The brief.', 'Script.md': 'The script.' })
  expect(await makeFolders(root, plan)).toEqual({ kept: [] })
  const outer = root.folders.get('#44 A spar cut')
  expect([...(outer?.folders.get('Media')?.folders.keys() ?? [])]).toEqual(['Camera', 'Sound'])
  expect(outer?.files.get('Script.md')).toBe('The script.')

  outer?.files.set('Script.md', 'Written in by hand.')
  outer?.files.delete('Brief.md')
  expect(await makeFolders(root, plan)).toEqual({ kept: ['Script.md'] })
  expect(outer?.files.get('Script.md')).toBe('Written in by hand.')
  expect(outer?.files.get('Brief.md')).toBe('The brief.')
})
