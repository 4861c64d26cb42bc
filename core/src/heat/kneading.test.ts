import { defaultGear } from '../model/index.ts'
import { KNEADING_WARMS_C, kneadBy } from './kneading.ts'

it('a blade warms more than a hook, and a hook more than hands', () => {
  const { hand, mixer, processor } = KNEADING_WARMS_C
  expect(hand.high).toBeLessThan(mixer.low)
  expect(mixer.usual).toBeLessThan(processor.low)
})

it('the warmth of another machine is taken along, a measured one stays', () => {
  const machine = kneadBy(defaultGear, 'processor')
  expect(machine).toMatchObject({ kneads: 'processor', frictionC: 11 })
  expect(kneadBy(machine, 'hand')).toEqual(defaultGear)
  expect(kneadBy({ ...defaultGear, frictionC: 4.5 }, 'mixer')).toMatchObject({ kneads: 'mixer', frictionC: 4.5 })
})
