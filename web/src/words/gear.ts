/** What is said of the things in Gear: one entry a part, and a name for each figure that can be typed. */
import { USUAL_POT_L, type GearPart, type gearParts } from '@harina/core'

type FigureOf<P extends GearPart> = keyof (typeof gearParts)[P]['figures'] & string

interface PartWords<P extends GearPart> {
  readonly title: string
  readonly lead: string
  /** Where there is none yet. */
  readonly empty: string
  readonly add: string
  /** One of them, in *Name of the …*. */
  readonly one: string
  /** With its figures, and whatever else stands in it, in braces. */
  readonly sentence: string
  /** What a figure is called by whoever cannot see the sentence; without it the figure cannot be typed. */
  readonly figures: Readonly<Partial<Record<FigureOf<P>, string>>>
  readonly foot?: string
}

export const partWords: { readonly [P in GearPart]: PartWords<P> } = {
  place: {
    title: 'Where flour stands',
    lead: 'Flour drifts towards its air, trays dry in it.',
    empty: '',
    add: 'Add a place',
    one: 'place',
    sentence: '{temperatureC} and {rhPercent} humidity, {air} {night}',
    figures: { temperatureC: 'temperature', rhPercent: 'humidity' },
  },
  vessel: {
    title: 'Bowls and hoppers',
    lead: 'A dough larger than its vessel is made in equal mixes, one bench run each.',
    empty: 'The bowl, the mixer or the hopper that sets the limit would stand here.',
    add: 'Add a vessel',
    one: 'vessel',
    sentence: 'takes {maxDoughG} of dough',
    figures: { maxDoughG: 'most dough' },
  },
  pot: {
    title: 'Pots',
    lead: 'Filled three quarters at the most.',
    empty: `Until one stands here, a pot of ${USUAL_POT_L} litres is meant.`,
    add: 'Add a pot',
    one: 'pot',
    sentence: 'holds {holdsL} L to the brim, ring {ringKW} kW',
    figures: { holdsL: 'litres it holds', ringKW: 'kilowatts of its ring' },
  },
  cover: {
    title: 'Covers for the rack',
    lead: 'A cover slows the outside, so that the middle can catch up.',
    empty: 'Cloths, nets, lids and boxes would stand here.',
    add: 'Add a cover',
    one: 'cover',
    sentence: 'lets {open} through',
    figures: { open: 'share of the air it lets through' },
    foot: 'A net about 60, a cloth 15, a lid 3: estimates, until weighings put them right.',
  },
  roller: {
    title: 'Rollers',
    lead: 'Measure two gaps and type them in: bold is measured, the rest follows.',
    empty: 'Your sheeter would stand here, and the shapes would name its settings.',
    add: 'Add a roller',
    one: 'roller',
    sentence: '{widthMm} wide, {settings} settings, {dial}. A sheet leaves {springBack} times as thick as its gap',
    figures: { widthMm: 'width', settings: 'settings', springBack: 'spring-back' },
  },
  press: {
    title: 'Presses',
    lead: 'For dough through a die. Begin with the kind you have; then type what yours really does.',
    empty: 'Your press would stand here, and the shapes would say how long a run takes and when to feed.',
    add: 'Add a press',
    one: 'press',
    sentence:
      '{flowKgPerH} kg an hour, fed {lumpG} at a time; room for {openAreaMm2} mm² of outlets. Crumb of {crumb} %. {heat}',
    figures: { flowKgPerH: 'kilos an hour', lumpG: 'fed at a time', openAreaMm2: 'open area' },
    foot: 'Hands, hair and sleeves away from screw and rollers; guards on; unplug before cleaning. The maker’s manual comes first.',
  },
}

export const gearWords = {
  nameOfThe: (one: string) => `Name of the ${one}`,
  remove: (name: string) => `Remove ${name}`,
  figureOf: (name: string, figure: string) => `${name}, ${figure}`,
}
