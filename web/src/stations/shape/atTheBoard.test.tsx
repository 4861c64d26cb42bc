/** What a batch comes to at the board: presses, pulling, drops, fillings, and one dough cut into several shapes. */
import { cleanup, within } from '@testing-library/react'
import { demoWorkspace } from '../../testing/demoWorkspace.ts'
import { draftOpened } from '../../state/draftSlice.ts'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import {
  choose,
  fireEvent,
  offered,
  putWorkspace,
  renderAt,
  screen,
  settle,
  typeInto,
  waitFor,
} from '../../testing/renderApp.tsx'
import ShapeStation from './ShapeStation.tsx'

async function lay(formula: string, shape?: string): Promise<void> {
  const { sheet } = demoWorkspace.formulas.find((each) => each.id === formula)!
  await putWorkspace(demoWorkspace)
  store.dispatch(draftOpened({ id: 'draft', formula, sheet: { ...sheet, shape: shape ?? sheet.shape } }))
  renderAt('/shape', [{ path: '/shape', element: <ShapeStation /> }])
  await screen.findByRole('heading', { level: 1 })
  fireEvent.click(screen.getByRole('tab', { name: /At the board/ }))
}
const sheet = () => store.getState().draft.present!.sheet
const board = () => screen.getByRole('region', { name: / at the board$/ })
const words = () => document.querySelector('main')!.textContent
const shapes = () => screen.getByRole('region', { name: 'Shapes of this dough' })
const gramsIn = (row: HTMLElement) => Number(/([\d ]+) g/.exec(row.textContent!)![1]!.replace(/\s/g, ''))

afterEach(cleanup)

it('a press: outlets, feed, run, and a rest where the barrel warms', async () => {
  await lay('crumb-32')
  const press = await screen.findByRole('region', { name: 'Through the press' })
  expect(press.textContent).toContain('Counter extruder')
  expect(press.textContent).toMatch(/feed6 gevery 11 s/)
  expect(press.textContent).toMatch(/1 rest of 15 min/)
  expect(press.textContent).toContain('The crumb is right for this press')
  const gear = (await repository.read('gear'))[0]!
  const [first] = gear.presses
  await repository.put('gear', {
    ...gear,
    presses: [{ ...first!, crumb: { low: 36, best: 38, high: 40 }, runMin: null }],
  })
  await settle()
  await waitFor(() => expect(press.textContent).toMatch(/4\.0 points too dry, and strains it/))
  expect(press.textContent).toContain('no rest needed')
  await repository.put('gear', { ...gear, presses: [] })
  await settle()
  await waitFor(() => expect(press.textContent).toContain('Describe your press in Gear'))
})

it('belts are drawn out without losing dough; threads double, each fold thinner', async () => {
  await lay('pulled-belts')
  const [, thick, wide, long] = /strips of \d+ g, ([\d.]+) mm thick, ([\d.]+) mm wide and ([\d.]+) mm long/.exec(
    words()!,
  )!
  const [, thin, broad, drawn] =
    /pulled to ([\d.]+) mm thick, ([\d.]+) mm wide and becomes about ([\d.]+) mm long/.exec(words()!)!
  expect(Number(thick) * Number(wide) * Number(long)).toBeCloseTo(Number(thin) * Number(broad) * Number(drawn), -3)
  cleanup()
  await lay('pulled-belts', 'fold-pulled')
  const folds = within(screen.getByRole('list', { name: 'Strands and thickness by folds' })).getAllByRole('listitem')
  expect(folds.map((fold) => Number(/^\d+/.exec(fold.textContent!)![0]))).toEqual([1, 2, 4, 8, 16, 32])
  const before = folds[4]!.textContent
  await typeInto('Between the hands, millimetres', '540')
  expect(folds[4]!.textContent).not.toBe(before)
})

