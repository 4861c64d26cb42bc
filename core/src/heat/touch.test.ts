import { isHotMade, STICK_C, usualDoughC, wantsStick } from './touch.ts'

it('hands stay out from 50 °C on, and work what is comfortable', () => {
  expect([wantsStick(50), wantsStick(45), wantsStick(100)]).toEqual([true, false, true])
  expect([usualDoughC(false), usualDoughC(true)]).toEqual([26, 16])
  expect([isHotMade(26), isHotMade(36)]).toEqual([false, true])
  expect(STICK_C).toBeLessThanOrEqual(50)
})
