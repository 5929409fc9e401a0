/** Hands bytes or text to the browser as a download. */
export function download(name: string, content: Uint8Array | string, type: string): void {
  const blob = new Blob([typeof content === 'string' ? content : new Uint8Array(content)], { type })
  const link = document.createElement('a')
  link.href = URL.createObjectURL(blob)
  link.download = name
  link.click()
  setTimeout(() => {
    URL.revokeObjectURL(link.href)
  }, 30_000)
}
