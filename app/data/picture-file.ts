/** Reads bytes as a picture. Rejects where they are none. */
export async function imageOf(blob: Blob): Promise<HTMLImageElement> {
  const image = new Image()
  const url = URL.createObjectURL(blob)
  try {
    image.src = url
    await image.decode()
    return image
  } finally {
    URL.revokeObjectURL(url)
  }
}
