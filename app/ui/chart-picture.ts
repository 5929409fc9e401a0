/** What of an element's look a picture of it needs. */
const looks = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
] as const

/**
 * A drawn chart as the bytes of a PNG at twice its size, on the ground that it stands on. Pictures in it are left out,
 * since they belong to their episodes.
 */
export async function chartPicture(svg: SVGSVGElement, ground: string): Promise<Uint8Array> {
  const { width, height } = svg.getBoundingClientRect()
  const copy = document.importNode(svg, true)
  const [from, to] = [svg.querySelectorAll('*'), copy.querySelectorAll<SVGElement>('*')]
  to.forEach((element, i) => {
    const source = from[i]
    if (!source) return
    const style = getComputedStyle(source)
    for (const look of looks) element.style.setProperty(look, style.getPropertyValue(look))
  })
  for (const image of copy.querySelectorAll('image')) image.remove()
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', String(width))
  copy.setAttribute('height', String(height))
  const url = URL.createObjectURL(
    new Blob([new XMLSerializer().serializeToString(copy)], { type: 'image/svg+xml' }),
  )
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const canvas = document.createElement('canvas')
    canvas.width = Math.round(width * 2)
    canvas.height = Math.round(height * 2)
    const pen = canvas.getContext('2d')
    if (!pen) throw new Error('no canvas')
    pen.fillStyle = ground
    pen.fillRect(0, 0, canvas.width, canvas.height)
    pen.drawImage(image, 0, 0, canvas.width, canvas.height)
    const blob = await new Promise<Blob | null>((done) => {
      canvas.toBlob(done, 'image/png')
    })
    if (!blob) throw new Error('no picture')
    return new Uint8Array(await blob.arrayBuffer())
  } finally {
    URL.revokeObjectURL(url)
  }
}
