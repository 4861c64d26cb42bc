/** Changes a maker can make to a work sheet: each a pure function from a sheet to the next one. */
import { isPlainWater, type Sheet, type SheetRow } from '../model/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { computeSheet, type Worked } from './computeSheet.ts'
import { fromPoured, toPoured } from './reckoned.ts'
import type { Kitchen } from './kitchen.ts'

const MAX_PERCENT = 1000
const MAX_HYDRATION = 300

const withRow = (sheet: Sheet, key: string, change: (row: SheetRow) => SheetRow): Sheet => ({
  ...sheet,
  rows: sheet.rows.map((row) => (row.key === key ? change(row) : row)),
})

/** Water poured per 100 of flour as it stands (percent): the formula's own figure follows from flour and lot. */
export function setPoured(worked: Worked, poured: number): Sheet {
  const { sheet, lot } = worked
  const paper14 = fromPoured(worked.poured, poured) - lot.shift
  return {
    ...sheet,
    rows: sheet.rows.map((row): SheetRow => {
      if (row.amount.by !== 'hydration') return row
      const { basis } = row.amount
      const percent = basis === 'basis14' ? paper14 : toPoured(worked.poured, paper14)
      return { ...row, amount: { by: 'hydration', basis, percent: Math.min(MAX_HYDRATION, Math.max(0, percent)) } }
    }),
  }
}

const written = (row: SheetRow): number => (row.amount.by === 'percent' ? row.amount.percent : 0)

/** Flour on 100 of the base: all its flours in the proportions they have. Problems: `no-flour`. */
export function setFlourOnBase({ sheet }: Worked, percent: number): Result<Sheet> {
  const flours = sheet.rows.filter((row) => row.flour)
  const now = flours.reduce((sum, row) => sum + written(row), 0)
  if (percent <= 0 || flours.length === 0) return problem('no-flour')
  const scaled = (row: SheetRow) => (now > 0 ? (written(row) * percent) / now : percent / flours.length)
  return ok({
    ...sheet,
    rows: sheet.rows.map((row) =>
      row.flour ? { ...row, amount: { by: 'percent', percent: Math.min(MAX_PERCENT, scaled(row)) } } : row,
    ),
  })
}

/**
 * Moves the sheet along its own rule: water on flour, or flour on the base, percent. Problems: those of `setFlourOnBase`, and
 * `solved-negative` where the other rows bring more water than that.
 */
export function setOnRule(worked: Worked, percent: number): Result<Sheet> {
  if (worked.control.by === 'base') return setFlourOnBase(worked, percent)
  const solved = worked.rows.find(({ key }) => key === waterRow(worked.sheet)?.key)
  const others = worked.batch.hydration.effective - (solved ? solved.percent * solved.water : 0)
  return percent < others - 0.05 ? problem('solved-negative') : ok(setPoured(worked, percent))
}

const waterRow = ({ rows }: Sheet): SheetRow | undefined => rows.find(({ amount }) => amount.by === 'hydration')

/** One of the rows that make the 100 changes; the others keep their proportions and fill the rest. */
function setShare(sheet: Sheet, key: string, percent: number, whole: 'flour' | 'base'): Result<Sheet> {
  const share = written
  const others = sheet.rows.filter((row) => row[whole] && row.key !== key)
  if (others.length === 0) return percent === 100 ? ok(sheet) : problem(whole === 'flour' ? 'only-flour' : 'only-base')
  if (percent > 100) return problem(whole === 'flour' ? 'flour-over-100' : 'base-over-100')
  const rest = others.reduce((sum, row) => sum + share(row), 0)
  const scaled = (row: SheetRow) => (rest > 0 ? (share(row) * (100 - percent)) / rest : (100 - percent) / others.length)
  return ok({
    ...sheet,
    rows: sheet.rows.map((row): SheetRow => {
      if (!row[whole]) return row
      return { ...row, amount: { by: 'percent', percent: row.key === key ? percent : scaled(row) } }
    }),
  })
}

/** Problems: `only-flour`, `only-base`, `flour-over-100`, `base-over-100`, `percent-too-big`. */
export function setRowPercent(worked: Worked, key: string, percent: number): Result<Sheet> {
  const row = worked.sheet.rows.find((candidate) => candidate.key === key)
  if (!row) return problem('no-such-row')
  if (percent < 0 || percent > MAX_PERCENT) return problem('percent-too-big', undefined, { max: MAX_PERCENT })
  if (row.base) return setShare(worked.sheet, key, percent, 'base')
  if (row.flour && worked.control.by === 'hydration') return setShare(worked.sheet, key, percent, 'flour')
  if (row.amount.by === 'percent')
    return ok(withRow(worked.sheet, key, (r) => ({ ...r, amount: { by: 'percent', percent } })))
  const solved = worked.rows.find((r) => r.key === key)
  const water = solved?.water ?? 1
  const otherWater = worked.batch.hydration.effective - (solved?.percent ?? 0) * water
  return ok(setPoured(worked, percent * water + otherWater))
}

