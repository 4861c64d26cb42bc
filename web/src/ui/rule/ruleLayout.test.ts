import fc from 'fast-check'
import { rulePercent, ruleLayout, ruleRange, ruleX, type RuleInput } from './ruleLayout.ts'

const input: RuleInput = {
  width: 1000,
  from: 25,
  to: 60,
  shape: { label: 'Cavatelli', window: { low: 46, best: 49, high: 53 } },
  methods: [{ label: 'hand', window: { low: 43, best: 49, high: 56 } }],
  marks: [],
}

it('reads the same percent it drew', () => {
  fc.assert(
    fc.property(fc.double({ min: 25, max: 60, noNaN: true }), (percent) => {
      expect(rulePercent(input, ruleX(input, percent))).toBeCloseTo(percent, 9)
    }),
  )
})

it('draws a window as wide as it is', () => {
  const { shape } = ruleLayout(input)
  expect(shape!.x).toBeCloseTo(ruleX(input, 46), 9)
  expect(shape!.x + shape!.width).toBeCloseTo(ruleX(input, 53), 9)
})

it('the name over a window ends on the paper, however long and far to the right', () => {
  fc.assert(
    fc.property(fc.double({ min: 25, max: 55, noNaN: true }), fc.integer({ min: 320, max: 1200 }), (low, width) => {
      const label = 'Hot-water pan dumpling wrappers'
      const shape = { label, window: { low, best: low + 2, high: low + 4 } }
      const { labelX } = ruleLayout({ ...input, width, shape }).shape!
      expect(labelX).toBeGreaterThanOrEqual(0)
      expect(labelX + label.length * 7.2).toBeLessThanOrEqual(width)
    }),
  )
})

it('no two labels under the rule meet, and none leaves the paper', () => {
  const at = fc.double({ min: 20, max: 70, noNaN: true })
  fc.assert(
    fc.property(fc.array(at, { minLength: 1, maxLength: 4 }), fc.integer({ min: 320, max: 1200 }), (places, width) => {
      const marks = places.map((place, index) => ({
        id: String(index),
        at: place,
        label: `${place.toFixed(1)} at standard 14 % flour moisture`,
        kind: 'dashed' as const,
      }))
      const layout = ruleLayout({ ...input, width, marks })
      const spans = layout.marks.map((mark) => {
        const long = mark.label.length * 7.2
        return {
          y: mark.y,
          from: mark.anchor === 'start' ? mark.labelX : mark.labelX - long,
          to: mark.anchor === 'start' ? mark.labelX + long : mark.labelX,
        }
      })
      spans.forEach((a, i) =>
        spans.forEach((b, j) => {
          if (i < j && a.y === b.y) expect(a.to <= b.from || b.to <= a.from).toBe(true)
        }),
      )
      expect(layout.height).toBeGreaterThan(layout.lineY)
    }),
  )
})

it('finds whole fives around what it must show', () => {
  expect(ruleRange([45.6, 43, 56])).toEqual({ from: 35, to: 60 })
})

it('a label that stands lower hangs on a line that crosses no other label', () => {
  const at = fc.double({ min: 25, max: 45, noNaN: true })
  fc.assert(
    fc.property(fc.array(at, { minLength: 2, maxLength: 4 }), (places) => {
      const marks = places.map((place, index) => ({
        id: String(index),
        at: place,
        label: 'the whole jug',
        kind: 'open' as const,
      }))
      const placed = ruleLayout({ ...input, marks }).marks
      for (const { x, y } of placed)
        for (const other of placed) {
          const crosses = other.y < y && other.labelX < x - 0.01 && x < other.labelX + other.label.length * 7.2
          expect(crosses).toBe(false)
        }
    }),
  )
})

it('has no more ticks and labels than its width takes, however far the bowl is off', () => {
  for (const to of [5, 60, 130, 165, 400, 4010, 401_000, 4e13]) {
    const { ticks, marks } = ruleLayout({
      width: 800,
      from: 0,
      to,
      shape: null,
      methods: [],
      marks: Array.from({ length: 3000 }, (_, n) => ({ id: String(n), at: n, label: `${n} poured`, kind: 'dashed' })),
    })
    expect(ticks.length).toBeGreaterThan(4)
    expect(ticks.length).toBeLessThan(320)
    expect(ticks.filter(({ label }) => label !== null).length).toBeLessThan(40)
    expect(ticks.every(({ x }) => x >= 0 && x <= 800)).toBe(true)
    expect(marks.length).toBeLessThan(30)
  }
})
