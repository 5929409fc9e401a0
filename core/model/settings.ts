import { z } from 'zod'
import { Day, stamps } from './basics'

const dayMinutes = z.number().int().min(0, 'Hours cannot be below nothing.').max(1440, 'A day has 24 hours.')

/** The one settings record, id `settings`. Hours are minutes per weekday, Monday first. */
export const Settings = z.object({
  id: z.literal('settings'),
  hours: z.array(dayMinutes).length(7, 'A week has seven days.'),
  daysOff: z.array(Day),
  theme: z.enum(['booth', 'daylight', 'system']),
  ...stamps,
})
export type Settings = z.infer<typeof Settings>
