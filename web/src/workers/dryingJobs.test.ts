/**
 * @jest-environment node
 *
 * What earlier trays teach is worked out once, not each quarter of an hour.
 */
import { generateWorkspace } from '@harina/demo'
import { replay } from '@harina/core'
import * as rack from '@harina/core/rack'
import { dryingJobs } from './dryingJobs.ts'

jest.mock('@harina/core/rack', () => {
  const actual = jest.requireActual<typeof rack>('@harina/core/rack')
  return { ...actual, learntDrying: jest.fn(actual.learntDrying) }
})
const learnt = jest.mocked(rack.learntDrying)

const trays = generateWorkspace(Date.now()).batches.flatMap(({ plan, events }) => replay(plan, events).trays)
const past = trays.filter(({ weighed }) => weighed.length > 1).slice(0, 3)
const tray = trays.find(({ end, weighed }) => end === null && weighed.length > 0) ?? trays[0]!

it('a later hour asks the past no more; another past does', async () => {
  const nowMs = Date.parse(tray.weighed.at(-1)?.at ?? tray.laidAt)
  const at = (hours: number, before = past) =>
    dryingJobs.forecast({ tray, past: before, nowMs: nowMs + hours * 3_600_000, scaleSdG: 1 })
  const first = await at(0)
  const later = await at(0.25)
  await at(0.5)
  expect(past.length).toBeGreaterThan(1)
  expect(learnt).toHaveBeenCalledTimes(1)
  expect(later.learnt).toEqual(first.learnt)
  expect(later.nowH).toBeGreaterThan(first.nowH)
  const fewer = await at(0.5, past.slice(1))
  expect(learnt).toHaveBeenCalledTimes(2)
  expect(fewer.learnt.n).toBe(first.learnt.n - 1)
})
