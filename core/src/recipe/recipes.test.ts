/** Recipes read whole: the corpus, what a maker settles, and what nobody would write. */
import { calc } from '../calc/index.ts'
import { CONTRADICTIONS, decode } from './index.ts'
import { evenNumbers } from '../testing/index.ts'
import fc from 'fast-check'
import decodeCases from '../../vectors/decode.json' with { type: 'json' }
import { calcTables } from '@harina/facts/calc'
import { mangled } from '@harina/facts/testing/mangle'
import { isRead, recipeTables, samples, scoreRecipes } from '@harina/facts/testing/recipes'

const read = (text: string, options: Parameters<typeof decode>[2] = {}) => decode(text, recipeTables, options)

describe('the corpus', () => {
  it('has all families, regions and styles, and a quarter with a contradiction planted, each kind of them', () => {
    expect(samples.length).toBeGreaterThanOrEqual(120)
    expect(new Set(samples.map(({ family }) => family)).size).toBe(5)
    expect(new Set(samples.map(({ region }) => region)).size).toBe(6)
    expect(new Set(samples.map(({ style }) => style)).size).toBeGreaterThanOrEqual(7)
    const planted = samples.filter((each) => each.planted.length > 0)
    expect(planted.length / samples.length).toBeGreaterThanOrEqual(0.25)
    expect([...CONTRADICTIONS].filter((code) => !planted.some((each) => each.planted.includes(code)))).toEqual([])
    expect(new Set(samples.map(({ text }) => text)).size).toBe(samples.length)
  })

  it('is read: nearly every row, every contradiction, hardly a false alarm', () => {
    const { rows, right, invented, planted, found, falseAlarms, texts, wrong } = scoreRecipes(samples)
    expect({ wrong, share: right / rows >= 0.97 }).toEqual({ wrong: expect.anything() as unknown, share: true })
    expect([found, wrong]).toEqual([planted, expect.anything()])
    expect(falseAlarms / texts).toBeLessThanOrEqual(0.02)
    expect(invented / rows).toBeLessThanOrEqual(0.02)
  })
})

/** Flours by the names they go by, and the ways of saying that one is free of gluten: an allergen is at stake. */
const FLOURS = ['flour', 'plain flour', 'all-purpose flour', 'bread flour', 'self-raising flour', 'pasta flour']
const FREE: readonly ((flour: string) => string)[] = [
  (flour) => `250 g gluten free ${flour}`,
  (flour) => `250 g gluten-free ${flour}`,
  (flour) => `250 g Gluten-Free ${flour}`,
  (flour) => `250 g GF ${flour}`,
  (flour) => `250 g ${flour}, gluten free`,
  (flour) => `250 g ${flour} (gluten-free)`,
  (flour) => `2 cups of ${flour}, free from gluten`,
  (flour) => `${flour} without gluten 250 g`,
]

describe('flour that is said to be free of gluten', () => {
  const glutenOf = new Map(recipeTables.ingredients.map(({ id, gluten }) => [id, gluten]))
  it.each(FLOURS.flatMap((flour) => FREE.map((says) => [says(flour)] as const)))('%s is no wheat', (line) => {
    const { rows, unread } = read(`${line}\n150 g boiling water`)
    const flours = rows.filter(({ id }) => id !== null && id !== 'water-hot')
    expect(flours.map(({ id }) => glutenOf.get(id!))).toEqual(flours.map(() => 'none'))
    // It stands there, with its doubt where the name is another flour's, or is told as not understood.
    expect(flours.length + unread.length).toBeGreaterThan(0)
    if (flours.some(({ name }) => !/free|gf/i.test(name)))
      expect(flours.flatMap(({ why }) => why)).toContain('unsure-name')
  })

  it('other flours beside it stay what they are, and gluten by itself is gluten', () => {
    const ids = (text: string) => read(text).rows.map(({ id }) => id)
    expect(ids('250 g gluten-free flour\n250 g bread flour\n200 g water')).toContain('bread-strong')
    expect(ids('20 g wheat gluten\n500 g plain flour\n250 g water')).toEqual([
      'vital-wheat-gluten',
      'plain-wheat',
      'water-room',
    ])
    expect(ids('250 g gluten free oat flour\n150 g water').includes('vital-wheat-gluten')).toBe(false)
  })
})

