import type { Id } from '../../records'
import type { Command } from '../change'
import { over } from './changed-step'

/** Changes a step's own estimate in minutes. */
export const estimateStep: Command<{ step: Id; minutes: number }> = (records, { step, minutes }, context) =>
  over(
    records,
    step,
    (s) => ({ ...s, minutes }),
    context,
    (s) => `${s.name}: ${minutes} min`,
  )
