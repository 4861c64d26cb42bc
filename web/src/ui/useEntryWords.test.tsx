/** Every kind of entry in the book has its words, or is only a mark of another. */
import { replay, type BenchAction, type BenchEvent } from '@harina/core'
import { cleanup, renderHook } from '@testing-library/react'
import { Provider } from 'react-redux'
import { store } from '../state/store.ts'
import { sampleWorkspace } from '../testing/renderApp.tsx'
import { useEntryWords } from './useEntryWords.ts'

const { plan } = sampleWorkspace.batches[1]!
afterEach(cleanup)

/** In words, the last of these. */
function wordsOf(...actions: readonly BenchAction[]): string | null {
  const events = actions.map(
    (action, n) => ({ ...action, id: `e${n}`, at: new Date(Date.UTC(2031, 2, 1, 9, n)).toISOString() }) as BenchEvent,
  )
  const { result } = renderHook(() => useEntryWords(plan, replay(plan, events)), {
    wrapper: ({ children }) => <Provider store={store}>{children}</Provider>,
  })
  return result.current(events.at(-1)!)
}
const flour = plan.rows.find((row) => row.part === 'flour')!

it.each<readonly [BenchAction, string | RegExp | null]>([
  [{ type: 'weighed', row: flour.key, grams: 512 }, `${flour.name}: 512 g`],
  [{ type: 'weighed', row: 'ghost', grams: 5 }, 'ghost: 5.0 g'],
  [{ type: 'poured', grams: 200 }, /^200 g of water in: 0\.0 to \d+\.\d %$/],
  [{ type: 'added-flour', grams: 8, saltG: 0 }, /^8\.0 g of flour in/],
  [{ type: 'felt', feel: 'tacky' }, 'felt tacky'],
  [{ type: 'timer-started', timer: 'rest', minutes: 45 }, 'resting, 45 min set'],
  [{ type: 'timer-started', timer: 'own-1', name: 'Beans', minutes: 20 }, 'Beans, 20 min set'],
  [{ type: 'timer-moved', timer: 'rest', minutes: -1 }, 'resting: −1 min'],
  [{ type: 'step-done', step: 'knead' }, 'Knead: done'],
  [{ type: 'step-done', step: 'ghost' }, null],
  [{ type: 'worked-by', by: 'mixer' }, 'in the mixer'],
  [{ type: 'lumped', grams: 182 }, 'a lump of 182 g'],
  [{ type: 'shaped', pieces: 640 }, '640 pieces'],
  [{ type: 'sampled', grams: 0.98 }, 'a piece of 0.98 g'],
  [{ type: 'finish-chosen', finish: 'dry' }, 'on the rack'],
  [{ type: 'chilled', minutes: 90 }, 'into the fridge, to go on later'],
  [{ type: 'chilled', minutes: 60, thawH: 9 }, 'into the freezer, to go on later'],
  [{ type: 'paused', why: 'The boat' }, 'set aside: The boat'],
  [{ type: 'resumed' }, 'gone on with'],
  [{ type: 'handed-over', to: 'Late bench', word: '' }, 'handed to Late bench'],
  [{ type: 'taken-on' }, 'taken on'],
  [{ type: 'split', keeps: 0.6, other: 'o', part: 'kept' }, 'split: 60 % stay'],
  [{ type: 'cooked', minutes: 4.5 }, 'cooked 4.5 min'],
  [{ type: 'judged', verdict: 'very-good' }, 'very good'],
  [{ type: 'noted', text: 'Again.' }, 'Again.'],
  [{ type: 'clock-set', shiftMs: -3_600_000 }, /clock of this device was set/],
  [{ type: 'abandoned', reason: 'Too wet' }, 'given up: Too wet'],
  [{ type: 'closed' }, 'written in the log'],
  [{ type: 'ticked', item: 'scale', on: true }, null],
  [{ type: 'timer-answered', timer: 'rest' }, null],
  [{ type: 'amended', of: 'e0', figure: 3 }, null],
])('%j', (action, wanted) => {
  const words = wordsOf(action)
  if (wanted instanceof RegExp) expect(words).toMatch(wanted)
  else expect(words).toBe(wanted)
})

it('what the jar has lost tells where it took the bowl; its first weighing moves nothing', () => {
  const poured: BenchAction = { type: 'poured', grams: 200 }
  const full: BenchAction = { type: 'jar-weighed', grams: 400 }
  expect(wordsOf(poured, full)).toBe('the jar of board flour at 400 g')
  expect(wordsOf(poured, full, { type: 'jar-weighed', grams: 380 })).toMatch(
    /^the jar of board flour at 380 g: (\d+\.\d) to (\d+\.\d) %$/,
  )
})
