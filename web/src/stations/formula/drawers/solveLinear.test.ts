/**
 * @jest-environment node
 *
 * The solver that ships, against every blend of a fine grid: never worse, and never outside what was asked.
 */
import { blendProgramme, needsOf, proposeBlend, sacksOf, type BlendRequest } from '@harina/core'
import { ingredientTable } from '@harina/core/model'
import { doughs, ingredients, shapes } from '@harina/facts'
import { demoWorkspace } from '#web/testing/demoWorkspace.ts'
import { solveLinear as solve } from './solveLinear.ts'

const { lots } = demoWorkspace
const table = ingredientTable(ingredients)
const dough = doughs.find((each) => each.id === 'sw-hand')!
const shape = shapes.find((each) => each.doughs.some((entry) => entry.dough === dough.id))!
const request = (count: number, flourG: number): BlendRequest => ({
  sacks: sacksOf(lots, table).slice(0, count),
  flourG,
  dough,
  needs: needsOf(dough, shape, table),
  aim: 'cheapest',
})

/** Every blend of three sacks in steps of half a percent that the programme allows, at its price. */
function* grid(asked: BlendRequest): Generator<number> {
  const programme = blendProgramme(asked)
  for (let a = 0; a <= 100; a += 0.5)
    for (let b = 0; a + b <= 100; b += 0.5) {
      const x: Record<string, number> = { x0: a, x1: b, x2: 100 - a - b }
      const fits =
        programme.upTo.every(({ name, max }) => (x[name] ?? 0) <= max + 1e-9) &&
        programme.rows.every(({ terms, is, value }) => {
          const left = terms.reduce((sum, term) => sum + term.factor * (x[term.name] ?? 0), 0) - value
          return is === '=' ? Math.abs(left) < 1e-9 : is === '>=' ? left > -1e-9 : left < 1e-9
        })
      if (fits) yield programme.minimise.reduce((sum, term) => sum + term.factor * (x[term.name] ?? 0), 0)
    }
}

it.each([200, 2000, 9000])('%s g of flour: no blend of the grid costs less', (flourG) => {
  const all = sacksOf(lots, table)
  const durum = all.filter((sack) => dough.flours.includes(sack.ingredient.id)).slice(0, 2)
  const other = all.find((sack) => !durum.includes(sack) && sack.ingredient.gluten !== 'none')!
  const asked = { ...request(0, flourG), sacks: [...durum, other] }
  const best = Math.min(...grid(asked))
  const values = solve(blendProgramme(asked))!
  const found = blendProgramme(asked).minimise.reduce((sum, term) => sum + term.factor * (values[term.name] ?? 0), 0)
  expect(Number.isFinite(best)).toBe(true)
  expect(found).toBeLessThanOrEqual(best + 1e-6)
})

it('all the sacks of the house: shares make a whole, hold to the stock and meet the needs', () => {
  for (const aim of ['cheapest', 'protein', 'use-up'] as const) {
    const asked: BlendRequest = { ...request(99, 4000), aim, proteinAim: 12, useUp: lots[0]!.id }
    const blend = proposeBlend(asked, solve)
    if (!blend.ok) throw new Error(blend.problem.code)
    expect(blend.value.shares.reduce((sum, share) => sum + share.percent, 0)).toBeCloseTo(100, 6)
    for (const { lot, percent } of blend.value.shares)
      expect((percent * 4000) / 100).toBeLessThanOrEqual(lot.stockG! + 1e-6)
    expect(blend.value.glutenPercent).toBeGreaterThanOrEqual(asked.needs.gluten - 1e-6)
    expect(blend.value.proteinPercent).toBeGreaterThanOrEqual(asked.needs.protein.low - 1e-6)
    expect(blend.value.proteinPercent).toBeLessThanOrEqual(asked.needs.protein.high + 1e-6)
  }
})

it('more flour than the house has cannot be blended, and the reason is the plainest', () => {
  expect(proposeBlend(request(99, 900_000), solve)).toMatchObject({ problem: { code: 'blend-too-little' } })
})
