export * from './begin-cut'
export * from './note-on-cut'
export * from './keep-cut'
export * from './close-round'
