<script setup lang="ts">
import Konva from 'konva'
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue'
import { useElementSize } from '@vueuse/core'
import { inPicture } from '@core/pictures/crop'
import type { Id } from '@core/records'
import { placeBase, placeWords } from './canvas'
import type { Making } from './useMaking'

/** The picture in the making: drag it under the frame, drag words over it, pull their corners. */
const { of, stamp } = defineProps<{ of: Making; stamp: string }>()
const room = useTemplateRef<HTMLElement>('room')
const holder = useTemplateRef<HTMLDivElement>('holder')
const { width } = useElementSize(room)
const { isFocused } = of
let stage: Konva.Stage | undefined
const layer = new Konva.Layer()
const base = new Konva.Image({ image: undefined, draggable: true })
const grips = new Konva.Transformer({
  rotateEnabled: false,
  enabledAnchors: ['top-left', 'top-right', 'bottom-left', 'bottom-right'],
  borderStroke: '#fff',
  anchorStroke: '#333',
  anchorSize: 12,
  keepRatio: true,
})
const texts = new Map<Id, Konva.Text>()

function textFor(id: Id): Konva.Text {
  const known = texts.get(id)
  if (known) return known
  const node = new Konva.Text({ draggable: true })
  node.on('mousedown touchstart dragstart', () => {
    of.pick(id)
  })
  node.on('dragend', () => {
    of.write(id, { x: node.x() / of.frame.width, y: node.y() / of.frame.height })
  })
  node.on('transformend', () => {
    const size = (node.fontSize() * node.scaleY()) / of.frame.height
    node.scale({ x: 1, y: 1 })
    of.write(id, {
      x: node.x() / of.frame.width,
      y: node.y() / of.frame.height,
      size: Math.min(0.8, Math.max(0.02, size)),
    })
  })
  texts.set(id, node)
  layer.add(node)
  return node
}
function draw() {
  const { made, image, frame, face, chosen } = of
  if (!stage || !image.value) return
  base.image(image.value)
  placeBase(base, made.value, frame)
  for (const [id, node] of texts)
    if (!made.value.words.some((w) => w.id === id)) {
      node.destroy()
      texts.delete(id)
    }
  for (const words of made.value.words) placeWords(textFor(words.id), words, face.value, frame)
  const picked = chosen.value === undefined ? undefined : texts.get(chosen.value)
  grips.nodes(picked ? [picked] : [])
  grips.moveToTop()
  layer.batchDraw()
}
base.on('dragmove', () => {
  // The picture goes with the hand; where it would leave a corner bare it stops.
  const { made, frame } = of
  const by = { x: base.x() - frame.width / 2, y: base.y() - frame.height / 2 }
  const middle = inPicture(made.value.base, frame, made.value, {
    x: frame.width / 2 - by.x,
    y: frame.height / 2 - by.y,
  })
  of.crop(middle)
  placeBase(base, made.value, frame)
})
base.on('mousedown touchstart', () => {
  of.pick(undefined)
})
onMounted(() => {
  if (!holder.value) return
  stage = new Konva.Stage({ container: holder.value, width: 10, height: 10 })
  stage.add(layer)
  layer.add(base, grips)
  resize()
  draw()
})
onBeforeUnmount(() => stage?.destroy())
function resize() {
  const scale = width.value / of.frame.width
  if (!stage || scale <= 0) return
  stage.size({ width: width.value, height: of.frame.height * scale })
  stage.scale({ x: scale, y: scale })
}
watch(width, resize)
watch([of.made, of.image, of.chosen, of.face], draw, { deep: true })

function zoom(event: WheelEvent) {
  of.crop({ zoom: of.made.value.zoom * Math.exp(-event.deltaY / 600) })
}
</script>

<template>
  <div ref="room" class="relative">
    <div
      ref="holder"
      tabindex="0"
      role="application"
      aria-label="The picture: arrows move the chosen words, or the picture under them"
      class="w-full rounded-[4px] overflow-hidden bg-base focus-visible:outline-2 outline-lamp"
      :style="{ aspectRatio: `${of.frame.width} / ${of.frame.height}` }"
      @focus="isFocused = true"
      @blur="isFocused = false"
      @wheel.prevent="zoom"
    />
    <span v-if="stamp" class="stamp pointer-events-none">{{ stamp }}</span>
  </div>
</template>

<style scoped src="../stamp.css"></style>
