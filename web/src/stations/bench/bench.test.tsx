import { replay, type BenchAction } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { recordTap } from '../../state/bench.ts'
import { preferred } from '../../state/preferencesSlice.ts'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import {
  act,
  fireEvent,
  openBatch,
  press,
  putWorkspace,
  renderAt,
  sampleWorkspace,
  screen,
  settle,
  typeInto,
  typeOver,
  within,
  waitFor,
} from '../../testing/renderApp.tsx'
import { BATCH, beginBatch as begin, benchPages, benchState as state } from '../../testing/runBench.tsx'
import { sampleWorked } from '../../testing/sampleKitchen.ts'

const flourG = () => sampleWorked.rows[0]!.weighedG
const POURED: BenchAction = { type: 'poured', grams: 402 }

afterEach(cleanup)

it('less flour than planned: the water follows, on the screen and in what is poured', async () => {
  await begin()
  await typeInto('Remilled durum R-34, grams on the scale', '500')
  expect(screen.getByText('The water follows')).toBeTruthy()
  await press(/^Weighed, go on/)
  expect((await state()).weighedG['f-r34']).toBe(500)
  await press(/^Made, go on/)
  const still = screen.getByText('still to pour').parentElement?.textContent ?? ''
  expect(Number(/(\d+) g/.exec(still)?.[1])).toBeLessThan(500 * 0.5)
})

it('the bowl is drawn with what is on the scale, not with what was planned', async () => {
  await begin()
  const bowl = () => screen.getByRole('img', { name: /^In the bowl/ }).getAttribute('aria-label')
  expect(bowl()).not.toContain('500 g Remilled')
  await typeInto('Remilled durum R-34, grams on the scale', '500')
  expect(bowl()).toContain('500 g Remilled durum R-34')
})

it('no flour at all cannot go on', async () => {
  await begin()
  await typeInto('Remilled durum R-34, grams on the scale', '0')
  expect(screen.getByRole('button', { name: /^Weighed, go on/ })).toHaveProperty('disabled', true)
})

it('water poured in two goes adds up', async () => {
  await begin({ upTo: 'pour' })
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Pour, one of two')
  await typeInto('Grams of water poured', '100')
  await press(/^Poured 100 g, more to come/)
  expect((await state()).pouredG).toBe(100)
  // The first go is not over: what is left of it comes first.
  await press(/^Poured \d+ g, more to come/)
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Pour, two of two')
  await press(/^Poured \d+ g, go on/)
  const { pouredG, done: steps } = await state()
  const { plan } = await openBatch('b')
  expect(Math.abs(pouredG - plan.water.startG)).toBeLessThan(1)
  expect(steps).toContain('pour')
})

it('dry after its time to drink: a spoon of water, and the hydration moves by what was said', async () => {
  const plan = await begin({ minutesAgo: 20, upTo: 'feel' }, POURED)
  await press(/^2/)
  expect(screen.queryByText(/Wait .* first/)).toBeNull()
  expect(screen.getAllByText(/7\.5 g water: 1½ level teaspoons/).length).toBeGreaterThan(0)
  await press(/^Add 7\.5 g water/)
  const { additions } = await state()
  expect(additions.at(-1)).toMatchObject({ what: 'water', grams: 7.5 })
  expect(additions.at(-1)!.to - additions.at(-1)!.from).toBeCloseTo(750 / plan.rows[0]!.weighedG, 6)
  // What was felt before the water counts no more.
  expect(screen.getByRole('button', { name: /^2/ }).getAttribute('aria-pressed')).toBe('false')
})

it('judged too soon: covering comes first, the spoon second', async () => {
  await begin({ minutesAgo: 0, upTo: 'feel' }, POURED)
  await press(/^1/)
  expect(screen.getAllByText(/Wait \d+ minutes first/).length).toBeGreaterThan(0)
  await press(/^Cover \d+ min/)
  expect((await state()).timers['drink']?.stage).toBe('running')
})

it('flour after water is called chasing; one’s own step brings its salt', async () => {
  const felt: BenchAction = { type: 'felt', feel: 'dry' }
  const { rows } = await begin({ minutesAgo: 40, upTo: 'feel' }, POURED, felt, { type: 'poured', grams: 30 })
  await press(/^5/)
  expect(screen.getAllByText(/running after each other/).length).toBeGreaterThan(0)
  await typeInto('Grams of your own step', '40')
  await press('add as flour')
  const after = await state()
  expect(after.addedFlourG).toBe(40)
  const weighed = (part: string) => rows.find((row) => row.part === part)!.weighedG
  expect(after.addedSaltG).toBeCloseTo((40 * weighed('salt')) / weighed('flour'), 2)
})

