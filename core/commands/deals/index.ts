export { dropDeal, keepDeal, type DealFields } from './keep-deal'
export { keepDates } from './keep-dates'
export { noteRead } from './note-read'