describe('the port', () => {
  const cases = decodeCases.flatMap((each) => ('text' in each && each.text ? [each] : [])) as unknown as {
    id: string
    text: string
    region?: string
    expect: {
      rows: { idOneOf: string[]; grams: number; tolPercent: number; flour: boolean }[]
      hydration?: { typical: number; tol: number } | null
      contradictions: string[]
      mayAlso?: string[]
    }
  }[]

  it.each(cases.map((each) => [each.id, each] as const))('%s', (_, { text, region, expect: wanted }) => {
    const answer = calc({ kind: 'decode', text, ...(region ? { region } : {}) }, calcTables)
    if (!answer.ok) throw new Error(answer.error.message)
    const result = answer.result as ReturnType<typeof read>
    const said = result.contradictions as unknown as readonly { code: string; message: string }[]
    for (const { idOneOf, ...row } of wanted.rows)
      expect([row, isRead({ ids: idOneOf, ...row }, result)]).toEqual([row, true])
    const codes = said.map(({ code }) => code)
    expect(codes.filter((code) => !(wanted.mayAlso ?? []).includes(code))).toEqual(wanted.contradictions)
    expect(said.every(({ message }) => message.length > 20)).toBe(true)
    if (wanted.hydration)
      expect(Math.abs(result.hydration!.typical - wanted.hydration.typical)).toBeLessThanOrEqual(wanted.hydration.tol)
  })

  it('refuses what is no text, a region nobody has, and what is longer than any recipe', () => {
    for (const request of [
      { text: 5 },
      { text: '', region: 'moon' },
      { text: 'x'.repeat(2_000_001) },
      { text: 'a', more: 1 },
    ])
      expect(calc({ kind: 'decode', ...request }, calcTables)).toMatchObject({ ok: false })
    expect(calc({ kind: 'decode', text: '' }, calcTables)).toMatchObject({
      ok: true,
      result: { rows: [], hydration: null, contradictions: [], unread: [] },
    })
  })
})

describe('a row', () => {
  it('says the words it came from, how sure it is, and why', () => {
    const { rows } = read('2 cups of plain flour, a pinch of salt, 2 eggs, 450 to 500 g semolina', { region: 'us' })
    expect(rows.map(({ read: words, why }) => [words, why])).toEqual([
      ['2 cups of plain flour', ['cup-filling', 'region']],
      ['a pinch of salt', ['vague']],
      ['2 eggs', ['egg-size']],
      ['450 to 500 g semolina', ['range', 'unsure-name']],
    ])
    for (const { low, grams, high } of rows) expect(low <= grams && grams <= high).toBe(true)
    expect(rows[0]!.high / rows[0]!.low).toBeGreaterThan(1.15)
    expect(rows[3]).toMatchObject({ low: 450, grams: 475, high: 500 })
  })

  it('the same words weigh what the region measures by', () => {
    const cup = (region: 'us' | 'metric' | 'jp' | 'uk' | 'au') => read('1 cup water', { region }).rows[0]!.grams
    expect([cup('us'), cup('metric'), cup('jp'), cup('uk'), cup('au')].map(Math.round)).toEqual([
      237, 250, 200, 284, 250,
    ])
    expect(read('1 imperial pint of milk').region).toBe('uk')
    expect(read('oosaji 2 of water').region).toBe('jp')
  })

  it('what nobody knows keeps its row and its weight, and is not understood', () => {
    const { rows, unread } = read('500 g semolina, 240 g water, 20 g malt extract')
    expect(rows[2]).toMatchObject({ id: null, name: 'malt extract', grams: 20, flour: false })
    expect(unread).toEqual([{ text: '20 g malt extract', why: 'unknown', name: 'malt extract' }])
  })

  it('what a maker has settled is remembered: another thing, or nothing of the dough', () => {
    const text = '500 g semolina, 240 g water, 20 g malt extract'
    const told = read(text, { told: { 'malt extract': 'sugar' } })
    expect(told.rows[2]).toMatchObject({ id: 'sugar', grams: 20 })
    expect(told.unread).toEqual([])
    expect(read(text, { told: { 'malt extract': null } }).rows).toHaveLength(2)
    expect(read(text, { told: { constructor: 'sugar' } }).rows).toHaveLength(3)
  })

  it('what is told again is not counted again; another is', () => {
    const twice = read(
      '400 g semolina, 190 g water. Put the 400 g semolina on the board and add 100 g of the water, then the remaining 90 g of water.',
    )
    expect(twice.rows.map(({ grams }) => grams)).toEqual([400, 190])
    const more = read('400 g semolina, 180 g water. Work in another 10 g water.')
    expect(more.rows.map(({ grams }) => grams)).toEqual([400, 180, 10])
  })

  it('neither the sauce, nor the pot, nor flour for the board is of the dough', () => {
    const all = read(
      '500 g semolina\n240 g water\nsemolina for dusting\n\nFor the sauce:\n400 g tomatoes\n60 g olive oil\n\nMethod\nBoil in 5 litres of water with 50 g of salt. Serve with 80 g butter.',
    )
    expect(all.rows.map(({ id }) => id)).toEqual(['durum-semolina-coarse', 'water-room'])
  })
})

