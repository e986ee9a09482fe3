/** Cells of a table that leaves for a spreadsheet. */

/** A spreadsheet must not take a note for a formula. */
export const plainCell = <T>(value: T): T | string =>
  typeof value === 'string' && /^[=+\-@\t\r]/.test(value) ? `'${value}` : value
