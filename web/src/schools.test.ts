/**
 * No sentence that is read while a dough is made contradicts the position its maker takes: every school and position, over doughs
 * and shapes. `HEAVY=1` reads all of them; else each position on every seventh pair.
 *
 * @jest-environment node
 */
import type { SaidOfWay } from './testing/said.tsx'

// A server draws without the checks of development, in a fifth of the time.
declare const process: { readonly env: Record<string, string | undefined> }
const { env } = process
const before = env['NODE_ENV']
env['NODE_ENV'] = 'production'
afterAll(() => {
  env['NODE_ENV'] = before
})

/** Said of other things than what the position is about. */
const elsewhere =
  /never by the spoon|[Pp]owder into cold water|, first, into cold|drained overnight|or overnight\. What drips|do not taste raw dough|raw dough|in two pleats|hot oven until|Prick whole|Cold, no steam left|wants force and hangs|needs no flour later|floury core|what is bare goes hard|The ridged board, bare|This one in|\b\d a minute|Feed one ball|Scald the crumbs|pinch from left and right|Salt in the water for|flat with the heels|This dough/

/** What may not be read where a maker does it so. */
const excludes: Readonly<Record<string, RegExp>> = {
  'salt-place: pot-only': /salt (in|into|to|with) the (dough|flour)|dissolve.*salt|Do not salt|salt, .*dissolved/i,
  'salt-place: much': /Salt it once/,
  'water-heat: cold': /scald|No hands in it|A stick to stir|Hot (water|milk)/i,
  'water-heat: warm': /scald|No hands in it|cold water/i,
  'water-heat: hot': /open fingers|spread fingers/i,
  'water-heat: boiling': /open fingers|spread fingers/i,
  'oil: none': /\bolive oil|brush it .*oil|saucer of oil|\b[Rr]est, oiled/i,
  'oil: some': /saucer of oil|Rest, oiled/,
  'oil: outside': /^Rest, wrapped$|olive oil, with it/,
  'mixing: well': /open fingers|spread fingers|A wide bowl/i,
  'mixing: bowl': /well in the flour|Room on the board for a well|spread fingers/i,
  'mixing: crumbs': /open fingers|well in the flour|Room on the board for a well/i,
  'staging: at-once': /held back|hold back|Keep .* back|one of (two|three)|in \d goes/i,
  'staging: thirds': /one of two\b|in 2 goes/i,
  'staging: flour-back': /back, plain|water held back/i,
  'rest: short': /for the night|overnight/i,
  'rest: chill': /for the night|overnight/i,
  'dusting: semolina':
    /jar of (flour|starch)|\bstarch on|with starch|in starch|(?<!No )\bflour (on|under|between) the/i,
  'dusting: flour':
    /jar of (coarse semolina|starch)|semolina (on|under|between|after)|with semolina|\bstarch on|with starch/i,
  'dusting: starch': /jar of (flour|coarse semolina)|semolina (on|under|between|after)|with semolina/i,
  'board: bare': /ready to flour|(?<!No )flour on the board/i,
  'board: floured': /\bbare\b|No flour (on|while)|None on the wood/i,
  'board: ridged': /^The board, bare/,
  'folds: two': /in three/i,
  'folds: three': /folded in two|by turns/i,
  'folds: turn': /in two, always/i,
  'passing: each-setting': /one through every setting/i,
  'passing: one-by-one': /all of them through one setting/i,
  'airing: at-once': /leather|Air sheet/i,
  'binder: none': /\byolk|\begg\b|potato starch/i,
  'wheat-binder: none': /egg replacer|flax/i,
  'potato-heat: cooled': /65 °C/,
  'potato-heat: hot': /below 40|cooled right/i,
  'potato-cook: boil': /Bake it whole|over boiling water/i,
  'potato-cook: steam': /Boil the potatoes|Bake it whole/i,
  'potato-cook: bake': /Boil the potatoes|Steam the potatoes/i,
  'batter-liquid: dairy': /g of water and|Measure the water|sparkling/i,
  'batter-liquid: plain': /milk|sparkling/i,
  'batter-liquid: sparkling': /milk|Longer than .* h/i,
  'beat: combine': /in strings|bubbl|Beaten hard|beat it/i,
  'beat: beat': /Only until it is smooth|only until it is smooth/i,
  'done: float': /whether they float|when the clock rings|after they rise/i,
  'done: after': /whether they float|when the clock rings/i,
  'done: after-one': /whether they float|when the clock rings/i,
  'done: after-two': /whether they float|when the clock rings/i,
  'done: taste': /say when they float|as they rise|^They float|when the clock rings/,
  'done: clock': /taste|float|as they rise/i,
  'pot-salt: none': /Salt it once/,
  'rinse: rinse': /Into the ice$|In the ice$/,
  'rinse: ice': /cold running/i,
  'rinse: no-rinse': /\brinse (it|them|hard)|rinsed cold|cold running|iced rinse/i,
}

const EVERY = 7
let faults: readonly string[]
const met = new Map<string, number>()
const tell = ({ dough, shape, school }: SaidOfWay, where: string, text: string) =>
  `${school}, ${dough.id} as ${shape.id}, ${where}: ${text}`

beforeAll(async () => {
  const { everyWaySaid } = await import('./testing/said.tsx')
  const known = new Map<string, boolean>()
  const contradicts = (school: string, text: string): boolean => {
    const key = `${school} ${text}`
    const found = known.get(key) ?? (excludes[school]?.test(text) === true && !elsewhere.test(text))
    known.set(key, found)
    return found
  }
  const all: string[] = []
  for (const said of everyWaySaid(env['HEAVY'] === '1' ? 1 : EVERY)) {
    if (said.refused) continue
    met.set(said.school, (met.get(said.school) ?? 0) + 1)
    for (const [where, text] of said.lines) if (contradicts(said.school, text)) all.push(tell(said, where, text))
  }
  faults = all
}, 400_000)

it('no sentence contradicts the position', () => {
  expect(faults.slice(0, 20)).toEqual([])
})

it('each position of the table of what excludes what was met', () => {
  expect(Object.keys(excludes).filter((school) => !met.has(school))).toEqual([])
})
