<script setup lang="ts">
import { useDesk } from '@app/stores/desk'
import Sheet from '@app/ui/Sheet.vue'
import { places } from '../registry'

const desk = useDesk()
const groups = [
  {
    name: 'Everywhere',
    keys: [
      ['I', 'jot an idea'],
      ['/', 'find or do'],
      [`1 to ${places.length}`, places.map((p) => p.title).join(', ')],
      ['0', 'the strip back to now'],
      ['L', 'the next late thing, why, and what mends it'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'do again'],
      ['?', 'this sheet'],
    ],
  },
  {
    name: 'Strip',
    keys: [
      ['← →', 'from frame to frame'],
      ['↑ ↓', 'to the other show'],
      ['Enter', 'open it, or choose an idea for it'],
      ['Home', 'back to now'],
    ],
  },
  {
    name: 'Today',
    keys: [
      ['Enter', 'go to the next step'],
      ['T', 'start it, or stop what runs'],
      ['− = +', 'done: shorter, as planned, longer'],
      ['Y', 'yes, it is out'],
    ],
  },
  {
    name: 'Ideas',
    keys: [
      ['↑ ↓', 'from idea to idea'],
      ['Alt ↑ ↓', 'move it in your order'],
      ['E', 'its own page'],
      ['X', 'choose it, Shift for all between'],
      ['A', 'choose all, or none'],
      ['P', 'put it on a slot'],
      ['S', 'start it without a slot'],
      ['N G D', 'next, promising, some day'],
      ['R', 'rest four weeks'],
      ['Delete', 'let it go'],
    ],
  },
  {
    name: 'Sort',
    keys: [
      ['N G D L', 'next, promising, some day, let go'],
      ['R', 'rest four weeks'],
      ['M', 'merge into the one beside it'],
      ['T', 'add a line'],
      ['→', 'pass over'],
      ['Z', 'take back'],
    ],
  },
  {
    name: 'Jotting',
    keys: [
      ['→', 'take the first topic that fits'],
      ['↓', 'the other show'],
    ],
  },
  { name: 'Slots', keys: [['Alt ↑ ↓', 'to the slot before, the slot after']] },
  {
    name: 'Countdown',
    keys: [
      ['← →', 'to the slot before, the slot after'],
      ['↑ ↓', 'open a stage again, finish one'],
      ['Enter', 'why, and what if'],
    ],
  },
  {
    name: 'Week',
    keys: [
      ['↑ ↓', 'from block to block'],
      ['Alt ↑ ↓', 'a day earlier, a day later'],
      ['Alt ← →', 'earlier, later in the day'],
      ['J', 'join its pieces'],
      ['P', 'pin it, or let it go'],
      ['S', 'split it'],
      ['Delete', 'back to the plan'],
      ['T', 'start or stop it'],
      ['Enter', 'go to it'],
    ],
  },
  {
    name: 'Episode',
    keys: [
      ['[ and ]', 'the stage before, the stage after'],
      ['H', 'its history'],
    ],
  },
  {
    name: 'Script',
    keys: [
      ['Enter', 'a new beat'],
      ['Alt V', 'to camera or voice-over'],
      ['Alt S', 'note a shot'],
      ['Alt ↑ ↓', 'move the beat'],
    ],
  },
]
</script>

<template>
  <Sheet :open="true" title="Shortcuts" wide @close="desk.shortcuts = false">
    <div class="grid grid-cols-1 gap-x-8 gap-y-5 sm:grid-cols-2">
      <section v-for="g in groups" :key="g.name">
        <h3 class="text-14 mb-1.5">{{ g.name }}</h3>
        <dl class="grid grid-cols-[120px_1fr] gap-y-1.5 text-12">
          <template v-for="[key, what] in g.keys" :key="key"
            ><dt>
              <span class="key">{{ key }}</span>
            </dt>
            <dd class="text-ink-2">{{ what }}</dd></template
          >
        </dl>
      </section>
    </div>
  </Sheet>
</template>
