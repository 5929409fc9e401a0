import { schemaVersion } from '@core/records/version'

/** The store's own version: it rises when tables or indices come. */
export const storeVersion = Math.max(4, schemaVersion)

/** The same as the browser counts it: Dexie leaves room for nine between two. */
export const versionInBrowser = storeVersion * 10
