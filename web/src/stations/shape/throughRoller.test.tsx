/** Sheets and stamps of the demo's own formulas, through its own roller. */
import { demoWorkspace } from '../../testing/demoWorkspace.ts'
import { cleanup, within } from '@testing-library/react'
import { draftOpened } from '../../state/draftSlice.ts'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import { choose, fireEvent, putWorkspace, renderAt, screen, settle, waitFor } from '../../testing/renderApp.tsx'
import ShapeStation from './ShapeStation.tsx'

async function lay(formula: string, shape?: string): Promise<void> {
  const { sheet } = demoWorkspace.formulas.find((each) => each.id === formula)!
  await putWorkspace(demoWorkspace)
  store.dispatch(draftOpened({ id: 'draft', formula, sheet: { ...sheet, shape: shape ?? sheet.shape } }))
  renderAt('/shape', [{ path: '/shape', element: <ShapeStation /> }])
  await screen.findByRole('heading', { level: 1 })
  fireEvent.click(screen.getByRole('tab', { name: /At the board/ }))
}
const section = () => screen.findByRole('region', { name: 'Rolled out' })
const images = (within_: HTMLElement) =>
  within(within_)
    .getAllByRole('img')
    .map((image) => image.getAttribute('aria-label') ?? '')

afterEach(cleanup)

it('noodles: settings in order, none thinning more than a stiff dough bears, and the strands across', async () => {
  await lay('signal-noodles')
  const roller = await section()
  const steps = [...images(roller)[0]!.matchAll(/setting (\d): ([\d.]+) mm/g)].map(([, , mm]) => Number(mm))
  expect(steps.length).toBeGreaterThan(2)
  steps.slice(1).forEach((mm, index) => expect(steps[index]! / mm).toBeLessThanOrEqual(1.55))
  expect(roller.textContent).toMatch(/88 strands across/)
})

it('rounds are laid out on the sheet as many as are counted, and the scrap is rolled again', async () => {
  await lay('hot-water-skins', 'thin-machine-round')
  const roller = await section()
  const [, count] = /(\d+) pieces on one sheet/.exec(images(roller).at(-1)!)!
  expect(roller.textContent).toMatch(new RegExp(`${count} from (it|a whole one)`))
  expect(roller.querySelectorAll('svg rect[rx]:not([rx="0"])')).toHaveLength(Number(count))
  const rows = within(within(roller).getByRole('table')).getAllByRole('row')
  const pieces = rows.map((row) => Number(/(\d+)$/.exec(row.textContent!)![1]))
  expect(rows[1]!.textContent).toContain('scrap, rolled again')
  // What is stamped from sheet to scrap is what there is.
  expect(pieces.slice(0, -1).reduce((sum, each) => sum + each, 0)).toBe(pieces.at(-1))
})

it('a shape that is not sheeted is not sent through a roller', async () => {
  await lay('lamp-room-semolina')
  expect(screen.queryByRole('region', { name: 'Rolled out' })).toBeNull()
  cleanup()
  await lay('hot-water-skins')
  expect(screen.queryByRole('region', { name: 'Rolled out' })).toBeNull()
})

it('the pin alone is a choice that is kept with the sheet, with its own plan', async () => {
  await lay('signal-noodles')
  await choose('Roller or pin', 'by-pin')
  const pin = await section()
  expect(pin.textContent).toContain('guide sticks')
  expect(pin.textContent).toContain('300 mm wide')
  expect(store.getState().draft.present!.sheet.machines).toMatchObject({ byPin: true })
  await choose('Roller or pin', 'crank')
  expect((await section()).textContent).toContain('strands across')
})

it('without a roller it says where to describe one; one too coarse is told of', async () => {
  await lay('signal-noodles')
  const gear = (await repository.read('gear'))[0]!
  await repository.put('gear', { ...gear, rollers: [] })
  await settle()
  await waitFor(async () => expect((await section()).textContent).toContain('Describe a roller in Gear'))
  const [roller] = gear.rollers
  const measured = [
    { setting: 1, gapMm: 5 },
    { setting: 7, gapMm: 3 },
  ]
  await repository.put('gear', { ...gear, rollers: [{ ...roller!, measured }] })
  await settle()
  await waitFor(async () => expect((await section()).textContent).toContain('The narrowest setting leaves'))
})

it('as a belt a sheet may be twice as long, so there are half as many', async () => {
  await lay('signal-noodles')
  const roller = await section()
  const pieces = () => Number(/(\d+) pieces of/.exec(roller.textContent!)?.[1] ?? 1)
  const single = pieces()
  expect(single).toBeGreaterThan(3)
  await choose('How the sheet is run', 'belt')
  expect(pieces()).toBe(Math.ceil(single / 2))
  expect(roller.textContent).toContain('It is folded already')
  fireEvent.focus(screen.getByLabelText('Folds before thinning'))
  fireEvent.change(screen.getByLabelText('Folds before thinning'), { target: { value: '3' } })
  await settle()
  expect(roller.textContent).toContain('3 folds make 8 layers')
})
