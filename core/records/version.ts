/** The version of the records' schema that this program writes. */
export const schemaVersion = 10
