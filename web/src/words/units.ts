/** Figures with the maker's own units: everything below is in g, mm and °C. */
import {
  defaultUnits,
  showGap,
  showLength,
  showMass,
  shownText,
  showTemperature,
  showVolume,
  type Units,
} from '@harina/core'

export const worded = (units: Units) => ({
  units,
  /** As a figure beside a unit that stands by itself. */
  massFigure: (grams: number, stepG = 1) => showMass(grams, units, stepG).figure,
  mass: (grams: number, stepG = 1) => shownText(showMass(grams, units, stepG)),
  temperatureFigure: (celsius: number, decimals = 0) => showTemperature(celsius, units, decimals).figure,
  temperature: (celsius: number, decimals = 0) => shownText(showTemperature(celsius, units, decimals)),
  volume: (ml: number) => shownText(showVolume(ml, units)),
  lengthFigure: (mm: number) => showLength(mm, units).figure,
  gapFigure: (mm: number) => showGap(mm, units).figure,
  length: (mm: number) => shownText(showLength(mm, units)),
})

export type Worded = ReturnType<typeof worded>

/** For words made outside a component. */
export const inGrams: Worded = worded(defaultUnits)
