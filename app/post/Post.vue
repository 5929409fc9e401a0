<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { mailLimits } from '@core/formats/mail'
import { callMailbox } from '@app/data/outbox'
import { filesIn } from '@app/ui/fields/event'

/** The audience's page: a wish, a link, a picture, and who would like to hear of it. */
const line = ref('')
const url = ref('')
const name = ref('')
const mail = ref('')
const tell = ref(false)
const shows = ref<{ id: string; title: string }[]>([])
const show = ref('')
const picture = ref<{ type: string; width: number; height: number; base64: string; name: string }>()
const state = ref<'asking' | 'open' | 'closed' | 'away' | 'sending' | 'sent'>('asking')
const trouble = ref('')
/** The same wish sent twice, after a cut line, is one. */
let id = crypto.randomUUID()

onMounted(async () => {
  const about = await callMailbox('GET', '/about')
  if (about.kind !== 'answered' || typeof about.body !== 'object' || about.body === null) {
    state.value = 'away'
    return
  }
  const { body } = about
  state.value = 'open' in body && body.open === true ? 'open' : 'closed'
  if ('shows' in body && Array.isArray(body.shows))
    shows.value = body.shows.flatMap((s: unknown) =>
      typeof s === 'object' && s !== null && 'id' in s && 'title' in s
        ? [{ id: String(s.id), title: String(s.title) }]
        : [],
    )
  show.value = shows.value[0]?.id ?? ''
})
async function chosen(event: Event) {
  trouble.value = ''
  picture.value = undefined
  const file = filesIn(event)[0]
  if (!file) return
  if (!['image/png', 'image/jpeg', 'image/webp', 'image/gif'].includes(file.type)) {
    trouble.value = 'This is not a picture that can be shown. PNG, JPEG, WebP and GIF are fine.'
    return
  }
  if (file.size > mailLimits.pictureBytes) {
    trouble.value = 'The picture is larger than 1.5 MB. Make it smaller, and choose it again.'
    return
  }
  try {
    const bitmap = await createImageBitmap(file)
    const bytes = new Uint8Array(await file.arrayBuffer())
    let text = ''
    for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192))
    picture.value = {
      type: file.type,
      width: bitmap.width,
      height: bitmap.height,
      base64: btoa(text),
      name: file.name,
    }
  } catch {
    trouble.value = 'The picture cannot be read; it may be damaged.'
  }
}
async function send() {
  trouble.value = ''
  state.value = 'sending'
  const { name: _name, ...image } = picture.value ?? { name: '' }
  const answer = await callMailbox('PUT', `/wishes/${id}`, {
    kind: 'wish',
    line: line.value.trim(),
    url: url.value.trim(),
    show: show.value,
    name: name.value.trim(),
    mail: mail.value.trim(),
    tell: tell.value,
    ...(picture.value ? { picture: image } : {}),
  })
  if (answer.kind === 'answered') {
    state.value = 'sent'
    return
  }
  state.value = 'open'
  trouble.value =
    answer.kind === 'away'
      ? 'Nobody answers at the moment. What you wrote stays here; please try again in a while.'
      : answer.sentence
}
function another() {
  id = crypto.randomUUID()
  line.value = ''
  url.value = ''
  picture.value = undefined
  state.value = 'open'
}
</script>

<template>
  <main class="mx-auto max-w-[560px] px-4 py-8 grid gap-5 content-start min-h-screen">
    <header>
      <h1>Ask for an episode</h1>
      <p v-if="shows.length > 0" class="text-ink-2">{{ shows.map((s) => s.title).join(' and ') }}</p>
    </header>
    <section v-if="state === 'sent'" class="panel p-5 grid gap-3" role="status">
      <h2 class="text-20">It is in the post-box</h2>
      <p class="text-ink-2">
        {{ tell && mail ? 'You will get a mail when there is an episode on it.' : 'Thank you for asking.' }}
      </p>
      <button class="btn justify-self-start" @click="another">Ask for another</button>
    </section>
    <p v-else-if="state === 'closed'" class="panel p-5">
      The post-box is closed at the moment. Please come back another day.
    </p>
    <p v-else-if="state === 'away'" class="panel p-5">
      Nobody answers at the moment. Please try again in a while.
    </p>
    <form v-else-if="state !== 'asking'" class="grid gap-4" @submit.prevent="send">
      <label
        ><span class="label">What would you like to see or hear?</span
        ><textarea
          v-model="line"
          class="field text-16 min-h-[96px]"
          rows="3"
          required
          minlength="3"
          :maxlength="mailLimits.line"
        />
      </label>
      <div v-if="shows.length > 1" class="flex flex-wrap gap-2" role="radiogroup" aria-label="Of which show">
        <button
          v-for="s in shows"
          :key="s.id"
          type="button"
          role="radio"
          class="btn"
          :class="show === s.id ? 'border-ink bg-raised' : ''"
          :aria-checked="show === s.id"
          @click="show = s.id"
        >
          {{ s.title }}
        </button>
      </div>
      <label
        ><span class="label">A link, if there is one</span
        ><input
          v-model="url"
          class="field"
          type="url"
          inputmode="url"
          :maxlength="mailLimits.url"
          placeholder="https://"
      /></label>
      <label
        ><span class="label">A picture, up to 1.5 MB</span
        ><input class="field" type="file" accept="image/png,image/jpeg,image/webp,image/gif" @change="chosen"
      /></label>
      <div class="grid gap-3 sm:grid-cols-2">
        <label
          ><span class="label">Your name, if you like</span
          ><input v-model="name" class="field" autocomplete="name" :maxlength="mailLimits.name" /></label
        ><label
          ><span class="label">Your mail address, if you like</span
          ><input
            v-model="mail"
            class="field"
            type="email"
            autocomplete="email"
            :maxlength="mailLimits.mail"
            :required="tell"
        /></label>
      </div>
      <label class="flex items-center gap-2"
        ><input v-model="tell" type="checkbox" class="tick" /> Tell me when it’s out</label
      >
      <p v-if="trouble" role="alert" class="late">{{ trouble }}</p>
      <button class="btn btn-main min-h-[44px]" :disabled="state === 'sending'">
        {{ state === 'sending' ? 'Sending…' : 'Send the wish' }}
      </button>
      <p class="sub">Name and address go to the maker of the show alone, for this one answer.</p>
    </form>
  </main>
</template>
