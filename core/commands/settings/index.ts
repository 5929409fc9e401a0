export * from './edit-settings'
