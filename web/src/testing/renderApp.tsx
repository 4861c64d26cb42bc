/** The client on a memory router over a fake database, with the saved sample workspace in it. */
import { readWorkspaceFile, type Batch, type Workspace } from '@harina/core'
import sample from '@harina/core/fixtures/workspace-1.harina.json'
import { doughs, ingredients, presses, sauces, schools, shapes, troubles } from '@harina/facts'
import { act, configure, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { Provider } from 'react-redux'
import { MemoryRouter, Route, Routes } from 'react-router'
import { Ringing } from '../app/Ringing.tsx'
import { endedBatchesRead, openBatchesRead } from '../state/batchesSlice.ts'
import { draftLoaded } from '../state/draftSlice.ts'
import { subscribe } from '../state/workspace.ts'
import { store } from '../state/store.ts'
import { repository } from '../storage/index.ts'
import { provideTables } from '../state/tables.ts'
import { provideControls } from '../ui/controls/controls.ts'
import * as controls from '../ui/controls/fromPackage.ts'

// A busy machine is slow, not wrong.
configure({ asyncUtilTimeout: 8000, defaultHidden: true })

/** Clocks tick on in tests; what a tick changes is drawn before anything is looked at. */
const every = globalThis.setInterval
globalThis.setInterval = ((tick: () => void, ms?: number) =>
  every(
    () => ((globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT ? act(tick) : tick()),
    ms,
  )) as typeof setInterval

// As they are once the page has been there for a moment.
provideControls(controls)
provideTables({ ingredients, doughs, shapes, schools, sauces, presses, troubles })

const read = readWorkspaceFile(JSON.stringify(sample))
if (!read.ok) throw new Error(read.problem.code)
export const sampleWorkspace: Workspace = read.value

/** As in the app: one subscription, for all tests of a file. */
let subscribed: Promise<void> | null = null
const follow = () => (subscribed ??= subscribe())

/** Empties the fake browser and puts a workspace in; nothing of the sheet's history is left. */
export async function putWorkspace(workspace: Workspace): Promise<void> {
  await repository.clear()
  await repository.merge(() => workspace)
  await act(follow)
  await settle()
  act(() => void store.dispatch(draftLoaded(workspace.draft)))
}

interface Page {
  readonly path: string
  readonly element: React.ReactNode
}

export function renderAt(at: string, pages: readonly Page[]) {
  return render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          {pages.map((page) => (
            <Route key={page.path} {...page} />
          ))}
          <Route path="*" element={<p>elsewhere</p>} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  )
}

export const renderRinging = () => renderAt('/log', [{ path: '/log', element: <Ringing /> }])

/** Presses what is so named, and waits for what it stores to come back. */
export async function press(name: string | RegExp): Promise<void> {
  fireEvent.click(await screen.findByRole('button', { name }))
  await settle()
}

/**
 * Lets pending writes finish and their news arrive. On a busy machine the live queries may be late: what they would tell is
 * asked for, behind the writes.
 */
export async function settle(): Promise<void> {
  await act(async () => {
    await new Promise((resolve) => setTimeout(resolve, 30))
    await repository.workspace()
    await new Promise((resolve) => setTimeout(resolve))
    store.dispatch(openBatchesRead(await repository.batches.open()))
    store.dispatch(endedBatchesRead(await repository.batches.summaries()))
  })
}

/** Types into a figure and stays in it: what is said while one types is looked at. */
export async function typeOver(label: string | RegExp, text: string): Promise<HTMLElement> {
  const field = await screen.findByLabelText(label)
  fireEvent.focus(field)
  fireEvent.change(field, { target: { value: text } })
  return field
}

/** Types into a figure and leaves it, as a hand does. */
export async function typeInto(label: string | RegExp, text: string): Promise<void> {
  fireEvent.blur(await typeOver(label, text))
}

/** Does something to a list, which opens, places itself or goes over the next frames. */
export const atList = (work: () => void): Promise<void> =>
  act(async () => {
    work()
    for (let frame = 0; frame < 3; frame += 1) await new Promise((resolve) => requestAnimationFrame(resolve))
  })

/** Opens a list by key and takes one of it, by what it stands for. */
export async function choose(label: string | RegExp, value: string): Promise<void> {
  const button = await screen.findByRole('combobox', { name: label })
  await atList(() => fireEvent.keyDown(button, { key: 'ArrowDown' }))
  const option = await waitFor(() => {
    const found = document.querySelector<HTMLElement>(`[role=option][data-value="${value}"]`)
    if (!found) throw new Error(`${value} is not in the list`)
    return found
  })
  await atList(() => fireEvent.click(option))
}

/** What a list offers. */
export async function offered(label: string | RegExp): Promise<readonly string[]> {
  const button = await screen.findByRole('combobox', { name: label })
  await atList(() => fireEvent.keyDown(button, { key: 'ArrowDown' }))
  const all = [...document.querySelectorAll<HTMLElement>('[role=option]')].map(
    (option) => option.dataset['value'] ?? '',
  )
  await atList(() => fireEvent.keyDown(document.activeElement ?? button, { key: 'Escape' }))
  return all
}

export const valueOf = (label: string): string => (screen.getByLabelText(label) as HTMLInputElement).value

export async function openBatch(id: string): Promise<Batch> {
  const found = (await repository.batches.open()).find((batch) => batch.id === id)
  if (!found) throw new Error(`no open batch ${id}`)
  return found
}

export { act, fireEvent, screen, waitFor, within }
