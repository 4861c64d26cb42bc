import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { useState } from 'react'
import { HydrationRule } from './HydrationRule.tsx'
import { ruleX } from './ruleLayout.ts'

afterEach(cleanup)

const still = {
  from: 35,
  to: 60,
  shape: null,
  methods: [],
  marks: [],
  family: 'semolina',
  label: 'Water on 100 of flour',
} as const

function Movable({ start }: { start: number }) {
  const [value, setValue] = useState(start)
  return <HydrationRule {...still} value={value} onChange={setValue} />
}
const slider = () => screen.getByRole('slider')
const now = () => Number(slider().getAttribute('aria-valuenow'))
const key = (name: string, shiftKey = false) => fireEvent.keyDown(slider(), { key: name, shiftKey })

it.each([
  ['ArrowRight', false, 48.5],
  ['ArrowLeft', false, 47.5],
  ['ArrowUp', true, 48.1],
  ['ArrowDown', true, 47.9],
  ['PageUp', false, 53],
  ['PageDown', false, 43],
  ['Home', false, 35],
  ['End', false, 60],
  ['Enter', false, 48],
])('%s (shift %s) reads %d', (name, shift, expected) => {
  render(<Movable start={48} />)
  key(name, shift)
  expect(now()).toBe(expected)
  expect(slider().getAttribute('aria-valuetext')).toBe(`${expected.toFixed(1)} %`)
})

it.each([
  [45.4, '45.4 %, inside Cavatelli 43.5 to 50.3, best 46.4'],
  [43.4, '43.4 %, below Cavatelli 43.5 to 50.3, best 46.4'],
  [50.4, '50.4 %, above Cavatelli 43.5 to 50.3, best 46.4'],
])('%d says where it stands', (value, words) => {
  const shape = { label: 'Cavatelli', window: { low: 43.5, best: 46.4, high: 50.3 } }
  render(<HydrationRule {...still} shape={shape} value={value} onChange={jest.fn()} />)
  expect(slider().getAttribute('aria-valuetext')).toBe(words)
})

it('stops at both ends of the rule', () => {
  render(<Movable start={59.8} />)
  key('ArrowRight')
  expect(now()).toBe(60)
  for (let press = 0; press < 8; press += 1) key('PageDown')
  expect(now()).toBe(35)
})

it('goes where it is dragged, to a tenth of a point', () => {
  render(<Movable start={48} />)
  const svg = slider().closest('svg')!
  let captured = -1
  Object.assign(svg, {
    setPointerCapture: (id: number) => (captured = id),
    hasPointerCapture: (id: number) => captured === id,
  })
  // jsdom has no pointer events of its own; a mouse event of that name carries what the rule reads.
  const pointer = (type: string, clientX: number) => {
    const event = new MouseEvent(type, { bubbles: true, clientX, button: 0 })
    Object.defineProperty(event, 'pointerId', { value: 1 })
    fireEvent(svg, event)
  }
  const frame = { width: 1000, from: 35, to: 60 }
  pointer('pointermove', ruleX(frame, 40))
  expect(now()).toBe(48)
  pointer('pointerdown', ruleX(frame, 45.2))
  expect(now()).toBe(45.2)
  pointer('pointermove', ruleX(frame, 51.77))
  expect(now()).toBe(51.8)
})

it('is a picture with its figure where it cannot be moved', () => {
  render(<HydrationRule {...still} value={46.04} />)
  expect(screen.getByRole('img', { name: 'Water on 100 of flour: 46.0 %' })).toBeTruthy()
  expect(screen.queryByRole('slider')).toBeNull()
})
