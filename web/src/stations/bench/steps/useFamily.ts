import { bodyOf, type Body, type Plan } from '@harina/core'
import type { Family } from '#web/ui/family.tsx'
import { useKitchen } from '#web/state/select.ts'

export const useFamily = (plan: Plan): Family => useKitchen()?.doughs.get(plan.sheet.dough)?.family ?? 'semolina'

/** How this dough is handled and spoken of. */
export function useBody(plan: Plan): Body {
  const kitchen = useKitchen()
  const dough = kitchen?.doughs.get(plan.sheet.dough)
  return kitchen && dough ? bodyOf(dough, kitchen) : 'gluten'
}
