import type { Keymap } from '@app/ui/keymap'
import {
  cueKeys,
  cutKeys,
  episodeKeys,
  findKeys,
  makingKeys,
  noteKeys,
  scriptKeys,
  shotKeys,
  thumbnailKeys,
} from './episode/keymap'
import { catalogueKeys } from './catalogue/keymap'
import { ideasKeys, plotKeys, sortKeys } from './ideas/keymap'
import { countdownKeys, monthKeys, monthsKeys, openSlotsKeys, slotsKeys, workKeys } from './schedule/keymap'
import { releaseKeys, writeKeys } from './release/keymap'
import { readerKeys } from './reader/keymap'
import { sessionKeys, sessionsKeys } from './sessions/keymap'
import { captureKeys, finderKeys, shellKeys, stripKeys } from './shell/keymap'
import { partnersKeys } from './shows/partners/keymap'
import { scoreKeys } from './shows/recipe/keymap'
import { todayKeys } from './today/keymap'
import { weekKeys } from './week/keymap'

/** Every keymap, in the order of the sheet of shortcuts. */
export const keymaps: readonly Keymap[] = [
  shellKeys,
  stripKeys,
  todayKeys,
  ideasKeys,
  sortKeys,
  monthsKeys,
  plotKeys,
  captureKeys,
  finderKeys,
  slotsKeys,
  countdownKeys,
  workKeys,
  monthKeys,
  openSlotsKeys,
  weekKeys,
  sessionsKeys,
  sessionKeys,
  episodeKeys,
  scriptKeys,
  cueKeys,
  findKeys,
  shotKeys,
  cutKeys,
  noteKeys,
  thumbnailKeys,
  makingKeys,
  releaseKeys,
  writeKeys,
  catalogueKeys,
  readerKeys,
  scoreKeys,
  partnersKeys,
]
