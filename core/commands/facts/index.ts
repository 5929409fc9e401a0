export { lookedAt, noteFact } from './note-fact'
