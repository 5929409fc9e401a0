import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { FolderPlan } from '@core/formats/folder'
import { askForFolder, canGive, givenFolder, makeFolders, mayWrite } from '@app/data/given-folder'
import { remembered } from './remembered'

/** The folder in which episodes' folders are made, given once, and where it lies on this machine. */
export const useFolders = defineStore('folders', () => {
  const handle = shallowRef<FileSystemDirectoryHandle>()
  const isAsked = shallowRef(false)
  /** Where it lies, as the creator typed it: a page is never told. */
  const path = remembered('lamp-reel.folder-path', '', (kept) =>
    typeof kept === 'string' ? kept : undefined,
  )
  async function look(): Promise<void> {
    if (!isAsked.value && canGive()) handle.value = await givenFolder()
    isAsked.value = true
  }
  async function choose(): Promise<boolean> {
    const found = await askForFolder()
    if (found) handle.value = found
    return found !== undefined
  }
  /** Makes them, asking for a folder where none was given yet; nothing where it may not be written into. */
  async function make(plan: FolderPlan): Promise<{ kept: string[] } | undefined> {
    await look()
    if (!handle.value && !(await choose())) return undefined
    const root = handle.value
    if (!root || !(await mayWrite(root))) return undefined
    return await makeFolders(root, plan)
  }
  /** The address of an episode's folder, as far as it is known. */
  function addressOf(plan: Pick<FolderPlan, 'outer'>): string {
    const base = path.value.trim().replace(/[/\\]+$/, '') || (handle.value?.name ?? '')
    const mark = base.includes('\\') && !base.includes('/') ? '\\' : '/'
    return base === '' ? plan.outer : `${base}${mark}${plan.outer}`
  }
  return { name: computed(() => handle.value?.name), can: canGive, look, choose, make, path, addressOf }
})
