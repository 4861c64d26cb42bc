/**
 * What makers write, typed key by key into every kind of field: it is read as said, or the old figure stands. What each entry
 * means is made together with its words, and not by the reader.
 */
import type { Unit } from '@harina/core'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import fc from 'fast-check'
import { useState } from 'react'
import { renderWithStore as render } from '../testing/renderWithStore.tsx'
import { QuantityField } from './QuantityField.tsx'

declare const process: { readonly env: Readonly<Record<string, string | undefined>> }
/** All of them in the heavy run (HEAVY=1). */
const ENTRIES = process.env['HEAVY'] ? 5000 : 180

/** Some words, and the value they stand for; null: nothing may be read of them. */
interface Entry {
  readonly text: string
  readonly means: number | null
}

const figure: fc.Arbitrary<{ text: string; value: number }> = fc.oneof(
  fc.integer({ min: 1, max: 999 }).map((value) => ({ text: String(value), value })),
  fc
    .tuple(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 0, max: 9 }), fc.constantFrom('.', ','))
    .map(([whole, tenth, sign]) => ({
      text: `${whole}${sign}${tenth}`,
      value: whole + tenth / 10,
    })),
  fc.tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 1, max: 3 })).map(([whole, quarters]) => ({
    text: `${whole === 0 ? '' : `${whole} `}${quarters}/4`,
    value: whole + quarters / 4,
  })),
  fc
    .tuple(
      fc.integer({ min: 0, max: 9 }),
      fc.constantFrom(['½', 0.5] as const, ['¼', 0.25] as const, ['¾', 0.75] as const),
    )
    .map(([whole, [sign, part]]) => ({ text: `${whole === 0 ? '' : whole}${sign}`, value: whole + part })),
  fc
    .tuple(fc.integer({ min: 1, max: 99 }), fc.integer({ min: 0, max: 999 }), fc.constantFrom(' ', '\u202f'))
    .map(([thousands, rest, space]) => ({
      text: `${thousands}${space}${String(rest).padStart(3, '0')}`,
      value: 1000 * thousands + rest,
    })),
)

const units: Readonly<Record<Unit, readonly (readonly [string, number])[]>> = {
  g: [
    ['', 1],
    [' g', 1],
    ['g', 1],
    [' kg', 1000],
    [' ounces', 28.349523125],
    [' lb', 453.59237],
    [' cups', 150],
    [' tbsp', 9],
    [' teaspoons', 3],
    [' eggs', 50],
  ],
  '%': [
    ['', 1],
    ['%', 1],
    [' percent', 1],
  ],
  mm: [
    ['', 1],
    [' mm', 1],
    [' cm', 10],
    [' in', 25.4],
    ['"', 25.4],
    [' ft', 304.8],
  ],
  '°C': [
    ['', 1],
    [' °C', 1],
    ['°', 1],
  ],
  min: [
    ['', 1],
    [' min', 1],
    [' s', 1 / 60],
    [' hours', 60],
  ],
  count: [
    ['', 1],
    [' pieces', 1],
  ],
}

const said = (unit: Unit): fc.Arbitrary<Entry> => {
  const quantity = fc
    .tuple(figure, fc.constantFrom(...units[unit]))
    .map(([{ text, value }, [name, is]]) => ({ text: text + name, means: value * is }))
  return fc.oneof(
    quantity,
    fc
      .tuple(fc.integer({ min: 2, max: 12 }), fc.constantFrom(' x ', '*', ' × '), quantity)
      .map(([times, sign, { text, means }]) => ({
        text: `${times}${sign}${text}`,
        means: times * means,
      })),
    fc
      .integer({ min: 1, max: 300 })
      .map((percent) => ({ text: `+${percent} %`, means: unit === '%' ? percent : BEFORE * (1 + percent / 100) })),
  )
}
const broken = (unit: Unit): fc.Arbitrary<Entry> =>
  fc
    .tuple(said(unit), fc.constantFrom(' lemons', ' 7 7', '/0', ' of', ' x', '+', '--', ' g g', '\u0663', ' - 10'))
    .map(([{ text }, rest]) => ({ text: text + rest, means: null }))

const BEFORE = 40
const ROOM = { min: 0, max: 1_000_000 }

function Field({ unit }: { unit: Unit }) {
  const [value, setValue] = useState(BEFORE)
  return (
    <>
      <QuantityField
        label="field"
        shown={String(value)}
        unit={unit}
        {...ROOM}
        densityGPerMl={0.6}
        each={{ egg: 50 }}
        onChange={setValue}
      />
      <output aria-label="it counts">{value}</output>
    </>
  )
}

afterEach(cleanup)

it.each(Object.keys(units) as Unit[])('%s', (unit) => {
  fc.assert(
    fc.property(
      fc.oneof({ weight: 3, arbitrary: said(unit) }, { weight: 1, arbitrary: broken(unit) }),
      ({ text, means }) => {
        render(<Field unit={unit} />)
        const field = screen.getByRole('textbox', { name: /^field/ })
        fireEvent.focus(field)
        for (let end = 1; end <= text.length; end += 1)
          fireEvent.change(field, { target: { value: text.slice(0, end) } })
        fireEvent.blur(field)
        const counts = Number(screen.getByLabelText('it counts').textContent)
        const taken = means !== null && means >= ROOM.min && means <= ROOM.max
        expect(counts).toBeCloseTo(taken ? means : BEFORE, 6)
        if (!taken) expect(screen.getByText(/was not read/)).toBeTruthy()
        cleanup()
      },
    ),
    { numRuns: Math.ceil(ENTRIES / 6) },
  )
})
