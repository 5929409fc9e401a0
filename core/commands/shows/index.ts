export * from './add-show'
export * from './change-rhythm'
export * from './edit-outlet'
export * from './edit-show'
