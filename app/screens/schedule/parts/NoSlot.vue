<script setup lang="ts">
import { computed } from 'vue'
import { sixLamps } from '@core/recipe/progress'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useImportance } from '@app/stores/importance'
import FormSign from '@app/ui/FormSign.vue'
import { useForms } from '@app/stores/forms'
import ImportanceMark from '@app/ui/ImportanceMark.vue'
import Glyph from '@app/ui/Glyph.vue'

/** Started, and on no slot. */
const cards = useCards()
const dialogs = useDialogs()
const importance = useImportance()
const forms = useForms()
/** The most important first. */
const unplaced = computed(() =>
  cards.unplaced
    .filter((c) => forms.isShown(c.episode))
    .sort((a, b) => importance.of(b.episode).weight - importance.of(a.episode).weight),
)
</script>

<template>
  <section v-if="unplaced.length > 0" class="mt-6">
    <h2 class="mb-2">Started, no slot yet</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="c in unplaced" :key="c.episode.id" class="flex items-center gap-4 px-4 py-2">
        <Glyph :size="24" :lamps="sixLamps(c.standing)" :name="c.title" /><RouterLink
          :to="{ name: 'episode', params: { code: c.episode.code } }"
          class="flex-1 no-underline"
          ><strong class="font-semibold">{{ c.title }}</strong
          >{{ ' ' }} <span class="sub">{{ c.show.title }}</span>{{ ' '
          }}<FormSign :name="forms.of(c.episode)" /></RouterLink
        ><ImportanceMark
          :of="importance.of(c.episode)"
          :name="c.title"
          @press="importance.press(c.episode)"
        /><button
          class="btn btn-bare btn-small"
          :aria-label="`Park ${c.title}`"
          @click="dialogs.show({ kind: 'park', episode: c.episode.id })"
        >
          Park…</button
        ><button class="btn btn-small" @click="dialogs.show({ kind: 'place', episode: c.episode.id })">
          Put on a slot
        </button>
      </li>
    </ul>
  </section>
</template>
