/** What a bench is really like: set aside, handed over, split, put away, put right, photographed. */
import { doughG, effectivePercent, replay } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { repository } from '../../storage/index.ts'
import { fireEvent, openBatch, press, screen, settle, typeInto, waitFor, within } from '../../testing/renderApp.tsx'
import { BATCH, beginBatch, benchState } from '../../testing/runBench.tsx'

const POURED = { type: 'poured', grams: 402 } as const
const title = () => screen.getByRole('heading', { level: 1 }).textContent
const panel = (name: string) => within(screen.getByRole('region', { name }))

afterEach(cleanup)

it('set aside with a reason, and gone on with where it was', async () => {
  await beginBatch({ minutesAgo: 20, upTo: 'knead' }, POURED)
  await press('Pause, hand over or stop')
  fireEvent.change(screen.getByLabelText('why, if you like'), { target: { value: 'The boat is in' } })
  await press('Set aside')
  expect(title()).toBe('Set aside')
  expect(screen.getByText('The boat is in')).toBeTruthy()
  fireEvent.keyDown(window, { key: ' ' })
  await settle()
  expect(title()).toBe('Knead')
  expect((await benchState()).paused).toBeNull()
})

it('handed over with a word, and taken on', async () => {
  await beginBatch({ minutesAgo: 20, upTo: 'rest' }, POURED)
  await press('Pause, hand over or stop')
  expect(screen.getByRole('button', { name: 'Hand over' })).toHaveProperty('disabled', true)
  await press('Late bench')
  fireEvent.change(screen.getByLabelText('what they must know'), { target: { value: 'ten more minutes' } })
  await press('Hand over')
  expect(screen.getByText(/^For Late bench, handed over at .*“ten more minutes”/)).toBeTruthy()
  await press('I have it')
  expect(screen.queryByText(/^For Late bench/)).toBeNull()
  expect((await benchState()).hands).toMatchObject({ who: 'Late bench', taken: true })
})

it('back from the fridge it may not lie warm for longer than it still may', async () => {
  await beginBatch({ minutesAgo: 90, upTo: 'divide' }, POURED)
  await press('Pause, hand over or stop')
  fireEvent.click(panel('Tomorrow, from the fridge').getByRole('button', { name: 'Into the fridge' }))
  await settle()
  expect(screen.getByText(/The dough may stay warm for only 30 more minutes/)).toBeTruthy()
  await press(/^It is out/)
  expect((await benchState()).timers['back-1']!.minutes).toBe(30)
})

it('into the fridge, and back by a clock of its own before it goes on', async () => {
  await beginBatch({ minutesAgo: 20, upTo: 'divide' }, POURED)
  await press('Pause, hand over or stop')
  expect(panel('Tomorrow, from the fridge').getByText(/36 hours cold at the most/)).toBeTruthy()
  fireEvent.click(panel('Tomorrow, from the fridge').getByRole('button', { name: 'Into the fridge' }))
  await settle()
  expect(title()).toBe('Back from the fridge')
  await press(/^It is out/)
  expect((await benchState()).timers['back-1']!.minutes).toBeGreaterThanOrEqual(60)
  await press(/^Supple, go on/)
  expect(title()).toBe('Divide')
})

it('split in two: both are at the bench, equally wet; undo makes them one, unless the other was worked on', async () => {
  await beginBatch({ minutesAgo: 90, upTo: 'divide' }, POURED)
  const whole = doughG((await openBatch(BATCH)).plan, await benchState())
  await press('Pause, hand over or stop')
  await typeInto('Grams to carve off', '400')
  await press('Split')
  const others = async () => (await repository.batches.open()).filter(({ id }) => id !== BATCH)
  const [other] = await others()
  const parts = [await openBatch(BATCH), other!].map(({ plan, events }) => ({ plan, state: replay(plan, events) }))
  expect(parts.reduce((sum, { plan, state }) => sum + doughG(plan, state), 0)).toBeCloseTo(whole, 6)
  expect(effectivePercent(parts[0]!.plan, parts[0]!.state)).toBeCloseTo(
    effectivePercent(parts[1]!.plan, parts[1]!.state),
    6,
  )
  await press(/^Undo/)
  expect(await others()).toEqual([])
  await press(/^Redo/)
  expect((await others())[0]).toEqual(other)
  await repository.batches.record(other!.id, [
    { id: 'x', at: new Date().toISOString(), type: 'noted', text: 'mine now' },
  ])
  await press(/^Undo/)
  expect(await others()).toHaveLength(1)
  expect((await benchState()).split).not.toBeNull()
})

it('a mistaken figure is put right beside what was written, and the bowl follows', async () => {
  await beginBatch({ minutesAgo: 30, upTo: 'feel' }, { type: 'poured', grams: 4020 })
  await press('What happened')
  const entry = () =>
    within(screen.getByRole('list', { name: 'Entries' }))
      .getByText(/4020 g of water in/)
      .closest('li')!
  fireEvent.click(within(entry()).getByRole('button', { name: /^Put right/ }))
  await typeInto(/^Right figure of 4020 g of water in/, '402')
  await press('So it was')
  expect((await benchState()).pouredG).toBe(402)
  expect(entry().textContent).toContain('put right: 402')
  expect((await openBatch(BATCH)).events.find((event) => event.type === 'poured')).toMatchObject({ grams: 4020 })
})

