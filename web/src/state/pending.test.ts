import { differenceOf, withDifference } from '@harina/core'
import fc from 'fast-check'
import { createPending } from './pending.ts'

const KEY = 'gear gear'

it('lays over what the store tells whatever it cannot know yet, until it has been asked after the write', () => {
  const pending = createPending()
  const [a, b] = [{ name: 'a' }, { name: 'ab' }]
  const change = pending.add(KEY, differenceOf(a, b))
  expect(pending.over(KEY, a, pending.writes)).toEqual(b)
  const askedBefore = pending.writes
  pending.written([change])
  // An answer to a question of before the write comes late: the letter stays.
  expect(pending.over(KEY, a, askedBefore)).toEqual(b)
  expect(pending.over(KEY, b, pending.writes)).toEqual(b)
  expect(pending.keys()).toEqual([])
})

it('whatever the order of writes and late answers, the screen shows every change there was', () => {
  const step = fc.oneof(
    fc.record({ do: fc.constant('type' as const), field: fc.constantFrom('x', 'y'), value: fc.nat(9) }),
    fc.record({ do: fc.constant('write' as const) }),
    fc.record({ do: fc.constant('ask' as const) }),
    fc.record({ do: fc.constant('hear' as const) }),
  )
  fc.assert(
    fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
      const pending = createPending()
      let stored: Record<string, unknown> = { x: 0, y: 0 }
      let screen: Record<string, unknown> = stored
      const asked: { as: typeof stored; of: number }[] = []
      for (const each of steps) {
        if (each.do === 'type') {
          const next = { ...screen, [each.field]: each.value }
          pending.add(KEY, differenceOf(screen, next))
          screen = next
        } else if (each.do === 'write') {
          const changes = pending.unwritten(KEY)
          stored = changes.reduce((now, { difference }) => withDifference(now, difference), stored)
          if (changes.length > 0) pending.written(changes)
        } else if (each.do === 'ask') asked.push({ as: stored, of: pending.writes })
        else {
          const answer = asked.shift()
          if (answer) expect(pending.over(KEY, answer.as, answer.of)).toEqual(screen)
        }
      }
    }),
  )
})
