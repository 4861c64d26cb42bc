/** The steps of every dough as every shape it is made into, by hand and machine, under every school. */
import {
  cookedAlready,
  planBatch,
  planSchema,
  planSteps,
  planUpgrades,
  startSheet,
  shapesFor,
  type PlannedStep,
} from '@harina/core'
import { doughs, schools, shapes } from './index.ts'
import { withMachines } from './testing/withMachines.ts'
import { work } from './testing/wholeKitchen.ts'

const pairs = doughs.flatMap((dough) => shapesFor(dough, shapes).map((shape) => ({ dough, shape })))
const stepsFor = (doughId: string, shapeId: string, kitchen = withMachines, chosen: Record<string, string> = {}) => {
  const sheet = startSheet(
    doughs.find(({ id }) => id === doughId)!,
    shapes.find(({ id }) => id === shapeId)!,
    kitchen,
  )
  return planSteps(work({ ...sheet, schools: chosen }, kitchen), kitchen)
}
const kinds = (steps: readonly PlannedStep[]) => steps.map(({ kind }) => kind)
const stepOf = <K extends PlannedStep['kind']>(steps: readonly PlannedStep[], kind: K) =>
  steps.find((step) => step.kind === kind) as Extract<PlannedStep, { kind: K }>

it('every dough as every shape: a plan that can be stored, each step once, from what is at hand to the verdict', () => {
  const faults = pairs.flatMap(({ dough, shape }) => {
    const plan = planBatch(
      work(startSheet(dough, shape, withMachines), withMachines),
      withMachines,
      '2031-03-01T09:00:00Z',
      null,
    )
    const all = kinds(plan.steps)
    const at = (kind: PlannedStep['kind']) => all.indexOf(kind)
    const fault = (wrong: boolean, what: string) => (wrong ? [`${dough.id} as ${shape.id}: ${what}`] : [])
    return [
      ...(planSchema.safeParse(plan).error?.issues ?? []).map((issue) => `${dough.id}: ${issue.path.join('.')}`),
      ...fault(new Set(plan.steps.map(({ id }) => id)).size !== plan.steps.length, 'a step twice'),
      ...fault(at('ready') !== 0 || at('verdict') !== all.length - 1, 'does not begin ready and end judged'),
      ...fault(at('feel') < 0, 'is never felt'),
      ...fault(at('pour') >= 0 && at('pour') < at('water'), 'poured before it was made'),
      ...fault(at('cook') < 0 && at('drop') < 0, 'is never cooked'),
      ...fault(dough.control.by === 'hydration' && at('pour') < 0, 'has no water'),
      ...fault(shape.fillingG !== undefined && at('fill') < 0, 'is not filled'),
      ...fault((shape.blank.type === 'die') !== at('press') >= 0, 'die and press do not go together'),
    ]
  })
  expect(faults).toEqual([])
})

it('what holds a dough together: of every dough, and read from a plan that did not say it yet', () => {
  const plans = pairs.map(({ dough, shape }) => {
    const worked = work(startSheet(dough, shape, withMachines), withMachines)
    return { dough: dough.id, plan: planBatch(worked, withMachines, '2031-03-01T09:00:00Z', null) }
  })
  const held = (body: string) => [...new Set(plans.flatMap(({ dough, plan }) => (plan.body === body ? [dough] : [])))]
  expect(held('starch')).toEqual(['gf-hot'])
  expect(held('batter').every((dough) => dough.startsWith('batter-'))).toBe(true)
  expect(held('base').every((dough) => dough.startsWith('gn-'))).toBe(true)
  const wrong = plans.filter(({ plan: { body, ...before } }) => planUpgrades[10]?.(before)['body'] !== body)
  expect(wrong.map(({ dough }) => dough)).toEqual([])
})

it('a ridged hand shape: raked, felt, kneaded, rested, divided, rolled to ropes, shaped', () => {
  expect(kinds(stepsFor('sw-hand', 'little-ears'))).toEqual(
    'ready flour pour feel knead rest divide roll shape air cook verdict'.split(' '),
  )
})

it('alkaline noodles: alkali made first, crumbs in a bag, folded, rested as a sheet, thinned, cut', () => {
  const steps = stepsFor('alk-low', 'alk-medium-wavy')
  expect(kinds(steps)).toEqual('ready flour water pour feel knead drink fold rest thin cut air cook verdict'.split(' '))
  expect(stepOf(steps, 'thin').roller?.name).toBe('Crank')
  expect(stepOf(steps, 'ready').items.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['gloves', 'no-aluminium', 'handle']),
  )
  expect(kinds(stepsFor('alk-low', 'extruded-alkaline'))).not.toContain('fold')
})

