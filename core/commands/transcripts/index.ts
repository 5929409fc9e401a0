export * from './keep-transcript'
export * from './take-excerpt'
