/** What a recipe comes as, to plain lines: text, Markdown, a page, or the Recipe that a page carries for machines (JSON-LD of schema.org). */
import { english } from './english.ts'

/** Where a line stands: under `Ingredients`, among them, in the method, or nobody says. */
export type Zone = 'ingredients' | 'method' | null

export interface Line {
  readonly text: string
  readonly zone: Zone
  /** A heading: names what follows. */
  readonly isHeading: boolean
  /** A bullet, a number, a row of a table. */
  readonly isItem: boolean
}

export interface PlainRecipe {
  readonly title: string | null
  readonly lines: readonly Line[]
}

const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  deg: '°',
  frac12: '½',
  frac14: '¼',
  frac34: '¾',
  times: '×',
  ndash: '–',
  mdash: '—',
  eacute: 'é',
  egrave: 'è',
  agrave: 'à',
  rsquo: '’',
}

const HIGHEST_POINT = 0x10ffff
function entity(whole: string, name: string): string {
  if (!name.startsWith('#')) return ENTITIES[name.toLowerCase()] ?? whole
  const isHex = name[1]?.toLowerCase() === 'x'
  const point = parseInt(name.slice(isHex ? 2 : 1), isHex ? 16 : 10)
  return point > 0 && point <= HIGHEST_POINT ? String.fromCodePoint(point) : whole
}

