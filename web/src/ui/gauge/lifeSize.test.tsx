/** Every kind of blank at life size, with its knobs; what a knob cannot change is left. */
import type { Blank, SizeKey } from '@harina/core'
import { shapes } from '@harina/facts'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import { renderWithStore as render } from '../../testing/renderWithStore.tsx'
import { LifeSize } from './LifeSize.tsx'

const PX = 4
const show = (blank: Blank, onChange?: (key: SizeKey, mm: number) => void) =>
  render(<LifeSize blank={blank} wallMm={1.5} pxPerMm={PX} family="semolina" {...(onChange ? { onChange } : {})} />)
const blankOf = (id: string) => shapes.find((shape) => shape.id === id)!.blank

afterEach(cleanup)

it('a round is as wide and as thick in pixels as the screen’s measure says', () => {
  const { container } = show(blankOf('half-moons'))
  expect(container.querySelector('circle[r="140"]')).not.toBeNull()
  expect(container.querySelector(`rect[height="${1.1 * PX}"]`)).not.toBeNull()
  expect(screen.queryByRole('slider')).toBeNull()
})

it.each([
  ['one-dent-shells', ['Thickness of the rope', 'Length of the cut']],
  ['hand-rolled-strand', ['Thickness of the rope', 'Length of the cut', 'drawn out to']],
  ['ribbons', ['as wide as', 'as thick as']],
  ['half-moons', ['round of', 'as thick as']],
  // The wall is the die's own.
  ['ridged-tubes', ['cut at']],
  ['board-scraped', ['hole of', 'about']],
] as const)('%s has a knob for each of its sizes', (id, names) => {
  show(blankOf(id), () => undefined)
  expect(screen.getAllByRole('slider').map((knob) => knob.getAttribute('aria-label'))).toEqual(names)
})

it('keys move by half a millimetre, fine ones by a tenth, and a drag by what it covers', () => {
  const told: [SizeKey, number][] = []
  show(blankOf('one-dent-shells'), (key, mm) => told.push([key, mm]))
  const knob = screen.getByRole('slider', { name: 'Thickness of the rope' })
  knob.setPointerCapture = () => undefined
  fireEvent.keyDown(knob, { key: 'ArrowUp' })
  fireEvent.keyDown(knob, { key: 'ArrowDown', shiftKey: true })
  fireEvent.keyDown(knob, { key: 'a' })
  fireEvent.pointerDown(knob, { clientY: 100 })
  fireEvent.pointerMove(knob, { clientY: 100 + 3 * PX })
  fireEvent.pointerUp(knob)
  fireEvent.pointerMove(knob, { clientY: 400 })
  const drag = told[2]!
  expect(told.slice(0, 2)).toEqual([
    ['diameterMm', 9.5],
    ['diameterMm', 8.9],
  ])
  expect(told).toHaveLength(3)
  expect(drag[0]).toBe('diameterMm')
})
