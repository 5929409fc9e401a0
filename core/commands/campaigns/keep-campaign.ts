import { Campaign, type Id } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord, removeRecord } from '../change'

/**
 * Keeps a campaign, or changes one: `campaign` is its id where there is one.
 *
 * Refused:
 * - “A campaign needs a name.”, “A campaign ends on or after the day it begins.” and what else its fields refuse
 * - “This launch is no longer there.”
 */
export const keepCampaign: Command<{
  campaign?: Id | undefined
  fields: Omit<Campaign, 'id' | 'createdAt' | 'updatedAt'>
}> = (records, { campaign: id, fields }, context) => {
  if (fields.launch !== undefined && !records.launches.has(fields.launch))
    return refused('This launch is no longer there.', 'campaigns.launch')
  const at = momentOf(context)
  const old = id === undefined ? undefined : records.campaigns.get(id)
  const read = Campaign.safeParse({
    ...fields,
    id: old?.id ?? context.id(),
    createdAt: old?.createdAt ?? at,
    updatedAt: at,
  })
  if (!read.success) return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'campaigns')
  return ok({
    changes: [putRecord(records, 'campaigns', read.data)],
    sentence: `${old ? 'Changed' : 'Kept'} the campaign “${read.data.name}”`,
    about: [],
    merge: `campaign ${read.data.id}`,
  })
}

/**
 * Lets a campaign go.
 *
 * Refused:
 * - “This campaign is no longer there.”
 */
export const dropCampaign: Command<{ campaign: Id }> = (records, { campaign: id }, _context) => {
  const old = records.campaigns.get(id)
  if (!old) return refused('This campaign is no longer there.', 'campaigns')
  return ok({
    changes: [removeRecord(records, 'campaigns', id)],
    sentence: `Let the campaign “${old.name}” go`,
    about: [],
  })
}