it('space presses the dark button, digits say the feel, arrows look along the steps', async () => {
  await begin({ minutesAgo: 20, upTo: 'feel' }, POURED)
  fireEvent.keyDown(window, { key: '3' })
  await settle()
  expect((await state()).feels.at(-1)?.feel).toBe('right')
  // Right needs no second press.
  expect((await state()).done).toContain('feel')
  fireEvent.keyDown(window, { key: 'ArrowLeft' })
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('How does it feel?')
  expect(screen.getByRole('button', { name: /^Back to now/ })).toBeTruthy()
  fireEvent.keyDown(window, { key: ' ' })
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Knead')
})

it('done away from the screen: one press on a later step says all up to it went as planned, and undo takes it back', async () => {
  const { steps, water } = await begin({ upTo: 'flour' })
  await press(/^Feel$/)
  await press('Done up to here, as planned')
  const after = await state()
  expect(after.pouredG).toBe(water.startG)
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('How does it feel?')
  // What is still to be said by the maker is not made up.
  await press(/^Air$/)
  expect(screen.queryByRole('button', { name: 'Done up to here, as planned' })).toBeNull()
  await press(/^Back to now/)
  await press(/^Undo/)
  expect((await state()).done).toEqual(
    steps
      .slice(
        0,
        steps.findIndex(({ kind }) => kind === 'flour'),
      )
      .map(({ id }) => id),
  )
})

it('dry too soon: space covers it, and pours nothing while the cover is on, whatever has the focus', async () => {
  const space = async (target: Element | Window = window) => {
    if (
      fireEvent.keyDown(target, { key: ' ' }) &&
      fireEvent.keyUp(target, { key: ' ' }) &&
      target instanceof HTMLElement
    )
      fireEvent.click(target)
    await settle()
  }
  await begin({ minutesAgo: 0, upTo: 'feel' }, POURED)
  fireEvent.keyDown(window, { key: '2' })
  await settle()
  await space()
  const covered = await state()
  expect(covered.timers['drink']?.stage).toBe('running')
  await space()
  await space(screen.getByRole('button', { name: /^Add .* anyway/ }))
  expect((await state()).additions).toEqual(covered.additions)
  expect((await state()).done).toEqual(covered.done)
  expect(screen.getByText(/Space does nothing until the clock rings/)).toBeTruthy()
  // A press of the button is meant.
  await press(/^Add .* anyway/)
  expect((await state()).additions).toHaveLength(covered.additions.length + 1)
})

it('a rest that runs is not given up by space; once it has rung, space goes on', async () => {
  const { steps } = await begin({ minutesAgo: 30, upTo: 'rest' })
  const rest = steps.find(({ kind }) => kind === 'rest')!
  fireEvent.keyDown(window, { key: ' ' })
  await settle()
  fireEvent.keyDown(window, { key: ' ' })
  await settle()
  expect((await state()).timers[rest.id]?.stage).toBe('running')
  expect((await state()).done).not.toContain(rest.id)
  await recordTap(await openBatch(BATCH), { type: 'timer-moved', timer: rest.id, minutes: -10_000 })
  await settle()
  fireEvent.keyDown(window, { key: ' ' })
  await settle()
  expect((await state()).done).toContain(rest.id)
})

it('a space held down or typed into a field presses nothing', async () => {
  await begin()
  fireEvent.keyDown(window, { key: ' ', repeat: true })
  fireEvent.keyDown(await screen.findByLabelText('Remilled durum R-34, grams on the scale'), { key: ' ' })
  await settle()
  expect((await state()).done).toEqual(['ready'])
})

it('a timer starts, moves by a minute and ends when the dough is ready', async () => {
  await begin({ minutesAgo: 30, upTo: 'knead' })
  await typeInto('Minutes, knead', '9')
  await press(/^Start kneading/)
  await press('+1 min')
  expect((await state()).timers['knead']?.minutes).toBe(10)
  await press(/^Kneaded, go on/)
  const after = await state()
  expect([after.timers['knead']?.stage, after.done.includes('knead')]).toEqual(['stopped', true])
})

it('undo and redo take back what one tap did, whole', async () => {
  await begin()
  await press(/^Weighed, go on/)
  await press(/^Undo/)
  expect([(await state()).done, (await state()).weighedG]).toEqual([['ready'], {}])
  await press(/^Redo/)
  expect((await state()).weighedG['f-r34']).toBe(flourG())
})

it('lumps and pieces are of the dough that is there', async () => {
  await begin(
    { minutesAgo: 90, upTo: 'divide' },
    { type: 'weighed', row: 'f-r34', grams: 450 },
    { type: 'poured', grams: 205 },
  )
  const lumps = Number(/lumps(\d+)/.exec(screen.getByText('lumps').parentElement?.textContent ?? '')?.[1])
  expect(lumps).toBeLessThan(11)
  await press(/^Divided, go on/)
  await press(/^Ropes cut, go on/)
  await typeInto('Pieces made', '612')
  await press(/^Shaped, go on/)
  expect((await state()).shapedPieces).toBe(612)
})

