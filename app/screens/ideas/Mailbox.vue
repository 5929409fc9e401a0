<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { readHandOver, type JottedMail } from '@core/formats/mail'
import { useLibrary } from '@app/stores/library'
import { useMail } from '@app/stores/mail'
import IdeasHead from './IdeasHead.vue'
import { useCodes } from './useCodes'

/** How ideas from the phone and wishes from the audience find their way to the desk. */
const library = useLibrary()
const mail = useMail()
const code = ref<HTMLCanvasElement>()
const video = ref<HTMLVideoElement>()
const base = computed(() => mail.address.addresses[0] ?? location.origin)
const phone = computed(() => `${base.value}/jot${mail.address.key ? `#key=${mail.address.key}` : ''}`)
const post = computed(() => `${base.value}/post`)

async function draw() {
  await nextTick()
  if (!code.value || !mail.address.open) return
  const { toCanvas } = await import('qrcode')
  await toCanvas(code.value, phone.value, { margin: 2, width: 190 })
}
onMounted(() => {
  void mail.look()
  void draw()
})
watch(phone, () => {
  void draw()
})

async function taken(ideas: JottedMail[]) {
  if (ideas.length === 0) {
    library.say('There is no idea in it.', 'refused')
    return
  }
  const fresh = ideas.filter((i) => !library.tables.episodes.has(i.id)).length
  if (await mail.takeHandOver(ideas)) {
    if (fresh === 0) library.say('All of these are here already.')
  }
}
async function file(event: Event) {
  const input = event.target
  const given = input instanceof HTMLInputElement ? input.files?.[0] : undefined
  if (!given || !(input instanceof HTMLInputElement)) return
  const read = readHandOver(await given.text())
  input.value = ''
  if (read.ok) await taken(read.value)
  else library.say(`${given.name}: ${read.problem.sentence}`, 'refused')
}

const { scanning, seen, pictures, scan, stop } = useCodes(video, taken)
async function copy(text: string) {
  await navigator.clipboard.writeText(text)
  library.say('Copied.')
}
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <IdeasHead />
    <p class="mb-4" role="status">
      <template v-if="!mail.mine">This is the demo: it takes no mail meant for your own data.</template
      ><template v-else-if="mail.state === 'there'"
        >The mailbox is within reach; it is looked into every quarter of a minute.<template
          v-if="mail.unreadable > 0"
        >
          {{ mail.unreadable }}
          {{
            mail.unreadable === 1 ? 'file in it is no letter and lies' : 'files in it are no letters and lie'
          }}
          in its folder “unreadable”.</template
        ></template
      ><template v-else-if="mail.state === 'other'"
        ><span class="late">Another desk takes the letters of this mailbox.</span>
        <button class="btn btn-small ml-2" @click="mail.takeOver()">Take them here instead</button></template
      ><template v-else-if="mail.state === 'refused'"
        ><span class="late">{{ mail.says }}</span> Open Lamp Reel with the address that the server printed
        when it started.</template
      ><template v-else>No mailbox answers. All else works; ideas come over as a file or as codes.</template>
      <button v-if="mail.mine" class="btn btn-small ml-2" @click="mail.look()">Look now</button>
    </p>
    <div class="grid grid-cols-1 gap-5 md:grid-cols-2 items-start">
      <section class="panel p-5 grid gap-3" aria-labelledby="phone">
        <h2 id="phone">Ideas from the phone</h2>
        <template v-if="mail.address.open"
          ><div class="flex gap-4 items-start">
            <canvas
              ref="code"
              class="rounded-card"
              role="img"
              aria-label="Code with the phone’s address and key"
            />
            <div class="grid gap-2">
              <p>
                Scan it once with the phone. It opens the page for jotting and keeps the key; from there one
                tap leads to what is due today, the scripts, and the session that runs.
              </p>
              <p class="sub break-all">{{ phone }}</p>
              <button class="btn btn-small justify-self-start" @click="copy(phone)">Copy the address</button>
            </div>
          </div></template
        >
        <template v-else
          ><p>
            The mailbox is for this machine alone. To let the phone in over the home network, start Lamp Reel
            with
          </p>
          <p class="num border border-line rounded-control px-3 py-2 whitespace-normal">
            npm start -- --host 0.0.0.0
          </p>
          <p class="sub">
            A key then guards it, shown here as a code to scan. On this machine,
            <a href="/jot" class="underline underline-offset-2" target="_blank" rel="noopener"
              >the page for jotting</a
            >
            works already.
          </p></template
        >
      </section>
      <section class="panel p-5 grid gap-3" aria-labelledby="post">
        <h2 id="post">Post-box for the audience</h2>
        <p>
          A page on which viewers and listeners ask for episodes: a wish, a link, a picture, and “tell me when
          it’s out”.
        </p>
        <label class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="mail.postOpen"
            :disabled="mail.state !== 'there'"
            @change="mail.tell(!mail.postOpen)"
          />
          The post-box is open</label
        >
        <p v-if="mail.postOpen" class="flex items-center gap-2 min-w-0">
          <a :href="post" target="_blank" rel="noopener" class="truncate underline underline-offset-2">{{
            post
          }}</a><button class="btn btn-small" @click="copy(post)">Copy</button>
        </p>
        <p class="sub">
          Wishes wait among the unsorted ideas, with who asked. At most six in ten minutes from one place;
          text is only ever shown as text.
        </p>
      </section>
      <section class="panel p-5 grid gap-3 md:col-span-2" aria-labelledby="hand">
        <h2 id="hand">Without a server</h2>
        <p>
          The phone keeps ideas until it can hand them over. It can also save them as a file, or show them as
          codes. Whatever comes twice is kept once.
        </p>
        <div class="flex flex-wrap gap-2">
          <label class="btn relative"
            ><input
              type="file"
              class="absolute inset-0 opacity-0 cursor-pointer"
              accept="application/json,.json"
              aria-label="Take a file of ideas"
              @change="file"
            />Take a file of ideas</label
          >
          <button v-if="!scanning" class="btn" @click="scan">Read codes with the camera</button
          ><button v-else class="btn" @click="stop">Stop the camera</button>
          <label class="btn relative"
            ><input
              type="file"
              class="absolute inset-0 opacity-0 cursor-pointer"
              accept="image/*"
              multiple
              aria-label="Read codes from pictures"
              @change="pictures"
            />Read codes from pictures</label
          >
        </div>
        <video v-if="scanning" ref="video" class="w-[320px] rounded-card" muted playsinline />
        <p v-if="seen" role="status">{{ seen }}</p>
      </section>
    </div>
  </div>
</template>
