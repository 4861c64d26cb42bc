/** What holds a dough together, which is how it is handled, judged and spoken of. */
import type { Dough } from '../model/index.ts'
import type { Kitchen } from '../sheet/index.ts'

/** `gluten` springs back until it has rested; `starch` has none and is scalded; `base` is potato, squash, curd or milk. */
export type Body = 'gluten' | 'starch' | 'batter' | 'base'

export function bodyOf({ family, control, flours }: Dough, { ingredients }: Pick<Kitchen, 'ingredients'>): Body {
  if (family === 'batter') return 'batter'
  if (control.by === 'base') return 'base'
  return flours.every((id) => ingredients.get(id)?.gluten === 'none') ? 'starch' : 'gluten'
}
