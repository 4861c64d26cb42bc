/** Steps that are made from dough and machines: each shows what its own dough wants, and records what was done. */
import {
  addRow,
  benchPieces,
  computeSheet,
  jugOf,
  lumps,
  onTheScaleG,
  pourGo,
  replay,
  waterTargets,
} from '@harina/core'
import { cleanup } from '@testing-library/react'
import { act, openBatch, press, screen, settle, typeInto, fireEvent, within } from '../../testing/renderApp.tsx'
import { BATCH, beginBatch, benchState, workedAs } from '../../testing/runBench.tsx'
import { sampleMachines as machines } from '../../testing/sampleKitchen.ts'

const as = (dough: string, shape: string) => ({ worked: workedAs(dough, shape, machines), kitchen: machines })
const title = () => screen.getByRole('heading', { level: 1 }).textContent
const pressedNames = (group: string) =>
  within(screen.getByRole('group', { name: group }))
    .getAllByRole('button')
    .filter((button) => button.getAttribute('aria-pressed') === 'true')
    .map((button) => button.textContent)

afterEach(cleanup)

it('what must be at hand is ticked by a press or a digit, and may be gone on without', async () => {
  await beginBatch({ ...as('alk-low', 'alk-medium-wavy'), upTo: 'ready' })
  expect(title()).toBe('At hand first')
  const list = screen.getByRole('list', { name: 'At hand' })
  expect(list.textContent).toContain('Gloves and eye protection')
  expect(list.textContent).toContain('its handle in')
  fireEvent.keyDown(window, { key: '1' })
  await settle()
  expect((await benchState()).ticked).toEqual(['scale'])
  await press(/^Gloves/)
  expect((await benchState()).ticked).toContain('gloves')
  await press(/^Gloves/)
  expect((await benchState()).ticked).not.toContain('gloves')
  await press(/^Go on without \d+/)
  expect(title()).toBe('Weigh the flour')
})

it('potato of last night is only riced: what steam it had is gone', async () => {
  await beginBatch({ ...as('gn-potato', 'potato-ridged'), upTo: 'prepare' })
  await press(/^Cold, no steam left/)
  expect(title()).toBe('Peel and rice')
  await press(/^Skip the timer/)
  expect(title()).toBe('Weigh cooked potato and flour')
})

it('a steaming potato waits to be weighed, and less potato brings less flour and salt', async () => {
  await beginBatch({ ...as('gn-potato', 'potato-ridged'), upTo: 'prepare' })
  expect(title()).toBe('Boil the potatoes')
  await press(/^Cooked and hot/)
  expect(title()).toBe('Peel and rice')
  await press(/^Skip the timer/)
  expect(title()).toBe('Let it steam off')
  expect(screen.getByText(/Below 45 °C before the flour/)).toBeTruthy()
  await press(/^Start the clock/)
  await press(/^Steamed off/)
  const { plan } = await openBatch(BATCH)
  const base = plan.rows.find((row) => row.part === 'base')!
  const flour = plan.rows.find((row) => row.part === 'flour')!
  await typeInto(`${base.name}, grams on the scale`, String(Math.round(base.weighedG / 2)))
  await press(/^Weighed, go on/)
  const { weighedG } = await benchState()
  expect(weighedG[flour.key]! / (flour.weighedG - flour.heldG!)).toBeCloseTo(0.5, 1)
})

it('flour held back from a base waits in a cup, and goes in by one tap: a quarter, half, all of it', async () => {
  await beginBatch({ ...as('gn-potato', 'potato-ridged'), upTo: 'feel' })
  const { plan } = await openBatch(BATCH)
  const heldG = plan.rows.find((row) => row.part === 'flour')!.heldG!
  const cup = () => screen.getByRole('group', { name: 'Used of what is held back' })
  expect(cup().textContent).toContain(`${heldG} g flour held back`)
  await press(/^half/)
  expect((await benchState()).addedFlourG).toBe(Math.round(heldG / 2))
  expect(cup().textContent).toContain(`${heldG - Math.round(heldG / 2)} g flour held back`)
  await press(/^all of it/)
  expect((await benchState()).addedFlourG).toBe(heldG)
  expect(screen.getByText('All flour that was held back is in.')).toBeTruthy()
})

