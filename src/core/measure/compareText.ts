/** Instants and ids as they are written sort as they stand; thousands of them are sorted for a page. */
export const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)
