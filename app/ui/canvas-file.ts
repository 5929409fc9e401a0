/** A canvas as the bytes of a JPEG, made lighter until it has at most `most` bytes or looks poor. */
export async function jpegOf(canvas: HTMLCanvasElement, most: number): Promise<Uint8Array> {
  for (let quality = 0.92; ; quality -= 0.08) {
    const blob = await new Promise<Blob | null>((done) => {
      canvas.toBlob(done, 'image/jpeg', quality)
    })
    if (!blob) throw new Error('no picture')
    if (blob.size <= most || quality < 0.4) return new Uint8Array(await blob.arrayBuffer())
  }
}
