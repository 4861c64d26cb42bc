import { cleanup } from '@testing-library/react'
import { store } from '../state/store.ts'
import {
  act,
  fireEvent,
  putWorkspace,
  renderAt,
  sampleWorkspace,
  screen,
  settle,
  waitFor,
} from '../testing/renderApp.tsx'
import Find from './Find.tsx'
import { Term } from '../ui/Term.tsx'
import Help from './Help.tsx'
import { Shortcuts } from './Shortcuts.tsx'
import { OPEN_HELP } from '../ui/keys.ts'

const onClose = jest.fn()

beforeEach(async () => {
  onClose.mockClear()
  await putWorkspace(sampleWorkspace)
  renderAt('/here', [
    { path: '/here', element: <Find onClose={onClose} /> },
    { path: '/formula', element: <p>on paper</p> },
    { path: '/log/:id', element: <p>in the log</p> },
    { path: '/shape', element: <p>shapes</p> },
    { path: '/bench/:id', element: <p>at the bench</p> },
  ])
  await settle()
})
afterEach(cleanup)

const ask = async (words: string) => {
  await act(async () => fireEvent.change(screen.getByRole('combobox'), { target: { value: words } }))
  await settle()
}
const found = () => screen.queryAllByRole('option').map((option) => option.textContent)
const takeFirst = async () => {
  for (const key of ['ArrowDown', 'Enter'])
    await act(async () => fireEvent.keyDown(screen.getByRole('combobox'), { key }))
  await settle()
}

it('finds a formula by a word of its note, and lays it out', async () => {
  await ask('nobody talks')
  expect(found()).toEqual(['Half-and-half hand ropesformula'])
  await takeFirst()
  expect(screen.getByText('on paper')).toBeTruthy()
  expect(store.getState().draft.present?.formula).toBe('half-and-half')
  expect(onClose).toHaveBeenCalled()
})

it('finds a shape by its other name, a batch by its month, a flour by its lot', async () => {
  await ask('ridged pips')
  expect(found()[0]).toContain('Malloreddus')
  await ask('lamp october')
  expect(found()).toHaveLength(1)
  await ask('september')
  expect(found()).toEqual(['Remilled durum R-31flour'])
})

it('finds a batch that runs, and goes to it', async () => {
  await ask('stiff bench')
  expect(found()).toEqual(['Stiff semolinaat the bench'])
  await takeFirst()
  expect(screen.getByText('at the bench')).toBeTruthy()
})

it.each([
  ['fettuccine', 'Tagliatelle'],
  ['lasagna', 'Lasagne sheets'],
  ['maccheroni', 'Maccarrones de busa'],
  ['ravioli', 'Square filled parcels'],
  ['tortellini', 'Ring-folded parcels'],
  ['spatzle', 'Board-scraped batter threads'],
  ['noquis', 'gnocchi'],
  ['manti', 'Tiny square parcels'],
  ['orechiette', 'Orecchiette'],
  ['tagliatele', 'Tagliatelle'],
  ['fecola', 'Potato starch'],
  ['huevo', 'Whole egg'],
  ['freeze', 'Freeze, chill or dry'],
  ['print', 'Print the formula'],
  ['units', 'Units'],
  ['backup', 'Save everything to a file'],
  ['dark mode', 'Lamplight'],
])('%s leads to %s', async (words, name) => {
  await ask(words)
  expect(found().slice(0, 4).join(' · ')).toContain(name)
})

it('says so when nothing is called that', async () => {
  await ask('zzyzx of the moon')
  expect(screen.getByText(/Nothing here is called that/)).toBeTruthy()
})

it('help is found, and names the stations, the words and the keys', async () => {
  const asked = jest.fn()
  addEventListener(OPEN_HELP, asked)
  await ask('glossary')
  await act(async () => fireEvent.keyDown(screen.getByRole('combobox'), { key: 'Enter' }))
  expect(asked).toHaveBeenCalledTimes(1)
  removeEventListener(OPEN_HELP, asked)
  cleanup()
  renderAt('/here', [{ path: '/here', element: <Help onClose={onClose} /> }])
  await settle()
  for (const words of [
    'the dark button: done, go on',
    'half a point of water',
    'undo',
    'at standard 14 % flour moisture',
    'Gear',
  ])
    expect(screen.getByText(words)).toBeTruthy()
})

it('a word of the craft opens Help at what it means', async () => {
  cleanup()
  renderAt('/here', [
    {
      path: '/here',
      element: (
        <>
          <Term of="hold back">Hold back 17 g</Term>
          <Shortcuts />
        </>
      ),
    },
  ])
  fireEvent.click(screen.getByRole('button', { name: 'Hold back 17 g' }))
  const meaning = await screen.findByText(/waits in a cup until the dough has been felt/)
  await waitFor(() => expect(document.activeElement?.textContent).toBe('hold back'))
  expect(meaning.previousElementSibling).toBe(document.activeElement)
})

it.each([
  ['sticks', 'Something is wrong'],
  ['no scale', 'The scale'],
  ['wall', 'A card for the wall'],
  ['start again', 'Start a batch again'],
])('finds what a maker says: %s', async (said, meant) => {
  await ask(said)
  expect(found()[0]).toContain(meant)
})
