/** The whole kitchen with a roller and a press in it. */
import type { Kitchen } from '@harina/core'
import { presses } from '../index.ts'
import { wholeKitchen } from './wholeKitchen.ts'

const { note: _, ...press } = presses[0]!

export const withMachines: Kitchen = {
  ...wholeKitchen,
  gear: {
    ...wholeKitchen.gear,
    rollers: [
      {
        id: 'r',
        name: 'Crank',
        widthMm: 150,
        settings: 7,
        widest: 'first',
        measured: [
          { setting: 1, gapMm: 3 },
          { setting: 7, gapMm: 0.6 },
        ],
        springBack: 1.1,
      },
    ],
    presses: [press],
  },
}
