/** What a new maker finds: formulas that stand as they are, one or more a family, of shapes their doughs are known for. */
import { computeSheet, FAMILIES, formulaSchema, shapesFor, starterBook } from '@harina/core'
import { wholeKitchen as kitchen } from './testing/wholeKitchen.ts'

const book = starterBook(
  kitchen,
  '2026-01-01T10:00:00.000+00:00',
  (() => {
    let n = 0
    return () => `starter-${(n += 1)}`
  })(),
)

it('is a dozen or so, with every family among them, under names and identifiers of their own', () => {
  expect(book.length).toBeGreaterThanOrEqual(12)
  const families = new Set(book.map(({ sheet }) => kitchen.doughs.get(sheet.dough)!.family))
  expect([...families].sort()).toEqual([...FAMILIES].sort())
  for (const all of [book.map(({ id }) => id), book.map(({ sheet }) => sheet.name)])
    expect(new Set(all).size).toBe(all.length)
})

it.each(book.map((formula) => [formula.sheet.name, formula] as const))(
  '%s works out, for its own shape, with nothing to warn of but hands',
  (_, formula) => {
    expect(formulaSchema.safeParse(formula).success).toBe(true)
    const worked = computeSheet(formula.sheet, kitchen)
    if (!worked.ok) throw new Error(worked.problem.code)
    expect(shapesFor(worked.value.dough, [...kitchen.shapes.values()]).map(({ id }) => id)).toContain(
      formula.sheet.shape,
    )
    // A default never draws its own caution: what is left is care, and the scale.
    const warned = worked.value.notes.filter(({ severity }) => severity !== 'note').map(({ code }) => code)
    expect(
      warned.filter((code) => !['alkali-handling', 'scale-coarse', 'never-dry', 'no-gluten'].includes(code)),
    ).toEqual([])
  },
)
