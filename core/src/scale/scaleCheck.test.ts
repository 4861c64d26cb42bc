import { checkScale } from './scaleCheck.ts'

it.each([
  [500, 500, 1, true],
  [500, 501, 1, true],
  [500, 503, 1, false],
  [2000, 2004, 1, true],
  [2000, 1990, 1, false],
  [100, 100.4, 0.1, false],
  [100, 100.2, 0.1, true],
  [5, 5, 0.1, true],
])('%d g known, %d g shown on a %d g scale: fine is %s', (knownG, shownG, stepG, fine) => {
  const report = checkScale({ knownG, shownG, stepG })
  expect(report.fine).toBe(fine)
  expect(report.offG).toBeCloseTo(shownG - knownG, 9)
  expect(report.offPercent).toBeCloseTo(100 * (shownG / knownG - 1), 9)
})

it('says what it costs where flour and water are measured by different means', () =>
  expect(checkScale({ knownG: 500, shownG: 505, stepG: 1 }).points).toBeCloseTo(0.48, 9))