it('water held back goes in by one tap as well', async () => {
  await beginBatch({ ...as('sw-hand', 'one-dent-shells'), upTo: 'feel' })
  const { plan } = await openBatch(BATCH)
  const before = (await benchState()).pouredG
  await press(/^all of it/)
  expect((await benchState()).pouredG - before).toBeCloseTo(
    plan.water.startG + plan.water.holdBackG - Math.max(before, plan.water.startG),
    6,
  )
})

it('a scald is stirred with a stick, or by the paddle of a mixer that kneads it on', async () => {
  await beginBatch({ ...as('wrapper-hot', 'soft-pocket'), upTo: 'pour' })
  expect(pressedNames('Who stirs')).toEqual(['By hand, with a stick'])
  expect(screen.getByText(/stirred with a stick/)).toBeTruthy()
  await press(/^In the mixer, with the paddle/)
  expect(screen.getByText(/while the paddle turns slowly/)).toBeTruthy()
  expect(screen.getByText(/a fast paddle throws hot water/)).toBeTruthy()
  expect((await benchState()).workedBy).toBe('mixer')
})

it('egg is made up with the water: the jug says what is in it, the scale shows both, and water is counted as water', async () => {
  const added = addRow(workedAs('sw-hand', 'one-dent-shells', machines), 'egg-whole', 20, machines)
  if (!added.ok) throw new Error(added.problem.code)
  const worked = computeSheet(added.value, machines)
  if (!worked.ok) throw new Error(worked.problem.code)
  const plan = await beginBatch({ worked: worked.value, kitchen: machines, upTo: 'pour' })
  const jug = jugOf(plan, await benchState())
  expect(jug.others).toHaveLength(1)
  expect(screen.getByText(/of water and .* of .*egg.*, stirred to one/i)).toBeTruthy()
  const field = screen.getByLabelText<HTMLInputElement>('Grams poured')
  const first = pourGo(
    plan,
    await benchState(),
    plan.steps.find((step) => step.kind === 'pour')!,
  )
  expect(Number(field.value)).toBeCloseTo(onTheScaleG(jug, 0, first.leftG), 0)
  // One scale on the whole page.
  expect(screen.getByRole('button', { name: 'first pour' }).closest('p')!.textContent).toContain(
    `${Math.round(jug.totalG)} g`,
  )
  await press(/^Poured .*more to come/)
  expect((await benchState()).pouredG).toBeCloseTo(first.leftG, 6)
  await press(/^Poured .*go on/)
  // All of the first pour is in: the bowl stands on its mark, the water of the egg and all.
  await screen.findByRole('heading', { level: 1, name: 'How does it feel?' })
  const rule = screen.getByText('first pour').closest('svg')!
  const markX = Number(
    /^M([\d.]+)/.exec(screen.getByText('first pour').parentElement!.querySelector('path')!.getAttribute('d')!)![1],
  )
  const pointerX = Number(/translateX\(([\d.]+)px/.exec(rule.querySelector<SVGGElement>('.glide')!.style.transform)![1])
  expect(pointerX).toBeCloseTo(markX, 0)
})

it('in a food processor: its own minutes, its warmth and its blade', async () => {
  await beginBatch({ ...as('alk-high', 'alk-thick-hand'), upTo: 'knead' })
  await press(/^In the processor, 45 to 90 s/)
  expect((await benchState()).workedBy).toBe('processor')
  expect(screen.getByText('Sharp blade')).toBeTruthy()
  expect(screen.getByText(/by 8 to 15 degrees/)).toBeTruthy()
})

it('kneaded by hand or in the mixer: other minutes, other words, the same dough', async () => {
  await beginBatch({ ...as('alk-high', 'alk-thick-hand'), upTo: 'knead' })
  expect(pressedNames('Who kneads')).toEqual([expect.stringContaining('By hand')])
  await press(/^In the mixer/)
  expect((await benchState()).workedBy).toBe('mixer')
  expect(screen.getByText('Moving hooks')).toBeTruthy()
  await press(/^Start kneading/)
  const { plan } = await openBatch(BATCH)
  const step = plan.steps.find((each) => each.kind === 'knead')!
  if (step.kind !== 'knead') throw new Error('no knead')
  const [low, high] = step.mixer!
  expect((await benchState()).timers[step.id]!.minutes).toBe(Math.round((low + high) / 2))
})

it('felt again while it is kneaded: the family’s own sign, and a spoon where it is not so', async () => {
  await beginBatch({ minutesAgo: 40, upTo: 'knead' }, { type: 'poured', grams: 402 })
  expect(screen.getByRole('region', { name: 'Feel it again' }).textContent).toContain('firm as modelling clay')
  await press('Not there yet')
  await press(/^2/)
  await press(/^Add [\d.]+ g water/)
  const { additions, done } = await benchState()
  expect(additions).toHaveLength(2)
  expect(done).not.toContain('knead')
})

it('folds are counted one by one, doubling the layers; the roller’s passes follow in order', async () => {
  await beginBatch({ ...as('alk-low', 'alk-medium-wavy'), upTo: 'fold' })
  await press(/^Fold 1 done/)
  await press(/^Fold 2 done/)
  expect(screen.getByText('layers').parentElement!.textContent).toContain('4')
  await press('This one in three, like a letter')
  expect(screen.getByText('layers').parentElement!.textContent).toContain('12')
  await press(/^Undo/)
  expect(screen.getByText('layers').parentElement!.textContent).toContain('4')
  // One press ends the folding and starts the rest; undo takes both back.
  await press(/^Smooth already/)
  expect(Object.values((await benchState()).timers)).toHaveLength(1)
  await press(/^Undo/)
  expect(Object.values((await benchState()).timers)).toHaveLength(0)
  expect(title()).toMatch(/fold and roll/)
  await press(/^Smooth already/)
  await press(/^Rested, go on/)
  expect(title()).toBe('Thin the sheet')
  expect(screen.getByText(/pass 1 of \d/)).toBeTruthy()
  await press(/^Pass 1 done/)
  expect(screen.getByText(/pass 2 of \d/)).toBeTruthy()
  await press(/^Undo/)
  expect(screen.getByText(/pass 1 of \d/)).toBeTruthy()
  await press(/^Thin enough, go on/)
  expect(title()).toMatch(/^Cut: /)
  await press(/^Cut, go on/)
  // Ribbons are counted by the plate.
  expect((await benchState()).shapedPieces).toBeGreaterThan(0)
  expect((await benchState()).shapedPieces).toBeLessThan(20)
})

it('one piece at a time, each is ticked once; thinner still, one setting further, and the cut says so', async () => {
  const oneByOne = { ...machines, gear: { ...machines.gear, schools: { passing: 'one-by-one' } } }
  await beginBatch({ worked: workedAs('soft-hand', 'ribbons', oneByOne), kitchen: oneByOne, upTo: 'thin' })
  const { plan } = await openBatch(BATCH)
  const folds = plan.steps.find((step) => step.kind === 'thin')!.folds
  for (let n = 1; n <= folds; n += 1) await press(new RegExp(`^Fold ${n} done`))
  const { sheet } = benchPieces(plan, await benchState())
  for (let n = 1; n <= sheet!.sheet.sheets; n += 1) await press(new RegExp(`^Piece ${n} done`))
  await press(/^Thinner still: setting/)
  const state = await benchState()
  expect(state.thinnedMm).toBeCloseTo(sheet!.further!.outMm, 9)
  await press(/^Undo/)
  expect((await benchState()).thinnedMm).toBeNull()
  await press(/^Thinner still: setting/)
  await press(/^Thin enough, go on/)
  // Its airing is timed by the same press: half as long again in the damp of this kitchen.
  expect(title()).toBe('Air the sheet')
  expect((await benchState()).timers['air-sheet']?.minutes).toBe(23)
  await press(/^Leathery, go on/)
  const shown = sheet!.further!.outMm.toFixed(2)
  expect(screen.getByText('thick').parentElement!.textContent).toContain(String(Number(shown)))
})

it('without a roller the pin thins it; stops, gauge or the light through it say how thin it came out', async () => {
  const bare = { ...machines, gear: { ...machines.gear, rollers: [] } }
  await beginBatch({ worked: workedAs('soft-hand', 'ribbons', bare), kitchen: bare, upTo: 'thin' })
  expect(screen.getByText(/With the pin/)).toBeTruthy()
  await press(/^Each finger/)
  expect((await benchState()).thinnedMm).toBe(0.8)
  await typeInto('Thickness of the sheet, millimetres', '1.2')
  expect((await benchState()).thinnedMm).toBe(1.2)
  await press(/^Thin enough, go on/)
  await press(/^Leathery, go on/)
  expect(title()).toMatch(/^Cut: /)
})

it('crumb through the press: what to feed, and a clock for its barrel by its own name', async () => {
  await beginBatch({ ...as('sw-crumb', 'ridged-tubes'), upTo: 'press' })
  expect(screen.getByText('feed').parentElement!.textContent).toContain('6 g')
  expect(screen.getByText(/^Counter press: \d+ min of running/)).toBeTruthy()
  await press(/^Time its \d+ min/)
  expect(screen.getByRole('list', { name: 'Other clocks' }).textContent).toContain('rest the barrel')
  await press(/^Stop rest the barrel/)
  expect((await benchState()).timers['own-1']!.stage).toBe('stopped')
})

it('lumps are weighed one by one, and those off are named', async () => {
  const plan = await beginBatch({ minutesAgo: 90, upTo: 'divide' }, { type: 'poured', grams: 402 })
  const { events } = await openBatch(BATCH)
  const { record } = await import('../../storage/index.ts').then(({ repository }) => repository.batches)
  await record(BATCH, [
    { id: 'l1', at: plan.at, type: 'lumped', grams: 40 },
    { id: 'l2', at: plan.at, type: 'lumped', grams: Math.round(lumps(plan, replay(plan, events)).eachG) },
  ])
  await settle()
  expect(screen.getByText(/2 of \d+ weighed/).textContent).toContain('40 g is off')
})

it('pot, fridge, freezer or rack: what is chosen decides what comes next', async () => {
  await beginBatch({ minutesAgo: 90, upTo: 'air' }, { type: 'poured', grams: 402 })
  fireEvent.keyDown(window, { key: '4' })
  await press(/^On the rack space|^On the rack$/)
  expect(title()).toBe('On the rack')
  const figures = screen.getByText('fresh').parentElement!.textContent!
  const dry = screen.getByText(/^dry, at/).parentElement!.textContent!
  const grams = (text: string) => Number(/(\d{3,4}) g/.exec(text)![1])
  // 48 of water on 100 of flour: some two thirds are left at 12.5 %.
  expect(grams(dry) / grams(figures)).toBeGreaterThan(0.62)
  expect(grams(dry) / grams(figures)).toBeLessThan(0.74)
  await typeInto('Grams once dry', '655')
  await press('Write it down')
  expect((await benchState()).driedG).toBe(655)
  await press(/^Undo/)
  await press(/^Undo/)
  await press(/Into the freezer/)
  await press(/^Into the freezer space|^Into the freezer$/)
  expect(title()).toBe('In the freezer')
  expect(screen.getByText(/3 months at most/)).toBeTruthy()
  await press(/^Undo/)
  await press(/Into the fridge/)
  await press(/^Into the fridge space|^Into the fridge$/)
  expect(title()).toBe('Kept in the fridge')
  expect(screen.getByText(/2 days from mixing on at most/)).toBeTruthy()
  await press(/^Out, to the pot/)
  expect(title()).toBe('Cook')
})

it('what has lain in the fridge for too long says so, whenever somebody looks', async () => {
  await beginBatch({ minutesAgo: 60, upTo: 'air' }, { type: 'poured', grams: 402 })
  await press(/Into the fridge/)
  await press(/^Into the fridge space|^Into the fridge$/)
  expect(screen.queryByRole('alert')).toBeNull()
  const now = Date.now()
  jest.spyOn(Date, 'now').mockReturnValue(now + 49 * 3_600_000)
  act(() => void document.dispatchEvent(new Event('visibilitychange')))
  expect(screen.getByRole('alert').textContent).toContain('Throw it away')
  jest.restoreAllMocks()
})

it('what is filled is done when its middle is hot, by thermometer', async () => {
  await beginBatch({ ...as('wrapper-hot', 'thin-machine-round'), minutesAgo: 30, upTo: 'cook' })
  expect(screen.getByText(/Done at 74 °C in the middle/)).toBeTruthy()
  await typeInto('The middle of one, by thermometer, degrees Celsius', '62')
  await settle()
  expect(screen.getByText(/Not yet: it needs 74 °C in the middle/)).toBeTruthy()
  await typeInto('The middle of one, by thermometer, degrees Celsius', '78')
  await settle()
  expect(screen.getByText('Hot through.')).toBeTruthy()
  expect((await benchState()).cores.map(({ celsius }) => celsius)).toEqual([62, 78])
})

it('after the pot they go into ice or a hot pan, as it is wanted today, each with a clock of its own', async () => {
  await beginBatch({ ...as('gn-potato', 'potato-ridged'), upTo: 'cook' })
  await press('Browned in a pan')
  await press(/^Skip the timer/)
  expect(title()).toBe('Brown in the pan')
  await press(/^In the pan/)
  expect((await benchState()).timers['rinse']?.minutes).toBe(4)
  await press(/^Brown, go on/)
  expect(title()).toBe('How was it to eat?')
})

it('batter is dropped potful by potful, each with its own minutes', async () => {
  await beginBatch(
    { ...as('batter-board', 'board-scraped'), minutesAgo: 60, upTo: 'drop' },
    { type: 'poured', grams: 900 },
  )
  await press(/^They are in: 1 of 3/)
  const before = (await benchState()).timers['drop']!
  await press(/^They float/)
  const floating = (await benchState()).timers['drop']!
  expect(floating.startedAt).toBe(before.startedAt)
  expect((floating.endsAtMs - Date.now()) / 1000).toBeCloseTo(30, 0)
  await press(/^Out: 1 of 3/)
  expect(await benchState()).toMatchObject({ ticked: ['drop-1'], timers: { drop: { stage: 'stopped' } } })
  await press(/^Boil is back: 2 of 3 in/)
  await press(/^Out: 2 of 3/)
  await press(/^Boil is back: 3 of 3 in/)
  await press(/^All cooked/)
  const { plan, events } = await openBatch(BATCH)
  expect(replay(plan, events).done).toContain('drop')
  expect(title()).toBe('How was it to eat?')
})

it('wrappers are filled: so much in each, and how long the skin stands it', async () => {
  await beginBatch(
    { ...as('wrapper-hot', 'pan-wrapper'), minutesAgo: 60, upTo: 'fill' },
    { type: 'poured', grams: 500 },
  )
  expect(screen.getByText(/min until the skin goes soft/)).toBeTruthy()
  await press(/^Filled, go on/)
  expect((await benchState()).done).toContain('fill')
})

it('pulled noodles: lumps, doublings and strands, then straight to the pot', async () => {
  await beginBatch(
    { ...as('pulled-soft', 'fold-pulled'), minutesAgo: 60, upTo: 'pull' },
    { type: 'poured', grams: 500 },
  )
  const strands = within(screen.getByRole('list', { name: 'Strands by doubling' })).getAllByRole('listitem')
  expect(strands[0]!.textContent).toMatch(/^1 ×/)
  expect(strands[1]!.textContent).toMatch(/^2 ×/)
  await press(/^Pulled, go on/)
  expect(title()).toBe('Cook')
})

it('the first of two flours runs short: the second, the salt and the jug follow what was weighed', async () => {
  await beginBatch({ ...as('buckwheat-blend', 'soba-cut'), upTo: 'flour' })
  const { plan } = await openBatch(BATCH)
  const [first, second] = plan.rows.filter((row) => row.part === 'flour')
  await typeInto(`${first!.name}, grams on the scale`, String(Math.round(first!.weighedG * 0.8)))
  const field = screen.getByLabelText(`${second!.name}, grams on the scale`) as HTMLInputElement
  expect(Number(field.value) / second!.weighedG).toBeCloseTo(0.8, 1)
  await press(/^Weighed, go on/)
  const gramsBy = (label: string) => Number(/(\d+) g/.exec(screen.getByText(label).parentElement!.textContent!)![1])
  const { startG, holdBackG } = plan.water
  // Plain water with nothing in it is poured straight from the tap.
  expect(title()).toMatch(/^Pour/)
  const { startG: nowG, holdBackG: heldG } = waterTargets(plan, await benchState())
  expect(nowG / startG).toBeCloseTo(0.8, 1)
  expect(Math.abs(heldG - holdBackG * 0.8)).toBeLessThan(1)
  expect(gramsBy('still to pour')).toBe(
    pourGo(
      plan,
      await benchState(),
      plan.steps.find((step) => step.kind === 'pour')!,
    ).leftG,
  )
  expect(screen.getByText(new RegExp(`^Keep ${Math.round(heldG)} g back`))).toBeTruthy()
})

it('semolina is wetted alone: weighed, soaked with its share of the water, and then the other flour and the rest', async () => {
  await beginBatch({ ...as('mixed-semolina-soft', 'ribbons'), upTo: 'flour' })
  const { plan } = await openBatch(BATCH)
  const [semolina, soft] = plan.rows.filter((row) => row.part === 'flour')
  expect(title()).toBe('Weigh the semolina')
  expect(screen.queryByLabelText(`${soft!.name}, grams on the scale`)).toBeNull()
  await typeInto(`${semolina!.name}, grams on the scale`, String(Math.round(semolina!.weighedG * 0.8)))
  await press(/^Weighed, go on/)
  await press(/^Made, go on/)
  expect(title()).toBe('Pour onto the semolina')
  await press(/^Poured .*, go on/)
  const { startG } = plan.water
  expect((await benchState()).pouredG / startG).toBeCloseTo(0.8 * 0.667, 1)
  expect(title()).toBe('Let the semolina soak')
  await press(/^Soaked, go on/)
  expect(title()).toBe('Weigh the other flour')
  const field = screen.getByLabelText(`${soft!.name}, grams on the scale`) as HTMLInputElement
  expect(Number(field.value) / soft!.weighedG).toBeCloseTo(0.8, 1)
  await press(/^Weighed, go on/)
  expect(title()).toMatch(/^Pour, two of two/)
  await press(/^Poured .*, go on/)
  expect((await benchState()).pouredG / startG).toBeCloseTo(0.8, 1)
})

it('a mixer in Gear kneads unless the batch says otherwise; what must not be kneaded is not offered to it', async () => {
  const gear = { ...machines, gear: { ...machines.gear, kneads: 'mixer' as const } }
  await beginBatch({ worked: workedAs('sw-hand', 'little-ears', gear), kitchen: gear, upTo: 'knead' })
  expect(pressedNames('Who kneads')).toEqual([expect.stringContaining('In the mixer')])
  cleanup()
  await beginBatch({ worked: workedAs('gn-potato', 'potato-ridged', gear), kitchen: gear, upTo: 'knead' })
  expect(title()).toBe('Press and fold')
  expect(screen.queryByRole('group', { name: 'Who kneads' })).toBeNull()
})

it('discs are baked, not boiled, and their clock starts in the oven', async () => {
  await beginBatch({ ...as('gn-semolina-disc', 'baked-discs'), minutesAgo: 90, upTo: 'cook' })
  expect(title()).toBe('Bake')
  expect(screen.queryByText('Boiling water')).toBeNull()
  await press(/^In the oven/)
  expect((await benchState()).timers['cook']!.minutes).toBe(18)
})

it('a roller too narrow for the shape says what to do instead of settings that are not there', async () => {
  const coarse = {
    ...machines,
    gear: {
      ...machines.gear,
      rollers: machines.gear.rollers.map((roller) => ({
        ...roller,
        measured: [
          { setting: 1, gapMm: 4 },
          { setting: 7, gapMm: 3 },
        ],
      })),
    },
  }
  await beginBatch({ worked: workedAs('soft-hand', 'fine-ribbons', coarse), kitchen: coarse, upTo: 'thin' })
  expect(screen.getByRole('alert').textContent).toContain('The narrowest setting leaves')
  await press(/^Thin enough, go on/)
  await press(/^Leathery, go on/)
  expect(title()).toMatch(/^Cut: /)
})

it('looking ahead shows a step without starting it, and space comes back to now', async () => {
  await beginBatch({ upTo: 'flour' })
  for (let n = 0; n < 4; n += 1) fireEvent.keyDown(window, { key: 'ArrowRight' })
  expect(title()).toBe('Knead')
  expect(screen.queryByRole('button', { name: /^Start kneading/ })).toBeNull()
  fireEvent.keyDown(window, { key: ' ' })
  await settle()
  expect(title()).toBe('Weigh the flour')
  expect((await benchState()).timers).toEqual({})
})
