/** The tables come as data, not as script: they are parsed faster so, and do not hold up the page's own code. */
import address from 'virtual:fact-tables'
import type { RawTables } from '../state/tables.ts'

export async function loadTables(): Promise<RawTables> {
  const answer = await fetch(address)
  if (!answer.ok) throw new Error(`the tables did not come: ${answer.status}`)
  // Our own build wrote it, and a test holds every row to its schema.
  return (await answer.json()) as RawTables
}