describe('what came to nothing is told, whatever it is', () => {
  const KINDS = [
    ['400 g fine semolina', 'row'],
    ['190 g water', 'row'],
    ['3 shallots', 'unknown'],
    ['½ turnip', 'unknown'],
    ['3 sheets of gelatine', 'unknown'],
    ['2 sachets of yeast', 'unknown'],
    ['chopped tarragon', 'unknown'],
    ['malt extract, 3 %', 'row'],
    ['20 g malt extract', 'row'],
    ['salt to taste', 'no-amount'],
    ['olive oil', 'no-amount'],
    ['1 packet saffron', 'not-weighed'],
    ['60 g', 'of-nothing'],
  ] as const
  const FIRST = ['500 g plain flour', '30 g butter']

  it('each line of a list is a row, or is told with why it is none; and nothing else is', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...KINDS), { minLength: 1, selector: ([line]) => line }),
        fc.constantFrom('- ', '* ', '', '[ ] '),
        // Under a name that says nothing it is a list by its look.
        fc.constantFrom('Ingredients\n', '## Dough\n', 'Harbour ropes\n'),
        (lines, bullet, heading) => {
          const text = `${heading}${[...FIRST, ...lines.map(([line]) => line)].map((line) => bullet + line).join('\n')}\nMethod\nMix. Knead 8 minutes. Cut in 4 ropes.`
          const { rows, unread } = read(text)
          for (const [line, kind] of lines) {
            const why = unread.find(({ text: words }) => line === words)?.why
            const isRow = rows.some((row) => row.read === line && row.grams > 0)
            expect([text, line, isRow ? 'row' : why]).toEqual([text, line, kind])
          }
          const known = [...FIRST, ...lines.map(([line]) => line)] as readonly string[]
          expect(unread.filter(({ text: words }) => !known.includes(words))).toEqual([])
        },
      ),
    )
  })

  it('of what is no recipe at all it tells so much and no more, and that the rest was left out', () => {
    const odd = Array.from(
      { length: 5000 },
      (_, n) => `odd thing ${'abcdefghij'[n % 10]!.repeat(1 + Math.floor(n / 10))}`,
    )
    const { unread } = read(`Ingredients\n300 g flour\n${odd.join('\n')}`)
    expect(unread.length).toBeLessThanOrEqual(401)
    expect(unread.at(-1)!.why).toBe('beyond')
  })

  it('in a sentence too; what stands in a title or the method is no part of the dough', () => {
    const told = (text: string) => read(text).unread.map(({ text: words, why }) => [words, why])
    expect(told('500 g flour, 220 g water, 3 shallots, salt and 2 sachets of yeast.')).toEqual([
      ['3 shallots', 'unknown'],
      ['2 sachets of yeast', 'unknown'],
      ['salt', 'no-amount'],
    ])
    expect(
      told(
        'Three moons\n500 g flour\n220 g water\n3 shallots\nKnead 8 minutes. Fold 2 half-moons on 3 boards. Serves 4.',
      ),
    ).toEqual([['3 shallots', 'unknown']])
  })

  it('once it is settled that it is none of the dough, it is told no more', () => {
    const text = '- 500 g flour\n- 220 g water\n- 3 shallots\n- salt to taste\n- 1 packet saffron'
    expect(read(text).unread).toHaveLength(3)
    expect(read(text, { told: { shallot: null, salt: null, saffron: null } }).unread).toEqual([])
  })

  it('more rows than any recipe has are left out, and that is told', () => {
    const text = Array.from({ length: 420 }, (_, n) => `${n + 100} g flour`).join('\n')
    const { rows, unread } = read(text)
    expect(rows.length).toBeLessThanOrEqual(400)
    expect(unread.at(-1)).toMatchObject({ text: '500 g flour', why: 'beyond' })
  })
})

