<script setup lang="ts">
import { useCards } from '@app/stores/cards'
import { useDesk } from '@app/stores/desk'
import KeySign from '@app/ui/KeySign.vue'
import { shellKeys } from '../../shell/keymap'

/** Nothing is in work: what to do first. */
const cards = useCards()
const desk = useDesk()
</script>

<template>
  <section class="panel p-6" aria-labelledby="start">
    <h2 id="start" class="text-20 mb-1">
      {{
        cards.ideas.length === 0
          ? 'Nothing is in work yet'
          : `${cards.ideas.length} ${cards.ideas.length === 1 ? 'idea waits' : 'ideas wait'} for a slot`
      }}
    </h2>
    <p class="sub mb-4">
      {{
        cards.ideas.length === 0
          ? 'The steps that are due will stand here, with their minutes. Jot a first idea, then put it on an open frame of the film above.'
          : 'Put one on an open frame of the film above, and its steps get their due dates.'
      }}
    </p>
    <button v-if="cards.ideas.length === 0" class="btn btn-main" @click="desk.toCapture++">
      Jot an idea <KeySign :line="shellKeys.lines.jot" />
    </button>
    <RouterLink v-else to="/ideas" class="btn btn-main">Choose one</RouterLink>
  </section>
</template>
