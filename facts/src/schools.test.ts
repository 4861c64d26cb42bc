/** Every position of every school on every dough as every shape of its family: it does what it says, or nothing at all. */
import {
  applySchool,
  computeSheet,
  isCrumb,
  planBatch,
  planSteps,
  refusalOf,
  shapesFor,
  startSheet,
  tryPositions,
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
      if (!sets.waterC || heat === before.practice.waterC || heat === null) return false
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
      if (!position.sets.goes || after.water.totalG <= 0) return false
      if (refusalOf(position.sets, { dough: after.made, shape: after.shape })) return false
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
    'board: bare',
    'folds: two',
    'passing: each-setting',
    'binder: starch',
    'wheat-binder: none',
    'potato-cook: boil',
    'batter-liquid: plain',
    'beat: beat',
  ])
})

it('a dough that goes through a screw is a crumb; what is scalded or rubbed is not', () => {
  const crumbs = new Map(cases.map(({ before }) => [before.dough.id, isCrumb(planSteps(before, kitchen))]))
  expect([crumbs.get('sw-crumb'), crumbs.get('gf-hot'), crumbs.get('buckwheat-blend')]).toEqual([true, false, false])
})

describe('what is offered', () => {
  const tried = doughs.flatMap((dough) =>
    shapesFor(dough, shapes).flatMap((shape) => {
      const worked = work(startSheet(dough, shape, kitchen), kitchen)
      return schools
        .filter(({ families }) => families.includes(dough.family))
        .map((school) => ({
          title: `${dough.id} as ${shape.id}, ${school.id}`,
          school: school.id,
          all: tryPositions(worked, school, kitchen),
        }))
    }),
  )

  it('what is not for a dough or a shape changes nothing in its plan, and says why', () => {
    const wrong = tried.flatMap(({ title, all }) =>
      all.flatMap(({ position, refused, plan, rows }) =>
        refused && refused !== 'cold-rest' && refused !== 'rest-limit' && (plan || rows.length > 0)
          ? [`${title}: ${position.id}, ${refused}`]
          : [],
      ),
    )
    expect(wrong).toEqual([])
  })

  // A dough whose own way is in thirds with some held back is so twice, and so is one whose own rest is short or long.
  const mayMeet: Readonly<Record<string, RegExp>> = { staging: /^held-back and thirds$/, rest: /./ }

  it('whatever else is offered changes the plan; no more than one position of a school is how it stands already', () => {
    const wrong = tried.flatMap(({ title, school, all }) => {
      const so = all.filter(({ refused, plan }) => refused === null && plan === null)
      const names = so.map(({ position }) => position.id).join(' and ')
      return so.length > 1 && !mayMeet[school]?.test(names) ? [`${title}: ${names}`] : []
    })
    expect(wrong).toEqual([])
  })
})

