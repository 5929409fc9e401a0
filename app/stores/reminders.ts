import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import { remindersOf } from '@core/plan/reminders'
import { momentAt } from '@core/rhythm/zone'
import { useCards } from './cards'
import { useMoment } from './moment'
import { useDesk } from './desk'
import { useLibrary } from './library'

const keys = { wish: 'lamp-reel.remind', done: 'lamp-reel.reminded' }

function read(key: string): string | undefined {
  try {
    return localStorage.getItem(key) ?? undefined
  } catch {
    return undefined
  }
}
function keep(key: string, value: string): void {
  try {
    localStorage.setItem(key, value)
  } catch {
    /* it then lasts as long as the page */
  }
}

/** Reminders as the browser's own notifications: asked for once, each thing said once, by one tab. */
export const useReminders = defineStore('reminders', () => {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const desk = useDesk()
  const can = typeof Notification !== 'undefined'
  const permission = ref(can ? Notification.permission : 'denied')
  const wish = ref<'on' | 'off' | 'unasked'>(
    read(keys.wish) === 'on' ? 'on' : read(keys.wish) === 'off' ? 'off' : 'unasked',
  )
  watch(
    wish,
    (value) => {
      desk.mayRemind = can && value === 'unasked' && permission.value !== 'denied'
    },
    { immediate: true },
  )

  async function allow(on: boolean): Promise<void> {
    if (!on) {
      wish.value = 'off'
      keep(keys.wish, 'off')
      return
    }
    if (!can) {
      library.say('This browser has no notifications. The calendar file has alarms too.', 'refused')
      return
    }
    permission.value =
      Notification.permission === 'default' ? await Notification.requestPermission() : Notification.permission
    wish.value = permission.value === 'granted' ? 'on' : 'off'
    keep(keys.wish, wish.value)
    if (wish.value === 'off')
      library.say(
        'The browser does not allow notifications here. Allow them in its settings for this page, then turn them on again.',
        'refused',
      )
    else look()
  }

  function look(): void {
    if (wish.value !== 'on' || !can || Notification.permission !== 'granted' || library.state !== 'open')
      return
    const due = remindersOf({
      now: moment.now,
      today: moment.today,
      releases: cards.placed.flatMap((c) =>
        c.standing.release
          ? [
              {
                id: c.episode.id,
                number: c.number,
                title: c.title,
                at: c.standing.release.at,
                time: c.standing.release.time,
                ready: c.standing.ready,
                missing: c.standing.missing.length,
              },
            ]
          : [],
      ),
      times: cards.withWork.flatMap((c) =>
        c.steps.flatMap((s) =>
          s.doneAt === undefined
            ? s.blocks.flatMap((b) =>
                b.at === undefined || b.day !== moment.today
                  ? []
                  : [
                      {
                        id: s.id,
                        name: s.name,
                        about: `${c.number} ${c.title}`,
                        at: momentAt(b.day, b.at, c.show.zone),
                        time: b.at,
                      },
                    ],
              )
            : [],
        ),
      ),
      waiting: cards.withWork.flatMap((c) =>
        c.steps.flatMap((s) =>
          s.waiting && s.doneAt === undefined
            ? [
                {
                  id: s.id,
                  who: s.waiting.who,
                  what: s.waiting.what || s.name,
                  about: `${c.number} ${c.title}`,
                  since: s.waiting.since,
                  after: s.waiting.nudge ?? moment.settings.nudgeAfter ?? 4,
                },
              ]
            : [],
        ),
      ),
    })
    const said = new Set((read(keys.done) ?? '').split('\n'))
    const fresh = due.filter((r) => !said.has(r.key))
    if (fresh.length === 0) return
    keep(keys.done, [...said, ...fresh.map((r) => r.key)].slice(-300).join('\n'))
    for (const r of fresh) {
      const shown = new Notification(r.title, { body: r.body, tag: r.key, icon: '/icon-192.png' })
      shown.addEventListener('click', () => {
        window.focus()
        shown.close()
      })
    }
  }
  /** Looks every minute from now on. */
  function start(): void {
    watch(
      () => moment.minute,
      () => {
        look()
      },
      { immediate: true },
    )
  }

  return { can, wish, permission, allow, look, start }
})
