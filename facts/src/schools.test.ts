/** Every position of every school on every dough as every shape of its family: it does what it says, or nothing at all. */
import {
  applySchool,
  computeSheet,
  isCrumb,
  planSteps,
  shapesFor,
  startSheet,
  type Position,
  type School,
  type Worked,
} from '@harina/core'
import { doughs, schools, shapes } from './index.ts'
import { withMachines as kitchen } from './testing/withMachines.ts'
import { work } from './testing/wholeKitchen.ts'

interface Case {
  readonly title: string
  readonly school: School
  readonly position: Position
  readonly before: Worked
  readonly after: Worked
}

const cases: readonly Case[] = doughs.flatMap((dough) =>
  shapesFor(dough, shapes).flatMap((shape) => {
    const before = work(startSheet(dough, shape, kitchen), kitchen)
    return schools
      .filter(({ families }) => families.includes(dough.family))
      .flatMap((school) =>
        school.positions.flatMap((position) => {
          const after = computeSheet(applySchool(before, school.id, position, kitchen), kitchen)
          if (!after.ok) throw new Error(`${dough.id} as ${shape.id}, ${position.id}: ${after.problem.code}`)
          const title = `${dough.id} as ${shape.id}, ${school.id}: ${position.id}`
          return [{ title, school, position, before, after: after.value }]
        }),
      )
  }),
)
const faults = (wrong: (each: Case) => boolean) => cases.filter(wrong).map(({ title }) => title)
const gramsOf = ({ rows }: Worked, group: string) =>
  rows.reduce((sum, row) => sum + (row.ingredient.group === group ? row.percent : 0), 0)

it('every pair is tried by every position', () => {
  expect(cases.length).toBeGreaterThan(3000)
})

it('a heat lies within what the school says, or stays as it was', () => {
  expect(
    faults(({ position: { sets }, before, after }) => {
      const heat = after.practice.waterC
      if (!sets?.waterC || heat === before.practice.waterC || heat === null) return false
      return heat < sets.waterC.fromC || heat > sets.waterC.toC
    }),
  ).toEqual([])
})

it('what is called cold, warm or hot is so', () => {
  const names: readonly (readonly [RegExp, number, number])[] = [
    [/, cold/, -1, 16],
    [/, warm/, 28, 60],
    [/, very hot/, 60, 101],
  ]
  expect(
    faults(({ after: { rows, practice } }) =>
      rows.some(({ ingredient }) =>
        names.some(
          ([name, from, to]) =>
            name.test(ingredient.name) &&
            practice.waterC !== null &&
            !(practice.waterC >= from && practice.waterC < to),
        ),
      ),
    ),
  ).toEqual([])
})

it('egg is taken out by a school without a binder at the most, never by one that binds with egg', () => {
  expect(
    faults(
      ({ position, before, after }) =>
        position.sets?.binder === 'egg' && gramsOf(after, 'egg') < gramsOf(before, 'egg'),
    ),
  ).toEqual([])
})

it('no school makes a dough that its own table cautions against', () => {
  expect(
    faults(({ after }) => after.notes.some(({ code }) => /^(salt|fat|alkali)-outside$|-over$|^no-gluten$/.test(code))),
  ).toEqual([])
})

it('thirds are thirds at any heat, and all at once is once', () => {
  const goes = (worked: Worked) =>
    planSteps(worked, kitchen).flatMap((step) => (step.kind === 'pour' ? [step.goes.length] : []))
  expect(
    faults(({ position, after }) => {
      if (!position.sets?.goes || after.water.totalG <= 0) return false
      return goes(after).some((count) => count !== (position.sets?.goes === 'thirds' ? 3 : 1))
    }),
  ).toEqual([])
  const hot = cases.find(({ title }) => title === 'sw-hand as little-ears, water-heat: hot')!.after
  const thirds = schools.find(({ id }) => id === 'staging')!.positions.find(({ id }) => id === 'thirds')!
  expect(goes(work(applySchool(hot, 'staging', thirds, kitchen), kitchen))).toEqual([3])
})

it('every position changes some dough, but for those that are how the tables have it already', () => {
  const told = ({ practice: { sets: _, ...rest }, sheet, water }: Worked) => [rest, sheet.rows, sheet.waterC, water]
  const changed = new Set(
    cases
      .filter(({ before, after }) => JSON.stringify(told(before)) !== JSON.stringify(told(after)))
      .map(({ school, position }) => `${school.id}: ${position.id}`),
  )
  const inTheSteps = new Set(
    cases
      .filter(({ school, position }) => !changed.has(`${school.id}: ${position.id}`))
      .filter(
        ({ before, after }) => JSON.stringify(planSteps(before, kitchen)) !== JSON.stringify(planSteps(after, kitchen)),
      )
      .map(({ school, position }) => `${school.id}: ${position.id}`),
  )
  const idle = schools.flatMap((school) =>
    school.positions
      .map((position) => `${school.id}: ${position.id}`)
      .filter((each) => !changed.has(each) && !inTheSteps.has(each)),
  )
  expect(idle).toEqual([
    'staging: held-back',
    'rest: middle',
    'dusting: flour',
    'board: bare',
    'passing: each-setting',
    'binder: starch',
    'potato-cook: boil',
    'batter-liquid: plain',
    'beat: beat',
    'pot-salt: usual',
  ])
})

it('a dough that goes through a screw is a crumb; what is scalded or rubbed is not', () => {
  const crumbs = new Map(cases.map(({ before }) => [before.dough.id, isCrumb(planSteps(before, kitchen))]))
  expect([crumbs.get('sw-crumb'), crumbs.get('gf-hot'), crumbs.get('buckwheat-blend')]).toEqual([true, false, false])
})
