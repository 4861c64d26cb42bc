/**
 * Everything the app says of a dough as a shape by a school: the sheet's notes, the shape at the board, and every step of the
 * bench as it stands when it is reached. One list, so that a reviewer reads each sentence once.
 */
import {
  HELD,
  FAMILIES,
  computeSheet,
  firstG,
  planBatch,
  replay,
  shapeShares,
  shapesFor,
  startSheet,
  stepsOf,
  toldBy,
  applySchool,
  refusedHere,
  waterTargets,
  weighedFirst,
  weighedWithWater,
  type Batch,
  type BenchAction,
  type BenchEvent,
  type Dough,
  type Kitchen,
  type Plan,
  type PlannedRow,
  type PlannedStep,
  type Position,
  type Refusal,
  type Shape,
  type Sheet,
  type Worked,
} from '@harina/core'
import { doughs, presses, sauces, schools, shapes, troubles, ingredients } from '@harina/facts'
import { withMachines } from '@harina/facts/testing'
import type { ReactNode } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { Provider } from 'react-redux'
import { MemoryRouter } from 'react-router'
import { endedBatchesRead } from '../state/batchesSlice.ts'
import { documentsHeard } from '../state/documentsSlice.ts'
import { store } from '../state/store.ts'
import { provideTables } from '../state/tables.ts'
import { BenchViewContext, type BenchView } from '../stations/bench/view.tsx'
import { stepSheets } from '../stations/bench/stepSheets.ts'
import { DoughColumn } from '../stations/formula/DoughColumn.tsx'
import { FootFacts } from '../stations/formula/FootFacts.tsx'
import { HowMuch } from '../stations/formula/HowMuch.tsx'
import { Ledger } from '../stations/formula/Ledger.tsx'
import { MarginNotes } from '../stations/formula/MarginNotes.tsx'
import { AtTheBoard } from '../stations/shape/board/AtTheBoard.tsx'
import { Construction } from '../stations/shape/Construction.tsx'
import { How, ToolsAndTroubles } from '../stations/shape/Making.tsx'
import { ToThePlate } from '../stations/shape/ToThePlate.tsx'
import { matchWords } from '../words/index.ts'

const AT = '2031-03-01T09:00:00Z'

export interface Said {
  /** Where on the screen: a view, or a kind of step. */
  readonly where: string
  readonly dough: Dough
  readonly shape: Shape
  /** Topic and position where it is not the usual one; empty else. */
  readonly school: string
  readonly text: string
}

/** As if the batch had just begun. */
function atTheHour<T>(run: () => T): T {
  const clock = Date.now
  Date.now = () => Date.parse(AT)
  try {
    return run()
  } finally {
    Date.now = clock
  }
}

/** The store holds this kitchen, as the app does once everything is heard. */
function putKitchen(): void {
  provideTables({ ingredients, doughs, shapes, schools, sauces, presses, troubles })
  for (const kind of HELD) store.dispatch(documentsHeard({ kind, records: kind === 'gear' ? [withMachines.gear] : [] }))
  store.dispatch(endedBatchesRead([]))
}

const BLOCKS =
  /<\/?(?:p|div|h[1-6]|li|ul|ol|section|aside|button|dt|dd|td|th|tr|label|figcaption|svg|text|title|desc|br|footer|header)\b[^>]*>|<[a-z]+[^>]*\srole="(?:radio|option|tab)"[^>]*>/g
/** A word that opens the help stands in its sentence. */
const TERM = /<button\b[^>]*\bcursor-help\b[^>]*>(.*?)<\/button>/g
const NAMED = /<[a-z0-9]+\b[^>]*?\s(?:aria-label|aria-valuetext|placeholder)="([^"]*)"[^>]*>/g
const entity: Readonly<Record<string, string>> = {
  '&amp;': '&',
  '&lt;': '<',
  '&gt;': '>',
  '&quot;': '"',
  '&#x27;': "'",
}

/** The same page is drawn for many a dough, and the same line on most pages: each is read once. */
function readOnce<T>(read: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>()
  return (text) => {
    const found = known.get(text) ?? read(text)
    known.set(text, found)
    return found
  }
}

