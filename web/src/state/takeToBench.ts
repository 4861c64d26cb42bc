import { computeSheet, ok, planBatch, type Kitchen, type Plan, type Result, type Sheet } from '@harina/core'
import { nanoid } from 'nanoid'
import { repository } from '../storage/index.ts'
import { timeNow } from './bench.ts'
import { takeBenchOver } from './benchLock.ts'
import { tellFailure } from './failure.ts'
import { once } from './workspace.ts'

function plansOf(sheet: Sheet, mixes: number, kitchen: Kitchen, formula: string | null): Result<readonly Plan[]> {
  const plans: Plan[] = []
  for (let mix = 1; mix <= mixes; mix += 1) {
    const name = mixes === 1 ? sheet.name : `${sheet.name.slice(0, 100)}, mix ${mix} of ${mixes}`
    const worked = computeSheet({ ...sheet, name }, kitchen)
    if (!worked.ok) return worked
    plans.push(planBatch(worked.value, kitchen, timeNow(), formula))
  }
  return ok(plans)
}

/**
 * Takes a work sheet to the bench, so many mixes of it, all or none. The batches' identifiers, the first one first; none where
 * they could not be stored.
 */
export async function takeToBench(
  sheet: Sheet,
  mixes: number,
  kitchen: Kitchen,
  formula: string | null,
): Promise<readonly string[]> {
  const begun = await once(`begin ${sheet.name}`, async () => {
    const plans = plansOf(sheet, mixes, kitchen, formula)
    if (!plans.ok) throw new Error(`a sheet that worked does not: ${plans.problem.code}`)
    // Who begins a batch wants to work on it.
    void takeBenchOver()
    const batches = plans.value.map((plan) => ({ id: nanoid(), plan }))
    try {
      await repository.batches.start(batches)
      return batches.map(({ id }) => id)
    } catch (error) {
      tellFailure(error, 'The sheet is still here; take it to the bench again.')
      return []
    }
  })
  return begun ?? []
}
