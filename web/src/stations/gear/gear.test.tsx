import { gearSchema, toFile } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { preferred } from '../../state/preferencesSlice.ts'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import { playScale } from '../../testing/playScale.ts'
import { sampleKitchen } from '../../testing/sampleKitchen.ts'
import { playVoice } from '../../testing/playVoice.ts'
import {
  act,
  choose,
  fireEvent,
  offered,
  press,
  putWorkspace,
  renderAt,
  sampleWorkspace,
  screen,
  settle,
  typeInto,
  typeOver,
  valueOf,
  waitFor,
} from '../../testing/renderApp.tsx'
import GearStation from './GearStation.tsx'
import { fileProblemWords } from '../../words/index.ts'

beforeEach(() => putWorkspace(sampleWorkspace))
afterEach(cleanup)

/** @param shelf its path, and words that stand on it */
async function open(shelf: 'bench' | 'machines' | 'sacks' | 'ways' | 'files', words: string): Promise<void> {
  renderAt(`/gear/${shelf}`, [{ path: '/gear/:shelf', element: <GearStation /> }])
  await screen.findByText(words)
}
const openBench = () => open('bench', 'Scale and board')
const openMachines = () => open('machines', 'Rollers')
const openSacks = () => open('sacks', 'Ingredients of your own')
const openWays = () => open('ways', 'Schools I follow')
const openFiles = () => open('files', 'This device')

const bring = (content: string) => {
  const file = new File([content], 'brought.harina.json', { type: 'application/json' })
  Object.defineProperty(file, 'text', { value: () => Promise.resolve(content) })
  fireEvent.change(screen.getByLabelText('A .harina.json file'), { target: { files: [file] } })
}

it('scale, board and air are stored as they are set', async () => {
  await openBench()
  fireEvent.click(screen.getByRole('radio', { name: '0.1 g' }))
  await settle()
  await typeInto('Board length, millimetres', '750')
  await settle()
  await typeInto('Sea store, humidity', '75')
  await settle()
  expect((await repository.read('gear'))[0]).toMatchObject({
    scaleStepG: 0.1,
    boardMm: 750,
    places: [{ name: 'Sea store', rhPercent: 75 }, { name: 'Lamp room' }],
  })
})

it('air that cannot be is refused', async () => {
  await openBench()
  await typeOver('Sea store, humidity', '130')
  expect(screen.getByRole('alert').textContent).toContain('at most 95')
  expect((await repository.read('gear'))[0]?.places[0]?.rhPercent).toBe(81)
})

it('a place is added and removed; the last one stays', async () => {
  await openBench()
  await press('Add a place')
  expect((await repository.read('gear'))[0]?.places).toHaveLength(3)
  await press('Remove New place')
  await press('Remove Lamp room')
  expect((await repository.read('gear'))[0]?.places).toHaveLength(1)
  expect(screen.queryByRole('button', { name: 'Remove New place' })).toBeNull()
  expect(screen.queryByRole('button', { name: 'Remove Sea store' })).toBeNull()
})

it('a sack is added under its flour, and named by its keeper', async () => {
  await openSacks()
  await choose('Add a lot of', 'plain-wheat')
  await settle()
  const lot = (await repository.read('lot')).find((candidate) => candidate.ingredient === 'plain-wheat')
  expect(lot?.name).toBe('Plain (all-purpose) wheat flour')
  fireEvent.change(await screen.findByDisplayValue('Plain (all-purpose) wheat flour'), { target: { value: 'P-01' } })
  await settle()
  expect((await repository.read('lot')).map((candidate) => candidate.name)).toContain('P-01')
})

it('what a sack holds and costs is stored; its removal can be undone', async () => {
  await openSacks()
  const [first] = await repository.read('lot')
  await typeInto(`${first!.name}, what is left, grams`, '2.5 kg')
  await settle()
  await typeInto(`${first!.name}, price of a kilogram`, '1.8')
  await settle()
  expect((await repository.read('lot')).find((lot) => lot.id === first!.id)).toMatchObject({
    stockG: 2500,
    pricePerKg: 1.8,
  })
  await press(`Remove ${first!.name}`)
  expect((await repository.read('lot')).map((lot) => lot.id)).not.toContain(first!.id)
})