it('what was taken back stays in the book, struck through', async () => {
  await beginBatch({ upTo: 'flour' })
  await press(/^Weighed, go on/)
  await press(/^Undo/)
  await press('What happened')
  const [first] = within(screen.getByRole('list', { name: 'Entries' })).getAllByRole('listitem')
  expect(first!.querySelector('.line-through')).toBeTruthy()
  expect(within(first!).queryByRole('button')).toBeNull()
})

it('flour from the board: the jar before and after, told before it is written down', async () => {
  await beginBatch({ minutesAgo: 40, upTo: 'knead' }, POURED)
  const weigh = async (grams: string, write = true) => {
    await press('Weigh the jar')
    await typeInto('The jar weighs, grams', grams)
    if (write) await press('Write it down')
  }
  await weigh('410')
  expect(screen.getByText(/The jar stood at 410 g/)).toBeTruthy()
  await weigh('398', false)
  expect(screen.getByRole('dialog').textContent).toMatch(/12\.0 g taken up: −0\.\d points/)
  await press('Write it down')
  const state = await benchState()
  expect([state.addedFlourG, state.additions.at(-1)!.board]).toEqual([12, true])
  expect(screen.getByText(/12 g taken up/)).toBeTruthy()
})

it('a clock with a name runs beside the step and can be moved and stopped', async () => {
  await beginBatch({ upTo: 'flour' })
  await press('A timer')
  fireEvent.change(screen.getByPlaceholderText('What for'), { target: { value: 'Beans' } })
  await typeInto('Minutes of this timer', '25')
  await press('Start')
  expect(screen.getByRole('list', { name: 'Other clocks' }).textContent).toMatch(/Beans2[45]:/)
  await press('+1 min')
  expect((await benchState()).timers['own-1']).toMatchObject({ name: 'Beans', minutes: 26 })
})

it('photos of a batch are kept with their step, can be told about and taken out again', async () => {
  await beginBatch({ minutesAgo: 20, upTo: 'knead' }, POURED)
  await repository.put('photo', {
    id: 'p1',
    batch: BATCH,
    step: 'knead',
    at: new Date().toISOString(),
    type: 'image/png',
    base64: 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    widthPx: 1,
    heightPx: 1,
    note: '',
  })
  await press('Photos')
  const note = await screen.findByLabelText(/^What the photo of Knead, .* shows$/)
  fireEvent.change(note, { target: { value: 'Smooth <b>now</b>' } })
  fireEvent.blur(note)
  await waitFor(async () => expect((await repository.photosOf(BATCH))[0]!.note).toBe('Smooth ‹b>now‹/b>'))
  await settle()
  await press(/^Remove the photo/)
  await screen.findByText('None of this batch yet.')
  expect(await repository.photosOf(BATCH)).toEqual([])
})

it('several doughs: the lanes tell who is next, and space goes there', async () => {
  await beginBatch({ minutesAgo: 20, upTo: 'rest' }, POURED)
  await press(/^Start the rest/)
  const { plan } = await openBatch(BATCH)
  await repository.batches.start([{ id: 'second', plan: { ...plan, sheet: { ...plan.sheet, name: 'Gale noodles' } } }])
  await settle()
  expect(screen.getByRole('region', { name: 'The other doughs' }).textContent).toContain('Gale noodlesready: now')
  fireEvent.click(screen.getByText('Timeline of all doughs'))
  expect(await screen.findByRole('region', { name: 'Next call' })).toBeTruthy()
  expect(screen.getByRole('region', { name: 'Next call' }).textContent).toContain('Gale noodles')
  const lanes = within(screen.getByRole('region', { name: 'The doughs' })).getAllByRole('listitem')
  expect(lanes.map((lane) => /Gale|Lamp|Stiff/.exec(lane.textContent!)?.[0])).toEqual(['Gale', expect.any(String)])
  fireEvent.keyDown(window, { key: '2' })
  await settle()
  expect(title()).toBe('Rest, wrapped')
  fireEvent.click(screen.getByText('Timeline of all doughs'))
  await screen.findByRole('region', { name: 'Next call' })
  fireEvent.keyDown(window, { key: ' ' })
  await settle()
  expect(title()).toBe('At hand first')
})

it('a card for the wall tells what goes in, where to stop first, and every step with its time', async () => {
  const plan = await beginBatch({ upTo: 'flour' })
  await press('Card')
  const card = screen.getByRole('dialog')
  const goesIn = within(card).getByRole('table', { name: 'Goes in' })
  expect(within(goesIn).getAllByRole('row')).toHaveLength(plan.rows.filter((row) => row.weighedG > 0).length)
  expect(goesIn.textContent).toContain(`first to ${plan.water.startG} g`)
  const steps = within(within(card).getByRole('table', { name: 'In this order' })).getAllByRole('row')
  expect(steps[0]!.textContent).toMatch(/^Flourabout \d+ min$/)
  expect(steps.find((row) => row.textContent!.startsWith('Rest'))!.textContent).toMatch(/^Rest\d+ min$/)
  const printed = jest.fn()
  Object.assign(globalThis, { print: printed })
  await press('Print')
  expect(printed).toHaveBeenCalled()
})

it('before anything is wet there is no dough to split or to put away', async () => {
  await beginBatch({ upTo: 'flour' })
  await press('Pause, hand over or stop')
  expect(screen.queryByRole('region', { name: 'Split it' })).toBeNull()
  expect(screen.queryByRole('region', { name: 'Tomorrow, from the fridge' })).toBeNull()
  expect(screen.getByRole('region', { name: 'Give it up' })).toBeTruthy()
})
