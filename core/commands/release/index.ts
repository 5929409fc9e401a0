export * from './fix-number'
export * from './mark-all-released'
export * from './mark-released'