it('an ingredient of the maker’s own is kept with its figures, and can go again', async () => {
  await openSacks()
  await press('Add an ingredient')
  fireEvent.change(await screen.findByLabelText('Name'), { target: { value: 'Chestnut flour' } })
  await typeInto('Water', '11')
  await typeInto('Drinks against plain wheat flour', '12')
  fireEvent.change(screen.getByLabelText('Allergens, with commas between'), { target: { value: 'nuts, , gluten' } })
  await press('Keep it')
  const [own] = await repository.read('ingredient')
  expect(own).toMatchObject({
    name: 'Chestnut flour',
    water: 0.11,
    absorptionShift: 12,
    allergens: ['nuts', 'gluten'],
  })
  await press('Remove Chestnut flour')
  expect(await repository.read('ingredient')).toEqual([])
})

it('an ingredient that a formula is made of is not removed from under it', async () => {
  const [formula] = await repository.read('formula')
  const flour = { ...sampleKitchen.ingredients.get('durum-semolina-remilled')!, id: 'our-durum', name: 'Our durum' }
  await repository.put('ingredient', flour)
  const rows = formula!.sheet.rows.map((row, n) => (n === 0 ? { ...row, ingredient: 'our-durum' } : row))
  await repository.put('formula', { ...formula!, sheet: { ...formula!.sheet, rows } })
  await settle()
  await openSacks()
  await press('Remove Our durum')
  expect((await repository.read('ingredient')).map(({ id }) => id)).toContain('our-durum')
  await repository.put('formula', formula!)
  await settle()
  await press('Remove Our durum')
  expect((await repository.read('ingredient')).map(({ id }) => id)).not.toContain('our-durum')
})

it('an ingredient that is more than the whole of itself cannot be kept', async () => {
  await openSacks()
  await press('Add an ingredient')
  await typeInto('Water', '80')
  await typeInto('Fat', '30')
  expect(screen.getByRole('alert').textContent).toContain('more than the whole of it')
  expect(screen.getByRole('button', { name: 'Keep it' })).toHaveProperty('disabled', true)
})

it('a figure of the table put right stands in its place', async () => {
  await openSacks()
  await choose('Put right', 'plain-wheat')
  await typeInto('Protein', '9')
  await press('Keep it')
  const [own] = await repository.read('ingredient')
  expect(own).toMatchObject({ id: 'plain-wheat', protein: 0.09 })
})

it('vessels, tap and height are stored; a vessel’s removal is told', async () => {
  await openBench()
  await press('Add a vessel')
  const [vessel] = (await repository.read('gear'))[0]!.vessels
  await typeInto(`${vessel!.name}, most dough, grams`, '900')
  await settle()
  await typeInto('Height above the sea, metres', '1800')
  await settle()
  expect((await repository.read('gear'))[0]).toMatchObject({ altitudeM: 1800, vessels: [{ maxDoughG: 900 }] })
  await press(`Remove ${vessel!.name}`)
  expect((await repository.read('gear'))[0]?.vessels).toEqual([])
})

it('a roller: two gaps are enough, one more bends the dial, and its numbers can be turned round', async () => {
  await openMachines()
  await press('Add a roller')
  const gap = (setting: number, unit = 'millimetres') => valueOf(`New roller, gap at ${setting}, ${unit}`)
  await waitFor(() => expect(gap(4)).toBe('1.18'))
  await typeInto('New roller, gap at 4, millimetres', '1.4')
  await settle()
  await waitFor(() => expect(gap(3)).not.toBe('1.58'))
  await typeInto('New roller, spring-back', '1.2')
  await settle()
  expect((await repository.read('gear'))[0]!.rollers[0]!.springBack).toBe(1.2)
  await press('Turn round the numbers of New roller')
  await waitFor(() => expect(gap(7)).toBe('2.80'))
  expect((await repository.read('gear'))[0]!.rollers[0]).toMatchObject({ widest: 'last', measured: { length: 3 } })
  await typeInto('New roller, gap at 6, millimetres', '5')
  await settle()
  expect(screen.getByRole('alert').textContent).toContain('should be thinner')
  const gear = (await repository.read('gear'))[0]!
  await repository.put('gear', { ...gear, units: { ...gear.units, length: 'in' } })
  await settle()
  await waitFor(() => expect(gap(7, 'inches')).toBe('0.110'))
  await typeInto('New roller, gap at 6, inches', '0.08')
  await settle()
  expect(
    (await repository.read('gear'))[0]!.rollers[0]!.measured.find((each) => each.setting === 6)!.gapMm,
  ).toBeCloseTo(2.032, 6)
  await press('Remove New roller')
  expect((await repository.read('gear'))[0]!.rollers).toEqual([])
})

