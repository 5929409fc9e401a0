import Papa from 'papaparse'
import type { Zone } from '../records'
import type { Going } from '../release/moves'
import { thingName } from '../release/when'
import { localAt } from '../rhythm/zone'
import { guarded } from './formula'

const columns = ['Outlet', 'Date', 'Time', 'Number', 'What', 'Title', 'Description', 'Tags', 'Links', 'Lacks']

/**
 * Several things that go out as a table, a row each in the order given, for whoever posts them in one sitting; times are
 * local. CSV (RFC 4180); cells that a table would take for a formula are guarded.
 */
export function batchTable(things: readonly Going[], zone: Zone): string {
  const data = things.map((thing) => {
    const { day, time } = localAt(thing.at, zone)
    const text = (field: string) => thing.parts.find((p) => p.field === field)?.text ?? ''
    return [
      thing.outlet.name,
      day,
      time,
      thing.card.number,
      thingName(thing) || 'episode',
      text('title') || thing.card.title,
      text('description'),
      text('tags'),
      text('links'),
      thing.lacking.map((p) => p.name.toLowerCase()).join(', '),
    ].map(guarded)
  })
  return `${Papa.unparse({ fields: columns, data })}\r\n`
}
