/** Controls at rest, before the package is there: what a hand does to one is not lost. */
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import * as React from 'react'
import { useState } from 'react'
import * as ReactDom from 'react-dom'

/** As a page that is loaded; React alone is the one that draws it. */
const anew = async () => {
  jest.resetModules()
  jest.doMock('react', () => React)
  jest.doMock('react-dom', () => ReactDom)
  const { Choice } = await import('../Choice.tsx')
  const { Segments } = await import('../Segments.tsx')
  const { IngredientField } = await import('#web/stations/formula/IngredientField.tsx')
  const { bringControls } = await import('./controls.ts')
  return { Choice, Segments, IngredientField, bringControls }
}

const SACKS = [
  ['old', 'The old sack'],
  ['new', 'The new sack'],
] as const
const salt = { id: 'salt', name: 'Fine salt', basis: 'dry' }
const oil = { id: 'oil', name: 'Olive oil', basis: 'dry' }

async function board(onTake = jest.fn()) {
  const { Choice, Segments, IngredientField, bringControls } = await anew()
  function Board() {
    const [sack, setSack] = useState<'old' | 'new' | ''>('old')
    const [place, setPlace] = useState<'up' | 'down'>('up')
    return (
      <>
        <Choice label="Which sack" value={sack} options={SACKS} onChange={setSack} />
        <Segments
          label="Where it stands"
          value={place}
          options={[
            ['up', 'upstairs'],
            ['down', 'downstairs'],
          ]}
          onChange={setPlace}
        />
        <IngredientField label="Add" placeholder="salt, oil" usable={[salt, oil] as never} onTake={onTake} />
      </>
    )
  }
  render(<Board />)
  return { bringControls, onTake }
}

const list = () => screen.getByLabelText('Which sack')
const isOpen = () => screen.queryAllByRole('option').map((option) => option.textContent)
const checked = () => screen.getByRole('radio', { checked: true }).textContent
const arrived = () => waitFor(() => expect(list().id).not.toBe(''))

afterEach(cleanup)

it('at rest they read as they will: names, what is chosen, what Tab comes to', async () => {
  const { bringControls } = await board()
  const told = () => [
    list().textContent,
    list().getAttribute('aria-haspopup'),
    list().getAttribute('aria-expanded'),
    checked(),
    screen.getAllByRole('radio').map(({ tabIndex }) => tabIndex),
    screen.getByRole('combobox', { name: 'Add' }).getAttribute('placeholder'),
    [...document.querySelectorAll('[class]')].map(({ className }) => className),
  ]
  const before = told()
  expect(list().id).toBe('')
  await act(bringControls)
  await arrived()
  expect(told()).toEqual(before)
})

it('a list that is pressed opens as soon as it can, and what is taken of it is taken', async () => {
  await board()
  await act(async () => fireEvent.click(list()))
  await waitFor(() => expect(isOpen()).toEqual(['The old sack', 'The new sack']))
  await act(async () => fireEvent.click(screen.getByRole('option', { name: 'The new sack' })))
  expect(list().textContent).toContain('The new sack')
})

it.each(['ArrowDown', 'ArrowUp'])('a list opens by %s too, and another key opens nothing', async (key) => {
  const { bringControls } = await board()
  list().focus()
  fireEvent.keyDown(list(), { key: 'x' })
  await act(bringControls)
  await arrived()
  expect(isOpen()).toEqual([])
  cleanup()
  await board()
  await act(async () => fireEvent.keyDown(list(), { key }))
  await waitFor(() => expect(isOpen()).toHaveLength(2))
})

it('one of a few can be taken at once, and keeps the focus when the package comes', async () => {
  const { bringControls } = await board()
  const below = screen.getByRole('radio', { name: 'downstairs' })
  below.focus()
  fireEvent.click(below)
  expect(checked()).toBe('downstairs')
  await act(bringControls)
  await arrived()
  expect(document.activeElement).toBe(screen.getByRole('radio', { checked: true }))
  expect(isOpen()).toEqual([])
  await act(async () => fireEvent.keyDown(document.activeElement!, { key: 'ArrowUp' }))
  expect(checked()).toBe('upstairs')
})

it('what is typed before the package is there stays, and finds', async () => {
  const { onTake, bringControls } = await board()
  const field = () => screen.getByRole<HTMLInputElement>('combobox', { name: 'Add' })
  act(() => field().focus())
  fireEvent.change(field(), { target: { value: 'oil' } })
  await act(bringControls)
  await arrived()
  expect(document.activeElement).toBe(field())
  expect([field().value, field().selectionStart]).toEqual(['oil', 3])
  await waitFor(() => expect(isOpen()).toEqual(['Olive oil']))
  await act(async () => fireEvent.keyDown(field(), { key: 'Enter' }))
  expect(onTake).toHaveBeenCalledWith(oil)
})

it('what was left again takes no focus', async () => {
  const { bringControls } = await board()
  act(() => list().focus())
  act(() => list().blur())
  await act(bringControls)
  await arrived()
  expect(document.activeElement).toBe(document.body)
})

it('nothing is put in the place of what a finger lies on', async () => {
  const { bringControls } = await board()
  fireEvent.pointerDown(list())
  await act(async () => {
    void bringControls()
    await new Promise((resolve) => setTimeout(resolve, 100))
  })
  expect(list().id).toBe('')
  await act(async () => fireEvent.pointerUp(list()))
  await arrived()
})

it('a package that did not come is told of, and asked for again by the next touch', async () => {
  const notifyTrouble = jest.fn()
  jest.doMock('#web/state/notify.ts', () => ({ notifyTrouble }))
  jest.doMock('./fromPackage.ts', () => {
    throw new Error('no line')
  })
  const { bringControls } = await board()
  await act(bringControls)
  expect(notifyTrouble).not.toHaveBeenCalled()
  await act(async () => fireEvent.click(list()))
  expect(notifyTrouble).toHaveBeenCalledWith('This list did not come', expect.stringContaining('Load the page again'))
  expect(list().id).toBe('')
  jest.dontMock('./fromPackage.ts')
  await act(async () => fireEvent.click(list()))
  await waitFor(() => expect(isOpen()).toHaveLength(2))
})
