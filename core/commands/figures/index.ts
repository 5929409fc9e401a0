export * from './keep-figures'
