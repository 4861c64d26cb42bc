/** Files with anything in them: what is taken opens at every station, with no figure that is none; what was stored broken is set apart. */
import { readWorkspaceFile } from '@harina/core'
import { mutatedFile } from '@harina/core/testing'
import { cleanup } from '@testing-library/react'
import { HarinaDatabase } from '../storage/database.ts'
import { repository } from '../storage/index.ts'
import BenchStation from '../stations/bench/BenchStation.tsx'
import FormulaStation from '../stations/formula/FormulaStation.tsx'
import GearStation from '../stations/gear/GearStation.tsx'
import LogStation from '../stations/log/LogStation.tsx'
import { press, putWorkspace, renderAt, sampleWorkspace, screen, settle } from '../testing/renderApp.tsx'

declare const process: { readonly env: Readonly<Record<string, string | undefined>> }
const FILES = process.env['HEAVY'] ? 250 : process.env['CI'] ? 8 : 6

const pages = [
  { path: '/formula', element: <FormulaStation /> },
  { path: '/bench/:batchId?', element: <BenchStation /> },
  { path: '/log/:batchId?', element: <LogStation /> },
  { path: '/gear/:shelf?', element: <GearStation /> },
]

beforeAll(() => {
  // jsdom lays nothing out; the virtual list needs a frame to fill.
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { configurable: true, value: 600 })
  Object.defineProperty(HTMLElement.prototype, 'offsetWidth', { configurable: true, value: 370 })
})
afterEach(cleanup)

async function shownAt(path: string): Promise<string> {
  renderAt(path, pages)
  await settle()
  const text = document.body.textContent ?? ''
  cleanup()
  return text
}

it(`${FILES} files that were taken: every station opens on them`, async () => {
  let taken = 0
  for (let seed = 0; taken < FILES; seed += 1) {
    const read = readWorkspaceFile(mutatedFile(seed))
    if (!read.ok) continue
    taken += 1
    await putWorkspace(read.value)
    const paths = ['/formula', '/gear', ...read.value.batches.flatMap(({ id }) => [`/log/${id}`, `/bench/${id}`])]
    for (const path of paths) {
      const text = await shownAt(path)
      expect([seed, path, /NaN|Infinity|undefined|\[object/.exec(text)?.[0] ?? null]).toEqual([seed, path, null])
      expect([seed, path, text.length > 40]).toEqual([seed, path, true])
    }
  }
}, 600_000)

describe('what an older Harina stored and no schema takes', () => {
  const [closed] = sampleWorkspace.batches

  it('costs itself alone, and is offered as a file', async () => {
    await putWorkspace(sampleWorkspace)
    await new HarinaDatabase().tableOf('lot').put({ id: 'odd', name: 7 } as never)
    await settle()
    renderAt('/gear/sacks', pages)
    expect(await screen.findByDisplayValue('Remilled durum R-31')).toBeTruthy()
    cleanup()
    renderAt('/gear/files', pages)
    expect((await screen.findByRole('region', { name: 'What cannot be read' })).textContent).toContain('A lot, odd')
    await press('Remove')
    expect(screen.queryByRole('region', { name: 'What cannot be read' })).toBeNull()
    expect((await repository.read('lot')).map(({ id }) => id)).not.toContain('odd')
  })

  it('a closed batch of that kind stands in the log as one that cannot be read, the others beside it', async () => {
    const odd = { ...closed!, id: 'odd-batch', plan: { ...closed!.plan, doughG: -5 } }
    await putWorkspace({ ...sampleWorkspace, batches: [closed!, odd] })
    // As a browser finds it that has never made summaries.
    await repository.batches.freshSummaries({ anew: true })
    await settle()
    const text = await shownAt('/log/odd-batch')
    expect(text).toContain('2 batches')
    expect(text).toContain('This cannot be shown as it is stored')
    expect(await shownAt(`/log/${closed!.id}`)).toContain('Gale, everything damp')
  })
})
