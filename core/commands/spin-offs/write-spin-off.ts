import { spinLead } from '../../release/spin-offs'
import { sayKind, spinKey } from '../../release/when'
import { readAddress } from '../../release/address'
import { type Id, SpinOff, type SpinOff as Spin } from '../../records'
import { ok, refused } from '../../result'
import { type Command, momentOf, putRecord } from '../change'
import { stepsOf } from '../of-episode'

/** What is written of something made of an episode. */
export type SpinFields = {
  [K in 'title' | 'text' | 'outlet' | 'when' | 'off' | 'address']?: Spin[K] | undefined
}

/**
 * Writes what is made of an episode: title, words, where and when it goes out, whether it is made at all. Its step is due with it. How
 * far it was handed over ends with a change of outlet.
 *
 * Refused:
 * - “This is no longer made of it.” and “This outlet is no longer there.”
 * - what an address, a title or a text refuses
 */
export const writeSpinOff: Command<{ episode: Id; spin: Id; fields: SpinFields }> = (
  records,
  { episode: id, spin: of, fields },
  context,
) => {
  const episode = records.episodes.get(id)
  const old = episode?.spinOffs?.find((s) => s.id === of)
  if (!episode || !old) return refused('This is no longer made of it.', 'episodes.spinOffs')
  if (fields.outlet !== undefined && !records.outlets.has(fields.outlet))
    return refused('This outlet is no longer there.', 'outlets')
  const address = fields.address === undefined ? undefined : readAddress(fields.address)
  if (address && !address.ok) return address
  const said: [string, unknown][] = Object.entries({
    ...old,
    ...fields,
    ...(address ? { address: address.value } : {}),
  })
  const read = SpinOff.safeParse(Object.fromEntries(said.filter(([, v]) => v !== undefined && v !== false)))
  if (!read.success)
    return refused(read.error.issues[0]?.message ?? 'This cannot be kept.', 'episodes.spinOffs')
  const spin = read.data.address === '' ? { ...read.data, address: undefined } : read.data
  const now = momentOf(context)
  const steps = stepsOf(records, id).filter((s) => s.spin === of)
  const lead = spinLead(spin.when)
  const moved = steps.filter((s) => JSON.stringify(s.lead) !== JSON.stringify(lead))
  const [was, is] = [spinKey(old), spinKey(spin)]
  const handed = Object.fromEntries(Object.entries(episode.handed ?? {}).filter(([key]) => key !== was))
  const { address: _none, ...bare } = spin
  const kept = spin.address === undefined ? bare : spin
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        spinOffs: (episode.spinOffs ?? []).map((s) => (s.id === of ? kept : s)),
        ...(was !== is && episode.handed ? { handed } : {}),
        updatedAt: now,
      }),
      ...moved.map((s) => putRecord(records, 'steps', { ...s, lead, updatedAt: now })),
    ],
    sentence:
      fields.off === undefined
        ? `Wrote ${sayKind(spin.kind).toLowerCase()} ${spin.code}`
        : `${sayKind(spin.kind)} ${spin.code} ${fields.off ? 'is not made' : 'is made after all'}`,
    about: [id],
    merge: `spin ${id} ${of} ${Object.keys(fields).join()}`,
  })
}
