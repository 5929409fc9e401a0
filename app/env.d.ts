declare module '*.vue' {
  import type { DefineComponent } from 'vue'
  const component: DefineComponent<object, object, unknown>
  export default component
}
declare module '*.css'

/** What some browsers have beyond what TypeScript knows of: a folder given to a page, and whether it may write there. */
interface Window {
  showDirectoryPicker?: (options?: { id?: string; mode?: 'readwrite' }) => Promise<FileSystemDirectoryHandle>
}
interface Window {
  showOpenFilePicker?: (options?: {
    id?: string
    types?: { description: string; accept: Record<string, string[]> }[]
  }) => Promise<FileSystemFileHandle[]>
}
interface FileSystemFileHandle {
  queryPermission?: (of: { mode: 'read' }) => Promise<PermissionState>
  requestPermission?: (of: { mode: 'read' }) => Promise<PermissionState>
}
interface FileSystemDirectoryHandle {
  queryPermission?: (of: { mode: 'readwrite' }) => Promise<PermissionState>
  requestPermission?: (of: { mode: 'readwrite' }) => Promise<PermissionState>
}
