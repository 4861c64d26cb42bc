/** What waits longest for clocks and stores is begun first, so that nothing stands alone at the end. */
import TestSequencer from '@jest/test-sequencer'

const FIRST = ['views', 'rack', 'pot', 'typing', 'everyFamily', 'store', 'keyboard', 'board', 'walk']

const rank = ({ path }) => {
  const at = FIRST.findIndex((name) => path.endsWith(`/${name}.e2e.test.ts`))
  return at < 0 ? FIRST.length : at
}

export default class Sequencer extends TestSequencer {
  sort(tests) {
    return [...super.sort(tests)].sort((a, b) => rank(a) - rank(b))
  }
}
