export * from './tables.ts'
export {
  decode,
  toldKey,
  type Decoded,
  type DecodedRow,
  type DecodeOptions,
  type Told,
  type Unread,
  type UnreadWhy,
} from './decode.ts'
export { isOpen, nearDoughs, sheetOf, type Near } from './toSheet.ts'
export { RECIPE_FORMS, writeRecipe, writtenName, type RecipeForm, type WriteOptions } from './write.ts'
export { CONTRADICTIONS, type Contradiction, type ContradictionCode } from './contradictions.ts'
