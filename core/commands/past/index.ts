export * from './take-past'
