/** The formula book: what keeping, copying and looking up do to its entries. */
import { type Formula, MAX_VERSIONS, type Sheet } from '../model/index.ts'

/** The entry once a sheet is kept: what stood there becomes its newest version; the oldest makes room. */
export function keptFormula(before: Formula | null, sheet: Sheet, now: string, newId: () => string): Formula {
  if (!before) return { id: newId(), sheet, tags: [], archived: false, versions: [], createdAt: now, updatedAt: now }
  const versions = [...before.versions, { at: before.updatedAt, sheet: before.sheet }].slice(-MAX_VERSIONS)
  return { ...before, sheet, archived: false, versions, updatedAt: now }
}

/** A copy that begins a history of its own, under a name no entry has. */
export function copiedFormula(formula: Formula, taken: readonly string[], now: string, newId: () => string): Formula {
  const stem = formula.sheet.name.slice(0, 100)
  let name = `${stem}, copy`
  for (let n = 2; taken.includes(name); n += 1) name = `${stem}, copy ${n}`
  return {
    ...formula,
    id: newId(),
    sheet: { ...formula.sheet, name },
    archived: false,
    versions: [],
    createdAt: now,
    updatedAt: now,
  }
}

export interface BookQuery {
  readonly words: string
  readonly family: string | null
  readonly shape: string | null
  readonly tag: string | null
  readonly archived: boolean
}

interface Named {
  familyOf(sheet: Sheet): string
  /** Dough, shape and ingredients in words, for the search. */
  namesOf(sheet: Sheet): string
}

/** Entries that match every word and every filter, by name. */
export function findFormulas(formulas: readonly Formula[], query: BookQuery, named: Named): readonly Formula[] {
  const words = query.words.toLowerCase().split(/\s+/).filter(Boolean)
  const holds = ({ sheet, tags }: Formula) => {
    const text = [sheet.name, sheet.note, named.namesOf(sheet), ...tags].join(' ').toLowerCase()
    return words.every((word) => text.includes(word))
  }
  return formulas
    .filter(
      (formula) =>
        formula.archived === query.archived &&
        (query.family === null || named.familyOf(formula.sheet) === query.family) &&
        (query.shape === null || formula.sheet.shape === query.shape) &&
        (query.tag === null || formula.tags.includes(query.tag)) &&
        holds(formula),
    )
    .sort((a, b) => a.sheet.name.localeCompare(b.sheet.name))
}
