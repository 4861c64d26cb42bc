/** The room where records are changed: at once on the screen, stored as a difference, told only once it is. */
import { defaultGear, toFile, type Gear } from '@harina/core'
import { PhotosFull, Refused, repository } from '../storage/index.ts'
import { putWorkspace, sampleWorkspace, settle } from '../testing/renderApp.tsx'
import { sampleKitchen } from '../testing/sampleKitchen.ts'
import { recordTap } from './bench.ts'
import { takeToBench } from './takeToBench.ts'
import { documentOf } from './documentsSlice.ts'
import { bringIn, clearEverything } from './files.ts'
import { addPart, changePart, removePart, setGear } from './gear.ts'
import { store } from './store.ts'
import { change, isUnwritten, once, put, remove, say } from './workspace.ts'

jest.mock('sonner', () => ({ toast: Object.assign(jest.fn(), { error: jest.fn(), dismiss: jest.fn() }) }))
const { toast } = jest.requireMock<{ toast: jest.Mock & { error: jest.Mock; dismiss: jest.Mock } }>('sonner')

const shown = () => documentOf(store.getState().documents, 'gear', 'gear')!
const kept = async (): Promise<Gear> => (await repository.read('gear'))[0]!

beforeEach(async () => {
  await putWorkspace(sampleWorkspace)
  jest.clearAllMocks()
})
afterEach(() => jest.restoreAllMocks())

it('shows a change at once, and stores it', async () => {
  const { stored } = setGear({ boardMm: 777 })
  expect(shown().boardMm).toBe(777)
  // Until then the page does not go unasked.
  expect(isUnwritten()).toBe(true)
  expect(await stored).toBe(true)
  expect(isUnwritten()).toBe(false)
  expect(await kept()).toMatchObject({ boardMm: 777, scaleStepG: sampleWorkspace.gear!.scaleStepG })
})

it('of two changes in one breath neither puts the other back', async () => {
  await Promise.all([setGear({ boardMm: 777 }).stored, setGear({ scaleStepG: 0.1 }).stored])
  await settle()
  expect([await kept(), shown()]).toMatchObject([
    { boardMm: 777, scaleStepG: 0.1 },
    { boardMm: 777, scaleStepG: 0.1 },
  ])
})

it('what another tab has changed meanwhile stays', async () => {
  await repository.write('gear', 'gear', [[{ at: ['tapC'], to: 3 }]])
  await setGear({ boardMm: 777 }).stored
  await settle()
  expect([await kept(), shown()]).toMatchObject([
    { boardMm: 777, tapC: 3 },
    { boardMm: 777, tapC: 3 },
  ])
})

it('takes back just itself, whatever has come after', async () => {
  const added = addPart('vessel', { id: 'bowl', name: 'Bowl', maxDoughG: 900 })
  await setGear({ boardMm: 650 }).stored
  await added.undo().stored
  await settle()
  expect(await kept()).toMatchObject({ boardMm: 650, vessels: [] })
  const first = sampleWorkspace.gear!.places[0]!
  const renamed = changePart('place', first.id, (place) => ({ ...place, name: 'Hold' }))
  changePart('place', first.id, (place) => ({ ...place, rhPercent: 66 }))
  await renamed.undo().stored
  expect((await kept()).places[0]).toMatchObject({ name: first.name, rhPercent: 66 })
})

it('a record is made, removed and brought back whole', async () => {
  const [lot] = sampleWorkspace.lots
  const gone = remove('lot', lot!)
  expect(await gone.stored).toBe(true)
  expect((await repository.read('lot')).map(({ id }) => id)).not.toContain(lot!.id)
  await gone.undo().stored
  expect(await repository.read('lot')).toContainEqual(lot)
  expect(await change('lot', 'nobody', (now) => ({ ...now, name: 'x' })).stored).toBe(true)
  expect((await repository.read('lot')).map(({ id }) => id)).not.toContain('nobody')
})

it('a kitchen of which nothing was ever said begins as any', async () => {
  await putWorkspace({ ...sampleWorkspace, gear: null })
  expect(shown()).toEqual(defaultGear)
  await setGear({ boardMm: 512 }).stored
  expect(await kept()).toEqual({ ...defaultGear, boardMm: 512 })
})

