<script setup lang="ts">
import { CalendarArrowDown } from '@lucide/vue'
import { useLibrary } from '@app/stores/library'
import { useMail } from '@app/stores/mail'
import { download } from '@app/ui/download'
import Drop from '@app/ui/Drop.vue'

/** The calendar as a file, or at an address to subscribe to. */
const library = useLibrary()
const mail = useMail()
async function calendar() {
  download('lamp-reel.ics', await mail.calendarText(), 'text/calendar')
  library.say('Releases, due dates and work are in lamp-reel.ics. A later file updates the same entries.')
}
async function copyAddress() {
  await navigator.clipboard.writeText(mail.calendarAddress)
  library.say('Copied.')
}
</script>

<template>
  <Drop label="Calendar" wide
    ><template #label><CalendarArrowDown :size="16" aria-hidden="true" /> Calendar</template>
    <div class="grid gap-3">
      <button class="btn justify-self-start" @click="calendar">Calendar file</button>
      <p class="sub">
        Releases with an alarm the day before, due dates, and the work laid on days. A second import updates.
      </p>
      <template v-if="mail.calendarAddress"
        ><p class="break-all"><strong>To subscribe to:</strong> {{ mail.calendarAddress }}</p>
        <p class="flex gap-2">
          <button class="btn btn-small" @click="copyAddress">Copy</button
          ><button class="btn btn-small" @click="mail.publish(true)">A new address, the old one ends</button
          ><button class="btn btn-small" @click="mail.unpublish()">Nobody may subscribe</button>
        </p></template
      ><button v-else class="btn justify-self-start" @click="mail.publish()">
        Give an address to subscribe to
      </button>
    </div></Drop
  >
</template>
