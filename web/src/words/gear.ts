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
    lead: 'Flour and trays take up or lose water here.',
    empty: '',
    add: 'Add a place',
    one: 'place',
    sentence: '{temperatureC} and {rhPercent} humidity, {air} {night}',
    figures: { temperatureC: 'temperature', rhPercent: 'humidity' },
  },
  vessel: {
    title: 'Bowls and hoppers',
    lead: 'A dough too large for its vessel is split into equal mixes.',
    empty: 'Add the bowl, mixer or hopper that limits how much you can make.',
    add: 'Add a vessel',
    one: 'vessel',
    sentence: 'takes {maxDoughG} of dough',
    figures: { maxDoughG: 'most dough' },
  },
  pot: {
    title: 'Pots',
    lead: 'Fill a pot three quarters full at most.',
    empty: `Until you add one, Harina assumes a pot of ${USUAL_POT_L} litres.`,
    add: 'Add a pot',
    one: 'pot',
    sentence: 'holds {holdsL} L to the brim, ring {ringKW} kW',
    figures: { holdsL: 'litres it holds', ringKW: 'kilowatts of its ring' },
  },
  cover: {
    title: 'Covers for the rack',
    lead: 'A cover slows the drying outside, so that the middle can catch up.',
    empty: 'Add your cloths, nets, lids and boxes.',
    add: 'Add a cover',
    one: 'cover',
    sentence: 'lets {open} through',
    figures: { open: 'share of the air it lets through' },
    foot: 'About 60 % for a net, 15 % for a cloth, 3 % for a lid. These are estimates until you weigh a tray.',
  },
  roller: {
    title: 'Rollers',
    lead: 'Measure two gaps and type them in. Bold gaps are measured; the rest are worked out.',
    empty: 'Add your sheeter, and each shape names its settings.',
    add: 'Add a roller',
    one: 'roller',
    sentence: '{widthMm} wide, {settings} settings, {dial}. A sheet leaves {springBack} times as thick as its gap',
    figures: { widthMm: 'width', settings: 'settings', springBack: 'spring-back' },
  },
  press: {
    title: 'Presses',
    lead: 'For dough through a die. Begin with the kind you have; then type what yours really does.',
    empty: 'Add your press, and each shape says how long a run takes and when to feed.',
    add: 'Add a press',
    one: 'press',
    sentence:
      '{flowKgPerH} kg an hour, fed {lumpG} at a time; room for {openAreaMm2} mm² of outlets. It takes {crumb}, {dough}. {heat}',
    figures: { flowKgPerH: 'kilos an hour', lumpG: 'fed at a time', openAreaMm2: 'open area' },
    foot: 'Keep hands, hair and sleeves away from screw and rollers. Leave the guards on, and unplug it before cleaning. The maker’s manual comes first.',
  },
}

export const gearWords = {
  nameOfThe: (one: string) => `Name of the ${one}`,
  remove: (name: string) => `Remove ${name}`,
  figureOf: (name: string, figure: string) => `${name}, ${figure}`,
}
