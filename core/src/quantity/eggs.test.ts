import { countedIn, EGGS } from './eggs.ts'
import { readQuantity } from './readQuantity.ts'

it.each(Object.entries(EGGS))('%s: yolk and white are the egg', (_, { wholeG, yolkG, whiteG }) => {
  expect(yolkG + whiteG).toBeCloseTo(wholeG, 1)
})

it.each([
  ['egg-whole', 'egg', '2 eggs', 102.6],
  ['egg-whole', 'egg', 'half a dozen eggs', 307.8],
  ['egg-yolk', 'egg', '3 yolks', 49.5],
  ['egg-white', 'egg', '2 egg whites', 69.6],
  ['butter', 'fat', '1/2 stick', 56.7],
  ['salt-fine', 'salt', '2 pinches', 0.8],
  ['nutmeg', 'seasoning', 'a pinch', 0.15],
])('%s (%s): %s of a medium European is %d g', (id, group, text, grams) => {
  expect(readQuantity(text, 'g', { each: countedIn(id, group, 'eu-m') })).toEqual({
    ok: true,
    value: expect.closeTo(grams, 6),
  })
})

it('a flour is not counted in eggs, and lemons in nothing', () => {
  expect(readQuantity('2 eggs', 'g', { each: countedIn('durum', 'flour', 'eu-m') }).ok).toBe(false)
  expect(readQuantity('3 lemons', 'g', { each: countedIn('egg-whole', 'egg', 'eu-m') })).toMatchObject({
    problem: { data: { reads: expect.stringContaining('egg') as string } },
  })
})