/** Tags away, what they hold of text left; scripts and styles wholly away. Nothing of it is ever run. */
export const withoutTags = (html: string): string =>
  html
    .replace(/<(script|style)\b[^>]{0,2000}>[^]*?(?:<\/\1\s*>|$)/gi, ' ')
    .replace(/<(?:br|\/p|\/li|\/h[1-6]|\/div|\/tr)\b[^<>]{0,500}>/gi, '\n')
    .replace(/<li\b[^<>]{0,500}>/gi, '- ')
    .replace(/<\/?[a-z][^<>]{0,2000}>/gi, ' ')
    .replace(/&(#?\w{1,10});/g, entity)

const line = (text: string, zone: Zone, more: Partial<Line> = {}): Line => ({
  text: text.replace(/\s+/g, ' ').trim(),
  zone,
  isHeading: false,
  isItem: false,
  ...more,
})

/** A value of JSON-LD as text: a string, or an object that names or says it. */
function said(value: unknown): string {
  if (typeof value === 'string') return withoutTags(value)
  if (typeof value === 'number') return String(value)
  if (typeof value !== 'object' || value === null) return ''
  const { text, name, '@value': plain } = value as Record<string, unknown>
  return said(text ?? name ?? plain)
}

const listOf = (value: unknown): readonly unknown[] =>
  Array.isArray(value) ? value : value === undefined ? [] : [value]

/** Steps, however deep: strings, HowToStep, HowToSection. */
function stepsOf(value: unknown, depth = 0): readonly string[] {
  if (depth > 6) return []
  return listOf(value).flatMap((step) => {
    const items =
      typeof step === 'object' && step !== null ? (step as Record<string, unknown>)['itemListElement'] : undefined
    return items === undefined ? said(step).split('\n') : stepsOf(items, depth + 1)
  })
}

const isRecipe = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' &&
  value !== null &&
  listOf((value as Record<string, unknown>)['@type']).some(
    (type) => typeof type === 'string' && /(^|[/:])Recipe$/.test(type),
  )

/** The first Recipe of a document, in a graph or alone. */
function recipeIn(value: unknown, depth = 0): Record<string, unknown> | null {
  if (depth > 6 || typeof value !== 'object' || value === null) return null
  if (isRecipe(value)) return value
  const inside = Array.isArray(value)
    ? (value as unknown[])
    : [(value as Record<string, unknown>)['@graph'], (value as Record<string, unknown>)['mainEntity']]
  for (const each of inside) {
    const found = recipeIn(each, depth + 1)
    if (found) return found
  }
  return null
}

function fromJson(text: string): PlainRecipe | null {
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch {
    return null
  }
  const recipe = recipeIn(parsed)
  if (!recipe) return null
  const title = said(recipe['name']).trim() || null
  const serves = listOf(recipe['recipeYield']).map(said)
  const totalMin = isoMinutes(said(recipe['totalTime']))
  const ingredients = listOf(recipe['recipeIngredient'] ?? recipe['ingredients']).map(said)
  return {
    title,
    lines: [
      ...(title ? [line(title, null, { isHeading: true })] : []),
      ...said(recipe['description'])
        .split('\n')
        .map((each) => line(each, 'method')),
      ...serves.map((each) => line(/^\d+$/.test(each) ? english.serves(each) : each, null)),
      ...ingredients.map((each) => line(each, 'ingredients', { isItem: true })),
      ...stepsOf(recipe['recipeInstructions']).map((each) => line(each, 'method')),
      ...(totalMin === null ? [] : [line(english.totalTime(totalMin), 'method')]),
    ].filter(({ text: words }) => words !== ''),
  }
}

/** A duration as machines write it. @example isoMinutes('PT1H20M') → 80 */
export function isoMinutes(text: string): number | null {
  const [, days, hours, minutes] = /^P(?:(\d{1,3})D)?(?:T(?:(\d{1,3})H)?(?:(\d{1,4})M)?)?/.exec(text) ?? []
  const all = Number(days ?? 0) * 1440 + Number(hours ?? 0) * 60 + Number(minutes ?? 0)
  return all > 0 ? all : null
}

const JSON_LD = /<script\b[^>]{0,500}application\/ld\+json[^>]{0,500}>([^]*?)<\/script\s*>/gi

const BULLET = /^\s*(?:[-*+•·–]\s+|\d{1,2}[.)]\s+|\[[ x]\]\s+)/
/** Two or more cells. */
const TABLE_ROW = /^\s*\|(.+)\|\s*$/
const TABLE_RULE = /^\s*\|?[\s:|-]+\|?\s*$/

const BEGINS_WITH_FIGURE = /^[\d¼-¾⅐-⅞]/
const LIST_WORDS = 8
/** Short, no sentence, and nothing to do. */
const isListLike = ({ text, isHeading }: Line): boolean =>
  !isHeading &&
  !/[.!?:;]$|[.!?] /.test(text) &&
  text.split(' ', LIST_WORDS + 1).length <= LIST_WORDS &&
  !english.breaks.has(text.split(' ', 1)[0]!.toLowerCase())

/** The ingredients, where no heading says so: short lines without a gap, of which two or more begin with a figure; from the first of those on. */
function withBareLists(lines: readonly Line[], gaps: ReadonlySet<number>): readonly Line[] {
  if (lines.some(({ zone }) => zone === 'ingredients')) return lines
  const made = [...lines]
  let from = 0
  while (from < lines.length) {
    const isFirst = isListLike(lines[from]!) && BEGINS_WITH_FIGURE.test(lines[from]!.text)
    let to = from + 1
    while (isFirst && to < lines.length && !gaps.has(to) && isListLike(lines[to]!)) to += 1
    const run = lines.slice(from, to)
    if (run.filter(({ text }) => BEGINS_WITH_FIGURE.test(text)).length >= 2)
      made.splice(from, run.length, ...run.map((each) => ({ ...each, zone: 'ingredients' as const, isItem: true })))
    from = to
  }
  return made
}

function fromText(text: string): PlainRecipe {
  const lines: Line[] = []
  /** Lines that come after an empty one. */
  const gaps = new Set<number>()
  let zone: Zone = null
  for (const raw of text.split(/\r\n|[\r\n\u2028\u2029]/)) {
    if (TABLE_RULE.test(raw) && raw.includes('-')) continue
    const cells = TABLE_ROW.exec(raw)?.[1]
    const bare = (cells === undefined ? raw : cells.split('|').join(' : ')).replace(
      /[*_`]{1,3}(\S[^*_`]*?)[*_`]{1,3}/g,
      '$1',
    )
    const marked = /^\s*#{1,6}\s+/.test(bare)
    const isItem = !marked && (BULLET.test(bare) || cells !== undefined)
    const plain = bare
      .replace(/^\s*#{1,6}\s+/, '')
      .replace(BULLET, '')
      .replace(/^\s*>\s?/, '')
    const short = plain.trim().length <= 60
    const named: Zone | undefined =
      !short || isItem
        ? undefined
        : english.headings.method.test(plain.trim())
          ? 'method'
          : english.headings.ingredients.test(plain.trim()) && !/\d/.test(plain)
            ? 'ingredients'
            : undefined
    const isHeading =
      marked ||
      (named !== undefined && /^[^.,;]*:?\s*$/.test(plain.trim()) && !/\d/.test(plain)) ||
      /^[^\d.,;:]{2,50}:\s*$/.test(plain)
    if (named !== undefined && isHeading) zone = named
    const made = line(plain, zone, { isHeading, isItem })
    if (made.text === '') gaps.add(lines.length)
    else lines.push(made)
  }
  const title = lines.find(({ isHeading, zone: where }) => isHeading && where === null)?.text ?? lines[0]?.text ?? null
  return {
    title: title === null ? null : title.replace(/[.:]\s*$/, '').slice(0, 120),
    lines: withBareLists(lines, gaps),
  }
}

/**
 * Text, Markdown, a page or its JSON-LD, to lines. Total: what is none of these is text.
 * Linear in the length of what is given.
 */
export function plainRecipe(text: string): PlainRecipe {
  const trimmed = text.trim()
  if (/^[[{]/.test(trimmed)) {
    const read = fromJson(trimmed)
    if (read) return read
  }
  if (!/<\/?[a-z!][^<>]*>/i.test(trimmed)) return fromText(text)
  for (const [, inside = ''] of trimmed.matchAll(JSON_LD)) {
    const read = fromJson(inside.trim())
    if (read) return read
  }
  return fromText(withoutTags(text))
}
