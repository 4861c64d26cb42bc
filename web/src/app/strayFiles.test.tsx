import { cleanup, createEvent, fireEvent, render } from '@testing-library/react'
import { useStrayFiles } from './useStrayFiles.ts'

function Page() {
  useStrayFiles()
  return <p>the work</p>
}

/** What a hand that holds this over the page is told: where it may let go. */
function over(types: readonly string[]): DragEvent {
  const event = createEvent.dragOver(document.querySelector('p')!, { dataTransfer: { types, dropEffect: 'copy' } })
  fireEvent(document.querySelector('p')!, event)
  return event as unknown as DragEvent
}

afterEach(cleanup)

it('a file cannot be let go of where nothing reads it', () => {
  render(<Page />)
  const held = over(['Files'])
  expect(held.defaultPrevented).toBe(true)
  expect(held.dataTransfer!.dropEffect).toBe('none')
})

it('what a place takes, and marked text on its way to a field, are left alone', () => {
  render(<Page />)
  const takes = (event: Event) => event.preventDefault()
  document.body.addEventListener('dragover', takes)
  expect(over(['Files']).dataTransfer!.dropEffect).toBe('copy')
  document.body.removeEventListener('dragover', takes)
  expect(over(['text/plain']).defaultPrevented).toBe(false)
})

it('the page that is gone refuses nothing', () => {
  render(<Page />).unmount()
  render(<p>another</p>)
  expect(over(['Files']).defaultPrevented).toBe(false)
})
