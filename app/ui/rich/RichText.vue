<script setup lang="ts">
import { onBeforeUnmount, watch } from 'vue'
import { useDebounceFn, useEventListener } from '@vueuse/core'
import { EditorContent, useEditor } from '@tiptap/vue-3'
import StarterKit from '@tiptap/starter-kit'
import { TaskItem, TaskList } from '@tiptap/extension-list'
import { Placeholder } from '@tiptap/extensions'
import { Markdown } from '@tiptap/markdown'
import RichBar from './RichBar.vue'
import { keptPicture, keptScheme, type ShowPicture } from './kept-picture'
import { ticksInLists } from './ticks-in-lists'
import { Echoes } from './echoes'
import { looksLikeMarkdown, plainBreaks } from './markdown'
import './rich.css'

/**
 * A text with headings, lists, ticks, links and pictures; Markdown in and out. It is given when typing
 * rests, when it is left, and when the page is.
 */
const text = defineModel<string>({ required: true })
const { label, placeholder, showPicture, keepPicture } = defineProps<{
  label: string
  placeholder: string
  showPicture: ShowPicture
  /** Keeps a picture that was pasted, dropped or chosen; gives its id and name, or nothing when refused. */
  keepPicture: (file: File) => Promise<{ id: string; name: string } | undefined>
}>()
/** What was given comes back a moment later and changes nothing here. */
const echoes = new Echoes(text.value)

const editor = useEditor({
  injectCSS: false,
  extensions: [
    StarterKit.configure({
      heading: { levels: [1, 2, 3] },
      link: { openOnClick: true, defaultProtocol: 'https', protocols: ['http', 'https', 'mailto'] },
    }),
    TaskList,
    TaskItem.configure({
      nested: true,
      a11y: { checkboxLabel: (node) => `Done: ${node.textContent}` },
    }),
    ticksInLists,
    keptPicture(showPicture),
    Placeholder.configure({ placeholder }),
    Markdown.configure({ markedOptions: { breaks: true, gfm: true } }),
  ],
  content: text.value,
  contentType: 'markdown',
  editorProps: {
    attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': label, class: 'rich' },
    handlePaste: (_view, event) => {
      const files = [...(event.clipboardData?.files ?? [])].filter((f) => f.type.startsWith('image/'))
      if (files.length > 0) {
        void put(files)
        return true
      }
      const plain = event.clipboardData?.getData('text/plain') ?? ''
      if (event.clipboardData?.types.includes('text/html') || !looksLikeMarkdown(plain)) return false
      insert(plain)
      return true
    },
    handleDrop: (_view, event) => {
      const files = [...(event.dataTransfer?.files ?? [])].filter((f) => f.type.startsWith('image/'))
      if (files.length === 0) return false
      event.preventDefault()
      event.stopPropagation()
      void put(files)
      return true
    },
  },
  onUpdate: () => {
    isPending = true
    void rested()
  },
  onBlur: () => {
    give()
  },
})
let isPending = false
function give() {
  if (!isPending || !editor.value) return
  isPending = false
  const given = plainBreaks(editor.value.getMarkdown())
  echoes.gave(given)
  text.value = given
}
const rested = useDebounceFn(give, 250, { maxWait: 1500 })
useEventListener(window, 'pagehide', give)
useEventListener(document, 'visibilitychange', give)
onBeforeUnmount(give)
watch(text, (now) => {
  // What is being typed here is not taken away by what another tab wrote; it is given when typing rests.
  if (echoes.isEcho(now) || isPending) return
  echoes.took(now)
  editor.value?.commands.setContent(now, { contentType: 'markdown', emitUpdate: false })
})

function insert(markdown: string) {
  editor.value?.chain().focus().insertContent(markdown, { contentType: 'markdown' }).run()
}
async function put(files: Iterable<File>) {
  for (const file of files) {
    const kept = await keepPicture(file)
    if (kept)
      editor.value
        ?.chain()
        .focus()
        .setImage({ src: keptScheme + kept.id, alt: kept.name })
        .run()
  }
}
defineExpose({
  focus: () => editor.value?.commands.focus('end'),
  /** Puts Markdown at the end. */
  append: (markdown: string) => {
    editor.value?.commands.focus('end')
    insert(`\n\n${markdown}`)
    give()
  },
})
</script>

<template>
  <div class="grid gap-1">
    <RichBar v-if="editor" :editor="editor" @pictures="put" />
    <EditorContent :editor="editor" />
  </div>
</template>
