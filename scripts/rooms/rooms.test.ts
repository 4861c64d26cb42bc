/** The trial of the forecast, small: `npm run transport` has it in full, by departure. */
import { dryHours, DRYING_MODEL } from '@harina/core/transport'
import { asProduct } from './asProduct.ts'
import { random } from './random.ts'
import { trial } from './trial.ts'
import { courseOf, drawTold, drawWorld } from './truth.ts'

it('the truth without a departure is the plain solver’s, by another way', () => {
  for (const seed of [2, 3, 9, 17]) {
    const told = drawTold(random(seed))
    const { temperatureC, rhPercent, air, ...piece } = told
    const climate = [{ fromH: 0, temperatureC, rhPercent, air }]
    const hours = dryHours({ ...piece, climate, targetMoisture: 0.125, exposure: 1, model: DRYING_MODEL }, 336)!
    expect(courseOf(drawWorld(told, seed, []), 0.125, 336).hours! / hours).toBeCloseTo(1, 2)
  }
})

it('nine times in ten, about, the hour is in the band, and the weighings narrow it', () => {
  const scores = trial(asProduct, 12, 9000)
  // Of so few, chance takes some: together they are held to it.
  const held = scores.reduce((sum, score) => sum + score.held, 0)
  expect(held / (12 * scores.length)).toBeGreaterThanOrEqual(0.8)
  const widths = scores.map(({ halfWidth }) => halfWidth)
  expect(widths[0]!).toBeGreaterThan(widths[1]!)
  expect(widths[1]!).toBeGreaterThan(widths[3]!)
  expect(widths[3]!).toBeLessThan(0.4)
}, 120_000)
