/** Changes a maker can make to a work sheet: each a pure function from a sheet to the next one. */
import { askedFor } from '../lot/index.ts'
import { isPlainWater, type Sheet, type SheetRow } from '../model/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { computeSheet, type Worked } from './computeSheet.ts'
import { fromPoured, toPoured } from './reckoned.ts'
import type { Kitchen } from './kitchen.ts'
import type { WorkedRow } from './workedRow.ts'

const MAX_PERCENT = 1000
const MAX_HYDRATION = 300

const withRow = (sheet: Sheet, key: string, change: (row: SheetRow) => SheetRow): Sheet => ({
  ...sheet,
  rows: sheet.rows.map((row) => (row.key === key ? change(row) : row)),
})

/** Water poured per 100 of flour as it stands (percent): the formula's own figure follows from flour and lot. */
export function setPoured(worked: Worked, poured: number): Sheet {
  const { sheet, lot, match, flourShift } = worked
  const paper14 = askedFor(fromPoured(worked.poured, poured), match.window.best + flourShift, lot.shift)
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
  if (percent < others - 0.05) return problem('solved-negative', undefined, { percent: percent - others })
  const sheet = setPoured(worked, percent)
  return ok({ ...sheet, rows: sheet.rows.map((row) => (row.amount.by === 'hydration' ? settled(row) : row)) })
}

const waterRow = ({ rows }: Sheet): SheetRow | undefined => rows.find(({ amount }) => amount.by === 'hydration')

/**
 * One of the rows that make the 100 changes; the others keep their proportions and fill the rest. Those that stand as typed give
 * way only where no other does.
 */
function setShare({ sheet, rows }: Worked, key: string, percent: number, whole: 'flour' | 'base'): Result<Sheet> {
  const others = sheet.rows.filter((row) => row[whole] && row.key !== key)
  if (others.length === 0) return percent === 100 ? ok(sheet) : problem(whole === 'flour' ? 'only-flour' : 'only-base')
  const free = others.filter((row) => !standsAsTyped(row, rows))
  const giving = free.length > 0 ? free : others
  const sum = (all: readonly SheetRow[]) => all.reduce((total, row) => total + written(row), 0)
  const left = 100 - percent - (free.length > 0 ? sum(others) - sum(free) : 0)
  if (left < -1e-9) return problem(whole === 'flour' ? 'flour-over-100' : 'base-over-100')
  const given = sum(giving)
  const scaled = (row: SheetRow) => Math.max(0, given > 0 ? (written(row) * left) / given : left / giving.length)
  return ok({
    ...sheet,
    rows: sheet.rows.map((row): SheetRow => {
      if (row.key === key) return { ...row, amount: { by: 'percent', percent } }
      return giving.includes(row) ? { ...row, amount: { by: 'percent', percent: scaled(row) } } : row
    }),
  })
}

/** Off by less is rounding. g */
const STANDS_G = 0.01

/** Whether a row weighs what was typed into it: scaled since, or moved along the rule, it does not. */
const standsAsTyped = ({ key, typedG }: SheetRow, rows: readonly WorkedRow[]): boolean =>
  typedG !== undefined && Math.abs((rows.find((row) => row.key === key)?.grams ?? NaN) - typedG) < STANDS_G

/** Problems: `only-flour`, `only-base`, `flour-over-100`, `base-over-100`, `percent-too-big`. */
export function setRowPercent(worked: Worked, key: string, percent: number): Result<Sheet> {
  const set = withPercent(worked, key, percent)
  return set.ok ? ok(withRow(set.value, key, (row) => settled(untyped(row)))) : set
}

function withPercent(worked: Worked, key: string, percent: number): Result<Sheet> {
  const row = worked.sheet.rows.find((candidate) => candidate.key === key)
  if (!row) return problem('no-such-row')
  if (percent < 0 || percent > MAX_PERCENT) return problem('percent-too-big', undefined, { max: MAX_PERCENT })
  if (row.base) return setShare(worked, key, percent, 'base')
  if (row.flour && worked.control.by === 'hydration') return setShare(worked, key, percent, 'flour')
  if (row.amount.by === 'percent')
    return ok(withRow(worked.sheet, key, (r) => ({ ...r, amount: { by: 'percent', percent } })))
  const solved = worked.rows.find((r) => r.key === key)
  const water = solved?.water ?? 1
  const otherWater = worked.batch.hydration.effective - (solved?.percent ?? 0) * water
  return ok(setPoured(worked, percent * water + otherWater))
}

const gramsOf = (worked: Worked, key: string): number => worked.rows.find((row) => row.key === key)?.grams ?? 0
const percentOf = (worked: Worked, key: string): number => worked.rows.find((row) => row.key === key)?.percent ?? 0

