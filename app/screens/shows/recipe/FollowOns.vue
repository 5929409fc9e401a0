<script setup lang="ts">
import { computed, ref } from 'vue'
import { X } from '@lucide/vue'
import { sayFollowOn } from '@core/commands/follow'
import type { RecipeFields } from '@core/commands/recipes/written'
import type { FollowOn, Recipe } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import NumberField from '@app/ui/fields/NumberField.vue'

/** What follows by itself, in sentences, and what it did lately. */
const { recipe } = defineProps<{ recipe: Recipe }>()
const emit = defineEmits<{ write: [RecipeFields] }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const adding = ref(false)
const when = ref('')
const then = ref<FollowOn['then']['kind']>('hand')
const line = ref(recipe.lines[0]?.id ?? '')
const stage = ref(recipe.stages[0]?.id ?? '')
const who = ref('')
const text = ref('')
const minutes = ref(15)
const made = computed((): FollowOn | undefined => {
  const id = when.value.slice(when.value.indexOf(':') + 1)
  if (id === '') return undefined
  const first: FollowOn['when'] = when.value.startsWith('stage:')
    ? { kind: 'lit', stage: id }
    : { kind: 'done', line: id }
  const thens: Record<FollowOn['then']['kind'], FollowOn['then']> = {
    hand: { kind: 'hand', line: line.value, to: who.value.trim() },
    wait: { kind: 'wait', line: line.value, who: who.value.trim(), what: text.value.trim() },
    add: { kind: 'add', stage: stage.value, name: text.value.trim(), minutes: minutes.value },
    note: { kind: 'note', text: text.value.trim() },
    folder: { kind: 'folder' },
  }
  return { id: library.newId(), when: first, then: thens[then.value] }
})
const whole = computed(() => {
  const t = made.value?.then
  return (
    t !== undefined &&
    (t.kind === 'folder' ||
      (t.kind === 'note' && t.text !== '') ||
      (t.kind === 'add' && t.name !== '') ||
      (t.kind === 'hand' && t.to !== '') ||
      (t.kind === 'wait' && t.who !== ''))
  )
})
function add() {
  if (!made.value || !whole.value) return
  emit('write', { follow: [...(recipe.follow ?? []), made.value] })
  adding.value = false
  text.value = ''
  who.value = ''
}
const log = computed(() => {
  const mine = new Set((recipe.follow ?? []).map((f) => f.id))
  return cards.working
    .flatMap((c) =>
      (c.episode.followed ?? []).filter((f) => mine.has(f.follow)).map((f) => ({ ...f, card: c })),
    )
    .sort((a, b) => (a.at > b.at ? -1 : 1))
    .slice(0, 6)
})
</script>

<template>
  <section class="panel p-4 grid gap-2 content-start" aria-labelledby="follow">
    <div class="flex items-center">
      <h2 id="follow" class="flex-1">What follows by itself</h2>
      <button v-if="!adding" class="btn btn-small" @click="adding = true">Let something follow</button>
    </div>
    <ul v-if="(recipe.follow ?? []).length > 0">
      <li
        v-for="f in recipe.follow ?? []"
        :key="f.id"
        class="flex items-center gap-2 border-t border-faint py-1"
      >
        <span class="flex-1">{{ sayFollowOn(f, recipe) }}</span><button
          class="btn btn-bare btn-small px-1"
          :aria-label="`Remove: ${sayFollowOn(f, recipe)}`"
          @click="emit('write', { follow: (recipe.follow ?? []).filter((o) => o.id !== f.id) })"
        >
          <X :size="14" />
        </button>
      </li>
    </ul>
    <p v-else-if="!adding" class="sub">
      When a stage lights or a step is done, the next thing can happen without you: a step handed on, one
      added, a note on Today.
    </p>
    <form v-if="adding" class="grid gap-2 border-t border-faint pt-3" @submit.prevent="add">
      <div class="flex flex-wrap items-center gap-2">
        <span>When</span
        ><select v-model="when" class="field w-auto" aria-label="When">
          <option value="" disabled>choose</option>
          <option v-for="s in recipe.stages" :key="s.id" :value="`stage:${s.id}`">{{ s.name }} lights</option>
          <option v-for="l in recipe.lines" :key="l.id" :value="`line:${l.id}`">
            “{{ l.name }}” is done
          </option>
        </select>
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <select v-model="then" class="field w-auto" aria-label="Then">
          <option value="hand">hand a step to someone</option>
          <option value="add">add a step</option>
          <option value="wait">a step waits on someone</option>
          <option value="folder">prepare its folder</option>
          <option value="note">put a note on Today</option>
        </select>
        <select
          v-if="then === 'hand' || then === 'wait'"
          v-model="line"
          class="field w-auto"
          aria-label="Which step"
        >
          <option v-for="l in recipe.lines" :key="l.id" :value="l.id">{{ l.name }}</option>
        </select>
        <input
          v-if="then === 'hand' || then === 'wait'"
          v-model="who"
          class="field w-[130px]"
          placeholder="who"
          aria-label="Who"
        />
        <input
          v-if="then !== 'hand' && then !== 'folder'"
          v-model="text"
          class="field w-[190px]"
          :placeholder="then === 'wait' ? 'for what' : then === 'add' ? 'name of the step' : 'what to say'"
          :aria-label="then === 'wait' ? 'For what' : then === 'add' ? 'Name of the step' : 'What to say'"
        />
        <select v-if="then === 'add'" v-model="stage" class="field w-auto" aria-label="In which stage">
          <option v-for="s in recipe.stages" :key="s.id" :value="s.id">in {{ s.name }}</option>
        </select>
        <label v-if="then === 'add'" class="flex items-center gap-1"
          ><NumberField
            v-model="minutes"
            field="field num w-[72px]"
            label="Minutes"
            hidden
            :min="0"
            :step="5"
          />
          min</label
        >
      </div>
      <p v-if="made && whole" class="sub">{{ sayFollowOn(made, recipe) }}</p>
      <p class="flex gap-2">
        <button class="btn" :disabled="!whole">Let it follow</button
        ><button type="button" class="btn btn-bare" @click="adding = false">Leave it</button>
      </p>
    </form>
    <div v-if="log.length > 0" class="border-t border-faint pt-2">
      <h3 class="text-12 text-ink-2 font-sans font-normal">What they did</h3>
      <ul>
        <li v-for="f in log" :key="f.id" class="text-12 py-0.5">
          <span class="num">{{ f.card.number }}</span> {{ f.says }}
          <span class="text-ink-2">{{ sayDay(moment.dayOn(f.at)) }}</span>
        </li>
      </ul>
    </div>
  </section>
</template>
