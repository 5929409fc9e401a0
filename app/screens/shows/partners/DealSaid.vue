<script setup lang="ts">
import { computed } from 'vue'
import { readAsked } from '@core/partners/deal-of'
import type { DealRead } from '@core/partners/deal-reads'
import type { Deal } from '@core/records'
import { placeWords } from '@core/script/promised'
import { sayTime } from '@core/script/timecode'

/** Where a read was said on its running time, beside where it was asked, and what became of its fee. */
const { read, deal } = defineProps<{ read: DealRead; deal: Deal }>()
const fees = { none: 'no fee', 'to come': '', due: 'due', 'on an invoice': 'invoiced', paid: 'paid' }
const place = computed(() => {
  const asked = readAsked(read.episode, deal)?.place
  return asked && placeWords(asked)
})
const share = computed(() =>
  read.at && read.at.whole > 0 ? Math.min(1, read.at.from / read.at.whole) : undefined,
)
</script>

<template>
  <div v-if="read.at" class="said" :class="{ fails: read.standing === 'fails' }">
    <span v-if="share !== undefined" class="track" aria-hidden="true"
      ><span
        v-if="place"
        class="asked"
        :style="{ left: `${100 * place.from}%`, width: `${100 * (place.to - place.from)}%` }" /><span
        class="mark"
        :style="{ left: `${100 * share}%` }" /></span
    ><span class="num text-11">{{ sayTime(read.at.from) }}</span
    ><span class="text-11 text-ink-2">{{ fees[read.fee] }}</span>
  </div>
</template>

<style scoped>
.said {
  display: grid;
  gap: 1px;
}
.said.fails .num {
  color: var(--rose);
}
.track {
  position: relative;
  height: 5px;
  margin: 3px 0;
  background: var(--faint);
  border-radius: 2px;
}
.asked {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--ring);
  border-radius: 2px;
}
.mark {
  position: absolute;
  top: -3px;
  width: 4px;
  height: 11px;
  margin-left: -2px;
  border-radius: 1px;
  background: var(--ink);
}
.fails .mark {
  background: var(--rose);
}
</style>
