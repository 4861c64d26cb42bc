import { z } from '../../zod.ts'
import { kindOf } from './kind.ts'
import { ingredientObject } from '../ingredient.ts'
import { idSchema, nameSchema } from '../text.ts'

/** An ingredient of the maker's own, or the table's put right: one of the same identifier stands in its place. */
export const ownIngredientSchema = z.lazy(() =>
  z
    .extend(ingredientObject(), { id: idSchema, name: nameSchema })
    .check(z.refine((row) => row.water + row.fat + row.salt <= 1 + 1e-9, { params: { code: 'composition-over-one' } })),
)

export type OwnIngredient = z.infer<typeof ownIngredientSchema>

export const ingredientKind = kindOf({
  home: 'ingredients',
  one: false,
  held: true,
  table: { name: 'ingredients', keys: 'id' },
  schema: ownIngredientSchema,
  references: [],
  upgrades: {},
  since: 2,
  nameOf: ({ name }) => name,
})
