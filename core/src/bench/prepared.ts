/** Of the steps: what words and the bench ask of them, apart from how they are planned. */
import type { StepOf } from '../model/index.ts'

/** What hands, hopper and roller take at a time, g. */
export const LUMP_G = 400

const COOKERY: readonly StepOf<'prepare'>['what'][] = ['boil', 'boil-peeled', 'steamer', 'bake', 'roast', 'microwave']
/** Whether a base is cooked here, from raw. */
export const isCookery = (what: StepOf<'prepare'>['what']): boolean => COOKERY.includes(what)