const lineOf = readOnce((html) =>
  html
    .replace(/<[^>]+>/g, '')
    .replace(/&[a-z#0-9]+;/g, (found) => entity[found] ?? found)
    .replace(/\s+/g, ' ')
    .replace(/ ([,.;:])/g, '$1')
    .trim(),
)

/** What is read on a screen and what is read aloud of it, line by line. */
export const linesOf = readOnce((html): readonly string[] => {
  const names = [...html.matchAll(NAMED)].map((match) => match[1] ?? '')
  const shown = html
    .replace(TERM, '$1')
    .replace(/<input\b[^>]*>/g, (field) => ` ${/\svalue="([^"]+)"/.exec(field)?.[1] ?? '…'} `)
    .replace(/<(\w+)\b[^>]*\saria-hidden="true"[^>]*>[^<]*<\/\1>/g, '')
    .split(BLOCKS)
  return [...shown, ...names].map(lineOf).filter((line) => /\p{L}{2}/u.test(line))
})

const drawn = (part: ReactNode): readonly string[] =>
  linesOf(
    renderToStaticMarkup(
      <Provider store={store}>
        <MemoryRouter>{part}</MemoryRouter>
      </Provider>,
    ),
  )

/** Taps of a batch that goes by its plan, up to each of its steps. */
function played(plan: Plan): (stepId: string) => readonly BenchEvent[] {
  const weighed = (rows: readonly PlannedRow[]) =>
    rows.map((row): BenchAction => ({ type: 'weighed', row: row.key, grams: firstG(row) }))
  const steps = stepsOf(plan, replay(plan, []))
  return (stepId) => {
    const before = steps.slice(
      0,
      steps.findIndex(({ id }) => id === stepId),
    )
    const actions = before.flatMap((step): BenchAction[] => [
      ...(step.kind === 'flour' ? weighed(weighedFirst(plan)) : []),
      ...(step.kind === 'water' ? weighed(weighedWithWater(plan)) : []),
      // What the semolina gets is poured with the rest of it.
      ...(step.kind === 'pour' && step.how !== 'soak'
        ? [{ type: 'poured' as const, grams: waterTargets(plan, { weighedG: {} }).totalG }]
        : []),
      ...(step.kind === 'air' ? [{ type: 'finish-chosen' as const, finish: 'cook' as const }] : []),
      { type: 'step-done', step: step.id },
    ])
    return actions.map((action, n) => ({ ...action, id: `e${n}`, at: AT }) as BenchEvent)
  }
}

/** All that a step's page is drawn from, but its own words: what is drawn already says nothing new. */
function drawnFrom(plan: Plan, index: number): string {
  const { sheet: _, steps, ...rest } = plan
  const shown = steps[index]?.kind === 'ready' ? steps : steps.slice(index, index + 2)
  return JSON.stringify([rest, shown, steps.map(({ kind }) => kind)])
}

type Line = readonly [where: string, text: string]

/** Every step as it stands when it is reached; what is drawn from the same is drawn once. */
function benchOf(plan: Plan, drawnBefore: Map<string, readonly Line[]>): readonly (readonly Line[])[] {
  const events = played(plan)
  return stepsOf(plan, replay(plan, [])).map((step, index) => {
    const from = drawnFrom(plan, index)
    const known = drawnBefore.get(from)
    if (known) return known
    const batch: Batch = { id: 'b', plan, events: [...events(step.id)] }
    const view: BenchView = {
      running: { batch, state: replay(plan, batch.events), step },
      step,
      live: true,
      back: () => undefined,
      onTrouble: () => undefined,
      keyIsTaken: () => false,
    }
    const Sheet = stepSheets[step.kind]
    const sheet = (
      <BenchViewContext value={view}>
        <Sheet />
      </BenchViewContext>
    )
    const lines = atTheHour(() => drawn(sheet)).map((text): Line => [`bench, ${step.kind}`, text])
    drawnBefore.set(from, lines)
    return lines
  })
}

/** `whole`: with the ledger and the amounts, which a school fills with other figures and no other words. */
const formulaOf = (worked: Worked, kitchen: Kitchen, whole: boolean): readonly (readonly [string, string])[] => {
  const step = kitchen.gear.scaleStepG
  return drawn(
    <>
      <MarginNotes worked={worked} scaleStepG={step} />
      <FootFacts worked={worked} />
      {whole && (
        <>
          <Ledger worked={worked} kitchen={kitchen} />
          <HowMuch worked={worked} kitchen={kitchen} />
          <DoughColumn worked={worked} scaleStepG={step} />
        </>
      )}
    </>,
  ).map((text) => ['formula', text] as const)
}

const shapeOf = (worked: Worked, kitchen: Kitchen): readonly (readonly [string, string])[] => {
  const parts = shapeShares(worked, kitchen)
  return drawn(
    <>
      <p>{matchWords(worked.match, worked.control.by === 'base')}</p>
      <Construction shape={worked.shape} blank={worked.cut.blank} family={worked.dough.family} />
      <How shape={toldBy(worked.shape, worked.practice.sets)} />
      <ToolsAndTroubles shape={toldBy(worked.shape, worked.practice.sets)} />
      {parts.ok &&
        parts.value.map((part) => (
          <AtTheBoard key={part.shape.id} part={part} worked={worked} kitchen={kitchen} titled={false} />
        ))}
      <ToThePlate shape={worked.shape} worked={worked} />
    </>,
  ).map((text) => ['shape', text] as const)
}

interface Way {
  readonly school: string
  readonly position: Position | null
  readonly sheet: Sheet
}

/** As it starts, and by every other position of every school of its family. */
function ways(dough: Dough, shape: Shape, kitchen: Kitchen): readonly Way[] {
  const sheet = startSheet(dough, shape, kitchen)
  const worked = computeSheet(sheet, kitchen)
  if (!worked.ok) throw new Error(`${dough.id} as ${shape.id}: ${worked.problem.code}`)
  const others = kitchen.schools
    .filter(({ families }) => families.includes(dough.family))
    .flatMap((school) =>
      school.positions.map((position) => ({
        school: `${school.id}: ${position.id}`,
        position,
        sheet: applySchool(worked.value, school.id, position, kitchen),
      })),
    )
  return [{ school: '', position: null, sheet }, ...others]
}

/** A step without its figures. */
const wordsOfStep = (step: PlannedStep): unknown => [
  Object.values(step).filter((value) => typeof value === 'string' || typeof value === 'boolean'),
  step.kind === 'pour' && step.goes.length,
  step.kind === 'ready' && step.items.map(({ id }) => id),
  step.kind === 'prepare' && step.belowC,
  step.kind === 'rest' && step.high,
  step.kind === 'air' && step.keeps.wet.map(({ code }) => code),
]

/** What a batch is made by: the same kinds of step, in the same words. Only the figures in them differ. */
const course = (plan: Plan, { practice }: Worked): string =>
  JSON.stringify([
    plan.sheet.dough,
    plan.steps.map(wordsOfStep),
    plan.rows.map(({ ingredient, weighedG, heldG = 0 }) => [ingredient, weighedG > 1, heldG > 0]),
    plan.shape.blank.type === 'drop' && plan.shape.id,
    plan.pot.saltGPerL > 0,
    plan.water.startG > 0,
    plan.water.holdBackG > 0,
    practice.restMin,
  ])

/** Every dough as every shape of it, or every so many such pairs, by every way. */
function* everyWay(
  kitchen: Kitchen,
  every: number,
): Generator<{ dough: Dough; shape: Shape; way: Way; worked: Worked; plan: Plan }> {
  putKitchen()
  let pairs = 0
  for (const dough of doughs)
    for (const shape of shapesFor(dough, shapes))
      for (const way of pairs++ % every === 0 ? ways(dough, shape, kitchen) : []) {
        const computed = computeSheet(way.sheet, kitchen)
        if (!computed.ok) throw new Error(`${dough.id} as ${shape.id}, ${way.school}: ${computed.problem.code}`)
        yield { dough, shape, way, worked: computed.value, plan: planBatch(computed.value, kitchen, AT, null) }
      }
}

/**
 * What is said, way by way: every dough as every shape as it starts; then by each school, where `all` asks for every shape and
 * else one of each course of steps is enough, since a school puts other figures into the same sentences.
 */
export function* everythingSaid(all = false, kitchen: Kitchen = withMachines): Generator<Said> {
  const courses = new Set<string>()
  let pages = new Map<string, readonly Line[]>()
  let before: readonly [Dough, Shape] | null = null
  const told = new Set<readonly Line[]>()
  for (const { dough, shape, way, worked, plan } of everyWay(kitchen, 1)) {
    if (before?.[0] !== dough || before[1] !== shape) pages = new Map()
    before = [dough, shape]
    const { school } = way
    const known = courses.has(course(plan, worked))
    courses.add(course(plan, worked))
    if (school !== '' && known && !all) continue
    const bench = benchOf(plan, pages).filter((page) => !told.has(page))
    for (const page of bench) told.add(page)
    const said = [
      ...formulaOf(worked, kitchen, school === ''),
      ...(school === '' ? shapeOf(worked, kitchen) : []),
      ...bench.flat(),
    ]
    for (const [where, text] of said) yield { where, dough, shape, school, text }
  }
}

/** One way of making a dough as a shape, and every line that is read while it is made. */
export interface SaidOfWay {
  readonly dough: Dough
  readonly shape: Shape
  /** Topic and position; empty as the dough starts. */
  readonly school: string
  readonly refused: Refusal | null
  readonly worked: Worked
  readonly plan: Plan
  readonly lines: readonly Line[]
}

/** All that is read at the bench and of the shape, by every way: a page that stays the same is read again. */
export function* everyWaySaid(every: number, kitchen: Kitchen = withMachines): Generator<SaidOfWay> {
  let pages = new Map<string, readonly Line[]>()
  let before: readonly [Dough, Shape] | null = null
  for (const { dough, shape, way, worked, plan } of everyWay(kitchen, every)) {
    if (before?.[0] !== dough || before[1] !== shape) pages = new Map()
    before = [dough, shape]
    yield {
      dough,
      shape,
      school: way.school,
      refused: way.position && refusedHere(way.position, worked),
      worked,
      plan,
      lines: benchOf(plan, pages).flat(),
    }
  }
}

const placeholders: ReadonlyMap<string, string> = new Map([
  ...shapes.map(({ name }) => [name, '‹shape›'] as const),
  ...doughs.map(({ name }) => [name, '‹dough›'] as const),
  ...ingredients.map(({ name }) => [name, '‹ingredient›'] as const),
])
const anyName = new RegExp(
  [...placeholders.keys()]
    .sort((a, b) => b.length - a.length)
    .map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
    .join('|'),
  'g',
)

/** A sentence without its figures and names. */
export const patternOf = readOnce((text) =>
  text.replace(anyName, (name) => placeholders.get(name) ?? name).replace(/\d+(?:[.,]\d+)*/g, '#'),
)

/** Sentences that stand so in the tables: they are read there. */
function inTheTables(): ReadonlySet<string> {
  const found = new Set<string>()
  const walk = (value: unknown): void => {
    if (typeof value === 'string') found.add(patternOf(value).replace(/\.$/, ''))
    else if (value && typeof value === 'object') Object.values(value).forEach(walk)
  }
  for (const table of [shapes, doughs, sauces, troubles, ingredients]) walk(table)
  return found
}

const order = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

/** Each sentence once, by view, with the families it is said to. */
export function sentences(said: Iterable<Said>): Readonly<Record<string, readonly string[]>> {
  const tables = inTheTables()
  const found = new Map<string, Map<string, Set<string>>>()
  for (const { where, dough, text } of said) {
    const pattern = patternOf(text)
    if (tables.has(pattern.replace(/\.$/, ''))) continue
    const here = found.get(where) ?? new Map<string, Set<string>>()
    found.set(where, here.set(pattern, (here.get(pattern) ?? new Set()).add(dough.family)))
  }
  const told = (families: ReadonlySet<string>) =>
    families.size === FAMILIES.length ? 'all' : FAMILIES.filter((family) => families.has(family)).join(', ')
  return Object.fromEntries(
    [...found]
      .sort(([a], [b]) => order(a, b))
      .map(([where, patterns]) => [
        where,
        [...patterns].sort(([a], [b]) => order(a, b)).map(([text, families]) => `${text}  [${told(families)}]`),
      ]),
  )
}
