/** Something is wrong: the sign, its causes by this batch's numbers, the remedy in its own grams, and the log. */
import { waterTargets, type Plan } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { choose, fireEvent, press, screen, settle, within } from '../../testing/renderApp.tsx'
import { beginBatch, benchState as state } from '../../testing/runBench.tsx'
import { sampleWorked } from '../../testing/sampleKitchen.ts'

let plan: Plan
beforeEach(async () => {
  // A fifth short of its first pour, forty minutes ago.
  const startG = sampleWorked.water.startG * 0.8
  plan = await beginBatch({ minutesAgo: 40, upTo: 'feel' }, { type: 'poured', grams: startG })
  await press('Something is wrong')
})
afterEach(cleanup)

it('signs of the step at hand come first; others are a choice away', async () => {
  const signs = () => within(screen.getByRole('list', { name: 'Signs' })).getAllByRole('button')
  expect(signs().map((sign) => sign.textContent)).toContain('The flour will not gather; dry bits stay in the bowl')
  await choose('When it shows', 'cook')
  expect(signs().map((sign) => sign.textContent)).toContain('The pot’s pieces clump')
})

it('causes are told with this batch’s numbers, the remedy goes into the batch, and it is written down', async () => {
  await press(/^The flour will not gather/)
  const causes = screen.getAllByRole('listitem').map((item) => item.textContent)
  expect(causes.find((cause) => cause?.startsWith('A cup gave too much flour'))).toMatch(
    /the bowl stands [\d.]+ points stiffer than the shape's window/,
  )
  const before = (await state()).pouredG
  await press(/^Add \d+ g of water/)
  const added = (await state()).pouredG - before
  // What is missing up to the first pour, which is more than the table's 5 g on 500.
  const { startG } = waterTargets(plan, await state())
  expect(Math.abs(added - (startG - before))).toBeLessThanOrEqual(1)
  expect(added).toBeGreaterThan(Math.round((5 * plan.rows[0]!.weighedG) / 500))
  await press('Write it into this batch')
  expect((await state()).notes.at(-1)!.text).toMatch(/^The flour will not gather.* Next time: Weigh both/)
  await press('Other signs')
  expect(screen.getByRole('list', { name: 'Signs' })).toBeTruthy()
})

it('a remedy of flour takes its salt along, and is undone like any tap', async () => {
  await press(/^The dough sticks and spreads/)
  expect(screen.getAllByRole('listitem').some((item) => item.textContent?.includes('the bowl says the contrary'))).toBe(
    true,
  )
  await press(/^Add \d+ g of flour, with [\d.]+ g of salt/)
  expect((await state()).addedSaltG).toBeGreaterThan(0)
  fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Escape' })
  await settle()
  await press(/^Undo/)
  expect((await state()).addedFlourG).toBe(0)
})
