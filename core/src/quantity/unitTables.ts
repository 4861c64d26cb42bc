/** What units are called, and what they come to: data alone, for fields and for recipes. */
import { fromFahrenheit, GRAMS_IN, MM_PER_INCH } from './units.ts'

/** Stored units. */
export type Unit = 'g' | '%' | 'mm' | '°C' | 'min' | 'count'

/** Of the stored unit in one of this; or, where 0 of it is not 0 of that, the way there. */
export type Conversion = number | ((written: number) => number)

/** How it is told in a refusal, its other names, what it comes to. */
interface Named {
  readonly name: string
  readonly also: readonly string[]
  readonly is: Conversion
}

export const unitTables: Readonly<Record<Unit, readonly Named[]>> = {
  g: [
    { name: 'g', also: ['gr', 'gram', 'gramme'], is: 1 },
    { name: 'kg', also: ['kilo', 'kilogram', 'kilogramme'], is: 1000 },
    { name: 'oz', also: ['ounce'], is: GRAMS_IN.oz },
    { name: 'lb', also: ['lbs', 'pound'], is: GRAMS_IN.lb },
    { name: 'mg', also: ['milligram'], is: 0.001 },
    { name: 'dag', also: ['dkg', 'decagram'], is: 10 },
    { name: 'hg', also: ['etto', 'etti', 'hectogram'], is: 100 },
  ],
  '%': [{ name: '%', also: ['percent', 'per cent'], is: 1 }],
  mm: [
    { name: 'mm', also: ['millimetre', 'millimeter'], is: 1 },
    { name: 'cm', also: ['centimetre', 'centimeter'], is: 10 },
    { name: 'm', also: ['metre', 'meter'], is: 1000 },
    { name: 'in', also: ['inch', 'inches', '"', '″', '”'], is: MM_PER_INCH },
    { name: 'ft', also: ['foot', 'feet', "'", '′', '’'], is: 12 * MM_PER_INCH },
  ],
  '°C': [
    { name: '°C', also: ['c', '°', 'degree', 'celsius', 'degree c', 'degree celsius'], is: 1 },
    { name: '°F', also: ['f', 'fahrenheit', 'degree f', 'degree fahrenheit'], is: fromFahrenheit },
  ],
  min: [
    { name: 'min', also: ['m', 'minute', 'minuto', 'minuti'], is: 1 },
    { name: 's', also: ['sec', 'second'], is: 1 / 60 },
    { name: 'h', also: ['hr', 'hour', 'ora', 'ore', 'hora'], is: 60 },
    { name: 'days', also: ['d', 'day'], is: 24 * 60 },
    { name: 'weeks', also: ['week'], is: 7 * 24 * 60 },
  ],
  count: [{ name: 'pieces', also: ['pc', 'piece', 'portion', 'serving', 'person', 'people'], is: 1 }],
}

export const TEASPOON_ML = 5
export const TABLESPOON_ML = 15

/** Volumes, in ml. The cup is the maker's own. Ounces and pints of a volume are left out: they differ by country. */
export const volumes = (cupMl: number): readonly (Named & { readonly is: number })[] => [
  { name: 'ml', also: ['cc', 'millilitre', 'milliliter'], is: 1 },
  { name: 'cl', also: ['centilitre', 'centiliter'], is: 10 },
  { name: 'dl', also: ['decilitre', 'deciliter'], is: 100 },
  { name: 'l', also: ['litre', 'liter'], is: 1000 },
  { name: 'cups', also: ['cup'], is: cupMl },
  { name: 'tbsp', also: ['tablespoon'], is: TABLESPOON_ML },
  { name: 'tsp', also: ['teaspoon'], is: TEASPOON_ML },
]

/** What a bare figure after one of these is: 1 h 20, 5 ft 6, 1 lb 4. */
export const nextSmaller: Readonly<Record<string, string>> = { h: 'min', min: 's', ft: 'in', lb: 'oz' }

export const numberWords: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
  due: 2,
  tre: 3,
  dos: 2,
  tres: 3,
}

export const tensWords: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
}

/** One of what follows; no figure where nothing does. */
export const articles: ReadonlySet<string> = new Set(['a', 'an', 'un', 'una', 'uno'])

export const fractionWords: Readonly<Record<string, number>> = {
  half: 1 / 2,
  third: 1 / 3,
  quarter: 1 / 4,
  mezzo: 1 / 2,
  mezza: 1 / 2,
  medio: 1 / 2,
  media: 1 / 2,
}

export const fractionSigns: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
}
