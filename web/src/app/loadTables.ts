/** The tables come as data, not as script: they are parsed faster so, and do not hold up the page's own code. */
import doughsUrl from '@harina/facts/doughs.json?url&no-inline'
import ingredientsUrl from '@harina/facts/ingredients.json?url&no-inline'
import schoolsUrl from '@harina/facts/schools.json?url&no-inline'
import pressesUrl from '@harina/facts/presses.json?url&no-inline'
import saucesUrl from '@harina/facts/sauces.json?url&no-inline'
import shapesUrl from '@harina/facts/shapes.json?url&no-inline'
import troublesUrl from '@harina/facts/troubles.json?url&no-inline'
import type { RawTables } from '../state/tables.ts'

async function read<K extends keyof RawTables>(url: string): Promise<RawTables[K]> {
  const answer = await fetch(url)
  if (!answer.ok) throw new Error(`a table did not come: ${answer.status}`)
  // Our own build wrote it, and a test holds every row to its schema.
  return (await answer.json()) as RawTables[K]
}

export async function loadTables(): Promise<RawTables> {
  const [ingredients, doughs, shapes, schools, sauces, presses, troubles] = await Promise.all([
    read<'ingredients'>(ingredientsUrl),
    read<'doughs'>(doughsUrl),
    read<'shapes'>(shapesUrl),
    read<'schools'>(schoolsUrl),
    read<'sauces'>(saucesUrl),
    read<'presses'>(pressesUrl),
    read<'troubles'>(troublesUrl),
  ])
  return { ingredients, doughs, shapes, schools, sauces, presses, troubles }
}
