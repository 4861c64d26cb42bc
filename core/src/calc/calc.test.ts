import fc from 'fast-check'
import { testTables } from '../testing/testTable.ts'
import { calc, calcText } from './calc.ts'

const rope = { kind: 'rope', doughG: 500, densityGPerCm3: 1.2, diameterMm: 9, cutMm: 13, boardMm: 600 }

it.each([
  ['not JSON', 'flour', 'not-json'],
  ['a number', '5', 'not-a-request'],
  ['no kind', '{}', 'not-a-request'],
  ['an unknown kind', '{"kind":"pizza"}', 'unknown-kind'],
  ['a name every object has', '{"kind":"toString"}', 'unknown-kind'],
  ['a missing field', '{"kind":"rope","doughG":1}', 'missing-field'],
  ['a text for a number', JSON.stringify({ ...rope, doughG: '500' }), 'wrong-type'],
  ['nought dough', JSON.stringify({ ...rope, doughG: 0 }), 'too-small'],
  ['an unknown field', JSON.stringify({ ...rope, colour: 'red' }), 'unknown-field'],
  ['numbers beyond any kitchen', JSON.stringify({ ...rope, doughG: 1e308, diameterMm: 1e-200 }), 'not-finite'],
])('%s is refused as %s, with words', (_, text, code) => {
  const answer = calcText(text, testTables)
  expect(answer).toMatchObject({ ok: false, error: { code } })
  expect(JSON.stringify(answer)).not.toMatch(/NaN|Infinity|null,"error"\s*:\s*null/)
})

it('names the place of what is wrong', () => {
  const request = {
    kind: 'batch',
    rows: [
      { id: 'durum', percent: 100, flour: true },
      { id: 'water', percent: -2 },
    ],
    target: { by: 'flour', grams: 5 },
  }
  expect(calc(request, testTables)).toMatchObject({ ok: false, error: { path: 'rows.1.percent' } })
})

it('one bad request does not spoil the others, and an empty list is an empty list', () => {
  expect(calcText(JSON.stringify([rope, { kind: 'no' }, 7, rope]), testTables)).toMatchObject([
    { ok: true, kind: 'rope' },
    { ok: false, kind: 'no' },
    { ok: false, kind: null },
    { ok: true },
  ])
  expect(calcText('[]', testTables)).toEqual([])
})

it('warns of a scale too coarse for a small row, and of a cut longer than the board', () => {
  const batch = {
    kind: 'batch',
    rows: [
      { id: 'durum', percent: 100, flour: true },
      { id: 'salt', percent: 1 },
    ],
    target: { by: 'flour', grams: 300 },
  }
  expect(calc(batch, testTables)).toMatchObject({ warnings: [{ code: 'scale-too-coarse', severity: 'caution' }] })
  expect(calc({ ...batch, scaleStepG: 0.1 }, testTables)).toMatchObject({ warnings: [] })
  expect(calc({ ...rope, cutMm: 700 }, testTables)).toMatchObject({ warnings: [{ code: 'cut-longer-than-board' }] })
})

it('answers anything at all without throwing', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (junk) => {
      expect(typeof calc(junk, testTables).ok).toBe('boolean')
      expect(calc({ kind: 'batch', rows: junk, target: junk }, testTables).ok).toBe(false)
    }),
  )
})
