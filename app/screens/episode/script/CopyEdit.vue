<script setup lang="ts">
import { computed } from 'vue'
import { passScript, scriptStands, writeScript } from '@core/commands/episode'
import { editRecipe } from '@core/commands/recipes'
import { ScriptStand, type Script } from '@core/records'
import { changedSince, saysKeyword, type Remark } from '@core/script/copy-edit'
import { usualChecks } from '@core/script/usual-checks'
import { sayDay } from '@core/rhythm/days'
import { dayAt } from '@core/rhythm/zone'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import KeySign from '@app/ui/KeySign.vue'
import { scriptKeys } from '../keymap'
import StepChecklists from '../steps/StepChecklists.vue'

/** How far the script is, and what a copy-edit goes through: remarks, keywords, what changed since, a checklist. */
const { card, script, remarks } = defineProps<{ card: Card; script: Script; remarks: readonly Remark[] }>()
const emit = defineEmits<{ go: [id: string]; left: [] }>()
const library = useLibrary()
const moment = useMoment()
/** While one writes, the first remarks are enough. */
const fewWhileWriting = 3
const stand = computed(() => script.stand ?? 'writing')
const keywords = computed(() =>
  card.episode.idea.keywords.flatMap((id) => {
    const phrase = library.tables.keywords.get(id)?.words
    return phrase === undefined ? [] : [{ phrase, beat: saysKeyword(script, phrase) }]
  }),
)
const changes = computed(() => changedSince(script))
const kinds = { new: 'new', changed: 'changed', moved: 'moved', removed: 'taken away' }
const stage = computed(() => card.recipe.stages.find((s) => s.kind === 'script')?.id)
const hasList = computed(() =>
  (card.recipe.checklists ?? []).some((c) => c.stage === stage.value && c.copyEdit),
)
async function pass(to: ScriptStand) {
  emit('left')
  await library.perform(passScript, { episode: card.episode.id, stand: to })
}
function dismiss(remark: Remark) {
  const wish = { kind: 'dismiss' as const, remark: remark.key }
  void library.perform(writeScript, { episode: card.episode.id, wish }, 'quietly')
}
function layList() {
  if (stage.value === undefined) return
  const items = usualChecks.map((text) => ({ id: library.newId(), text }))
  const list = { id: library.newId(), stage: stage.value, name: 'Copy-edit', items, copyEdit: true }
  const checklists = [...(card.recipe.checklists ?? []), list]
  void library.perform(editRecipe, { recipe: card.recipe.id, fields: { checklists } })
}
</script>

<template>
  <section aria-labelledby="copy-edit" class="border-t border-faint pt-3 mb-5 grid gap-2.5">
    <h2 id="copy-edit" class="sr-only">Copy-edit</h2>
    <div role="radiogroup" aria-label="How far the script is" class="flex rounded-control border border-line">
      <button
        v-for="s in ScriptStand.options"
        :key="s"
        role="radio"
        :aria-checked="s === stand"
        class="flex-1 px-1 py-1 text-12 rounded-control whitespace-nowrap"
        :class="s === stand ? 'bg-raised text-ink font-semibold' : 'text-ink-2'"
        @click="pass(s)"
      >
        {{ scriptStands[s] }}
      </button>
    </div>
    <template v-if="remarks.length > 0">
      <p class="sub">
        {{ remarks.length }} {{ remarks.length === 1 ? 'remark' : 'remarks' }}, dismissed at the cursor by
        <KeySign :line="scriptKeys.lines.dismiss" />
      </p>
      <ul class="grid gap-1 text-12">
        <li
          v-for="r in stand === 'writing' ? remarks.slice(0, fewWhileWriting) : remarks"
          :key="r.key"
          class="flex items-start gap-1"
        >
          <button class="flex-1 text-left hover:underline" @click="emit('go', r.beat)">
            {{ r.says }}</button><button
            class="px-1 text-ink-2"
            :aria-label="`Dismiss: ${r.says}`"
            @click="dismiss(r)"
          >
            ×
          </button>
        </li>
      </ul>
    </template>
    <ul v-if="keywords.length > 0" class="grid gap-1 text-12">
      <li v-for="k in keywords" :key="k.phrase">
        <span class="font-medium">“{{ k.phrase }}”</span>
        <button v-if="k.beat" class="sub underline" @click="emit('go', k.beat)">is said</button
        ><span v-else class="sub"> is not said</span>
      </li>
    </ul>
    <template v-if="stand !== 'writing'">
      <div v-if="changes.length > 0 && script.then">
        <h3 class="sub">
          Since {{ sayDay(dayAt(Date.parse(script.then.at), card.show.zone), moment.today) }}
        </h3>
        <ul class="grid gap-0.5 text-12">
          <li v-for="c in changes" :key="c.id" class="flex">
            <button
              v-if="c.kind !== 'removed'"
              class="flex-1 text-left hover:underline"
              @click="emit('go', c.id)"
            >
              {{ c.title }}</button><span v-else class="flex-1">{{ c.title }}</span
            ><span class="sub">{{ kinds[c.kind] }}</span>
          </li>
        </ul>
      </div>
      <StepChecklists v-if="stage !== undefined && hasList" :card="card" :stage="stage" copy-edit />
      <button v-else class="btn btn-small" @click="layList">Lay a checklist for copy-edits</button>
    </template>
  </section>
</template>
