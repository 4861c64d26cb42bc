import { format } from 'date-fns'

const known = new Map<string, string>()

/** A day in all the words it may be looked for by. Put into words once a day: a long log holds many batches of one. */
export function dayWords(atMs: number): string {
  const day = new Date(atMs).toDateString()
  const words = known.get(day) ?? format(atMs, 'd MMMM yyyy EEEE').toLowerCase()
  known.set(day, words)
  return words
}
