/** The words in a link's path, or its host. */
export function titleFromLink(url: string): string {
  try {
    const { pathname, hostname } = new URL(url)
    const last = decodeURIComponent(pathname).split('/').filter(Boolean).at(-1) ?? ''
    const words = last
      .replace(/\.\w{2,5}$/, '')
      .replace(/[-_+]+/g, ' ')
      .trim()
    return /\p{L}{3}/u.test(words) && words.includes(' ')
      ? words.charAt(0).toUpperCase() + words.slice(1)
      : hostname
  } catch {
    return ''
  }
}
