/** `npm run makers`: three hundred invented makers, and how near the seventh batch's water comes to what each would accept. */
import type { Kitchen } from '@harina/core'
import { withMachines } from '@harina/facts/testing'
import { drawMaker, outcomeOf } from './makers/trial.ts'
import { random } from './rooms/random.ts'

const PAIRS = [
  ['sw-hand', 'little-ears'],
  ['salted-sheeted', 'thin-white'],
  ['alk-low', 'alk-thin'],
] as const
const kitchen: Kitchen = { ...withMachines, thirst: new Map() }

const share = (count: number, all: number) => `${((100 * count) / all).toFixed(0)} %`
const all = Array.from({ length: 300 }, (_, n) => {
  const maker = drawMaker(random(7000 + n))
  const [dough, shape] = PAIRS[n % PAIRS.length]!
  return { maker, ...outcomeOf(maker, dough, shape, kitchen, 9000 + n) }
})
const tell = (name: string, some: typeof all) => {
  const near = some.filter(({ error }) => Math.abs(error) <= 1.5).length
  const errors = some.map(({ error }) => Math.abs(error)).sort((a, b) => a - b)
  console.log(
    `${name.padEnd(34)}${share(near, some.length).padStart(6)} of ${String(some.length).padStart(3)} within 1.5 points, median ${errors[errors.length >> 1]!.toFixed(2)}`,
  )
}
tell('all', all)
tell(
  'by the scale, table followed',
  all.filter(({ maker }) => !maker.cupsSd && !maker.retypes && !maker.absurd && maker.poor === null),
)
tell(
  'with an absurd recipe',
  all.filter(({ maker }) => maker.absurd),
)
tell(
  'cups',
  all.filter(({ maker }) => maker.cupsSd),
)
tell(
  'formula typed again',
  all.filter(({ maker }) => maker.retypes),
)
tell(
  'one called poor',
  all.filter(({ maker }) => maker.poor !== null),
)
const moved = all.flatMap((each) => (each.moved === null ? [] : [Math.abs(each.moved)]))
console.log(
  `an absurd recipe moves the next by under a point in ${share(moved.filter((points) => points < 1).length, moved.length)}, at most ${Math.max(...moved).toFixed(2)}`,
)
