/** What words need whatever they speak of. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
