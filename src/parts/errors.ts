/** How long a message stands, seconds: long enough to be read at leisure. */
export const readingTime = (text: string): number => Math.max(4, Math.min(20, text.length / 11))
