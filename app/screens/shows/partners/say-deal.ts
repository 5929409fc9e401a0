import { placeWords } from '@core/script/promised'
import type { Deal, Show } from '@core/records'
import { monthName } from '@core/rhythm/days'
import { countWord } from '@core/partners/deal-next'

/** What was agreed, in one line: “One read a month of Tern & Tiller, 45 s, in the first third, till June 2027”. */
export function sayAgreed(deal: Deal, show: Show, today: string): string {
  const { perMonth, reads, seconds, place, to } = deal
  const word = (n: number) => countWord(n).replace(/^./u, (c) => c.toUpperCase())
  const many = perMonth ?? reads
  const till = (day: string) =>
    `till ${monthName(day)}${day.slice(0, 4) === today.slice(0, 4) ? '' : ` ${day.slice(0, 4)}`}`
  return [
    `${word(many)} ${many === 1 ? 'read' : 'reads'}${perMonth === undefined ? '' : ' a month'} in ${show.title}`,
    ...(seconds === undefined ? [] : [`${seconds} s`]),
    ...(place === undefined ? [] : [`in ${placeWords(place).says}`]),
    ...(to === undefined ? [] : [till(to)]),
  ].join(', ')
}
