/** What is shown for each kind of step; one that is not here has the plain sheet. */
import { STEP_KINDS, type StepKind } from '@harina/core'
import type { ComponentType } from 'react'
import { AirStep } from './steps/AirStep.tsx'
import { DivideStep } from './steps/DivideStep.tsx'
import { RollStep, ShapeStep } from './steps/HandSteps.tsx'
import { FillStep, PullStep } from './steps/PullAndFill.tsx'
import { FeelStep } from './steps/FeelStep.tsx'
import { DryStep, FreezeStep, HoldStep } from './steps/KeptSteps.tsx'
import { CookStep, DropStep, RinseStep } from './steps/PotSteps.tsx'
import { PlainStep } from './steps/PlainStep.tsx'
import { PourStep } from './steps/PourStep.tsx'
import { PressStep } from './steps/PressStep.tsx'
import { ReadyStep } from './steps/ReadyStep.tsx'
import { CutStep, FoldStep, StampStep, ThinStep } from './steps/RollerSteps.tsx'
import {
  CoolStep,
  DrinkStep,
  KneadStep,
  PrepareStep,
  RestStep,
  SpreadStep,
  TemperStep,
  ThawStep,
  AirSheetStep,
} from './steps/TimedSteps.tsx'
import { VerdictStep } from './steps/VerdictStep.tsx'
import { FlourStep, WaterStep } from './steps/WeighSteps.tsx'

const own: Readonly<Partial<Record<StepKind, ComponentType>>> = {
  ready: ReadyStep,
  prepare: PrepareStep,
  flour: FlourStep,
  water: WaterStep,
  pour: PourStep,
  cool: CoolStep,
  feel: FeelStep,
  drink: DrinkStep,
  knead: KneadStep,
  rest: RestStep,
  temper: TemperStep,
  thaw: ThawStep,
  airSheet: AirSheetStep,
  fold: FoldStep,
  divide: DivideStep,
  thin: ThinStep,
  cut: CutStep,
  stamp: StampStep,
  press: PressStep,
  roll: RollStep,
  shape: ShapeStep,
  pull: PullStep,
  fill: FillStep,
  air: AirStep,
  drop: DropStep,
  hold: HoldStep,
  freeze: FreezeStep,
  spread: SpreadStep,
  rinse: RinseStep,
  dry: DryStep,
  cook: CookStep,
  verdict: VerdictStep,
}

export const stepSheets = Object.fromEntries(STEP_KINDS.map((kind) => [kind, own[kind] ?? PlainStep])) as Readonly<
  Record<StepKind, ComponentType>
>