const untyped = ({ typedG: _was, ...row }: SheetRow): SheetRow => row

/** A figure of the maker's own is sure. */
export const settled = ({ unsure: _was, ...row }: SheetRow): SheetRow => row

/** The rows that share the 100: flours, or what the flour is counted on. */
const wholeOf = ({ control }: Worked): 'base' | 'flour' => (control.by === 'base' ? 'base' : 'flour')

/** Where every row of the 100 was typed, nothing is left to give way: they are the scale, each with its share. */
function scaledByTyped(worked: Worked, sheet: Sheet): Sheet | null {
  const whole = wholeOf(worked)
  const sharing = sheet.rows.filter((row) => row[whole])
  const grams = sharing.reduce((sum, { typedG = 0 }) => sum + typedG, 0)
  if (sharing.some(({ typedG }) => typedG === undefined) || grams <= 0) return null
  const share = (row: SheetRow): SheetRow => ({
    ...row,
    amount: { by: 'percent', percent: (100 * (row.typedG ?? 0)) / grams },
  })
  return { ...sheet, target: { by: whole, grams }, rows: sheet.rows.map((row) => (row[whole] ? share(row) : row)) }
}

/** Nearer is nearer than any scale. g */
const THERE_G = 1e-7
const MOST_ROUNDS = 80

/**
 * Every row that was typed in grams weighs them while the sheet's target stays. More of one row may mean less of the rest, so
 * it is repeated proportion, which closes in because no row is all of the dough. Problems: `grams-out-of-reach`.
 */
function withTypedGrams(worked: Worked, start: Sheet, kitchen: Kitchen): Result<Sheet> {
  const scaled = scaledByTyped(worked, start)
  const whole = wholeOf(worked)
  const typed = start.rows.filter((row) => row.typedG !== undefined && !(scaled && row[whole]))
  let sheet = scaled ?? start
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const computed = computeSheet(sheet, kitchen)
    if (!computed.ok) return computed
    const missing = typed.map(({ key, typedG = 0 }) => Math.abs(gramsOf(computed.value, key) - typedG))
    const worst = Math.max(0, ...missing)
    if (worst < THERE_G || (round === MOST_ROUNDS - 1 && worst < STANDS_G)) return ok(sheet)
    for (const { key, typedG = 0 } of typed) {
      const reached = gramsOf(computed.value, key)
      const { flourG } = computed.value.batch
      const percent = reached > 0 ? (percentOf(computed.value, key) * typedG) / reached : (100 * typedG) / flourG
      const moved = withPercent({ ...computed.value, sheet }, key, percent)
      if (!moved.ok) return moved.problem.code === 'percent-too-big' ? problem('grams-out-of-reach') : moved
      sheet = moved.value
    }
  }
  return problem('grams-out-of-reach')
}

/**
 * A mass typed into the ledger: the row stands at it until it is scaled or its percent is typed, and so do the others that were
 * typed before. The only flour (or base), flours that are all typed, a locked row and the water of a water target set the scale;
 * anything else changes its percentage and leaves the target alone.
 * Problems: those of `setRowPercent`, and `grams-out-of-reach`, `zero-target`.
 */
export function setRowGrams(worked: Worked, key: string, grams: number, kitchen: Kitchen): Result<Sheet> {
  const row = worked.rows.find((candidate) => candidate.key === key)
  if (!row) return problem('no-such-row')
  const whole = wholeOf(worked)
  const onlyOne = row.part === whole && worked.rows.filter((r) => r.part === whole).length === 1
  const scales = onlyOne || isLocked(worked.sheet, row.key, row.part)
  if (scales && grams <= 0) return problem('zero-target')
  const start = scales ? lockRow(worked, key, grams) : worked.sheet
  const typed = start.rows.map((each) => {
    if (each.key === key) return { ...settled(each), typedG: grams }
    return standsAsTyped(each, worked.rows) ? each : untyped(each)
  })
  return withTypedGrams(worked, { ...start, rows: typed }, kitchen)
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

/** So many times as much; pieces stay whole, and portions no smaller than half a one. */
export function scaledTarget(target: Sheet['target'], by: number): Sheet['target'] {
  switch (target.by) {
    case 'portions':
      return { ...target, count: Math.max(0.5, target.count * by) }
    case 'pieces':
      return { ...target, count: Math.max(1, Math.round(target.count * by)) }
    default:
      return { ...target, grams: target.grams * by }
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
      // What is held stays as it is: 6.8 portions are 6.8, and not 7 of another dough.
      return { ...sheet, target: { by, gramsEach, count: Math.max(0.001, usableG / gramsEach) } }
    }
    case 'row':
      return sheet
  }
}
