export { dropPerson, keepPerson, type PersonFields } from './keep-person'
export { mergePeople } from './merge-people'
export { takeCards } from './take-cards'
export { bookGuest, noteVisit, unbookGuest, type VisitNote } from './visit'