it('batter goes into the pot in potfuls of its size, with a test by eye', async () => {
  await lay('scraper-drops')
  expect(words()).toMatch(/litres at the boil/)
  await typeInto('Water in the pot', '2')
  const [, potfuls] = /(\d+) potfuls of/.exec(words()!)!
  await typeInto('Water in the pot', '4')
  const [, fewer] = /(\d+) potfuls of|all in one potful/.exec(words()!)!
  expect(Number(potfuls)).toBeGreaterThan(Number(fewer ?? 1))
  expect(words()).toContain('keeps its edge on the wet board')
})

it('a filling is told by name, mass and moisture; too much of it leaves no rim', async () => {
  await lay('hot-water-skins')
  expect(board().textContent).toMatch(/1800 g for 120 pieces/)
  expect(board().textContent).toMatch(/15 mm of rim is left/)
  await typeInto('Moisture of the filling', '83')
  expect(sheet().filling).toMatchObject({ name: 'Potato and leek', gramsEach: 15, moisturePercent: 83 })
  expect(board().textContent).toMatch(/goes soft after about 32 min/)
  await typeInto('Filling in each, grams', '60')
  expect(screen.queryByText(/was not read/)).toBeNull()
  expect(within(board()).getByRole('alert').textContent).toMatch(/rim would be left|does not close/)
  expect(board().textContent).toMatch(/Usual for this shape: 13 g to 17 g/)
  fireEvent.change(screen.getByLabelText('Name of the filling'), { target: { value: '<b>Nettle' } })
  expect(sheet().filling!.name).toBe('‹b>Nettle')
})

it('one dough, several shapes: each has its figures, and together they are the dough', async () => {
  await lay('half-and-half')
  const rows = () => within(shapes()).getAllByRole('row')
  const parts = () => rows().slice(1, -1).map(gramsIn)
  const together = gramsIn(rows().at(-1)!)
  expect(parts()[1]! / together).toBeCloseTo(0.3, 2)
  expect(parts().reduce((a, b) => a + b, 0)).toBeCloseTo(together, -0.5)
  expect(screen.getAllByRole('region', { name: / at the board$/ })).toHaveLength(2)

  // The same amount, said in pieces and then in grams.
  const inDough = parts()[1]!
  await choose('Strozzapreti is given in', 'count')
  expect(Math.abs(parts()[1]! - inDough)).toBeLessThan(3)
  await choose('Strozzapreti is given in', 'grams')
  await typeInto('How much for Strozzapreti, grams', '200')
  expect(parts()[1]).toBe(200)
  expect(parts()[0]).toBe(together - 200)
  expect(screen.queryByText(/was not read/)).toBeNull()

  await typeInto('How much for Strozzapreti, grams', '5000')
  expect(screen.getByRole('alert').textContent).toMatch(/want [\d ]+ g more than there is/)
  await typeInto('How much for Strozzapreti, grams', '200')

  await choose(/Cut a part of it into/, 'little-ears')
  expect(sheet().alsoShapes).toHaveLength(2)
  fireEvent.click(screen.getByRole('button', { name: 'Take out Strozzapreti' }))
  expect(sheet().alsoShapes.map((also) => also.shape)).toEqual(['little-ears'])
  expect(parts().reduce((a, b) => a + b, 0)).toBeCloseTo(together, -0.5)
})

it('each of several shapes goes through the roller with its own share of the dough', async () => {
  await lay('gale-noodles')
  const metres = () =>
    screen
      .getAllByRole('region', { name: 'Rolled out' })
      .map((roller) => Number(/(\d[\d.]*) m of sheet/.exec(roller.textContent!)![1]))
  await screen.findByRole('region', { name: 'Rolled out' })
  const [whole] = metres()
  const [other] = (await offered(/Cut a part of it into/)).filter(Boolean)
  await choose(/Cut a part of it into/, other!)
  expect(metres()).toHaveLength(2)
  expect(metres()[0]! / whole!).toBeCloseTo(0.8, 1)
})
