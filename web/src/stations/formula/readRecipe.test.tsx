/** A recipe typed in: its rows, its doubts, what is settled once, and the draft it becomes; and one written out. */
import { readWorkspaceFile, sheetSchema } from '@harina/core'
import { CONTRADICTIONS, decode } from '@harina/core/recipe'
import { recipeTables, samples } from '@harina/facts/testing/recipes'
import { cleanup, within } from '@testing-library/react'
import { draftOpened } from '../../state/draftSlice.ts'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import { demoWorkspace } from '../../testing/demoWorkspace.ts'
import {
  act,
  atList,
  choose,
  fireEvent,
  press,
  putWorkspace,
  renderAt,
  screen,
  settle,
  typeInto,
  waitFor,
} from '../../testing/renderApp.tsx'
import { contradictionWords, methodTold, whyWords } from '../../words/index.ts'
import FormulaStation from './FormulaStation.tsx'

jest.mock('sonner', () => ({ toast: Object.assign(jest.fn(), { error: jest.fn() }) }))
const { toast } = jest.requireMock<{ toast: { error: jest.Mock } }>('sonner')
/** What the foot of the sheet has told of trouble. */
const troubles = () =>
  toast.error.mock.calls.map(([title, { description }]: [string, { description: string }]) => [title, description])

afterEach(cleanup)
afterEach(() => toast.error.mockClear())

const sheet = () => store.getState().draft.present!.sheet
const gear = async () => (await repository.read('gear'))[0]!

async function station(): Promise<void> {
  await putWorkspace(demoWorkspace)
  const formula = demoWorkspace.formulas[0]!
  store.dispatch(draftOpened({ id: 'draft', formula: formula.id, sheet: formula.sheet }))
  renderAt('/formula', [{ path: '/formula', element: <FormulaStation /> }])
  await screen.findByRole('navigation', { name: 'Drawers under the board' })
}

async function paste(text: string): Promise<HTMLElement> {
  await station()
  await press('New')
  await press('Read a recipe')
  const panel = await screen.findByRole('dialog', { name: 'Read a recipe' })
  fireEvent.change(within(panel).getByRole('textbox', { name: 'The recipe' }), { target: { value: text } })
  return panel
}

const TEXT = `Cavatelli, the long way
2 cups fine semolina
190 g water
20 g malt extract
Knead 12 minutes, rest 40 minutes. Boil 6 to 8 minutes.`

it('each row has its words, its grams between what, and why; the dough it names is the first of those it may be', async () => {
  const panel = await paste(TEXT)
  await waitFor(() => expect(within(panel).getAllByRole('row')).toHaveLength(4))
  const [, semolina, water] = within(panel).getAllByRole('row')
  expect(semolina!.textContent).toMatch(/2 cups fine semolina.*330 g.*307 g to 373 g.*how a cup is filled/)
  expect(water!.textContent).toMatch(/190 g water.*190 g/)
  expect(panel.textContent).toContain('It also says: knead 12 min, rest 40 min, boil 6 to 8 min.')
  const first = within(within(panel).getByRole('group', { name: 'Which dough it is' })).getAllByRole('button')[0]!
  expect(first.textContent).toMatch(/^Semolina and water, for the hand, Cavatelli/)
  expect(panel.textContent).toMatch(/between 5\d\.\d and 6\d\.\d by the way it is measured/)
})

it('made a draft it has its own times and its text, and says what is unsure until a figure is typed', async () => {
  const panel = await paste(TEXT)
  await waitFor(() => expect(within(panel).getByRole('button', { name: 'Make it a draft' })).toBeTruthy())
  await press('Make it a draft')
  expect(sheetSchema.safeParse(sheet()).success).toBe(true)
  expect(sheet()).toMatchObject({ note: TEXT, asRead: { kneadMin: [12, 12], restMin: 40, cookMin: [6, 8] } })
  expect(await screen.findByText(/read: 307 g to 373 g/)).toBeTruthy()
  expect(screen.getByRole('slider', { name: 'Water on 100 of flour' })).toBeTruthy()
  expect(screen.getByText('as it was read')).toBeTruthy()
  await typeInto('Durum semolina, re-milled fine (rimacinata), grams', '350')
  expect(screen.queryByText(/read: /)).toBeNull()
  expect(screen.queryByText('as it was read')).toBeNull()
})