it('a press begins as its kind, is put right, and rests only if it must', async () => {
  await openMachines()
  await choose('Add a press', 'mixer-attachment')
  await settle()
  const kept = async () => (await repository.read('gear'))[0]!.presses[0]!
  expect(await kept()).toMatchObject({ name: 'Press on a stand mixer', lumpG: 12, runMin: 20, crumb: { best: 35 } })
  await typeInto('Press on a stand mixer, driest crumb', '36')
  await settle()
  expect((await kept()).crumb).toEqual({ low: 36, best: 36, high: 38 })
  await typeInto('Press on a stand mixer, driest crumb', '40')
  await settle()
  expect((await kept()).crumb!.low).toBe(36)
  await press('It stays cool')
  expect(await kept()).toMatchObject({ runMin: null, restMin: 0 })
  await press('It needs rests')
  expect(await kept()).toMatchObject({ runMin: 20, restMin: 10 })
  expect(gearSchema.safeParse((await repository.read('gear'))[0]).success).toBe(true)
  await press('Remove Press on a stand mixer')
  expect((await repository.read('gear'))[0]!.presses).toEqual([])
})

it('units are the maker’s at the edge; what is stored stays in g, mm and °C', async () => {
  await openWays()
  for (const unit of ['inches', '°F']) fireEvent.click(screen.getByRole('radio', { name: unit }))
  await settle()
  cleanup()
  await openBench()
  await waitFor(() => expect(valueOf('Board length, inches')).toBe('35.4'))
  await typeInto('Board length, inches', '30')
  await settle()
  await typeInto('Sea store, temperature, degrees Fahrenheit', '68')
  await settle()
  const gear = (await repository.read('gear'))[0]!
  expect(gear.boardMm).toBeCloseTo(762, 6)
  expect(gear.places[0]?.temperatureC).toBeCloseTo(20, 6)
})

it('a school is followed and let go again; the guide takes a figure and goes back', async () => {
  await openWays()
  const first = (await offered('How salty a pot?'))[1]!
  await choose('How salty a pot?', first)
  await settle()
  expect(Object.values((await repository.read('gear'))[0]!.schools)).toContain(first)
  await typeInto('Semolina-water, main, fresh, grams a person', '125')
  await settle()
  expect(Object.values((await repository.read('gear'))[0]!.portions)).toEqual([125])
  await press('Back to the guide')
  expect((await repository.read('gear'))[0]!.portions).toEqual({})
})

it('a file of the same workspace brings nothing; one that differs asks', async () => {
  await openFiles()
  bring(JSON.stringify(toFile(sampleWorkspace, '2031-01-01T00:00:00+00:00')))
  expect(await screen.findByRole('button', { name: 'All of it is here' })).toHaveProperty('disabled', true)
  await press('Leave it')
  const lots = sampleWorkspace.lots.map((lot, index) => (index === 0 ? { ...lot, note: 'theirs' } : lot))
  bring(JSON.stringify(toFile({ ...sampleWorkspace, lots }, '2031-01-01T00:00:00+00:00')))
  expect(await screen.findByText(/1 that differ from yours/)).toBeTruthy()
  fireEvent.click(screen.getByRole('radio', { name: /^Replace/ }))
  await press('Bring it in')
  await waitFor(async () => expect((await repository.read('lot')).map((lot) => lot.note)).toContain('theirs'))
})

it('a broken file is explained and changes nothing', async () => {
  await openFiles()
  bring('{"format":"harina","version":1')
  expect((await screen.findByRole('alert')).textContent).toContain('breaks off before its end')
  expect((await repository.workspace()).formulas).toHaveLength(sampleWorkspace.formulas.length)
})

it('clearing asks twice', async () => {
  await openFiles()
  await press('Clear this workspace')
  expect(screen.getByRole('button', { name: 'Clear it' })).toHaveProperty('disabled', true)
  fireEvent.click(screen.getByRole('checkbox', { name: /I have a file/ }))
  await press('Clear it')
  await waitFor(async () => expect(await repository.read('formula')).toEqual([]))
})

it('every refusal says that nothing was changed', () => {
  for (const code of [
    'file-empty',
    'file-too-big',
    'file-cut-short',
    'file-not-json',
    'file-foreign',
    'file-hostile',
    'file-markup',
    'file-broken',
  ] as const)
    expect(fileProblemWords({ code })).toMatch(/Nothing was changed\.$/)
  const newer = fileProblemWords({ code: 'file-newer', data: { version: 11 } })
  expect(newer).toMatch(/version 11.*Nothing was changed\.$/)
})