describe('a contradiction', () => {
  const codes = (text: string) => read(text).contradictions.map(({ code }) => code)
  it.each([
    [
      'alkali over 2 %, not under',
      '500 g bread flour, 180 g water, 5 g salt, $ g sodium carbonate',
      9.8,
      10.4,
      'alkali-dose',
    ],
    ['salt over 8 %, not under', '500 g flour, 210 g water, $ g salt. Roll.', 39, 42, 'salt-dose'],
    [
      'a total that is off by more than rounding',
      '500 g flour, 210 g water, 10 g salt. Makes $ g dough.',
      755,
      780,
      'total-against-sum',
    ],
    [
      'a hydration that is off by more than rounding',
      '500 g flour, $ g water. 45 % hydration. Roll.',
      231,
      240,
      'ratio-against-masses',
    ],
    [
      'water over all windows of the board',
      '500 g fine semolina, $ g water. Knead, shape by hand.',
      295,
      306,
      'outside-any-dough',
    ],
  ] as const)('%s', (_, text, within, beyond, code) => {
    expect(codes(text.replace('$', String(within)))).not.toContain(code)
    expect(codes(text.replace('$', String(beyond)))).toContain(code)
  })
})

describe('hydration', () => {
  it('is a band by the cup, a figure by the scale, and none without a liquid', () => {
    const cups = read('2 cups plain flour, 3/4 cup water', { region: 'us' }).hydration!
    expect(cups.high - cups.low).toBeGreaterThan(8)
    expect(read('500 g plain flour, 225 g water').hydration).toEqual({
      low: expect.closeTo(45, 1) as number,
      typical: expect.closeTo(45, 1) as number,
      high: expect.closeTo(45, 1) as number,
    })
    expect(read('500 g plain flour, 5 g salt').hydration).toBeNull()
  })
})

describe('as a page, Markdown or a table it says the same', () => {
  const items = ['400 g fine semolina', '190 g water', '4 g salt']
  const wanted = read(items.join('\n')).rows.map(({ id, grams }) => [id, grams])
  it.each([
    ['a list', items.map((item) => `- ${item}`).join('\n')],
    ['numbered', items.map((item, n) => `${n + 1}. ${item}`).join('\r\n')],
    ['Markdown', `# Shells\n\n**Ingredients**\n\n${items.map((item) => `* **${item}**`).join('\n')}`],
    ['a page', `<html><body><ul>${items.map((item) => `<li>${item}</li>`).join('')}</ul></body></html>`],
    ['JSON-LD', JSON.stringify({ '@type': 'Recipe', recipeIngredient: items })],
    [
      'JSON-LD within a page',
      `<p>Long story, 300 g butter.</p><script type="application/ld+json">${JSON.stringify({ '@graph': [{ '@type': ['Thing', 'Recipe'], recipeIngredient: items }] })}</script>`,
    ],
    ['in one line', items.join('; ')],
  ])('%s', (_, text) => expect(read(text).rows.map(({ id, grams }) => [id, grams])).toEqual(wanted))

  it('a script in it stays text, and says nothing', () => {
    const { rows, title } = read('<h1>Ropes</h1><script>alert("500 g flour")</script><p>300 g flour, 140 g water</p>')
    expect(rows.map(({ grams }) => grams)).toEqual([300, 140])
    expect(title).toBe('Ropes')
    expect(read('<script>500 g flour').rows).toEqual([])
  })
})

describe('what nobody would write', () => {
  const holds = (text: string) => {
    const { rows, hydration, unread, contradictions } = read(text)
    for (const { grams, low, high, name } of rows) {
      expect([grams, low, high].every((each) => Number.isFinite(each) && each >= 0)).toBe(true)
      expect(typeof name).toBe('string')
    }
    if (hydration) expect(Object.values(hydration).every((each) => Number.isFinite(each) && each >= 0)).toBe(true)
    for (const { data } of contradictions)
      for (const each of Object.values(data)) expect(typeof each === 'string' || Number.isFinite(each)).toBe(true)
    expect(unread.every(({ text: words }) => words !== '')).toBe(true)
  }

  it('is read to the end: no throw, no negative or endless gram', () => {
    const even = evenNumbers(11)
    for (let n = 0; n < (process.env['HEAVY'] ? 20_000 : 1500); n += 1)
      holds(mangled(samples[Math.floor(even() * samples.length)]!.text, even))
  }, 120_000)

  it('any characters at all', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string({ maxLength: 400 }), fc.string({ unit: 'binary', maxLength: 200 }), fc.json()),
        holds,
      ),
      { numRuns: process.env['HEAVY'] ? 2000 : 200 },
    )
  })
})
