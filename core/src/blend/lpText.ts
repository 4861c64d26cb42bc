import type { LinearProgramme, LinearTerm } from './blend.ts'

/** A plain decimal: the format reads no exponents inside an expression. */
const decimal = (value: number): string =>
  Number(value.toFixed(12))
    .toFixed(12)
    .replace(/\.?0+$/, '')
const expression = (terms: readonly LinearTerm[]): string =>
  terms.map(({ name, factor }) => `${factor < 0 ? '-' : '+'} ${decimal(Math.abs(factor))} ${name}`).join(' ')

/** A linear programme in the LP text format that solvers read. */
export const toLpText = ({ minimise, rows, upTo }: LinearProgramme): string =>
  [
    'Minimize',
    ` obj: ${expression(minimise)}`,
    'Subject To',
    ...rows.map(({ name, terms, is, value }) => ` ${name}: ${expression(terms)} ${is} ${decimal(value)}`),
    'Bounds',
    ...upTo.map(({ name, max }) => ` 0 <= ${name} <= ${decimal(max)}`),
    'End',
    '',
  ].join('\n')