it('what cannot be stored stays on the screen, is told, and goes through with the next change', async () => {
  const full = jest.spyOn(repository, 'write').mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'))
  expect(await setGear({ boardMm: 812 }).stored).toBe(false)
  expect([shown().boardMm, (await kept()).boardMm]).toEqual([812, sampleWorkspace.gear!.boardMm])
  await settle()
  expect(toast.error).toHaveBeenCalledTimes(1)
  expect(toast.error.mock.calls[0]).toMatchObject([
    'Not stored',
    { description: expect.stringContaining('This device is full') },
  ])
  expect(isUnwritten()).toBe(true)
  full.mockRestore()
  expect(await setGear({ tapC: 7 }).stored).toBe(true)
  expect(await kept()).toMatchObject({ boardMm: 812, tapC: 7 })
  expect(isUnwritten()).toBe(false)
  await settle()
  expect(toast.dismiss).toHaveBeenCalledWith('Not stored')
})

it('what no file could carry is refused before it is shown', async () => {
  const before = shown()
  expect(await setGear({ boardMm: 1e21 }).stored).toBe(false)
  expect(await put('lot', { ...sampleWorkspace.lots[0]!, name: '' }).stored).toBe(false)
  expect(shown()).toBe(before)
  await settle()
  expect(toast.error.mock.calls.map(([title]) => title)).toEqual(['That cannot be kept', 'That cannot be kept'])
})

it('success is told once it is stored, and never before or without', async () => {
  const saying = say('The board is longer', setGear({ boardMm: 901 }))
  expect(toast).not.toHaveBeenCalled()
  await saying
  await settle()
  expect(toast.mock.calls.map(([title]) => title)).toEqual(['The board is longer'])
  toast.mockClear()
  const refused = jest.spyOn(repository, 'write').mockRejectedValue(new Error('no'))
  await say('The board is shorter', setGear({ boardMm: 333 }))
  removePart('place', shown().places[0]!)
  await settle()
  expect(toast).not.toHaveBeenCalled()
  refused.mockRestore()
  await setGear({ boardMm: 900 }).stored
})

it('one press is one act, until it is done', async () => {
  let done = 0
  const act = () =>
    once('press', async () => {
      await settle()
      return (done += 1)
    })
  expect(await Promise.all([act(), act(), act()])).toEqual([1, undefined, undefined])
  expect(await act()).toBe(2)
})

it.each([
  [
    'taken to the bench',
    () => takeToBench(sampleWorkspace.draft!.sheet, 2, sampleKitchen, null).then(({ length }) => length > 0),
  ],
  ['recorded', () => recordTap(sampleWorkspace.batches[1]!, { type: 'felt', feel: 'right' })],
  ['cleared', clearEverything],
  ['brought in', () => bringIn(toFile(sampleWorkspace, '2031-03-01T10:00:00+00:00'), 'replace')],
] as const)('what was not %s is not said to be, and why is', async (_, act) => {
  const before = await repository.workspace()
  const full = () => Promise.reject(new DOMException('full', 'QuotaExceededError'))
  const spies = [
    jest.spyOn(repository.batches, 'start').mockImplementation(full),
    jest.spyOn(repository.batches, 'record').mockImplementation(full),
    jest.spyOn(repository, 'clear').mockImplementation(full),
    jest.spyOn(repository, 'merge').mockImplementation(full),
  ]
  expect(await act()).toBe(false)
  await settle()
  expect(toast.error.mock.calls.map(([title]) => title)).toEqual(['Not stored'])
  expect(toast).not.toHaveBeenCalled()
  spies.forEach((spy) => spy.mockRestore())
  expect(await repository.workspace()).toEqual(before)
})

it('refused on top of what is stored meanwhile, a change goes, and the screen shows what is stored', async () => {
  const [lot] = sampleWorkspace.lots
  const refused = jest.spyOn(repository, 'write').mockRejectedValueOnce(new Refused('lot', undefined))
  expect(await change('lot', lot!.id, (now) => ({ ...now, note: 'late' })).stored).toBe(false)
  await settle()
  refused.mockRestore()
  expect(documentOf(store.getState().documents, 'lot', lot!.id)).toEqual(lot)
  expect(isUnwritten()).toBe(false)
  await putWorkspace({ ...sampleWorkspace, gear: null })
  jest.spyOn(repository, 'write').mockRejectedValueOnce(new PhotosFull())
  expect(await setGear({ boardMm: 512 }).stored).toBe(false)
  await settle()
  expect([shown(), isUnwritten()]).toEqual([defaultGear, false])
})
