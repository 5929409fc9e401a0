export * from './link-episodes'
