import { inCents, sayMoney } from '../partners/money'
import type { DealView } from '../partners/deal-view'
import { statementSums, type StatementRow } from '../partners/statement'
import { sayDay } from '../rhythm/days'
import { sayTime } from '../script/timecode'
import { chartCsv } from './chart-csv'

const columns = [
  'Number',
  'Title',
  'Out on',
  'Said at, s',
  'Length, s',
  'Counts',
  'Why not',
  'Address',
  'Views',
  'Views counted on',
  'Fee',
  'Fee is',
  'On an invoice of',
  'Paid on',
] as const

const rounded = (n: number | undefined) => (n === undefined ? undefined : Math.round(n * 10) / 10)

/** A deal's statement as CSV (RFC 4180), a row a read. */
export function statementCsv(rows: readonly StatementRow[]): string {
  return chartCsv(
    columns,
    rows.map((r) => [
      ...[r.number, r.title, r.day, rounded(r.at), rounded(r.seconds), r.counts, r.why, r.address],
      ...[r.views, r.viewsOn, r.fee, r.feeIs, r.invoiced, r.paid],
    ]),
  )
}

const escapes: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
const html = (text: string) => text.replace(/[&<>"]/g, (c) => escapes[c] ?? c)
const cells = (tag: 'td' | 'th', row: readonly string[]) =>
  `<tr>${row.map((c) => `<${tag}>${html(c)}</${tag}>`).join('')}</tr>`
const table = (head: readonly string[], rows: readonly (readonly string[])[]) =>
  `<table><thead>${cells('th', head)}</thead><tbody>${rows.map((r) => cells('td', r)).join('\n')}</tbody></table>`

/** A deal's statement as a page to print: what was promised and delivered, each read with its proof, and the sums by month. */
export function statementPage(
  view: DealView,
  rows: readonly StatementRow[],
  currency: string,
  today: string,
): string {
  const { deal, show, delivered } = view
  const money = (n: number) => (inCents(n) === 0 ? '' : sayMoney(n, currency))
  const reads = rows.map((r) => [
    r.number,
    r.title,
    r.day === '' ? 'no date yet' : sayDay(r.day, today),
    r.at === undefined ? '' : sayTime(r.at),
    r.seconds === undefined ? '' : sayTime(r.seconds),
    r.counts === 'no' ? `no: ${r.why}` : r.counts,
    r.views === undefined ? '' : `${r.views}${r.viewsOn === '' ? '' : ` on ${sayDay(r.viewsOn, today)}`}`,
    r.address,
    r.fee === 0 ? '' : `${money(r.fee)}, ${r.feeIs}`,
  ])
  const months = statementSums(rows, 'month').map((s) => [
    s.of,
    String(s.delivered),
    money(s.paid),
    money(s.open),
  ])
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>${html(`${deal.sponsor}, ${show.title}`)}</title>
<style>body{font:14px/1.5 sans-serif;max-width:1000px;margin:32px auto;padding:0 16px}table{border-collapse:collapse;margin:16px 0;width:100%}th,td{text-align:left;vertical-align:top;padding:4px 10px 4px 0;border-bottom:1px solid #ccc}</style>
</head><body>
<h1>${html(deal.sponsor)}</h1>
<p>${html(show.title)}, as of ${html(sayDay(today))} ${today.slice(0, 4)}. ${delivered} of ${deal.reads} reads delivered.</p>
${table(['Number', 'Episode', 'Out on', 'Said at', 'Length', 'Counts', 'Views', 'Address', 'Fee'], reads)}
<h2>By month</h2>
${table(['Month', 'Delivered', 'Paid', 'Open'], months)}
</body></html>
`
}
