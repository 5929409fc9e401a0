export * from './busy'
export * from './mark-standing'
export * from './put-standing'
