import type { Settings } from '../../records'
import { ok } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { todayOf } from '../step-of'
import { freshSettings } from './fresh-settings'
import { lostOn } from './lost-days'

/** Changes hours, days off or the theme. */
export const editSettings: Command<
  Partial<
    Pick<
      Settings,
      | 'hours'
      | 'daysOff'
      | 'exceptions'
      | 'setup'
      | 'preferred'
      | 'monthly'
      | 'theme'
      | 'weights'
      | 'views'
      | 'workViews'
      | 'away'
      | 'nudgeAfter'
      | 'currency'
      | 'messages'
    >
  >
> = (records, fields, context) => {
  const at = momentOf(context)
  const settings = records.settings.get('settings') ?? freshSettings(at)
  const what =
    fields.theme !== undefined
      ? 'the theme'
      : fields.daysOff !== undefined
        ? 'the days off'
        : fields.exceptions !== undefined
          ? 'the hours of a day'
          : [fields.setup, fields.preferred, fields.monthly].some((f) => f !== undefined)
            ? 'how work is batched'
            : fields.currency !== undefined
              ? 'the currency'
              : fields.nudgeAfter !== undefined
                ? 'when a nudge is due'
                : fields.weights !== undefined
                  ? 'what weighs in choosing ideas'
                  : fields.views !== undefined || fields.workViews !== undefined
                    ? 'the views'
                    : fields.messages !== undefined
                      ? 'the words of a message'
                      : fields.away !== undefined
                        ? 'when guests are not free'
                        : 'the hours of the week'
  const { daysOff } = fields
  const lost = daysOff && {
    lostOn: lostOn(
      settings,
      {
        lost: daysOff.filter((d) => !settings.daysOff.includes(d)),
        given: settings.daysOff.filter((d) => !daysOff.includes(d)),
      },
      todayOf(records, context),
    ),
  }
  return ok({
    changes: [putRecord(records, 'settings', { ...settings, ...fields, ...lost, updatedAt: at })],
    sentence: `Changed ${what}`,
    about: [],
    merge: `settings ${Object.keys(fields).join()}`,
  })
}
