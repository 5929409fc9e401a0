import { nextTick, onBeforeUnmount, ref, type Ref } from 'vue'
import { CodeReader, type JottedMail } from '@core/formats/mail'

/** Reads codes that a phone shows, from pictures of them or through the camera, until all of a hand-over are read. */
export function useCodes(
  video: Ref<HTMLVideoElement | undefined>,
  taken: (ideas: JottedMail[]) => Promise<void>,
) {
  const scanning = ref(false)
  /** What was seen last, in words. */
  const seen = ref('')
  const reader = new CodeReader()
  async function readImage(image: ImageData): Promise<boolean> {
    const { default: jsQR } = await import('jsqr')
    const found = jsQR(image.data, image.width, image.height)
    if (!found) return false
    const read = reader.read(found.data)
    if (!read.ok) {
      seen.value = read.problem.sentence
      return true
    }
    seen.value = `${read.value.have} of ${read.value.of} codes read`
    if (read.value.ideas) {
      stop()
      await taken(read.value.ideas)
    }
    return true
  }
  async function pictures(event: Event) {
    const input = event.target
    if (!(input instanceof HTMLInputElement)) return
    for (const given of input.files ?? []) {
      try {
        const bitmap = await createImageBitmap(given)
        const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
        const pen = canvas.getContext('2d')
        pen?.drawImage(bitmap, 0, 0)
        const image = pen?.getImageData(0, 0, bitmap.width, bitmap.height)
        if (!image || !(await readImage(image)))
          seen.value = `No code was found in ${given.name}. Take the picture closer, with the whole code in it.`
      } catch {
        seen.value = `${given.name} cannot be read as a picture.`
      }
    }
    input.value = ''
  }
  let stream: MediaStream | undefined
  async function scan() {
    seen.value = ''
    try {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } })
      scanning.value = true
      await nextTick()
      if (!video.value) return
      video.value.srcObject = stream
      await video.value.play()
      const canvas = document.createElement('canvas')
      const pen = canvas.getContext('2d', { willReadFrequently: true })
      const goesOn = () => scanning.value
      while (goesOn() && pen) {
        canvas.width = video.value.videoWidth
        canvas.height = video.value.videoHeight
        if (canvas.width > 0) {
          pen.drawImage(video.value, 0, 0)
          await readImage(pen.getImageData(0, 0, canvas.width, canvas.height))
        }
        await new Promise((done) => {
          setTimeout(done, 120)
        })
      }
    } catch {
      stop()
      seen.value = 'This browser gives no camera here. Photograph the codes and choose the pictures instead.'
    }
  }
  function stop() {
    scanning.value = false
    for (const track of stream?.getTracks() ?? []) track.stop()
    stream = undefined
  }
  onBeforeUnmount(stop)
  return { scanning, seen, pictures, scan, stop }
}
