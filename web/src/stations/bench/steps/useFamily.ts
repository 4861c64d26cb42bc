import type { Plan } from '@harina/core'
import type { Family } from '#web/ui/family.tsx'
import { useKitchen } from '#web/state/select.ts'

export const useFamily = (plan: Plan): Family => useKitchen()?.doughs.get(plan.sheet.dough)?.family ?? 'semolina'
