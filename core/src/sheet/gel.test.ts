/** Water hotter than a dough's own: what the gel takes, and that the whole sheet knows it. */
import { testSheet, workSheet } from '../testing/testKitchen.ts'

const at = (waterC: number | null) => workSheet({ ...testSheet, waterC })

it('near-boiling water on a dough that is made cool: part of the starch swells, and it takes some points more', () => {
  const cool = at(15)
  const hot = at(97)
  expect(cool.gel).toBeNull()
  // 48 of 97 °C on 100 of flour at 20 °C, by pencil: near 57 °C, three fifths of the way, six points.
  expect(hot.gel!.doughC).toBeGreaterThan(53)
  expect(hot.gel!.doughC).toBeLessThan(60)
  expect(hot.gel!.points).toBeGreaterThan(4)
  expect(hot.gel!.points).toBeLessThan(8)
  expect(hot.flourShift - cool.flourShift).toBeCloseTo(hot.gel!.points, 9)
  expect(hot.notes.map(({ code }) => code)).toContain('gel')
  // The same figures, judged for the heat: no longer soft, but stiffer than it wants to be.
  expect(hot.paper14).toBeCloseTo(cool.paper14, 9)
})

it('hotter never takes less, and warm water below 60 °C changes nothing', () => {
  let before = -Infinity
  for (const waterC of [60, 70, 80, 90, 99]) {
    const points = at(waterC).gel?.points ?? 0
    expect(points).toBeGreaterThanOrEqual(before)
    before = points
  }
  expect(at(50).gel).toBeNull()
})
