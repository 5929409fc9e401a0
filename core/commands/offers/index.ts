export * from './keep-offer'
