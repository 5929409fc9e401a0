import { nextTick, ref } from 'vue'
import type { JottedMail } from '@core/formats/mail'
import { writeCodes } from '@core/formats/mail'
import { useIntervalFn } from '@vueuse/core'
import type { Ref } from 'vue'

/** Ideas that wait, as codes that take turns on a canvas, for a camera at the desk. */
export function useCodes(waiting: Ref<JottedMail[]>, codeField: Ref<HTMLCanvasElement | undefined>) {
  const codes = ref<string[]>([])
  const at = ref(0)
  const turning = useIntervalFn(
    () => {
      at.value = (at.value + 1) % codes.value.length
      void draw()
    },
    1400,
    { immediate: false },
  )
  async function asCodes() {
    codes.value = writeCodes(waiting.value, crypto.randomUUID().slice(0, 8))
    at.value = 0
    await draw()
    if (codes.value.length > 1) turning.resume()
    else turning.pause()
  }
  async function draw() {
    const { toCanvas } = await import('qrcode')
    await nextTick()
    if (codeField.value)
      await toCanvas(codeField.value, codes.value[at.value] ?? '', {
        errorCorrectionLevel: 'L',
        margin: 3,
        width: 340,
      })
  }
  function endCodes() {
    codes.value = []
    turning.pause()
  }
  return { codes, at, asCodes, endCodes }
}
