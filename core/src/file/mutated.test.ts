/** Files with anything in them: answered always, and what is accepted can be worked with to the last figure. */
import {
  benchPieces,
  currentStep,
  liveTimers,
  lumps,
  planWindow,
  replay,
  storyOf,
  stepsOf,
  suggest,
  summarise,
  thirstByLot,
  waterTargets,
} from '../bench/index.ts'
import { computeSheet, type Kitchen } from '../sheet/index.ts'
import { mutatedFile } from '../testing/mutatedFiles.ts'
import { doughTable, ingredientTable, shapeTable, FEELS, type Batch } from '../model/index.ts'
import { doughs, ingredients, schools, shapes } from '@harina/facts'
import { mergeImport, previewImport } from './mergeFile.ts'
import { readWorkspaceFile } from './readFile.ts'
import { emptyWorkspace, toFile, type Workspace } from './workspace.ts'

declare const process: { readonly env: Readonly<Record<string, string | undefined>> }
/** All of them in the heavy run (HEAVY=1), a thousand otherwise. */
const FILES = process.env['HEAVY'] ? 10_000 : 1000

/** Every number within, however deep. */
function* numbersIn(root: unknown): Generator<readonly [string, number]> {
  const pending: (readonly [string, unknown])[] = [['', root]]
  for (let next = pending.pop(); next; next = pending.pop()) {
    const [at, value] = next
    if (typeof value === 'number') yield [at, value]
    else if (value instanceof Map) for (const [key, held] of value) pending.push([`${at}.${String(key)}`, held])
    else if (typeof value === 'object' && value !== null)
      for (const [key, held] of Object.entries(value)) pending.push([`${at}.${key}`, held])
  }
}

const notFinite = (what: unknown): readonly string[] =>
  [...numbersIn(what)].filter(([, value]) => !Number.isFinite(value)).map(([at, value]) => `${at} is ${value}`)

function atTheBench(batch: Batch): readonly unknown[] {
  const { plan, events } = batch
  const state = replay(plan, events)
  return [
    state,
    storyOf(batch),
    summarise(batch),
    currentStep(plan, state),
    stepsOf(plan, state),
    liveTimers(plan, state),
    waterTargets(plan, state),
    planWindow(plan),
    benchPieces(plan, state),
    lumps(plan, state),
    ...FEELS.map((feel) => suggest(plan, state, feel, Date.parse(plan.at) + 3_600_000)),
  ]
}

function kitchenOf({ gear, lots, ingredients: own, shapes: ownShapes, batches }: Workspace): Kitchen | null {
  return (
    gear && {
      doughs: doughTable(doughs),
      shapes: shapeTable([...shapes, ...ownShapes]),
      ingredients: ingredientTable([...ingredients, ...own]),
      schools,
      gear,
      lots,
      todayMs: 0,
      thirst: thirstByLot(batches.map(summarise), doughTable(doughs)),
      pressed: [],
      proven: [],
    }
  )
}

function onPaper(workspace: Workspace): readonly unknown[] {
  const kitchen = kitchenOf(workspace)
  const sheets = [...workspace.formulas.map(({ sheet }) => sheet), ...(workspace.draft ? [workspace.draft.sheet] : [])]
  // Tables and the sheet's own figures are as they were checked.
  return kitchen ? sheets.map((sheet) => computeSheet(sheet, kitchen)) : []
}

it(`${FILES} files of all versions: none throws, none shows a figure that is none, and what is taken can be written again`, () => {
  const counts = { taken: 0, refused: 0 }
  for (let seed = 0; seed < FILES; seed += 1) {
    const read = readWorkspaceFile(mutatedFile(seed))
    if (!read.ok) {
      counts.refused += 1
      expect(read.problem.code).toMatch(/^file-/)
      continue
    }
    counts.taken += 1
    const { format: _f, version: _v, exportedAt, ...workspace } = read.value
    try {
      const shown = [...workspace.batches.flatMap(atTheBench), ...onPaper(workspace)]
      expect(notFinite(shown)).toEqual([])
      // As text: what is 0 may have been written −0.
      const again = readWorkspaceFile(JSON.stringify(toFile(workspace, exportedAt)))
      expect(JSON.stringify(again)).toBe(JSON.stringify(read))
      previewImport(emptyWorkspace, workspace)
      let made = 0
      mergeImport(workspace, { current: workspace, choice: 'keep-both', newId: () => `new-${(made += 1)}` })
    } catch (error) {
      throw new Error(`file of seed ${seed}`, { cause: error })
    }
  }
  expect(counts.taken).toBeGreaterThan(FILES / 20)
  expect(counts.refused).toBeGreaterThan(FILES / 5)
}, 600_000)
