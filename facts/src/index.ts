/**
 * The field's tables as this product ships them. Their schemas live in the core; a test here holds every row to them,
 * so the client need not check them again at run time.
 */
import type { Dough, Shape } from '@harina/core/shape'
import type { Ingredient } from '@harina/core/ingredients'
import doughRows from '../doughs.json' with { type: 'json' }
import ingredientRows from '../ingredients.json' with { type: 'json' }
import shapeRows from '../shapes.json' with { type: 'json' }

export const ingredients = ingredientRows as unknown as readonly Ingredient[]
export const doughs = doughRows as unknown as readonly Dough[]
export const shapes = shapeRows as unknown as readonly Shape[]
