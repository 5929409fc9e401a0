<script setup lang="ts">
import { computed } from 'vue'
import type { Timing } from '@core/records'
import { sayTime } from '@core/script/timecode'
import type { Card } from '@core/views/card'
import Drop from '@app/ui/Drop.vue'
import { filesIn, typedIn } from '@app/ui/fields/event'
import Flag from '@app/ui/Flag.vue'
import { useGradually } from '@app/ui/gradually'
import { useSubtitles } from './useSubtitles'

/** What is heard, as subtitles: made from the script or read in, corrected beside the cut, saved for the outlets. */
const { card, timing, now } = defineProps<{ card: Card; timing: Timing; now: number }>()
const emit = defineEmits<{ seek: [to: number] }>()
const of = useSubtitles(
  () => card,
  () => timing,
)
const { captions, faults, transcript, unread } = of
const drawn = useGradually(() => captions.value.length)
const here = computed(() => captions.value.findIndex((c) => c.from <= now && now < c.to))
const says = computed(() => {
  if (!transcript.value) return 'none yet'
  const wrong = faults.value.size
  return [
    String(captions.value.length),
    transcript.value.made === 'script' ? 'estimated from the script' : '',
    wrong > 0 ? `${wrong} to look at` : 'all within the rules',
  ]
    .filter(Boolean)
    .join(', ')
})
function readIn(event: Event) {
  const [file] = filesIn(event)
  if (file) void of.read(file)
}
</script>

<template>
  <details class="px-5 pb-4 max-sm:px-3">
    <summary class="cursor-pointer font-title font-semibold text-16">
      Subtitles <span class="sub font-sans font-normal ml-1">{{ says }}</span>
    </summary>
    <div class="flex flex-wrap items-center gap-2 my-3">
      <button v-if="of.canMake.value && transcript?.made !== 'read'" class="btn btn-small" @click="of.make">
        {{ transcript ? 'Make them anew from the script' : 'Make them from the script' }}</button><label
        class="btn btn-small relative overflow-hidden"
        >Read a file (SRT, VTT)<input
          type="file"
          accept=".srt,.vtt,text/vtt"
          class="absolute inset-0 opacity-0 cursor-pointer"
          aria-label="Read subtitles from a file"
          @change="readIn" /></label
      ><Drop v-if="transcript" label="Save" small>
        <button class="btn btn-bare w-full" @click="of.save('srt')">SubRip</button
        ><button class="btn btn-bare w-full" @click="of.save('vtt')">WebVTT</button
        ><button class="btn btn-bare w-full" @click="of.save('txt')">Plain text</button>
      </Drop>
      <button v-if="transcript" class="btn btn-bare btn-small" @click="of.drop">Let them go</button>
    </div>
    <ul v-if="unread.length > 0" role="alert" class="text-12 mb-2">
      <li v-for="f in unread" :key="f.line" class="late">
        <template v-if="f.line > 0">Line {{ f.line }}: </template>{{ f.sentence }}
      </li>
    </ul>
    <ol v-if="transcript" aria-label="Subtitles" class="panel divide-y divide-faint max-w-[760px]">
      <li
        v-for="(c, i) in captions.slice(0, drawn)"
        :key="`${c.from} ${i}`"
        class="flex items-start gap-3 px-4 py-1"
        :class="i === here ? 'bg-raised' : ''"
      >
        <button
          class="num text-12 mt-1 w-[44px] flex-none text-right hover:underline"
          :aria-label="`To ${sayTime(c.from)}`"
          @click="emit('seek', c.from)"
        >
          {{ sayTime(Math.floor(c.from)) }}
        </button>
        <div class="flex-1 min-w-0">
          <textarea
            class="quiet-field mx-0 px-1 py-0 w-full resize-none [field-sizing:content] leading-[22px]"
            rows="1"
            :value="c.text"
            :aria-label="`Subtitle at ${sayTime(c.from)}`"
            @change="of.correct(c, typedIn($event))"
          />
          <p v-if="faults.get(i)" class="text-12 px-1">
            <Flag :size="9" /><span class="late">{{ faults.get(i)?.join('; ') }}</span>
          </p>
        </div>
      </li>
    </ol>
  </details>
</template>
