/** A moment as batches write it, to the second. */
export const iso = (ms: number): string => new Date(ms).toISOString().replace(/\.\d+Z$/, '+00:00')
