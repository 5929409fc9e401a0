<script setup lang="ts">
import { computed, ref } from 'vue'
import Drop from '@app/ui/Drop.vue'
import KeySign from '@app/ui/KeySign.vue'
import TextField from '@app/ui/fields/TextField.vue'
import { thumbnailKeys } from '../keymap'
import type { Candidates, Tried } from './useCandidates'

/** What is to be done with the candidate that is looked at: what would mend it, choose it, keep it second, refuse it. */
const { of, tried } = defineProps<{ of: Candidates; tried: Tried }>()
const emit = defineEmits<{ make: []; box: []; lighter: [] }>()
const refusing = ref(false)
const reason = ref('')
const isUnknown = computed(() => tried.findings?.some((f) => f.state === 'unknown') ?? false)
const small = computed(
  () => tried.picture.width < of.frame.value.width || tried.picture.height < of.frame.value.height,
)
const runnerUp = computed(() => of.all.value.find((t) => t.isRunnerUp))
async function refuse() {
  const done = await of.refuse(tried.picture.id, reason.value)
  if (!done.ok) return
  refusing.value = false
  reason.value = ''
}
const presets = ['Looks like an earlier one', 'Says too much', 'Not what the episode is about']
</script>

<template>
  <div class="grid gap-3">
    <div class="panel p-3 text-12 grid gap-2" role="status">
      <p v-if="tried.picture.refused !== undefined">
        <strong>{{ tried.letter }} was refused:</strong> {{ tried.picture.refused }}
        <button class="link" @click="of.refuse(tried.picture.id, undefined)">Take that back</button>
      </p>
      <p v-else-if="!tried.findings">Measuring {{ tried.letter }}.</p>
      <p v-else-if="tried.failing.length === 0 && !isUnknown">
        <strong>{{ tried.letter }} passes all {{ tried.findings.length }}.</strong>
      </p>
      <ul v-if="tried.failing.length > 0" class="grid gap-1.5">
        <li v-for="f in tried.failing" :key="f.measure">
          <strong class="inline-block first-letter:uppercase">{{ f.fault?.says }}.</strong>
          {{ f.fault?.mend }}
          <button v-if="f.measure === 'file'" class="link" @click="emit('lighter')">Make it lighter</button>
        </li>
      </ul>
      <p v-if="small">
        {{ tried.picture.width }} × {{ tried.picture.height }} is small; it will be blown up to
        {{ of.frame.value.width }} × {{ of.frame.value.height }}.
      </p>
      <p v-if="isUnknown">
        Where its words are is not known: four measures wait.
        <button class="link" @click="emit('box')">Draw round them</button>
      </p>
    </div>
    <div class="flex items-center gap-1">
      <p v-if="tried.isChosen" class="flex-1">
        <strong>{{ tried.letter }} is chosen.</strong>
        <button class="link ml-1" @click="of.choose(undefined)">Take it back</button>
      </p>
      <button v-else class="btn btn-main flex-1" @click="of.choose(tried.picture.id)">
        Choose {{ tried.letter }}<template v-if="of.ends.value"> and finish the step</template>
        <KeySign :line="thumbnailKeys.lines.choose" />
      </button>
      <Drop v-slot="{ close }" label="More" right>
        <button class="btn btn-bare w-full" @click="(close(), emit('make'))">
          Lay words over, crop, straighten</button
        ><button class="btn btn-bare w-full" @click="(close(), emit('box'))">Say where its words are</button
        ><button
          v-if="!tried.isChosen"
          class="btn btn-bare w-full"
          @click="(close(), of.keep(tried.isRunnerUp ? undefined : tried.picture.id))"
        >
          {{ tried.isRunnerUp ? 'No longer the runner-up' : 'Keep it as the runner-up' }}</button
        ><button
          v-if="tried.picture.refused === undefined"
          class="btn btn-bare w-full"
          @click="(close(), (refusing = true))"
        >
          Refuse it, with a reason</button
        ><button class="btn btn-bare w-full" @click="(close(), of.remove(tried.picture.id))">
          Take it away
        </button>
      </Drop>
    </div>
    <form v-if="refusing" class="grid gap-2" @submit.prevent="refuse" @keydown.esc="refusing = false">
      <TextField v-model="reason" :label="`Why ${tried.letter} is not taken`" autofocus />
      <p class="flex flex-wrap gap-1.5">
        <button v-for="p in presets" :key="p" type="button" class="btn btn-small" @click="reason = p">
          {{ p }}
        </button>
      </p>
      <p class="flex gap-2">
        <button class="btn">Refuse {{ tried.letter }}</button
        ><button type="button" class="btn btn-bare" @click="refusing = false">Leave it</button>
      </p>
    </form>
    <p v-if="runnerUp && !tried.isRunnerUp" class="sub">
      {{ runnerUp.letter }} stays as the runner-up: it is offered as a swap where the episode runs below its
      usual after two days.
    </p>
  </div>
</template>

<style scoped>
.link {
  text-decoration: underline;
  text-underline-offset: 2px;
}
</style>
