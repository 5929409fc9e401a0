import { strFromU8, unzipSync } from 'fflate'
import { folderName, folderPlan, folderTree, folderZip, safeName } from './folder'

const names = {
  number: '#42',
  title: 'Steaming oak: ribs/timbers',
  code: 'AB12',
  date: '2026-11-26',
  show: 'Tern & Tiller',
}

test('an outer folder is named by its pattern, without what file systems refuse', () => {
  expect(folderName(undefined, names)).toBe('#42 Steaming oak ribs timbers')
  expect(folderName('{date} {code} {show} {colour}', names)).toBe('2026-11-26 AB12 Tern & Tiller {colour}')
  expect([safeName('a<b>:"c"|?*.'), safeName('...'), safeName('x'.repeat(300)).length]).toEqual([
    'a b c',
    'Episode',
    120,
  ])
})

test('folders lie within one another, each once', () => {
  expect(folderTree(['Media/Camera', 'Media/Sound', ' Release ', 'Media//Camera'])).toEqual([
    'Media',
    'Media/Camera',
    'Media/Sound',
    'Release',
  ])
})

test('the zip holds the tree and the texts', () => {
  const recipe = { folders: ['Media', 'Release'], folderName: '{code}' }
  const zip = folderZip(folderPlan(recipe, names, { 'Brief.md': '# Ribs' }))
  const entries = unzipSync(zip.bytes)
  expect(zip.name).toBe('AB12.zip')
  expect(Object.keys(entries).sort()).toEqual(['AB12/', 'AB12/Brief.md', 'AB12/Media/', 'AB12/Release/'])
  expect(strFromU8(entries['AB12/Brief.md'] ?? new Uint8Array())).toBe('# Ribs')
})
