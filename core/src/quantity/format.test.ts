import { decimalsOfStep, formatCountdown, formatGrams, formatLength, formatPoints } from './format.ts'

it('shows no finer than the scale reads', () => {
  expect([1, 2, 0.5, 0.1, 0.01].map(decimalsOfStep)).toEqual([0, 0, 1, 1, 2])
  expect(formatGrams(4.52, 1)).toBe('5')
  expect(formatGrams(4.52, 0.1)).toBe('4.5')
  expect(formatGrams(12345.6)).toBe('12\u202f346')
  expect(formatGrams(-0.2)).toBe('0')
})

it('signs points with a real minus and never says minus nought', () => {
  expect([2.44, -2.44, -0.01].map(formatPoints)).toEqual(['+2.4', '−2.4', '0.0'])
})

it('counts down to nought and then up', () => {
  expect([540, 60.2, 3725, 0, -75.9].map(formatCountdown)).toEqual(['9:00', '1:01', '1:02:05', '0:00', '+1:15'])
})

it('says millimetres at the gauge and metres along the bench', () => {
  expect([13, 2.5, 4854].map(formatLength)).toEqual(['13 mm', '2.5 mm', '4.85 m'])
})
