/** The worked cases that the calculation port must reproduce, copied into `core/vectors`. */
import alkaliCases from '../../vectors/alkali.json'
import flourLotCases from '../../vectors/flour-lot.json'
import formulaCases from '../../vectors/formula.json'
import geometryCases from '../../vectors/geometry.json'
import heatCases from '../../vectors/heat.json'
import pieceCases from '../../vectors/pieces.json'
import quantityCases from '../../vectors/quantity.json'
import sackCases from '../../vectors/sack.json'
import transportCases from '../../vectors/transport.json'
import { testTables } from '../testing/testTable.ts'
import { calc } from './calc.ts'

interface Case {
  id: string
  note?: string
  request: unknown
  expect: Record<string, unknown>
  tol?: Record<string, number>
}

function compare(expected: unknown, actual: unknown, tol: Record<string, number>, path: string): void {
  if (typeof expected === 'number') {
    const allowed = tol[path] ?? tol['*'] ?? 1e-9
    if (typeof actual !== 'number' || Math.abs(actual - expected) > allowed)
      throw new Error(`${path}: ${String(actual)} is not within ${allowed} of ${expected}`)
    return
  }
  if (typeof expected !== 'object' || expected === null) return expect(actual).toEqual(expected)
  for (const [key, value] of Object.entries(expected))
    compare(value, (actual as Record<string, unknown>)?.[key], tol, path ? `${path}.${key}` : key)
}

const cases = [
  ...formulaCases,
  ...geometryCases,
  ...flourLotCases,
  ...alkaliCases,
  ...heatCases,
  ...pieceCases,
  ...sackCases,
  ...quantityCases,
  ...transportCases,
] as unknown as Case[]

it('has cases to run', () => expect(cases.length).toBeGreaterThan(20))

it.each(cases.map((c) => [`${c.id} ${c.note ?? ''}`, c] as const))(
  '%s',
  (_, { request, expect: expected, tol = {} }) => {
    const answer = calc(request, testTables)
    if (expected['ok'] === false) {
      expect(answer.ok).toBe(false)
      return
    }
    if (!answer.ok) throw new Error(answer.error.message)
    compare(expected, answer.result, tol, '')
  },
)
