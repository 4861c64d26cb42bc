/** What a work sheet is worked out to, and how to read where it stands. */
import type { Gel } from './gel.ts'
import type { BatchResult } from '../formula/index.ts'
import type { FlourLot } from '../lot/index.ts'
import type { ShapeMatch } from '../match/index.ts'
import type { Dough, Shape, Sheet, WetReason, Window } from '../model/index.ts'
import type { Limits } from '../safety/index.ts'
import type { Pieces } from '../shape/index.ts'
import type { Balance } from './balance.ts'
import type { Practice } from './practice.ts'
import type { WorkedRow } from './workedRow.ts'

/** Water to pour, g. The jug holds `totalG`; `startG` goes in first, the hold-back only if the dough asks for it. */
export interface WaterPlan {
  readonly totalG: number
  readonly startG: number
  readonly holdBackG: number
  readonly ceilingG: number
}

/** How long it may lie and keep as it stands; `keepingOf` tells. */
export interface Keeping {
  /** Why it is never dried in room air; empty for a dough that may. */
  readonly wet: readonly WetReason[]
  /** Egg, milk, curd and the like, or a filling: what spoils first. */
  readonly perishable: boolean
  /** From mixing on, by what is in it: warm, up to 27 °C (`warmShare` says what a hotter room leaves of it), and at 5 °C or below. */
  readonly dough: Pick<Limits, 'warmMin' | 'coldH'>
  /** Of shaped pieces, the shape's own limits on top: warm, min. */
  readonly roomMin: number
  readonly fridgeH: number
  readonly freezerMonths: number
  /** Null: it is not dried. */
  readonly driedMonths: number | null
  /** Dry it would keep longer, but for its fat. */
  readonly rancid?: true
}

/** Poured = slope × (14 % basis) + offset: how the windows lie on the rule for this flour today. Percent. */
export interface PouredScale {
  readonly slope: number
  readonly offset: number
}

/** What steers the dough and stands on its rule. */
export type Control =
  { readonly by: 'hydration' } | { readonly by: 'base'; readonly base: string; readonly flourOnBase: number }

/** All figures of a sheet but the notes beside it. */
export interface Reckoned {
  readonly sheet: Sheet
  readonly dough: Dough
  /** The same as it is made for its press: crumbled, or kneaded; else as the table has it. */
  readonly made: Dough
  readonly shape: Shape
  readonly rows: readonly WorkedRow[]
  readonly batch: BatchResult
  readonly control: Control
  /** What the formula comes to, 14 % basis, percent; and with what of the lot's thirst it has not in it yet. */
  readonly asked14: number
  readonly expected14: number
  /** The latter without the lot's thirst: where the dough lies in the table's windows. */
  readonly paper14: number
  readonly lot: FlourLot
  /** Where the flour stood that taught its thirst, where that is another air than today's. */
  readonly learnedAt: string | null
  readonly water: WaterPlan
  /** Of the flour, so much waits for the feel: doughs on a base; 0 for all others. */
  readonly heldFlour: number
  readonly poured: PouredScale
  /** All flours together, fraction of mass, as they stand. */
  readonly flourMoisture: number
  /** Points more water than the dough's own flour would want, less what egg softens. */
  readonly flourShift: number
  /** Points of it for egg: 0, or less. */
  readonly eggShift: number
  /** What hot water does to it, where that is not its own way. */
  readonly gel: Gel | null
  readonly match: ShapeMatch
  /** The dough as weighed, less what is lost on the way, g. */
  readonly usableG: number
  readonly cut: Pieces
  /** Fresh, as it is made, min from the return of the boil; a recipe's own figure wins. */
  readonly cookMin: readonly [number, number]
  readonly balance: Balance
  readonly practice: Practice
  /** As the sheet's own shape. */
  readonly keeping: Keeping
  readonly portionG: number | null
  /** What one eats of such a dough as a main course, by the maker's own guide, g. */
  readonly guideG: number
}

/** A hydration on the 14 % basis as poured on flour as it stands, percent: (100 + poured) = slope × (100 + basis 14 %). */
export const toPoured = ({ slope, offset }: PouredScale, basis14: number): number => slope * basis14 + offset
/** The way back, percent on the 14 % basis. */
export const fromPoured = ({ slope, offset }: PouredScale, poured: number): number => (poured - offset) / slope

/** A window written on the 14 % basis, moved to where it lies for flour as it stands, and for a lot's own thirst. */
export const pouredWindow = (scale: PouredScale, { low, best, high }: Window, shiftPoints: number): Window => ({
  low: toPoured(scale, low + shiftPoints),
  best: toPoured(scale, best + shiftPoints),
  high: toPoured(scale, high + shiftPoints),
})

/** A window of the tables where it lies on this sheet's rule. */
export const windowOnRule = (
  { control, poured, lot, flourShift: shift }: Pick<Reckoned, 'control' | 'poured' | 'lot' | 'flourShift'>,
  window: Window,
): Window => (control.by === 'base' ? window : pouredWindow(poured, window, lot.shift + shift))

/** Where the sheet stands on its own rule: water on flour, or flour on the base. Percent. */
export const onRule = ({ control, batch }: Pick<Reckoned, 'control' | 'batch'>): number =>
  control.by === 'base' ? control.flourOnBase : batch.hydration.effective

/** Where a dough stands against windows of the tables, which are written for the table's own flour. */
export const tableReading = ({
  control,
  paper14,
  flourShift: shift,
}: Pick<Reckoned, 'control' | 'paper14' | 'flourShift'>) =>
  control.by === 'base' ? control.flourOnBase : paper14 - shift
