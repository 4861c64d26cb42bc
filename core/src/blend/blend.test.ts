/** The programme and the reading of it; the solver here walks a grid, which is slow and cannot be wrong by much. */
import type { Lot } from '../model/index.ts'
import { must, testKitchen } from '../testing/testKitchen.ts'
import { needsOf, proposeBlend, sacksOf, type BlendRequest, type LinearProgramme, type SolveLinear } from './blend.ts'

const durum = testKitchen.ingredients.get('durum')!
const table = new Map([
  ...testKitchen.ingredients,
  ['rice', { ...durum, id: 'rice', name: 'rice', gluten: 'none' as const, protein: 0.07, absorptionShift: 10 }],
])
const lot = (id: string, ingredient: string, part: Partial<Lot>): Lot => ({
  id,
  name: id,
  ingredient,
  note: '',
  ...part,
})
const lots = [
  lot('d', 'durum', { stockG: 5000, pricePerKg: 2, protein: 0.13 }),
  lot('s', 'soft', { stockG: 5000, pricePerKg: 1.6, protein: 0.1 }),
  lot('r', 'rice', { stockG: 5000, pricePerKg: 0.5, protein: 0.07 }),
  lot('empty', 'durum', { stockG: 0, pricePerKg: 0.1 }),
  lot('salt', 'salt', { stockG: 900 }),
]
const dough = { ...testKitchen.doughs.get('hand-dough')!, flours: ['durum', 'soft'] }
const request: BlendRequest = {
  sacks: sacksOf(lots, table),
  flourG: 1000,
  dough,
  needs: { gluten: 70, listed: 60, protein: { low: 10, high: 14 }, character: null },
  aim: 'cheapest',
}

function holds({ rows, upTo }: LinearProgramme, x: Readonly<Record<string, number>>): boolean {
  const at = (name: string) => x[name] ?? 0
  return (
    upTo.every(({ name, max }) => at(name) <= max + 1e-9) &&
    rows.every(({ terms, is, value }) => {
      const left = terms.reduce((sum, term) => sum + term.factor * at(term.name), 0) - value
      return is === '=' ? Math.abs(left) < 1e-9 : is === '>=' ? left > -1e-9 : left < 1e-9
    })
  )
}

const onGrid: SolveLinear = (programme) => {
  let best: { cost: number; x: Record<string, number> } | null = null
  for (let a = 0; a <= 100; a += 1)
    for (let b = 0; a + b <= 100; b += 1) {
      const x: Record<string, number> = { x0: a, x1: b, x2: 100 - a - b }
      const aim = programme.rows.find((row) => row.name === 'aim')
      if (aim) {
        const protein = aim.terms.reduce((sum, term) => sum + term.factor * (x[term.name] ?? 0), 0)
        x['over'] = Math.max(0, protein - aim.value)
        x['under'] = Math.max(0, aim.value - protein)
      }
      if (!holds(programme, x)) continue
      const cost = programme.minimise.reduce((sum, term) => sum + term.factor * (x[term.name] ?? 0), 0)
      if (!best || cost < best.cost) best = { cost, x }
    }
  return best?.x ?? null
}
const shares = (part: Partial<BlendRequest>) => {
  const blend = must(proposeBlend({ ...request, ...part }, onGrid))
  return Object.fromEntries(blend.shares.map((share) => [share.lot.id, share.percent]))
}

it('sacks are flours with something in them', () => {
  expect(request.sacks.map((sack) => sack.lot.id)).toEqual(['d', 's', 'r'])
})

it('costs least: as much of the cheap one as gluten and protein allow', () => {
  // 30 % of rice leaves 70 % with gluten; protein then wants 10 = 0.3 × 7 + d × 13 + s × 10.
  expect(shares({})).toEqual({ s: 40, d: 30, r: 30 })
})

it('comes nearest to a protein', () => {
  const blend = must(proposeBlend({ ...request, aim: 'protein', proteinAim: 12.4 }, onGrid))
  expect(blend.proteinPercent).toBeCloseTo(12.4, 1)
})

it('empties a sack first, up to what is in it', () => {
  const little = sacksOf([lots[0]!, lots[1]!, lot('r', 'rice', { stockG: 120, protein: 0.07 })], table)
  expect(shares({ aim: 'use-up', useUp: 'r', sacks: little })['r']).toBe(12)
})

it('a mixture keeps at least half of its first flour’s share', () => {
  const mixture = [
    { flour: 'durum', percent: 80 },
    { flour: 'soft', percent: 20 },
  ]
  const shape = testKitchen.shapes.get('hollows')!
  expect(needsOf({ ...dough, mixture }, shape, table).character).toEqual({ flours: ['durum'], percent: 40 })
  expect(needsOf(dough, shape, table).character).toBeNull()
})

it('what makes a mixture what it is stays in it, though cheaper flour would do', () => {
  const needs = { ...request.needs, character: { flours: ['durum'], percent: 50 } }
  expect(shares({ needs })['d']).toBe(50)
})

it.each([
  ['no sack at all', { sacks: [] }, 'blend-no-sacks'],
  ['too little flour', { flourG: 90_000 }, 'blend-too-little'],
  ['nothing with gluten', { sacks: request.sacks.filter((sack) => sack.lot.id === 'r') }, 'blend-no-gluten'],
  ['none of the dough’s own flours', { dough: { ...dough, flours: ['spelt'] } }, 'blend-unlisted'],
  [
    'none of what makes it',
    { needs: { ...request.needs, character: { flours: ['spelt'], percent: 40 } } },
    'blend-character',
  ],
  ['no such protein', { needs: { ...request.needs, protein: { low: 15, high: 16 } } }, 'blend-protein'],
] satisfies [string, Partial<BlendRequest>, string][])('%s: the plainest reason', (_, part, code) => {
  expect(proposeBlend({ ...request, ...part }, onGrid)).toMatchObject({ ok: false, problem: { code } })
})

it('the price of a blend is of its sacks, and unknown where one has none', () => {
  const blend = must(proposeBlend(request, onGrid))
  expect(blend.pricePerKg).toBeCloseTo(0.4 * 1.6 + 0.3 * 2 + 0.3 * 0.5, 6)
  const unpriced = sacksOf(
    lots.map(({ pricePerKg: _price, ...rest }) => rest),
    table,
  )
  expect(must(proposeBlend({ ...request, sacks: unpriced }, onGrid)).pricePerKg).toBeNull()
})