describe('what a position does', () => {
  const follow = (dough: string, shape: string, school: string, position: string, rh = 60) => {
    const dry = {
      ...kitchen,
      gear: { ...kitchen.gear, places: kitchen.gear.places.map((each) => ({ ...each, rhPercent: rh })) },
    }
    const start = work(
      startSheet(
        doughs.find(({ id }) => id === dough)!,
        shapes.find(({ id }) => id === shape)!,
        dry,
      ),
      dry,
    )
    const taken = schools.find(({ id }) => id === school)!.positions.find(({ id }) => id === position)!
    const worked = work(applySchool(start, school, taken, dry), dry)
    return { start, worked, steps: planSteps(worked, dry), plan: planBatch(worked, dry, '2031-03-01T09:00:00Z', null) }
  }
  const flourOnBase = ({ control }: Worked) => (control.by === 'base' ? control.flourOnBase : Number.NaN)

  it('a baked potato takes four to eight points less flour, and boiled again as many more', () => {
    const { start, worked } = follow('gn-potato', 'potato-ridged', 'potato-cook', 'bake')
    const less = flourOnBase(start) - flourOnBase(worked)
    expect(less).toBeGreaterThanOrEqual(4 - 1e-9)
    expect(less).toBeLessThanOrEqual(8)
    const boil = schools.find(({ id }) => id === 'potato-cook')!.positions.find(({ id }) => id === 'boil')!
    const back = work(applySchool(worked, 'potato-cook', boil, kitchen), kitchen)
    expect(flourOnBase(back)).toBeGreaterThanOrEqual(flourOnBase(worked) + 4 - 1e-9)
  })

  it('from the wettest potato to a baked one it is eight points at the most', () => {
    const start = work(
      startSheet(
        doughs.find(({ id }) => id === 'gn-potato')!,
        shapes.find(({ id }) => id === 'potato-ridged')!,
        kitchen,
      ),
      kitchen,
    )
    const wet = work(
      {
        ...start.sheet,
        rows: start.sheet.rows.map((row) =>
          row.base
            ? { ...row, ingredient: 'potato-new-waxy' }
            : row.flour
              ? { ...row, amount: { by: 'percent', percent: 40 } }
              : row,
        ),
      },
      kitchen,
    )
    const bake = schools.find(({ id }) => id === 'potato-cook')!.positions.find(({ id }) => id === 'bake')!
    expect(flourOnBase(work(applySchool(wet, 'potato-cook', bake, kitchen), kitchen))).toBe(32)
  })

  it.each([
    [35, [5, 10]],
    [60, [10, 20]],
    [85, [15, 30]],
  ] as const)('a sheet is aired by the humidity of the room: at %d %%', (rh, minutes) => {
    const { steps } = follow('salted-sheeted', 'flat-white', 'airing', 'air', rh)
    expect(steps.find(({ kind }) => kind === 'airSheet')).toMatchObject({ minutes })
  })

  it('sparkling batter stands five minutes, ten at the most', () => {
    const { steps } = follow('batter-board', 'board-scraped', 'batter-liquid', 'sparkling')
    expect(steps.find(({ kind }) => kind === 'rest')).toMatchObject({ best: 5, high: 10, cold: false })
  })

  it('half an hour in the fridge is a rest of its own, and the dough needs no time to come back', () => {
    const { steps } = follow('sw-hand', 'little-ears', 'rest', 'chill')
    expect(steps.find(({ kind }) => kind === 'rest')).toMatchObject({ best: 30, cold: true })
    expect(steps.some(({ kind }) => kind === 'temper')).toBe(false)
  })

  it('cavatelli two minutes after the float; salted noodles in a salted pot; oil for the rest; a floured board', () => {
    expect(
      follow('sw-hand', 'one-dent-shells', 'done', 'after-two').steps.find(({ kind }) => kind === 'cook'),
    ).toMatchObject({ done: 'after', afterFloatMin: 2 })
    expect(follow('salted-sheeted', 'flat-white', 'pot-salt', 'usual').plan.pot.saltGPerL).toBe(10)
    expect(follow('sw-hand', 'little-ears', 'oil', 'outside').steps.find(({ kind }) => kind === 'rest')).toMatchObject({
      oiled: true,
    })
    expect(follow('sw-hand', 'little-ears', 'board', 'floured').plan.surface).toEqual({ board: 'floured' })
    expect(
      follow('sw-hand', 'little-ears', 'mixing', 'crumbs').steps.find(({ kind }) => kind === 'pour'),
    ).toMatchObject({ how: 'rub' })
  })

  it('what the maker dusts with is told of every shape of the dough, also where it is the first shape’s own', () => {
    expect(follow('sw-hand', 'little-ears', 'dusting', 'semolina').plan.surface).toEqual({ dust: 'semolina' })
    expect(follow('sw-hand', 'rod-spirals', 'dusting', 'semolina').plan.surface).toEqual({ dust: 'semolina' })
  })

  it('flour waits in place of water: none of the water, and as much flour as makes the first dough as much wetter', () => {
    const { worked, plan } = follow('sw-hand', 'little-ears', 'staging', 'flour-back')
    expect(worked.water.holdBackG).toBe(0)
    const flour = plan.rows.find(({ part }) => part === 'flour')!
    expect(flour.heldG).toBeGreaterThan(0.04 * flour.weighedG)
    expect(flour.heldG).toBeLessThan(0.15 * flour.weighedG)
  })

  it('much salt in the dough, none in the pot; none in the dough, a salted pot', () => {
    expect(follow('salted-thick', 'thick-white', 'salt-place', 'much').plan.pot.saltGPerL).toBe(0)
    expect(follow('soft-hand', 'rubbed-twists', 'salt-place', 'pot-only').plan.pot.saltGPerL).toBe(10)
  })
})