it('scalded skins cool before hands go in; the same dough made cold does not', () => {
  const scalded = stepOf(stepsFor('wrapper-hot', 'thin-machine-round'), 'cool')
  expect(scalded.fromC).toBeGreaterThan(50)
  expect(scalded.minutes).toBeGreaterThan(3)
  expect(kinds(stepsFor('wrapper-cold', 'thin-machine-round'))).not.toContain('cool')
  // A school of hot water has any dough stirred with a stick.
  const hot = stepsFor('sw-hand', 'little-ears', withMachines, { 'water-heat': 'hot' })
  expect(stepOf(hot, 'pour').how).toBe('scald')
  expect(stepOf(hot, 'ready').items.map(({ id }) => id)).toContain('stick')
})

it('crumb for the press is fed, batter is dropped, gnocchi is folded onto a base made ready', () => {
  expect(kinds(stepsFor('sw-crumb', 'ridged-tubes'))).toEqual(
    'ready flour pour knead feel rest press air cook verdict'.split(' '),
  )
  expect(kinds(stepsFor('batter-board', 'board-scraped')).slice(-2)).toEqual(['drop', 'verdict'])
  const gnocchi = stepsFor('gn-potato', 'potato-ridged')
  expect(kinds(gnocchi).slice(0, 6)).toEqual(['ready', 'prepare', 'prepare', 'prepare', 'flour', 'knead'])
  expect(stepOf(gnocchi, 'knead')).toMatchObject({ how: 'fold', mixer: null })
})

it('a base is made from raw: cooked, peeled and riced, steamed off, each with what goes in and what is left', () => {
  const onBases = doughs.flatMap((dough) =>
    dough.control.by === 'base' ? dough.control.bases.map((base) => ({ dough, base })) : [],
  )
  const faults = onBases.flatMap(({ dough, base }) => {
    const [shape] = shapesFor(dough, shapes)
    const sheet = startSheet(dough, shape!, withMachines)
    const rows = sheet.rows.map((row) => (row.base ? { ...row, ingredient: base } : row))
    const worked = work({ ...sheet, rows }, withMachines)
    const made = planSteps(worked, withMachines).filter((step) => step.kind === 'prepare')
    const weights = made.flatMap(({ rawG, leftG }) => [rawG, leftG]).filter((grams) => grams !== undefined)
    const onScaleG = worked.rows.find(({ part }) => part === 'base')!.weighedG
    const fault = (wrong: boolean, what: string) => (wrong ? [`${dough.id} on ${base}: ${what}`] : [])
    return [
      // From raw to the scale every weight is less than the one before.
      ...fault(
        weights.some((grams, n) => grams > (weights[n - 1] ?? Infinity)),
        `grows: ${weights.join(', ')}`,
      ),
      ...fault(weights.length > 0 && weights.at(-1) !== onScaleG, 'ends at another weight than the scale is told'),
      ...fault(/^potato-(floury|new|waxy|old)/.test(base) && made.length !== 3, `${made.length} steps from a potato`),
      ...fault(/undrained|curd-cheese/.test(base) && made.length > 0, 'is drained though it goes in as it is bought'),
    ]
  })
  expect(faults).toEqual([])
  const [cook, , steam] = stepsFor('gn-potato', 'potato-ridged').filter((step) => step.kind === 'prepare')
  expect(cookedAlready(stepsFor('gn-potato', 'potato-ridged'), cook!, true)).toEqual([cook!.id, steam!.id])
  expect(cookedAlready(stepsFor('gn-potato', 'potato-ridged'), cook!, false)).toEqual([cook!.id])
})

it('a sheet that the table airs before it is cut has its clock between roller and knife, and no other has', () => {
  const faults = pairs.flatMap(({ dough, shape }) => {
    if (!shape.sheeted) return []
    const all = kinds(stepsFor(dough.id, shape.id))
    const before = shape.airBeforeCutMin !== undefined
    const at = all.indexOf('airSheet')
    const stands = at > all.indexOf('thin') && at + 1 === all.indexOf('cut')
    return before === at >= 0 && (at < 0 || stands) ? [] : [`${dough.id} as ${shape.id}: ${shape.steps.join(' / ')}`]
  })
  expect(faults).toEqual([])
})

it('what holds milk, curd or egg, and what is filled, is not offered the rack', () => {
  const dries = (dough: string, shape: string) => stepOf(stepsFor(dough, shape), 'air').keeps.driedMonths !== null
  expect(dries('sw-hand', 'little-ears')).toBe(true)
  expect(dries('gn-curd-semolina', 'curd-hollows')).toBe(false)
  expect(dries('gn-curd-semolina', 'one-dent-shells')).toBe(false)
  expect(dries('wrapper-hot', 'pan-wrapper')).toBe(false)
})

