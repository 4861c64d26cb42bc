/** All shapes, the map, sauces, a shape of one's own, and the gauge. */
import { shapes as table } from '@harina/facts'
import { cleanup, within } from '@testing-library/react'
import { demoWorkspace } from '../../testing/demoWorkspace.ts'
import { draftLoaded } from '../../state/draftSlice.ts'
import { preferred } from '../../state/preferencesSlice.ts'
import { store } from '../../state/store.ts'
import { tables } from '../../state/tables.ts'
import { repository } from '../../storage/index.ts'
import {
  act,
  choose,
  fireEvent,
  press,
  putWorkspace,
  renderAt,
  screen,
  settle,
  typeInto,
  typeOver,
  waitFor,
} from '../../testing/renderApp.tsx'
import ShapeStation from './ShapeStation.tsx'

async function open(view: string): Promise<void> {
  await putWorkspace(demoWorkspace)
  renderAt(`/shape${view}`, [{ path: '/shape/:view?', element: <ShapeStation /> }])
}
const sheet = () => store.getState().draft.present!.sheet
const status = () => screen.getByRole('status').textContent
const tiles = () =>
  within(screen.getByRole('list', { name: 'Shapes' }))
    .getAllByRole('listitem', { hidden: true })
    .filter((tile) => !tile.hidden)

afterEach(cleanup)

it('the library narrows by words and filters, and says how many are left', async () => {
  await open('/library')
  await screen.findByRole('list', { name: 'Shapes' })
  expect(tiles()).toHaveLength(table.length)
  await typeInto('Name, place, tool or dough', 'sardinia')
  await waitFor(() => expect(status()).toMatch(new RegExp(`of ${table.length} shapes`)))
  expect(tiles().map((tile) => tile.textContent)).toEqual(
    expect.arrayContaining([expect.stringContaining('Lorighittas')]),
  )
  await typeInto('Name, place, tool or dough', 'no such thing')
  await waitFor(() => expect(status()).toContain('loosen a filter'))
  fireEvent.click(screen.getByRole('button', { name: 'Show all' }))
  await waitFor(() => expect(tiles()).toHaveLength(table.length))
  fireEvent.click(screen.getByLabelText('a press'))
  await choose('Dough', 'semolina')
  await waitFor(() => expect(tiles().length).toBeLessThan(table.length / 2))
  for (const tile of tiles()) expect(tile.textContent).not.toMatch(/Rigatoni|Penne/)
})

it('a shape of the library is looked at and not taken; one press takes it, one goes back', async () => {
  await open('/library')
  await screen.findByRole('list', { name: 'Shapes' })
  const before = sheet()
  await press(/^Orecchiette/)
  expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('Orecchiette')
  expect(sheet()).toEqual(before)
  expect(screen.queryByRole('button', { name: 'Make it your own' })).toBeNull()
  await press('Back')
  expect(await screen.findByRole('list', { name: 'Shapes' })).toBeTruthy()
  await press(/^Orecchiette/)
  await press('Take it: Orecchiette')
  expect(sheet()).toEqual({ ...before, shape: 'little-ears' })
})

it('without a draft one is begun with a shape', async () => {
  await open('/library')
  act(() => void store.dispatch(draftLoaded(null)))
  await screen.findByRole('list', { name: 'Shapes' })
  await press(/^Udon/)
  await press('Begin a draft: Udon')
  expect(sheet()).toMatchObject({ shape: 'thick-white', dough: 'salted-thick' })
})

it.each([
  ['fettuccine', 'Tagliatelle'],
  ['lasana', 'Lasagne sheets'],
  ['spatzle', 'Board-scraped batter threads'],
  ['ravioli', 'Square filled parcels'],
])('the library knows %s', async (words, name) => {
  await open('/library')
  fireEvent.change(await screen.findByRole('searchbox'), { target: { value: words } })
  expect(tiles().some((tile) => tile.textContent?.startsWith(name))).toBe(true)
})

it('the map has every family by method, and where this dough stands', async () => {
  await open('/map')
  const flour = await screen.findByRole('region', { name: 'Water on 100 of flour' })
  const rows = within(flour).getAllByRole('button')
  expect(rows.map((row) => row.textContent)).toEqual(
    expect.arrayContaining([expect.stringMatching(/^Semolina-water, hand/)]),
  )
  const hand = rows.find((row) => row.textContent!.startsWith('Semolina-water, hand'))!
  expect(hand.textContent).toContain('this dough stands in it')
  fireEvent.click(hand)
  expect(flour.textContent).toContain('Semolina and water, for the hand')
  expect(screen.getByRole('region', { name: 'Flour on 100 of cooked potato' })).toBeTruthy()
})

it('from a sauce to its shapes, only of this dough or of all', async () => {
  await open('/sauces')
  await press('Broth')
  const found = screen.getByRole('region', { name: 'Shapes for Broth' })
  expect(found.textContent).toContain('fits a spoon')
  const few = within(found).queryAllByRole('listitem').length
  fireEvent.click(screen.getByLabelText(/only what Lamp-room semolina/))
  await waitFor(() => expect(within(found).getAllByRole('listitem').length).toBeGreaterThan(few + 5))
})

it('both ways: which doughs a shape is made of, and which formula of the book would do today', async () => {
  await open('')
  await screen.findByRole('heading', { level: 1, name: 'Cavatelli' })
  fireEvent.click(screen.getByRole('tab', { name: 'Its doughs' }))
  expect(screen.getByText('46 to 53')).toBeTruthy()
  await press('Take Curd hollows as Cavatelli')
  expect(sheet()).toMatchObject({ name: 'Curd hollows', dough: 'gn-curd-semolina', shape: 'one-dent-shells' })
})

