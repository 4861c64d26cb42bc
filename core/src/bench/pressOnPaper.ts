import type { KeptPress } from '../model/index.ts'
import { forFlour, type Kitchen, type PressPlan, pressPlan, type ShapeShare, type Worked } from '../sheet/index.ts'
import { takes } from './making.ts'
import { planSteps } from './planSteps.ts'

/** Through a press, of a sheet on paper and so much of its dough: apart from the bench, which plans no steps. */
export const pressOnPaper = (
  worked: Worked,
  { shape, doughG }: Pick<ShapeShare, 'shape' | 'doughG'>,
  press: KeptPress,
  kitchen: Kitchen,
): PressPlan | null => {
  const forThis = forFlour(press, worked.flourShift)
  return pressPlan(
    { blank: shape.blank, doughG },
    worked.batch.densityGPerCm3,
    forThis,
    takes(planSteps({ ...worked, shape }, kitchen), forThis, worked.paper14),
  )
}