it('semolina cooked in milk: weighed cold, simmered, stirred, spread, stamped and baked; no hand in it, no lumps', () => {
  const steps = stepsFor('gn-semolina-disc', 'baked-discs')
  expect(kinds(steps)).toEqual('ready flour prepare knead spread feel stamp air cook verdict'.split(' '))
  expect(stepOf(steps, 'prepare').what).toBe('simmer')
  expect(stepOf(steps, 'knead').how).toBe('stir')
  expect(stepOf(steps, 'spread')).toMatchObject({ thicknessMm: 12 })
  expect(stepOf(steps, 'cook').how).toBe('bake')
})

it('a dough that is else kneaded goes through a die as crumbs; a sheeted one is divided by weight first', () => {
  // Salt is dissolved first where there is any.
  const course = (dough: string) => kinds(stepsFor(dough, 'round-strand')).filter((kind) => kind !== 'water')
  expect(course('mixed-semolina-soft')).toEqual(course('sw-crumb'))
  expect(stepOf(stepsFor('whole-grain', 'round-strand'), 'knead').how).toBe('paddle')
  expect(kinds(stepsFor('soft-hand', 'ribbons'))).toContain('divide')
  // What was folded is a sheet already.
  expect(kinds(stepsFor('salted-sheeted', 'thin-white'))).not.toContain('divide')
})

it('curd balls chill half a day to a day and a half; open tops steam, thin rounds go to the pan; some noodles are rinsed', () => {
  expect(stepOf(stepsFor('gn-curd', 'curd-balls'), 'cook').how).toBe('boil')
  const chill = stepsFor('gn-curd', 'curd-balls').find((step) => step.id === 'chill')
  expect(chill).toMatchObject({ kind: 'rest', of: 'pieces', cold: true, low: 12 * 60, high: 36 * 60 })
  expect(stepOf(stepsFor('wrapper-hot', 'open-top-round'), 'cook').how).toBe('steam')
  expect(stepOf(stepsFor('wrapper-cold', 'thin-machine-round'), 'cook').how).toBe('pan')
  expect(kinds(stepsFor('salted-thick', 'thick-white'))).toContain('rinse')
})

it('scalded crumbs are hand-warm within ten minutes, scalded skins within eight', () => {
  expect(stepOf(stepsFor('gf-hot', 'elbow-tubes'), 'cool').minutes).toBeGreaterThanOrEqual(4)
  expect(stepOf(stepsFor('gf-hot', 'elbow-tubes'), 'cool').minutes).toBeLessThanOrEqual(8)
  const skins = stepOf(stepsFor('wrapper-hot', 'pan-wrapper'), 'cool').minutes
  expect(skins).toBeGreaterThanOrEqual(5)
  expect(skins).toBeLessThanOrEqual(8)
})

it('what cooks in its soup is salted less, without a caution; shapes bring the flours they are named for', () => {
  const sheetOf = (dough: string, shape: string) =>
    work(
      startSheet(
        doughs.find(({ id }) => id === dough)!,
        shapes.find(({ id }) => id === shape)!,
        withMachines,
      ),
      withMachines,
    )
  const soup = sheetOf('salted-thick', 'torn-flakes')
  expect(soup.batch.saltPercent).toBeCloseTo(1.5, 1)
  expect(soup.notes.map(({ code }) => code)).not.toContain('salt-outside')
  expect(sheetOf('batter-potato', 'potato-drops').batch.saltPercent).toBeCloseTo(1.8, 1)
  const flours = (dough: string, shape: string) =>
    sheetOf(dough, shape).rows.flatMap(({ part, ingredient }) => (part === 'flour' ? [ingredient.id] : []))
  expect(flours('gf-hot', 'silver-needles')).toEqual(['wheat-starch', 'tapioca-starch'])
  expect(flours('soft-hand', 'bread-bean-gnocchi')).toContain('breadcrumbs-dry')
  expect(sheetOf('soft-hand', 'milk-strips').rows.some(({ ingredient }) => ingredient.id === 'milk-whole')).toBe(true)
  expect(sheetOf('gn-curd-semolina', 'curd-hollows').portionG).toBe(120)
  expect(sheetOf('wrapper-cold', 'plump-wrapper').portionG).toBe(80)
})

