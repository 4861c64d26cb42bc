/** The one way in which it is told that something could not be stored. */
import { BookFull, PartWorkedOn, PhotosFull, Refused, StoreDropped } from '../storage/index.ts'
import { dismissTrouble, notify, notifyTrouble } from './notify.ts'

const nameOf = (error: unknown): string => (error instanceof Error ? error.name : 'unknown')

/** A disk that is full says so under several names, some of them wrapped in another. */
function isFull(error: unknown): boolean {
  const inner = error instanceof Error && 'inner' in error ? error.inner : null
  return [error, inner].some(
    (each) => /quota/i.test(nameOf(each)) || (each instanceof Error && /quota/i.test(each.message)),
  )
}

/** On a full disk a browser may also close the store, and say nothing but that. */
const CLOSED = new Set(['UnknownError', 'AbortError', 'OpenFailedError', 'DatabaseClosedError', 'InvalidStateError'])

const NOT_STORED = 'Not stored'
let told = false

/** What could not be stored has been stored after all. */
export function tellStored(): void {
  if (told) dismissTrouble(NOT_STORED)
  told = false
}

/** What is wrong with the figure or word that was refused. */
function whyRefused({ issue }: Refused): string {
  if (issue?.code === 'too_big') return `It can be ${String(issue.maximum)} at most.`
  if (issue?.code === 'too_small') return `It can be ${String(issue.minimum)} at least.`
  return `Look at ${issue?.path.join(', ') || 'what was typed'}.`
}

let rescue: () => Promise<void> = async () => undefined
let dropTold = false
/** What puts back what a page holds, where the browser has dropped it. */
export const rescueWith = (run: () => Promise<void>): void => {
  rescue = run
}

async function putBack(): Promise<void> {
  try {
    await rescue()
    dropTold = false
    notify('It is put back', { description: 'Export everything now: this browser has dropped it once.' })
  } catch (error) {
    dropTold = false
    tellFailure(error, 'It is still here on the screen.', () => void putBack())
  }
}

/** Once: every question to the store ends so until it is put back. */
function tellDropped(): void {
  if (dropTold) return
  dropTold = true
  dismissTrouble(NOT_STORED)
  notifyTrouble(
    'The browser has dropped your work',
    'What this page holds is still here: formulas, sacks, gear, the sheet and the batches at the bench. Free some space, then put it back; closed batches and photos come back from your exported file.',
    { label: 'Put it back', run: () => void putBack() },
  )
}

/** Tells it; `kept` says what became of what was done, as: it is still here on the screen. */
export function tellFailure(error: unknown, kept: string, again?: () => void): void {
  if (error instanceof PartWorkedOn)
    return notify('The other part has gone its own way', {
      description: 'It has been worked on since the split. Give it up first, then undo.',
    })
  if (error instanceof BookFull)
    return notifyTrouble(
      'The book of this batch is full',
      'Nothing was recorded. Write it in the log and begin another.',
    )
  if (error instanceof PhotosFull)
    return notifyTrouble(
      'The photos here fill what one file can carry',
      'This one is not kept. Export everything, then remove some that you no longer need.',
    )
  if (error instanceof StoreDropped) return tellDropped()
  if (error instanceof Refused)
    return notifyTrouble('That cannot be kept', `${whyRefused(error)} Nothing was changed. Put the figure right.`)
  const what = isFull(error)
    ? 'This device is full. Free some space on it, then try again.'
    : CLOSED.has(nameOf(error))
      ? 'This device is full, or the browser has closed its store. Free some space on it, then try again.'
      : `The browser’s store did not take it (${nameOf(error)}). Try again; if it stays so, export everything and load the page anew.`
  told = true
  return notifyTrouble(NOT_STORED, `${what} ${kept}`, again && { label: 'Try again', run: again })
}