it('a shape of one’s own by its dimensions: kept, used, and not removed while a formula wants it', async () => {
  await open('')
  await screen.findByRole('heading', { level: 1, name: 'Cavatelli' })
  await press('Make it your own')
  await typeInto('Name', 'Keeper’s shells')
  await typeOver('length of the cut, millimetres', '0')
  expect(screen.getByText(/Give at least/)).toBeTruthy()
  await typeInto('length of the cut, millimetres', '18')
  await typeOver('Lowest', '60')
  expect(screen.getByText('The best lies between the lowest and the highest.')).toBeTruthy()
  expect((screen.getByRole('button', { name: 'Keep it' }) as HTMLButtonElement).disabled).toBe(true)
  await typeInto('Lowest', '45')
  await press('Keep it')
  const [own] = await repository.read('shape')
  expect(own).toMatchObject({ name: 'Keeper’s shells', blank: { type: 'rope', diameterMm: 9, cutMm: 18 } })
  const of = tables().shapeRows.find(({ name }) => name === 'Cavatelli')!
  expect(own!.piecesPerMin.practised).toBeLessThan(of.piecesPerMin.practised)
  expect(sheet().shape).toBe(own!.id)
  expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('Keeper’s shells')

  const [formula] = await repository.read('formula')
  await repository.put('formula', { ...formula!, sheet: { ...formula!.sheet, shape: own!.id } })
  await settle()
  await press('Make it your own')
  await press('Remove it')
  expect(await repository.read('shape')).toHaveLength(1)
  await repository.put('formula', formula!)
  await settle()
  await press('Remove it')
  await waitFor(async () => expect(await repository.read('shape')).toEqual([]))
  expect(sheet().shape).not.toBe(own!.id)
})

describe('the gauge', () => {
  afterEach(() => act(() => void store.dispatch(preferred({ devicePxPerMm: null, gaugeChecked: false }))))

  it('a card, then a second length that puts it right, then life size with knobs', async () => {
    await open('/gauge')
    await screen.findByRole('region', { name: 'Hold a card against it' })
    fireEvent.change(screen.getByLabelText('Width of the card on the screen'), { target: { value: '342' } })
    await press('A little wider')
    await press('It fits')
    expect(store.getState().preferences.devicePxPerMm).toBeCloseTo(343 / 85.6, 6)
    const line = screen.getByRole('img', { name: /^A line of \d+ mm$/ })
    const drawn = Number(/\d+/.exec(line.getAttribute('aria-label')!)![0])
    await typeInto('The ruler reads, millimetres', String(drawn * 0.98))
    await press('Done')
    const { devicePxPerMm, gaugeChecked } = store.getState().preferences
    expect(gaugeChecked).toBe(true)
    expect(devicePxPerMm).toBeCloseTo(343 / 85.6 / 0.98, 3)

    const knob = screen.getByRole('slider', { name: 'Thickness of the rope' })
    expect(knob.getAttribute('aria-valuenow')).toBe('9')
    fireEvent.keyDown(knob, { key: 'ArrowUp' })
    expect(knob.getAttribute('aria-valuenow')).toBe('9.5')
    expect(screen.getByRole('img', { name: /^rope 9\.5 mm thick, cut at 13 mm/ })).toBeTruthy()
    await press(/^Back to rope of 9 mm/)
    expect(knob.getAttribute('aria-valuenow')).toBe('9')
    await press('Measure this screen again')
    expect(screen.getByRole('region', { name: 'Hold a card against it' })).toBeTruthy()
  })

  it('follows the zoom of the page: half the CSS pixels at twice the ratio', async () => {
    act(() => void store.dispatch(preferred({ devicePxPerMm: 8, gaugeChecked: true })))
    const before = window.devicePixelRatio
    Object.defineProperty(window, 'devicePixelRatio', { value: 2, configurable: true })
    await open('/gauge')
    expect(await screen.findByText(/^4\.00 pixels a millimetre/)).toBeTruthy()
    Object.defineProperty(window, 'devicePixelRatio', { value: before, configurable: true })
    await settle()
  })
})

it('all of a shape is told: tools with what stands in for them, mistakes, cooking, keeping, and what goes with it', async () => {
  await open('')
  await screen.findByRole('heading', { level: 1, name: 'Cavatelli' })
  fireEvent.click(screen.getByRole('tab', { name: 'Tools and troubles' }))
  // Panels that are not open are empty.
  const panel = () =>
    screen
      .getAllByRole('tabpanel')
      .map((each) => each.textContent)
      .join('')
  expect(panel()).toContain('Two fingertips or butter knife, its back')
  expect(panel()).toMatch(/A solid worm.*pressed lightly: press to the board, then draw/)
  expect(panel()).toMatch(/25 pieces a minute in practised hands; 10 while learning, 45 at full speed/)
  fireEvent.click(screen.getByRole('tab', { name: 'To the plate' }))
  expect(panel()).toMatch(/fresh4 to 7 min from the return of the boil/)
  expect(panel()).toMatch(/driedin a closed jar 9 months/)
  expect(panel()).toMatch(/Bitter greens.*its cup catches bits/)
  cleanup()
  await open('/library')
  await screen.findByRole('list', { name: 'Shapes' })
  await press(/^Culurgiones/)
  fireEvent.click(await screen.findByRole('tab', { name: 'To the plate' }))
  expect(panel()).toContain('never in room air: the filling')
  expect(panel()).toContain('1 day at the most')
})
