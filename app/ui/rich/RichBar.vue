<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { Editor } from '@tiptap/vue-3'
import { Bold, Heading, Image, Link, List, ListChecks } from '@lucide/vue'
import { filesIn } from '../fields/event'

/** What can be made of the words at the cursor: a heading, bold, a list, ticks, a link; a picture beside them. */
const { editor } = defineProps<{ editor: Editor }>()
const emit = defineEmits<{ pictures: [files: File[]] }>()
const marks = computed(() => [
  {
    name: 'Heading',
    icon: Heading,
    on: editor.isActive('heading'),
    act: () => editor.chain().focus().toggleHeading({ level: 2 }).run(),
  },
  {
    name: 'Bold',
    icon: Bold,
    on: editor.isActive('bold'),
    act: () => editor.chain().focus().toggleBold().run(),
  },
  {
    name: 'List',
    icon: List,
    on: editor.isActive('bulletList'),
    act: () => editor.chain().focus().toggleBulletList().run(),
  },
  {
    name: 'Things to tick',
    icon: ListChecks,
    on: editor.isActive('taskList'),
    act: () => editor.chain().focus().toggleTaskList().run(),
  },
])
/** The address being typed for a link; undefined while none is. */
const address = ref<string>()
const field = useTemplateRef<HTMLInputElement>('field')
async function link() {
  const now: unknown = editor.getAttributes('link')['href']
  address.value = typeof now === 'string' ? now : ''
  await nextTick()
  field.value?.focus()
}
function linked() {
  const typed = (address.value ?? '').trim()
  address.value = undefined
  const at = editor.chain().focus().extendMarkRange('link')
  if (typed === '') at.unsetLink().run()
  else {
    const href = /^(https?:|mailto:)/i.test(typed) ? typed : `https://${typed}`
    if (editor.state.selection.empty && !editor.isActive('link'))
      editor
        .chain()
        .focus()
        .insertContent({ type: 'text', text: typed, marks: [{ type: 'link', attrs: { href } }] })
        .run()
    else at.setLink({ href }).run()
  }
}
</script>

<template>
  <div role="toolbar" aria-label="Formatting" class="flex flex-wrap items-center gap-0.5 -ml-1.5">
    <button
      v-for="m in marks"
      :key="m.name"
      type="button"
      class="btn btn-bare btn-small px-1.5"
      :class="m.on ? 'text-lamp-text' : ''"
      :aria-label="m.name"
      :title="m.name"
      :aria-pressed="m.on"
      @click="m.act"
    >
      <component :is="m.icon" :size="15" />
    </button>
    <button type="button" class="btn btn-bare btn-small px-1.5" aria-label="Link" title="Link" @click="link">
      <Link :size="15" /></button
    ><label class="btn btn-bare btn-small px-1.5 relative" title="Picture"
      ><input
        type="file"
        accept="image/*"
        multiple
        class="absolute inset-0 opacity-0 cursor-pointer"
        aria-label="Put a picture in"
        @change="emit('pictures', filesIn($event))" /><Image :size="15"
    /></label>
    <form v-if="address !== undefined" class="flex gap-1 flex-1 min-w-[180px]" @submit.prevent="linked">
      <input
        ref="field"
        v-model="address"
        class="field field-small"
        aria-label="Address of the link"
        placeholder="https://"
        @keydown.esc.stop.prevent="address = undefined"
      /><button class="btn btn-small">Set</button>
    </form>
  </div>
</template>