it('pulled belts: three rounds of rest and kneading; pulled noodles go straight into the pot', () => {
  const belts = kinds(stepsFor('pulled-belt', 'belt-pulled'))
  expect(belts.filter((kind) => kind === 'knead')).toHaveLength(4)
  expect(belts).not.toContain('air')
})

it('staging by the school: thirds, all at once, or the dough’s own way', () => {
  const goes = (staging: string) => stepOf(stepsFor('sw-hand', 'little-ears', withMachines, { staging }), 'pour').goes
  expect(goes('thirds')).toEqual([1 / 3, 1 / 3, 1 / 3])
  expect(goes('at-once')).toEqual([1])
  expect(goes('held-back')).toEqual([0.6, 0.4])
})

it('a night in the fridge comes back to the room, the sooner the warmer the bench', () => {
  const overnight = (benchPlace: string) =>
    stepsFor(
      'sw-hand',
      'little-ears',
      { ...withMachines, gear: { ...withMachines.gear, benchPlace } },
      { rest: 'overnight' },
    )
  const [cool, warm] = [overnight('damp'), overnight('dry')]
  expect(stepOf(cool, 'rest')).toMatchObject({ cold: true, best: 720 })
  expect(stepOf(warm, 'temper').minutes).toBeLessThanOrEqual(stepOf(cool, 'temper').minutes + 60)
  expect(stepOf(cool, 'temper').minutes).toBeGreaterThan(30)
  expect(kinds(stepsFor('sw-hand', 'little-ears'))).not.toContain('temper')
})

it('the board is bare or floured as the shape wants it, dusted as the school does', () => {
  const items = (shape: string, dough: string, chosen = {}) =>
    stepOf(stepsFor(dough, shape, withMachines, chosen), 'ready').items.map(({ id }) => id)
  expect(items('little-ears', 'sw-hand')).toContain('board-bare')
  expect(items('ribbons', 'soft-hand')).toContain('semolina-jar')
  expect(items('ribbons', 'soft-hand', { dusting: 'starch' })).toContain('starch-jar')
  expect(schools.some(({ id }) => id === 'dusting')).toBe(true)
})

describe('minutes and heat, as makers give them', () => {
  const kneaded = (dough: string, shape: string, chosen = {}) =>
    stepOf(stepsFor(dough, shape, withMachines, chosen), 'knead')

  it('a blade has torn a dough together within a minute or so, crumbs in half a minute; batter it never beats', () => {
    expect(kneaded('sw-hand', 'little-ears').processor).toEqual([0.75, 1.5])
    expect(kneaded('sw-crumb', 'round-strand').processor).toEqual([0.5, 1])
    expect(kneaded('buckwheat-blend', 'pressed-buckwheat').processor).toEqual([0.5, 1])
    expect(kneaded('batter-board', 'board-scraped').processor).toBeNull()
  })

  it('a batter is beaten for minutes, or only combined, a minute or two by hand', () => {
    expect(kneaded('batter-board', 'board-scraped')).toMatchObject({ hand: [3, 6], mixer: [2, 4] })
    const combined = { combined: true, hand: [1, 2], mixer: null }
    expect(kneaded('batter-board', 'board-scraped', { beat: 'combine' })).toMatchObject(combined)
  })

  const withEgg = (doughId: string, shapeId: string, chosen: Record<string, string> = {}) => {
    const sheet = startSheet(
      doughs.find(({ id }) => id === doughId)!,
      shapes.find(({ id }) => id === shapeId)!,
      withMachines,
    )
    const egg = { key: 'egg', ingredient: 'egg-whole', amount: { by: 'percent', percent: 10 } } as const
    return planSteps(work({ ...sheet, schools: chosen, rows: [...sheet.rows, egg] }, withMachines), withMachines)
  }

  it('no rest between the works is longer than an hour, once there is egg in the dough', () => {
    const longest = (steps: readonly PlannedStep[]) =>
      Math.max(...steps.map((step) => (step.kind === 'rest' && !step.cold ? step.high : 0)))
    expect(longest(stepsFor('stretched-thin', 'stick-stretched'))).toBe(120)
    expect(longest(withEgg('stretched-thin', 'stick-stretched'))).toBe(60)
  })

  it('flour goes onto warm potato where that is the school, but never with egg', () => {
    const below = (steps: readonly PlannedStep[]) =>
      steps.flatMap((step) => (step.kind === 'prepare' && step.what === 'steam' ? [step.belowC] : []))[0]
    const warm = { 'potato-heat': 'hot' }
    expect(below(stepsFor('gn-potato', 'potato-ridged', withMachines, warm))).toBe(65)
    expect(below(withEgg('gn-potato', 'potato-ridged', warm))).toBe(45)
  })
})
