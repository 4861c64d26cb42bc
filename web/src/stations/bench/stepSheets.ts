/** What is shown for each kind of step. */
import type { StepKind } from '@harina/core'
import type { ComponentType } from 'react'
import { DivideStep } from './steps/DivideStep.tsx'
import { RollStep, ShapeStep } from './steps/HandSteps.tsx'
import { FillStep, PullStep } from './steps/PullAndFill.tsx'
import { FeelStep } from './steps/FeelStep.tsx'
import { DryStep, FreezeStep, HoldStep } from './steps/KeptSteps.tsx'
import { ThenStep } from './steps/ThenStep.tsx'
import { CookStep, DropStep, RinseStep } from './steps/PotSteps.tsx'
import { PourStep } from './steps/PourStep.tsx'
import { FeedStep } from './steps/PressStep.tsx'
import { ReadyStep } from './steps/ReadyStep.tsx'
import { CutStep, FoldStep, StampStep, ThinStep } from './steps/RollerSteps.tsx'
import { CoolStep, CrumbStep, KneadStep, PrepareStep, RestStep, SpreadStep, TemperStep } from './steps/TimedSteps.tsx'
import { VerdictStep } from './steps/VerdictStep.tsx'
import { FlourStep, WaterStep } from './steps/WeighSteps.tsx'

export const stepSheets: Readonly<Record<StepKind, ComponentType>> = {
  ready: ReadyStep,
  prepare: PrepareStep,
  flour: FlourStep,
  water: WaterStep,
  pour: PourStep,
  cool: CoolStep,
  feel: FeelStep,
  crumb: CrumbStep,
  knead: KneadStep,
  rest: RestStep,
  temper: TemperStep,
  fold: FoldStep,
  divide: DivideStep,
  thin: ThinStep,
  cut: CutStep,
  stamp: StampStep,
  feed: FeedStep,
  roll: RollStep,
  shape: ShapeStep,
  pull: PullStep,
  fill: FillStep,
  then: ThenStep,
  drop: DropStep,
  hold: HoldStep,
  freeze: FreezeStep,
  spread: SpreadStep,
  rinse: RinseStep,
  dry: DryStep,
  cook: CookStep,
  verdict: VerdictStep,
}