it('what is not known is settled once, and known again; or forgotten', async () => {
  const panel = await paste(TEXT)
  const field = await within(panel).findByRole('combobox', { name: 'What malt extract is' })
  await act(async () => fireEvent.focus(field))
  await atList(() => fireEvent.change(field, { target: { value: 'sugar' } }))
  await screen.findByRole('option', { name: 'Sugar' })
  await atList(() => fireEvent.keyDown(field, { key: 'Enter' }))
  await settle()
  await waitFor(() => expect(panel.textContent).toContain('“malt extract” is Sugar'))
  expect((await gear()).readAs).toEqual([{ name: 'malt extract', is: 'sugar' }])
  await waitFor(() => expect(within(panel).queryByText(/not known/)).toBeNull())
  await press('Forget what malt extract is')
  await waitFor(() => expect(within(panel).getByText('malt extract: not known')).toBeTruthy())
  await press('not of the dough')
  await waitFor(() => expect(within(panel).getAllByRole('row')).toHaveLength(3))
  expect((await gear()).readAs).toEqual([{ name: 'malt extract', is: null }])
})

it('what came to nothing is listed with what to do, and put aside for good', async () => {
  const panel = await paste('- 500 g flour\n- 220 g water\n- 3 shallots\n- salt to taste\n- 1 packet saffron')
  const list = await within(panel).findByRole('region', { name: 'Not understood' })
  const items = within(list).getAllByRole('listitem')
  expect(items.map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining('3 shallotsnot known here'),
    expect.stringContaining('1 packet saffronnobody knows what it weighs: write it in grams'),
    expect.stringContaining('salt to tastehas no amount: write how much beside it'),
  ])
  fireEvent.click(within(items[2]!).getByRole('button', { name: 'not of the dough' }))
  await waitFor(() => expect(within(panel).queryByText('salt to taste')).toBeNull())
  expect((await gear()).readAs).toEqual([{ name: 'salt', is: null }])
})

it.each([
  ['flour alone', '500 g flour'],
  ['flour, and nothing that wets it', '500 g flour, 300 g butter'],
  ['water alone', '300 g water'],
])('no draft is offered of %s, and it says what is missing', async (_, text) => {
  const panel = await paste(text)
  await waitFor(() => expect(within(panel).getByRole('status').textContent).toContain('flour and something that wets'))
  expect(within(panel).queryByRole('button', { name: 'Make it a draft' })).toBeNull()
})

describe('a file', () => {
  const drop = async (name: string, bytes: readonly number[] | string) => {
    await station()
    const content = typeof bytes === 'string' ? new TextEncoder().encode(bytes) : new Uint8Array(bytes)
    // A file of jsdom does not give its bytes.
    const slice = (from: number, to: number) => ({ arrayBuffer: async () => content.slice(from, to).buffer })
    const file = { name, slice }
    const dataTransfer = { types: ['Files'], files: [file] }
    await act(async () => fireEvent.drop(document.querySelector('main')!, { dataTransfer }))
  }
  const rows = async () => {
    const panel = await screen.findByRole('dialog', { name: 'Read a recipe' })
    await waitFor(() => expect(within(panel).getAllByRole('row').length).toBeGreaterThan(1))
    const [, ...all] = within(panel).getAllByRole('row')
    return all.map((row) => row.querySelector('q')!.textContent)
  }
  const latin = (text: string) => [...text].map((letter) => letter.charCodeAt(0))

  it('of an old kind, one byte to the letter, keeps its halves', async () => {
    await drop('old.txt', latin('300 g flour\r\n\xBD cup water'))
    expect(await rows()).toEqual(['300 g flour', '½ cup water'])
  })

  it('of two bytes to the letter is read too', async () => {
    await drop('wide.txt', [0xff, 0xfe, ...latin('300 g flour, 140 g water').flatMap((byte) => [byte, 0])])
    expect(await rows()).toEqual(['300 g flour', '140 g water'])
  })

  it('longer than any recipe keeps its letters where it is cut within one', async () => {
    await drop('long.txt', `300 g flour, ½ cup water\n-${'é'.repeat(900_000)}`)
    expect(await rows()).toContain('½ cup water')
  })

  it.each([
    ['a picture', [0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 0x0d]],
    ['a document for printers', '%PDF-1.7\n1 0 obj'],
  ])('that is %s says so, and opens nothing', async (_, bytes) => {
    await drop('scan.bin', bytes)
    await waitFor(() => expect(troubles()).toEqual([['scan.bin is no text', expect.stringContaining('paste')]]))
    expect(screen.queryByRole('dialog')).toBeNull()
  })

  it('longer than any recipe is read as far as it goes, and that is told', async () => {
    await drop('book.txt', `300 g flour, 140 g water\n${'z'.repeat(400_000)}`)
    expect(await rows()).toEqual(['300 g flour', '140 g water'])
    expect(troubles()).toEqual([['Longer than any recipe', expect.stringMatching(/400\s000 letters/)]])
  })
})

