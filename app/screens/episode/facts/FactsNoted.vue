<script setup lang="ts">
import { computed } from 'vue'
import { beatOf, factsOf, nextLook } from '@core/catalogue/facts'
import { lookedAt, noteFact } from '@core/commands/facts'
import type { Episode, Fact, Script } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import Flag from '@app/ui/Flag.vue'
import DateField from '@app/ui/fields/DateField.vue'

/** What of an episode may change, and when each is looked at again. Whoever has the script open can go where it is said. */
const { episode, script } = defineProps<{ episode: Episode; script?: Script | undefined }>()
const emit = defineEmits<{ go: [beat: string] }>()
const library = useLibrary()
const moment = useMoment()
const facts = computed(() =>
  factsOf(episode).map((fact) => ({
    fact,
    isDue: fact.on <= moment.today,
    beat: beatOf(script, fact),
  })),
)
function move(fact: Fact, on: string | undefined) {
  if (on !== undefined && on !== '' && on !== fact.on)
    void library.perform(noteFact, { episode: episode.id, fact: { ...fact, on } }, 'quietly')
}
function look(fact: Fact, next: string | undefined) {
  void library.perform(lookedAt, { episode: episode.id, fact: fact.id, next })
}
</script>

<template>
  <ul class="grid grid-cols-1 gap-2">
    <li v-for="f in facts" :key="f.fact.id" class="min-w-0 border-t border-faint pt-1.5">
      <p class="text-12">
        <Flag v-if="f.isDue" :size="9" /><button
          v-if="f.beat !== undefined"
          class="text-left hover:underline"
          @click="emit('go', f.beat)"
        >
          {{ f.fact.what }}</button
        ><template v-else>{{ f.fact.what }}</template>
      </p>
      <div class="flex flex-wrap items-center gap-1.5 mt-1">
        <DateField
          class="flex-1 min-w-[165px]"
          hidden
          field="field field-small"
          :label="`Look again at “${f.fact.what}”`"
          :model-value="f.fact.on"
          @update:model-value="move(f.fact, $event)"
        /><button
          v-if="f.isDue"
          class="btn btn-small"
          :aria-label="`Still true: ${f.fact.what}`"
          @click="look(f.fact, nextLook(moment.today))"
        >
          Still true</button
        ><button
          class="btn btn-bare btn-small px-1.5"
          :aria-label="`No longer look at “${f.fact.what}”`"
          @click="look(f.fact, undefined)"
        >
          ×
        </button>
      </div>
    </li>
  </ul>
</template>
