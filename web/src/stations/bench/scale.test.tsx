/** The scale at the bench: read, taken, taken by itself, lost, and never missed. */
import type { Plan } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { preferred } from '../../state/preferencesSlice.ts'
import { store } from '../../state/store.ts'
import { playScale } from '../../testing/playScale.ts'
import { act, fireEvent, press, screen, valueOf } from '../../testing/renderApp.tsx'
import { beginBatch, benchState as state } from '../../testing/runBench.tsx'

let plan: Plan
let flourG: number
const strip = () => screen.getByRole('region', { name: 'The scale' })

let scale: ReturnType<typeof playScale>
beforeEach(async () => {
  jest.useFakeTimers({ doNotFake: ['setTimeout', 'setImmediate', 'queueMicrotask', 'performance', 'setInterval'] })
  scale = playScale()
  act(() => void store.dispatch(preferred({ scale: true, takesItself: false })))
  plan = await beginBatch({ upTo: 'flour' })
  flourG = plan.rows[0]!.weighedG
  await screen.findByRole('region', { name: 'The scale' })
})
afterEach(() => {
  cleanup()
  act(() => void store.dispatch(preferred({ scale: false, takesItself: false })))
  jest.useRealTimers()
})

it('shows what lies on it and how much is to go; only what rests can be taken', async () => {
  scale.say({ shows: 'mass', grams: 300, stable: false, stepG: 1 })
  expect(strip().textContent).toContain('moving')
  expect(strip().textContent).toContain(`${flourG - 300} g to go`)
  expect(screen.getByRole('button', { name: 'Take it' })).toHaveProperty('disabled', true)
  scale.rest(500)
  expect(strip().textContent).toContain('at rest')
  fireEvent.click(screen.getByRole('button', { name: 'Take 500 g' }))
  expect(valueOf('Remilled durum R-34, grams on the scale')).toBe('500')
  expect(screen.getByText('The water follows')).toBeTruthy()
  await press(/^Weighed, go on/)
  expect((await state()).weighedG['f-r34']).toBe(500)
})

it('takes by itself what rests on the target, once, and not what lies beside it', () => {
  fireEvent.click(screen.getByLabelText(/take it by itself/))
  scale.rest(flourG - 40)
  expect(valueOf('Remilled durum R-34, grams on the scale')).toBe(String(flourG))
  scale.rest(flourG + 1)
  expect(valueOf('Remilled durum R-34, grams on the scale')).toBe(String(flourG + 1))
})

it('off, overload and a lost line are said; what was taken stays, typing goes on, and it is found again', async () => {
  scale.rest(500)
  fireEvent.click(screen.getByRole('button', { name: 'Take 500 g' }))
  scale.say({ shows: 'off' })
  expect(strip().textContent).toContain('The scale is off')
  scale.say({ shows: 'overload', maxG: 5000 })
  expect(strip().textContent).toContain('it ends at 5000 g')
  scale.lose()
  expect(strip().textContent).toContain('The scale is gone')
  expect(valueOf('Remilled durum R-34, grams on the scale')).toBe('500')
  expect(scale.lines()).toBe(0)
  await act(() => new Promise((resolve) => setTimeout(resolve, 1700)))
  expect(scale.lines()).toBe(1)
  scale.rest(510)
  expect(screen.getByRole('button', { name: 'Take 510 g' })).toBeTruthy()
})

it('water over all of it: the flour that brings it back, with its salt, in one press', async () => {
  await press(/^Weighed, go on/)
  await press(/^Made, go on/)
  const all = plan.water.startG + plan.water.holdBackG
  scale.rest(plan.water.startG + 1)
  fireEvent.click(screen.getByRole('button', { name: /^Take \d+ g/ }))
  expect(screen.queryByText(/more than all of it/)).toBeNull()
  scale.rest(Math.round(all * 1.1))
  fireEvent.click(screen.getByRole('button', { name: /^Take \d+ g/ }))
  expect(screen.getByText(/^\d+ g more than all of it/)).toBeTruthy()
  await press(/^Poured \d+ g, and \d+ g of flour/)
  const { addedFlourG, addedSaltG, pouredG } = await state()
  expect(addedFlourG / flourG).toBeCloseTo(pouredG / all - 1, 2)
  expect(addedSaltG).toBeGreaterThan(0)
})

it('hands on the scale to practise with; a deaf one costs a word', async () => {
  await press('The scale to practise with')
  await press('Pour 100 g')
  await press('Lose the line for 10 s')
  expect(scale.acts).toEqual([
    { act: 'put', grams: 100 },
    { act: 'drop', seconds: 10 },
  ])
  scale.deaf()
  await press('Empty it')
  expect(scale.acts).toHaveLength(2)
})

it('without one, nothing is listened to', async () => {
  await press('Without a scale')
  expect(scale.lines()).toBe(0)
  expect(screen.queryByRole('region', { name: 'The scale' })).toBeNull()
  await press('Read a scale')
  expect(scale.lines()).toBe(1)
})
