import type { Body, Dough } from '../model/index.ts'
import type { Kitchen } from '../sheet/index.ts'

export function bodyOf({ family, control, flours }: Dough, { ingredients }: Pick<Kitchen, 'ingredients'>): Body {
  if (family === 'batter') return 'batter'
  if (control.by === 'base') return 'base'
  return flours.every((id) => ingredients.get(id)?.gluten === 'none') ? 'starch' : 'gluten'
}