it('a contradiction is said beside the rows, and nothing of it is page code', async () => {
  const panel = await paste(
    '<b>Half as much water as flour</b> by weight: 600 g flour, 240 g water <script>x()</script>',
  )
  await waitFor(() => expect(within(panel).getByRole('list', { name: 'What cannot be' })).toBeTruthy())
  expect(panel.textContent).toContain('The ratio and the amounts differ.')
  expect(panel.querySelector('script, b')).toBeNull()
})

it('whose cups they are can be said', async () => {
  const panel = await paste('2 cups plain flour, 3/4 cup water')
  await waitFor(() => expect(within(panel).getAllByRole('row')).toHaveLength(3))
  const grams = () => within(panel).getAllByRole('row')[1]!.textContent
  const metric = grams()
  await choose('Whose cups and spoons', 'jp')
  await waitFor(() => expect(grams()).not.toBe(metric))
  expect(grams()).toContain('212 g')
})

it('marked text dropped on the sheet is read', async () => {
  await station()
  const main = document.querySelector('main')!
  const dataTransfer = { types: ['text/plain'], files: [], getData: () => '300 g flour, 140 g water' }
  await act(async () => fireEvent.drop(main, { dataTransfer }))
  const panel = await screen.findByRole('dialog', { name: 'Read a recipe' })
  await waitFor(() => expect(within(panel).getAllByRole('row')).toHaveLength(3))
})

it('everything the corpus finds has words, without a figure that is none', () => {
  const found = new Set<string>()
  for (const { text, region } of samples) {
    const decoded = decode(text, recipeTables, { region })
    for (const each of decoded.contradictions) {
      const { title, text: words } = contradictionWords(each, (grams) => `${Math.round(grams)} g`)
      expect(`${title} ${words}`).not.toMatch(/NaN|undefined|Infinity/)
      found.add(each.code)
    }
    expect(methodTold(decoded, (mm) => `${mm} mm`)).not.toMatch(/NaN|undefined|Infinity/)
    for (const { why } of decoded.rows) for (const each of why) expect(whyWords[each]).toBeTruthy()
  }
  expect([...found].sort()).toEqual([...CONTRADICTIONS].sort())
})

describe('written out', () => {
  it('as text, as Markdown and for pages, by weight or by the cup; saved under its name', async () => {
    await station()
    await press('Write it out')
    const panel = await screen.findByRole('dialog', { name: 'Write it out' })
    const text = () => within(panel).getByLabelText('The recipe as written').textContent
    expect(text()).toContain('Lamp-room semolina')
    expect(text()).not.toContain('cup')
    await choose('Measured', 'us')
    expect(text()).toMatch(/\d cups? \(\d+ g\)/)
    fireEvent.click(within(panel).getByRole('radio', { name: 'For web pages' }))
    expect(JSON.parse(text())).toMatchObject({ '@type': 'Recipe', name: 'Lamp-room semolina' })
    fireEvent.click(within(panel).getByRole('radio', { name: 'Markdown' }))
    expect(text()).toMatch(/^# Lamp-room semolina/)
    const saved = jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (
      this: HTMLAnchorElement,
    ) {
      expect(this.download).toBe('lamp-room-semolina.md')
    })
    URL.createObjectURL = () => 'blob:x'
    await press('Save it as a file')
    expect(saved).toHaveBeenCalled()
    saved.mockRestore()
  })
})

it('names that were settled go out with the workspace and come back', () => {
  const file = { ...demoWorkspace, gear: { ...demoWorkspace.gear!, readAs: [{ name: 'mizu', is: null }] } }
  const read = readWorkspaceFile(JSON.stringify(file))
  expect(read).toMatchObject({ ok: true, value: { gear: { readAs: [{ name: 'mizu', is: null }] } } })
})
