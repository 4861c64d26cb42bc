/** The one way in which it is told that something could not be stored. */
import { BookFull, PartWorkedOn, PhotosFull, Refused } from '../storage/index.ts'
import { notify, notifyTrouble } from './notify.ts'

const nameOf = (error: unknown): string => (error instanceof Error ? error.name : 'unknown')

/** A disk that is full says so under several names, some of them wrapped in another. */
function isFull(error: unknown): boolean {
  const inner = error instanceof Error && 'inner' in error ? error.inner : null
  return [error, inner].some(
    (each) => /quota/i.test(nameOf(each)) || (each instanceof Error && /quota/i.test(each.message)),
  )
}

/** What is wrong with the figure or word that was refused. */
function whyRefused({ issue }: Refused): string {
  if (issue?.code === 'too_big') return `It can be ${String(issue.maximum)} at most.`
  if (issue?.code === 'too_small') return `It can be ${String(issue.minimum)} at least.`
  return `Look at ${issue?.path.join(', ') || 'what was typed'}.`
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
  if (error instanceof Refused)
    return notifyTrouble('That cannot be kept', `${whyRefused(error)} Nothing was changed. Put the figure right.`)
  const what = isFull(error)
    ? 'This device is full. Free some space on it, then try again.'
    : `The browser’s store did not take it (${nameOf(error)}). Try again; if it stays so, export everything and load the page anew.`
  return notifyTrouble('Not stored', `${what} ${kept}`, again)
}
