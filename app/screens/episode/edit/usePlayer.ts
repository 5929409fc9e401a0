import { computed, ref, shallowRef, watch } from 'vue'
import { useEventListener, useRafFn } from '@vueuse/core'
import type { FrameRate } from '@core/records'
import { frameAt, secondsAt } from '@core/edit/frames'

/** How far a jump goes, seconds. */
const jump = 5
const speeds = [1, 2, 4]

/**
 * Plays a cut: its file where one is open, else a clock over its length. Backwards the picture is sought frame by frame,
 * since no browser plays so.
 */
export function usePlayer(length: () => number | undefined, rate: () => FrameRate) {
  const media = shallowRef<HTMLMediaElement | null>(null)
  const now = ref(0)
  /** 0 while it stands; negative backwards. */
  const speed = ref(0)
  const end = computed(() => length() ?? Number.POSITIVE_INFINITY)
  let last = 0

  function seek(to: number) {
    now.value = Math.max(0, Math.min(to, end.value))
    if (media.value) media.value.currentTime = now.value
  }
  function run(at: number) {
    speed.value = at
    last = performance.now()
    if (at === 0) frames.pause()
    else frames.resume()
    const of = media.value
    if (!of) return
    if (at > 0) {
      of.playbackRate = at
      void of.play().catch(() => {
        run(0)
      })
    } else of.pause()
  }
  const frames = useRafFn(
    () => {
      const passed = (performance.now() - last) / 1000
      last = performance.now()
      if (media.value && speed.value > 0) now.value = media.value.currentTime
      else seek(now.value + passed * speed.value)
      const isAtEnd = speed.value > 0 ? now.value >= end.value : now.value <= 0
      if (isAtEnd && speed.value !== 0) run(0)
    },
    { immediate: false },
  )
  /** Faster in a direction with each press, from standing at the usual speed. */
  function shuttle(direction: -1 | 1) {
    const at = speeds.indexOf(Math.sign(speed.value) === direction ? Math.abs(speed.value) : 0)
    run(direction * (speeds[Math.min(at + 1, speeds.length - 1)] ?? 1))
  }
  useEventListener(media, 'ended', () => {
    run(0)
  })
  useEventListener(media, 'loadedmetadata', () => {
    seek(now.value)
  })
  watch(media, () => {
    run(0)
  })
  return {
    media,
    /** The element that plays; nothing while there is no file. */
    hold: (element: HTMLMediaElement | null) => {
      if (media.value !== element) media.value = element
    },
    now,
    speed,
    playing: computed(() => speed.value !== 0),
    seek,
    toggle: () => {
      if (speed.value === 0 && now.value >= end.value) seek(0)
      run(speed.value === 0 ? 1 : 0)
    },
    stop: () => {
      run(0)
    },
    shuttle,
    jump: (by: -1 | 1) => {
      seek(now.value + by * jump)
    },
    /** One frame on or back, from the begin of the one that is seen. */
    frame: (by: -1 | 1) => {
      run(0)
      // A hair inside the frame, so that rounding shows this one.
      seek(secondsAt(Math.max(0, frameAt(now.value, rate()) + by), rate()) + 0.001)
    },
  }
}

export type Player = ReturnType<typeof usePlayer>
