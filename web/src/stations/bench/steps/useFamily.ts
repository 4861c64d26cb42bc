import type { Plan } from '@harina/core'
import type { Family } from '../../../ui/family.tsx'
import { useKitchen } from '../../../state/select.ts'

export const useFamily = (plan: Plan): Family => useKitchen()?.doughs.get(plan.sheet.dough)?.family ?? 'semolina'