it('a verdict closes the batch into the log', async () => {
  await begin({ minutesAgo: 200, upTo: 'verdict' })
  expect(screen.getByRole('button', { name: /^Write in the log/ })).toHaveProperty('disabled', true)
  await press(/^4/)
  fireEvent.change(screen.getByRole('textbox'), { target: { value: 'Again <i>so</i>.' } })
  await press(/^Write in the log/)
  expect(await screen.findByText('in the log')).toBeTruthy()
  const closed = (await repository.batches.closed()).find((batch) => batch.id === 'b')!
  expect(replay(closed.plan, closed.events)).toMatchObject({
    verdict: 'very-good',
    end: { how: 'closed' },
    notes: [{ text: 'Again ‹i>so‹/i>.' }],
  })
})

it('a page that would go while a word of the verdict’s note is not stored asks first, and stores it', async () => {
  const plan = await begin({ minutesAgo: 200, upTo: 'verdict' })
  const asks = () => !dispatchEvent(new Event('beforeunload', { cancelable: true }))
  fireEvent.change(await screen.findByRole('textbox', { name: /^Notes/ }), { target: { value: 'Firmer.' } })
  expect(asks()).toBe(true)
  await waitFor(async () => {
    const [batch] = await repository.batches.open()
    expect(replay(plan, batch!.events).notes.map(({ text }) => text)).toEqual(['Firmer.'])
  })
  await waitFor(() => expect(asks()).toBe(false))
})

it('notes of the verdict are stored as they are written: a page that goes takes none along, and one note grows', async () => {
  const plan = await begin({ minutesAgo: 200, upTo: 'verdict' })
  const write = async (value: string) => {
    fireEvent.change(screen.getByRole('textbox'), { target: { value } })
    fireEvent.blur(screen.getByRole('textbox'))
    await settle()
  }
  await write('Firmer next')
  await write('Firmer next time.')
  cleanup()
  const notes = async () => replay(plan, (await repository.batches.open())[0]!.events).notes.map(({ text }) => text)
  expect(await notes()).toEqual(['Firmer next time.'])
  renderAt('/bench/b', benchPages)
  await settle()
  expect(screen.getByRole('textbox')).toHaveProperty('value', 'Firmer next time.')
  await write('')
  expect(await notes()).toEqual([])
})

it('a batch given up keeps its reason', async () => {
  await begin({ upTo: 'water' })
  await press('Pause, hand over or stop')
  await press('Too wet to save')
  await press('Give it up')
  const closed = (await repository.batches.closed()).find((batch) => batch.id === 'b')!
  expect(replay(closed.plan, closed.events).end).toMatchObject({ how: 'abandoned', reason: 'Too wet to save' })
})

it('an address of no batch leads back to the bench', async () => {
  await putWorkspace({ ...sampleWorkspace, batches: [] })
  renderAt('/bench/none', benchPages)
  expect(await screen.findByText('The bench is clear', {}, { timeout: 4000 })).toBeTruthy()
})

it('on a screen that was measured, the shape step has the rope at life size and no knobs', async () => {
  act(() => void store.dispatch(preferred({ devicePxPerMm: 4, gaugeChecked: true })))
  await begin({ minutesAgo: 90, upTo: 'shape' })
  const gauge = await screen.findByRole('region', { name: 'Gauge at life size' })
  const rope = within(gauge).getByRole('img', { name: /^rope 9 mm thick, cut at 13 mm, at life size/ })
  expect(rope.querySelector('rect[height="36"]')).not.toBeNull()
  expect(within(gauge).queryByRole('slider')).toBeNull()
  act(() => void store.dispatch(preferred({ devicePxPerMm: null, gaugeChecked: false })))
  expect(screen.queryByRole('region', { name: 'Gauge at life size' })).toBeNull()
})

it('pieces are weighed now and then: drift is said in words, with the length to cut, and a tap takes one back', async () => {
  const plan = await begin({ minutesAgo: 90, upTo: 'shape' })
  const even = await screen.findByRole('region', { name: 'Even pieces' })
  expect(within(even).getByRole('button', { name: 'Note this piece' })).toHaveProperty('disabled', true)
  for (let n = 0; n < 9; n += 1) {
    await typeInto('A piece weighs, grams', (plan.shape.pieceG * (1 + 0.02 * n)).toFixed(2))
    await press('Note this piece')
  }
  expect((await state()).samples).toHaveLength(9)
  expect(within(even).getByRole('status').textContent).toMatch(/getting heavier, \d+ % by now. Cut at 1[12]\.?\d* mm/)
  expect(within(even).getByRole('table', { name: /9 pieces weighed round .*, drifting up/ })).toBeTruthy()
  await press(/^Undo/)
  expect((await state()).samples).toHaveLength(8)
  await typeOver('A piece weighs, grams', '-3')
  expect(within(even).getByText(/Give at least/)).toBeTruthy()
  expect((await state()).samples).toHaveLength(8)
})
