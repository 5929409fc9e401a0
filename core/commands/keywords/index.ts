export * from './add-keyword'
export * from './edit-keyword'
export * from './import-keywords'
export * from './remove-keyword'