it('a scale is checked with a known weight, dated, and told when it is off', async () => {
  await openBench()
  fireEvent.change(screen.getByLabelText('Which scale'), { target: { value: 'Pocket scale' } })
  await typeInto('Known weight, grams', '100')
  await typeInto('What it showed, grams', '100.6')
  await press('Write the check down')
  const [check] = (await repository.read('gear'))[0]!.scaleChecks
  expect(check).toMatchObject({ scale: 'Pocket scale', knownG: 100, shownG: 100.6, stepG: 0.1 })
  expect(Math.abs(Date.parse(check!.at) - Date.now())).toBeLessThan(10_000)
  expect(screen.getByRole('list', { name: 'Scale checks' }).textContent).toContain('reads high by 0.6 g')
  fireEvent.change(screen.getByLabelText('Which scale'), { target: { value: 'Bench scale' } })
  await typeInto('Known weight, grams', '500')
  await typeInto('What it showed, grams', '500')
  await press('Write the check down')
  expect(screen.getByRole('list', { name: 'Scale checks' }).textContent).toMatch(/Bench scale.*true/)
  expect(gearSchema.safeParse((await repository.read('gear'))[0]).success).toBe(true)
})

it('who kneads and where the bench stands are gear', async () => {
  await openBench()
  fireEvent.click(screen.getByRole('radio', { name: 'Mixer' }))
  await settle()
  const { places } = (await repository.read('gear'))[0]!
  await choose('The bench stands in', places[1]!.id)
  const gear = (await repository.read('gear'))[0]!
  expect([gear.kneads, gear.benchPlace]).toEqual(['mixer', gear.places[1]!.id])
})

it('a reading of the air sensor is taken for a place; lost, it says so and nothing changes', async () => {
  const air = playScale()
  act(() => void store.dispatch(preferred({ air: false })))
  await openBench()
  await press('Read the air sensor')
  const say = (store: number, room: number) =>
    air.say({
      shows: 'air',
      store: { temperatureC: 15.2, rhPercent: store },
      room: { temperatureC: 26.4, rhPercent: room },
    })
  say(84, 39)
  fireEvent.click(screen.getByRole('button', { name: 'Sea store: take the store probe' }))
  await settle()
  expect((await repository.read('gear'))[0]!.places[0]).toMatchObject({ temperatureC: 15.2, rhPercent: 84 })
  await press('A pot boils in the room')
  expect(air.acts).toEqual([{ act: 'steam', probe: 'room' }])
  air.lose()
  expect(screen.getByText(/The air sensor is gone/)).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Sea store: take the store probe' })).toBeNull()
  await press('Without it')
  expect(store.getState().preferences.air).toBe(false)
})

it('steps and timers are spoken where the browser has a voice', async () => {
  const said = playVoice()
  await openFiles()
  fireEvent.click(screen.getByLabelText(/Steps and timers are spoken/))
  expect(said()).toEqual(['Steps and timers are spoken'])
  fireEvent.click(screen.getByLabelText('Bigger type at the bench'))
  expect(store.getState().preferences).toMatchObject({ voice: true, big: true })
  act(() => void store.dispatch(preferred({ voice: false, big: false })))
})

it('Gear has its own undo: a figure typed key by key, a unit, a sack; the sheet stays as it is', async () => {
  const { undoGear, redoGear } = await import('../../state/gearHistory.ts')
  const back = async (step: () => void) => {
    act(step)
    await settle()
  }
  await openBench()
  const gear = async () => (await repository.read('gear'))[0]!
  const before = await gear()
  for (const text of ['7', '75', '750']) {
    await typeInto('Board length, millimetres', text)
    await settle()
  }
  expect((await gear()).boardMm).toBe(750)
  cleanup()
  await openWays()
  fireEvent.click(screen.getByRole('radio', { name: 'oz' }))
  await settle()
  await back(undoGear)
  expect((await gear()).units.mass).toBe(before.units.mass)
  await back(undoGear)
  expect((await gear()).boardMm).toBe(before.boardMm)
  await back(redoGear)
  await back(redoGear)
  expect(await gear()).toMatchObject({ boardMm: 750, units: { mass: 'oz' } })
  await back(undoGear)
  await back(undoGear)
  expect(await gear()).toEqual(before)
})
