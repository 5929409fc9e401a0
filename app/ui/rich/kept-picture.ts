import Image from '@tiptap/extension-image'

/** What stands before the id of a picture that the program keeps, in the address of an image in Markdown. */
export const keptScheme = 'picture:'

/** Gives the address at which a kept picture can be shown; undefined where it is gone. */
export type ShowPicture = (id: string) => Promise<string | undefined>

/**
 * Pictures in a text: kept ones are shown from the store; of those that stand elsewhere only the name and
 * address are shown, since nothing is fetched from outside.
 */
export function keptPicture(show: ShowPicture) {
  return Image.extend({
    addNodeView() {
      return ({ node }) => {
        const source = String(node.attrs['src'] ?? '')
        const name = String(node.attrs['alt'] ?? '')
        if (!source.startsWith(keptScheme)) {
          const elsewhere = document.createElement('span')
          elsewhere.textContent = [name, source].filter(Boolean).join(', ')
          elsewhere.className = 'sub'
          return { dom: elsewhere }
        }
        const image = document.createElement('img')
        image.alt = name
        void show(source.slice(keptScheme.length)).then((address) => {
          if (address !== undefined) image.src = address
          else image.alt = `${name || 'picture'} (no longer kept)`
        })
        return { dom: image }
      }
    },
  })
}