const gramsOf = (worked: Worked, key: string): number => worked.rows.find((row) => row.key === key)?.grams ?? 0
const percentOf = (worked: Worked, key: string): number => worked.rows.find((row) => row.key === key)?.percent ?? 0

/**
 * The percentage at which a row weighs the wanted grams while the sheet's target stays. The dough may be what is fixed,
 * so more of one row means less of the rest: repeated proportion, which closes in because no row is all of the dough.
 */
function percentForGrams(worked: Worked, key: string, grams: number, kitchen: Kitchen): Result<Sheet> {
  let current = worked
  let percent = percentOf(worked, key) || (100 * grams) / worked.batch.flourG
  for (let round = 0; round < 60; round += 1) {
    const next = setRowPercent(current, key, percent)
    if (!next.ok) return next.problem.code === 'percent-too-big' ? problem('grams-out-of-reach') : next
    const computed = computeSheet(next.value, kitchen)
    if (!computed.ok) return computed
    current = computed.value
    const reached = gramsOf(current, key)
    if (Math.abs(reached - grams) < 1e-7) break
    percent = reached > 0 ? (percent * grams) / reached : (100 * grams) / current.batch.flourG
  }
  if (Math.abs(gramsOf(current, key) - grams) > 0.01) return problem('grams-out-of-reach')
  return ok(current.sheet)
}

/**
 * A mass typed into the ledger. The only flour (or base), a locked row and the water of a water target set the scale; anything else
 * changes its percentage and leaves the target alone. Problems: those of `setRowPercent`, and `grams-out-of-reach`, `zero-target`.
 */
export function setRowGrams(worked: Worked, key: string, grams: number, kitchen: Kitchen): Result<Sheet> {
  const { sheet } = worked
  const row = worked.rows.find((candidate) => candidate.key === key)
  if (!row) return problem('no-such-row')
  const whole = worked.control.by === 'base' ? 'base' : 'flour'
  const onlyOne = row.part === whole && worked.rows.filter((r) => r.part === whole).length === 1
  const scales = onlyOne || isLocked(sheet, row.key, row.part)
  if (scales) return grams > 0 ? ok(lockRow(worked, key, grams)) : problem('zero-target')
  return percentForGrams(worked, key, grams, kitchen)
}

const isLocked = ({ target }: Sheet, key: string, part: string): boolean =>
  (target.by === 'row' && target.key === key) || (target.by === 'water' && part === 'water')

/** Fixes one row at so many grams; everything else follows from it. */
export function lockRow(worked: Worked, key: string, grams: number): Sheet {
  const row = worked.rows.find((candidate) => candidate.key === key)
  const alone = (part: string) => row?.part === part && worked.rows.filter((each) => each.part === part).length === 1
  if (alone('flour')) return { ...worked.sheet, target: { by: 'flour', grams } }
  if (alone('base')) return { ...worked.sheet, target: { by: 'base', grams } }
  if (alone('water') && row && isPlainWater(row)) return { ...worked.sheet, target: { by: 'water', grams } }
  return { ...worked.sheet, target: { by: 'row', key, grams } }
}

/** Which line of the ledger the sheet's scale hangs on: a row's key, the dough, or a number of portions or pieces. */
export function lockedLine({ sheet, rows }: Worked): string | null {
  const { target } = sheet
  switch (target.by) {
    case 'flour': {
      const flours = rows.filter((row) => row.part === 'flour')
      return flours.length === 1 ? (flours[0]?.key ?? null) : 'flours'
    }
    case 'water':
      return rows.find((row) => row.part === 'water')?.key ?? null
    case 'base': {
      const bases = rows.filter((row) => row.part === 'base')
      return bases.length === 1 ? (bases[0]?.key ?? null) : 'bases'
    }
    case 'row':
      return target.key
    case 'dough':
      return 'dough'
    default:
      return null
  }
}

/** Another way of saying how much, starting from what the sheet makes now, so that switching changes nothing. */
export function retarget(worked: Worked, by: Sheet['target']['by']): Sheet {
  const { sheet, batch, cut, rows, usableG } = worked
  const tidy = (grams: number) => Math.max(1, Math.round(grams))
  switch (by) {
    case 'flour':
      return { ...sheet, target: { by, grams: tidy(batch.flourG) } }
    case 'dough':
      return { ...sheet, target: { by, grams: tidy(batch.doughG) } }
    case 'water':
      return { ...sheet, target: { by, grams: tidy(rows.find((row) => row.part === 'water')?.grams ?? 1) } }
    case 'base':
      return {
        ...sheet,
        target: { by, grams: tidy(rows.reduce((sum, row) => sum + (row.part === 'base' ? row.grams : 0), 0)) },
      }
    case 'pieces':
      return { ...sheet, target: { by, count: Math.max(1, cut.pieces) } }
    case 'portions': {
      const gramsEach = worked.portionG ?? worked.guideG
      return { ...sheet, target: { by, gramsEach, count: Math.max(1, Math.round(usableG / gramsEach)) } }
    }
    case 'row':
      return sheet
  }
}
