/** A newer version of the page is here: it is offered once the bench is clear, and loaded when the maker says so. */
import { notify } from '../state/notify.ts'
import { selectAtBench } from '../state/select.ts'
import { store } from '../state/store.ts'

export function offerNewVersion(load: () => void): void {
  const isClear = () => {
    const state = store.getState()
    return state.batches.loaded && selectAtBench(state).length === 0
  }
  const offer = () =>
    notify('A new version is ready', {
      description: 'Everything you have stays as it is.',
      duration: Infinity,
      action: { label: 'Load it', onClick: load },
    })
  if (isClear()) return offer()
  const stop = store.subscribe(() => {
    if (!isClear()) return
    stop()
    offer()
  })
}
