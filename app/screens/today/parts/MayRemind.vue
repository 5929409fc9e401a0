<script setup lang="ts">
/** Reminders are asked about once. */
async function remind(on: boolean) {
  const { useReminders } = await import('@app/stores/reminders')
  await useReminders().allow(on)
}
</script>

<template>
  <section class="panel px-4 py-3 flex flex-wrap items-center gap-3" aria-label="Reminders">
    <p class="flex-1 min-w-[240px]">
      Shall Lamp Reel remind you the day before a release that isn’t ready, and of nudges?
    </p>
    <button class="btn" @click="remind(true)">Yes, remind me</button
    ><button class="btn btn-bare" @click="remind(false)">No</button>
  </section>
</template>
