/**
 * The field's tables as this product ships them. Their schemas live in the core; a test here holds every row to them,
 * so the client need not check them again at run time.
 */
import type { PressKind, Dough, Flavour, Hazard, Shape, Ingredient } from '@harina/core/model'
import type { SauceRow } from '@harina/core/match'
import type { ReaderFacts } from '@harina/core/recipe'
import type { School } from '@harina/core/sheet'
import type { Trouble } from '@harina/core/trouble'
import doughRows from '../doughs.json' with { type: 'json' }
import ingredientRows from '../ingredients.json' with { type: 'json' }
import flavourRows from '../flavours.json' with { type: 'json' }
import hazardRows from '../hazards.json' with { type: 'json' }
import schoolRows from '../schools.json' with { type: 'json' }
import readerRows from '../reader.json' with { type: 'json' }
import pressRows from '../presses.json' with { type: 'json' }
import sauceRows from '../sauces.json' with { type: 'json' }
import troubleRows from '../troubles.json' with { type: 'json' }
import shapeRows from '../shapes.json' with { type: 'json' }

export const ingredients = ingredientRows as unknown as readonly Ingredient[]
export const doughs = doughRows as unknown as readonly Dough[]
export const schools = schoolRows as unknown as readonly School[]
export const hazards = hazardRows as unknown as readonly Hazard[]
export const flavours = flavourRows as unknown as readonly Flavour[]
export const sauces = sauceRows as unknown as readonly SauceRow[]
/** What the words of a recipe come to. */
export const reader = readerRows as unknown as ReaderFacts
export const presses = pressRows as unknown as readonly PressKind[]
export const troubles = troubleRows as unknown as readonly Trouble[]
export const shapes = shapeRows as unknown as readonly Shape[]
