import type { Day, Material } from '@core/records'
import { addDays } from '@core/rhythm/days'

/** Something that an episode of the demo needs; days from today. */
type Needed = Omit<Material, 'id' | 'expected' | 'required'> & { in?: number; required?: true }

const needed: Readonly<Record<string, readonly Needed[]>> = {
  'Why my keel bolts wept rust': [
    {
      what: 'Bronze bolts, M20, six of them',
      stand: 'here',
      price: 138,
      supplier: 'The chandlery on the quay',
    },
    { what: 'Grease that stands salt water', stand: 'here', price: 9.8 },
  ],
  'Cutting a spar from a storm pine': [
    { what: 'Pine trunk, six metres', stand: 'here', price: 60, supplier: 'The forester', required: true },
    { what: 'Chalk for the line, blue', stand: 'here', price: 3.2 },
    { what: 'Two trestles, lent by Bruno', stand: 'wanted', supplier: 'Bruno' },
    {
      what: 'Drawknife blade, reground',
      stand: 'ordered',
      price: 18,
      in: 5,
      supplier: 'The smith in Alder Quay',
    },
  ],
  'Caulking, the quiet skill': [
    { what: 'Caulking cotton, two kilos', stand: 'ordered', price: 31.5, in: 6, required: true },
    { what: 'Seam putty', stand: 'wanted', price: 14 },
  ],
}

/** What the demo’s episode of a title needs, as of a day; nothing for most. */
export function materialsOf(title: string, id: string, today: Day): Material[] | undefined {
  return needed[title]?.map(({ in: days, required = false, ...m }, i) => ({
    id: `${id}/m${i}`,
    required,
    ...m,
    ...(days === undefined ? {} : { expected: addDays(today, days) }),
  }))
}
