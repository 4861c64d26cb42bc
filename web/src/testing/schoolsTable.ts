/** Every school and position: what it changes and where, and where it is not offered and why. For a reader: `docs/schools.md`. */
import { computeSheet, planBatch, shapesFor, startSheet, tryPositions, whyOf, type Refusal } from '@harina/core'
import { doughs, schools, shapes } from '@harina/facts'
import { withMachines as kitchen } from '@harina/facts/testing'
import { defaultUnits } from '@harina/core'
import { changedLines, changeWords, planLines, refusalWords, worded } from '../words/index.ts'

const AT = '2000-01-01T00:00:00Z'
const words = worded(defaultUnits)
const MOST_LINES = 4

interface Found {
  changes: number
  so: number
  readonly refused: Map<Refusal, number>
  example: string
}

/** On each pair of a dough and a shape of it, every school of its family. */
function tally(): ReadonlyMap<string, Found> {
  const all = new Map<string, Found>()
  for (const dough of doughs)
    for (const shape of shapesFor(dough, shapes)) {
      const computed = computeSheet(startSheet(dough, shape, kitchen), kitchen)
      if (!computed.ok) throw new Error(`${dough.id} as ${shape.id}: ${computed.problem.code}`)
      const before = planLines(planBatch(computed.value, kitchen, AT, null), shape, words)
      for (const school of schools.filter(({ families }) => families.includes(dough.family)))
        for (const { position, plan, refused, rows } of tryPositions(computed.value, school, kitchen)) {
          const key = `${school.id} ${position.id}`
          const found = all.get(key) ?? { changes: 0, so: 0, refused: new Map(), example: '' }
          all.set(key, found)
          if (refused) found.refused.set(refused, (found.refused.get(refused) ?? 0) + 1)
          else if (!plan) found.so += 1
          else {
            found.changes += 1
            if (found.example) continue
            const lines = changedLines(before, planLines(plan, shape, words)).map(({ at, text }) => `${at}: ${text}`)
            const told = [...rows.map((row) => changeWords(row, words)), ...lines].slice(0, MOST_LINES)
            found.example = `${dough.name} as ${shape.name}: ${told.join(' / ')}`
          }
        }
    }
  return all
}

const cell = (text: string): string => text.replace(/\|/g, '\\|').replace(/\s+/g, ' ')

export function schoolsTable(): string {
  const all = tally()
  const parts = schools.map(({ id, question, families, positions }) => {
    const rows = positions.map((position) => {
      const found = all.get(`${id} ${position.id}`)
      const refused = [...(found?.refused ?? [])].map(([why, n]) => `${refusalWords[why]} (${n})`).join('; ')
      const why = families.some((family) => position.of?.[family])
        ? [
            position.why.join(', '),
            ...families.flatMap((family) =>
              position.of?.[family] ? [`${family}: ${whyOf(position, family).join(', ')}`] : [],
            ),
          ].join('; ')
        : position.why.join('; ')
      return `| ${[`${position.name}: ${position.stance}`, why, found?.changes ?? 0, found?.so ?? 0, found?.example ?? '', refused].map((each) => cell(String(each))).join(' | ')} |`
    })
    return [
      `## ${question}`,
      '',
      families.join(', '),
      '',
      '| position | why | changes | so already | for example | not offered |',
      '| --- | --- | --- | --- | --- | --- |',
      ...rows,
    ].join('\n')
  })
  return [
    '# Schools',
    '',
    'Where makers disagree, the positions they take, and what each changes on the pairs of a dough and a shape of it. Written by',
    '`npm run words`, for a reader.',
    '',
    parts.join('\n\n'),
    '',
  ].join('\n')
}
