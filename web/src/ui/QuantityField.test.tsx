import { problem } from '@harina/core'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import { useState } from 'react'
import { renderWithStore as render } from '../testing/renderWithStore.tsx'
import { QuantityField } from './QuantityField.tsx'

afterEach(cleanup)

function Bench({ onChange = () => undefined }: { onChange?: (grams: number) => void }) {
  const [grams, setGrams] = useState(450)
  return (
    <>
      <QuantityField
        label="Flour, grams"
        shown={String(Math.round(grams))}
        unit="g"
        min={0}
        max={9000}
        onChange={(value) => {
          if (value === 13) return problem('grams-out-of-reach')
          setGrams(value)
          onChange(value)
        }}
      />
      <output aria-label="it counts">{grams}</output>
    </>
  )
}
const field = () => screen.getByRole('textbox')
const type = (value: string) => fireEvent.change(field(), { target: { value } })
const shown = () => screen.getByLabelText('it counts').textContent

it('counts every good keystroke at once, in whatever unit it is written', () => {
  render(<Bench />)
  fireEvent.focus(field())
  type('0,5 kg')
  expect(shown()).toBe('500')
  fireEvent.blur(field())
  expect(field()).toHaveProperty('value', '500')
})

it.each([
  ['', 'Type a number.'],
  ['lots', '“lots” does not read as one figure'],
  ['1/2 cu', '“cu” cannot be read here. This can: g, kg'],
  ['3 lemons', '“lemons” cannot be read here'],
  ['-5', 'Give at least 0 g'],
  ['99999', 'Give at most 9000 g'],
  ['3 °C', '“°c” cannot be read here'],
  ['1,250', 'can be read two ways'],
  ['13', 'more than the whole dough'],
])('explains “%s” and changes nothing', (typed, words) => {
  const onChange = jest.fn()
  render(<Bench onChange={onChange} />)
  fireEvent.focus(field())
  type(typed)
  expect(screen.getByRole('alert').textContent).toContain(words)
  expect(field().getAttribute('aria-invalid')).toBe('true')
  expect([shown(), onChange.mock.calls.length]).toEqual(['450', 0])
  fireEvent.blur(field())
  expect(field()).toHaveProperty('value', '450')
  expect(screen.queryByRole('alert')).toBeNull()
  expect(screen.getByText(/was not read/).textContent).toContain('450 stands')
})

it.each([
  undefined,
  null,
  false,
  0,
  '',
  [],
  { type: 'draft/edited' },
  { ok: true },
  { ok: undefined },
  Promise.resolve(),
])('an answer that is no refusal is none, whatever it is: %p', (answer) => {
  const onChange = jest.fn(() => answer)
  render(<QuantityField label="Flour, grams" shown="450" unit="g" min={0} max={9000} onChange={onChange} />)
  fireEvent.focus(field())
  type('50')
  fireEvent.blur(field())
  expect(onChange.mock.calls).toEqual([[50]])
  expect(screen.queryByText(/was not read/)).toBeNull()
})

it('what counted on the way to what cannot be read is taken back when the field is left', () => {
  render(<Bench />)
  fireEvent.focus(field())
  type('1')
  expect(shown()).toBe('1')
  type('1/')
  fireEvent.blur(field())
  expect([shown(), (field() as HTMLInputElement).value]).toEqual(['450', '450'])
  expect(screen.getByText('“1/” was not read: 450 stands.')).toBeTruthy()
  fireEvent.focus(field())
  expect(screen.queryByText(/was not read/)).toBeNull()
})

it.each([
  ['×2', '900'],
  ['+10 %', '495'],
  ['/3', '150'],
])('%s is of what stood there, however long it is typed on', (typed, expected) => {
  render(<Bench />)
  fireEvent.focus(field())
  for (let end = 1; end <= typed.length; end += 1) type(typed.slice(0, end))
  expect(shown()).toBe(expected)
})

it.each([
  ['450', { key: 'ArrowUp' }, '451'],
  ['450', { key: 'ArrowDown', shiftKey: true }, '440'],
  ['12.5', { key: 'ArrowUp' }, '12.6'],
  ['0', { key: 'ArrowDown' }, '0'],
  ['1/2', { key: 'ArrowUp' }, '1/2'],
])('%s and %o: %s', (from, keys, to) => {
  render(<Bench />)
  fireEvent.focus(field())
  type(from)
  fireEvent.keyDown(field(), keys)
  expect(field()).toHaveProperty('value', to)
})

it('Escape brings back what stood there', () => {
  render(<Bench />)
  fireEvent.focus(field())
  type('700')
  expect(shown()).toBe('700')
  fireEvent.keyDown(field(), { key: 'Escape' })
  const input = field() as HTMLInputElement
  expect([shown(), input.value]).toEqual(['450', '450'])
  expect([input.selectionStart, input.selectionEnd]).toEqual([0, 3])
})

it('stands selected as soon as it has the focus, and a first press keeps it so', () => {
  render(<Bench />)
  const input = field() as HTMLInputElement
  const selected = () => input.value.slice(input.selectionStart ?? 0, input.selectionEnd ?? 0)
  fireEvent.focus(input)
  expect(selected()).toBe('450')
  input.setSelectionRange(1, 1)
  fireEvent.mouseUp(input)
  expect(selected()).toBe('450')
  input.setSelectionRange(1, 1)
  fireEvent.mouseUp(input)
  expect(selected()).toBe('')
  type('4501')
  expect(selected()).toBe('')
})

it('what is said of a field at the left edge of the page is moved into it, and stays where there is room', () => {
  const rects = jest.spyOn(Element.prototype, 'getBoundingClientRect')
  for (const [left, moved] of [
    [60, '44px'],
    [300, ''],
  ] as const) {
    rects.mockImplementation(function (this: Element) {
      return { left: this.tagName === 'MAIN' ? 100 : left } as DOMRect
    })
    render(
      <main style={{ overflow: 'auto' }}>
        <Bench />
      </main>,
    )
    fireEvent.focus(field())
    type('a lot')
    expect(screen.getByRole('alert').style.translate).toBe(moved)
    cleanup()
  }
  rects.mockRestore()
})
