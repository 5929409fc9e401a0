export * from './keep-transcript'
