/**
 * The words of a recipe in English, as data: another language is a second table of this form. Patterns are of a sentence in
 * which ingredients stand as ‹iN› and amounts as ‹aN›, all else in small letters without accents.
 */

export interface Grammar {
  /** Between two figures of a range. */
  readonly to: readonly string[]
  /** Between two parts of one amount. */
  readonly plus: readonly string[]
  /** Between an amount and what it is of. */
  readonly of: readonly string[]
  /** After which a new thing begins: an amount does not reach over them. */
  readonly breaks: ReadonlySet<string>
  /** What an amount may be called without being an ingredient. */
  readonly noThing: ReadonlySet<string>
  /** How a thing is: no name by itself. */
  readonly states: ReadonlySet<string>
  readonly small: RegExp
  readonly large: RegExp
  readonly sizes: ReadonlySet<string>
  /** A heading or a line after which what is named is not the dough's; and what makes it the dough's. */
  readonly notTheDough: RegExp
  readonly theDough: RegExp
  /** In one sentence: from there on it is not the dough's. */
  readonly notFromHere: RegExp
  /** Water and salt after one of these are for cooking in; in a sentence that speaks of the pot too. */
  readonly pot: RegExp
  readonly potIs: RegExp
  readonly dusting: RegExp
  /** Told again, not more of it. */
  readonly again: RegExp
  readonly more: RegExp
  readonly per: RegExp
  readonly people: RegExp
  /** Of one piece, one litre: no part of the dough. */
  readonly perOther: RegExp
  /** What another word near a name makes of it. */
  readonly refined: readonly { readonly from: string; readonly said: RegExp; readonly to: string }[]
}

export const english: Grammar = {
  to: ['to', 'or', 'a', 'o'],
  plus: ['plus', 'and', 'piu', 'mas', 'e', 'y'],
  of: ['of', 'di', 'de', 'the', 'a', 'an', 'some', 'good', 'any', 'd', 'della', 'del'],
  breaks: new Set([
    ...[
      'with',
      'in',
      'into',
      'and',
      'to',
      'on',
      'onto',
      'for',
      'from',
      'at',
      'over',
      'until',
      'then',
      'plus',
      'or',
      'by',
    ],
    ...[
      'mix',
      'add',
      'knead',
      'stir',
      'pour',
      'work',
      'sieve',
      'sift',
      'rub',
      'dissolve',
      'mash',
      'make',
      'roll',
      'is',
      'are',
    ],
    ...[
      'con',
      'per',
      'em',
      'en',
      'y',
      'e',
      'nel',
      'nella',
      'che',
      'as',
      'than',
      'rest',
      'boil',
      'cook',
      'but',
      'if',
      'when',
    ],
  ]),
  noThing: new Set([
    ...['batter', 'mixture', 'mass'],
    ...[
      'dough',
      'pieces',
      'piece',
      'balls',
      'ball',
      'lumps',
      'lump',
      'portions',
      'portion',
      'nests',
      'nest',
      'each',
      'ropes',
    ],
    ...[
      'rope',
      'strands',
      'holes',
      'die',
      'dice',
      'cubes',
      'people',
      'person',
      'persons',
      'servings',
      'serving',
      'sheets',
      'tray',
    ],
    ...[
      'sheet',
      'batch',
      'more',
      'less',
      'humidity',
      'moisture',
      'protein',
      'hydration',
      'litre',
      'salted',
      'time',
      'times',
      'go',
    ],
    ...[
      'turn',
      'turns',
      'passes',
      'pass',
      'setting',
      'settings',
      'go',
      'goes',
      'it',
      'them',
      'this',
      'that',
      'total',
      'in',
      'per',
    ],
    ...[
      'long',
      'thick',
      'wide',
      'high',
      'across',
      'apart',
      'deep',
      'later',
      'ago',
      'old',
      'pan',
      'pot',
      'bowl',
      'head',
      'all',
    ],
    ...[
      'or',
      'so',
      'at',
      'a',
      'the',
      'to',
      'for',
      'and',
      'lots',
      'of',
      'parts',
      'part',
      'weight',
      'is',
      'cut',
      'blocks',
      'block',
    ],
    ...['now', 'then', 'makes', 'gives', 'sacks', 'sack', 'bag', 'bags', 'with', 'by'],
  ]),
  states: new Set(['raw', 'cooked', 'dry', 'dried', 'fresh', 'cold', 'warm', 'hot', 'wet']),
  small: /^(small|little)$/,
  large: /^(large|big)$/,
  sizes: new Set(['small', 'medium', 'large', 'big', 'extra', 'jumbo', 'little']),
  notTheDough:
    /\b(sauce|dressing|filling|stuffing|topping|to serve|for serving|to finish|garnish|broth|soup|for the pot|for cooking|for boiling|cooking water|pasta water|to cook|condimento|ripieno|salsa|relleno|sugo|dip|seasoning for|for the table)\b/,
  theDough: /\b(dough|ingredients|pasta|noodles?|batter|gnocchi|impasto|masa|ingredienti|ingredientes|flour)\b/,
  notFromHere:
    /\b(serve(?! (?:‹›|two|three|four|five|six|eight|ten|up|a ))|served|toss|dress|dressed|top with|garnish|finish with|sauce|for the sauce|for the filling|fill with|brush|fry in|brown in|to serve|drizzle over)\b/,
  pot: /\b(boil|boiled|boils|cook|cooked|cooks|simmer|poach|blanch|pot|pan|saucepan|cuoci|cuocere|lessa|hierve|cuece|drop them|drop the|lower|steam)\b/,
  potIs:
    /\b(pot|pan|saucepan|cooking water|pasta water|pot water|for cooking|for boiling|per litre|a litre|per liter|a liter|to the litre|each litre)\b/,
  dusting:
    /\b(dusting|to dust|for the board|on the board|for rolling|for flouring|bench flour|for sprinkling|flour the|dust with|dust the|dusted|spolverare|espolvorear|to roll)\b/,
  again:
    /\b(of the|of this|of that|remaining|rest of|the rest|last|reserved|held back|hold back|half the|the other|del totale)\b/,
  more: /\b(another|more|extra|further|additional|a second|again)\b/,
  per: /\b(per person|a person|per head|a head|each person|per portion|per serving|each serving|a serving|for each person|for one person|apiece|a plate|per plate|a testa|por persona|a persona|per persona)\b/,
  people:
    /\b(?:for|serve|feed|serving|per|para)\s+(‹a\d+›)(?=\s*(?:people|person|eater|portion|serving|persone|persona|of us|guest|hungry|,|:|$))/,
  perOther:
    /\b(each|apiece|per (?:piece|nest|ball|lump|rope|portion|sheet|litre|liter)|a (?:litre|liter|piece|nest|rope|ball|portion)|every|lumps?|pieces?|nests?|balls?|portions?|ropes?|logs?)\b/,
  refined: [
    { from: 'ricotta-undrained', said: /\b(drained|strained|sgocciolata|escurrid\w*)\b/, to: 'ricotta-drained' },
    { from: 'yoghurt-plain', said: /\b(drained|strained)\b/, to: 'yoghurt-strained' },
    { from: 'potato-floury-boiled-skin', said: /\b(baked|roasted|oven)\b/, to: 'potato-floury-baked' },
    { from: 'potato-floury-boiled-skin', said: /\b(steamed)\b/, to: 'potato-floury-steamed' },
    { from: 'potato-floury-boiled-skin', said: /\b(raw|grated)\b/, to: 'potato-raw-grated' },
    { from: 'potato-floury-boiled-skin', said: /\bmicrowaved?\b/, to: 'potato-floury-microwaved' },
    { from: 'pumpkin-roasted-wet', said: /\b(dense|dry)\b/, to: 'pumpkin-roasted-dense' },
    {
      from: 'durum-semolina-coarse',
      said: /\b(fine|finely|remilled|rimacinata|twice)\b/,
      to: 'durum-semolina-remilled',
    },
    { from: 'durum-semolina-remilled', said: /\bcoarse\b/, to: 'durum-semolina-coarse' },
    { from: 'baking-soda', said: /\bbaked\b/, to: 'baking-soda-baked' },
    { from: 'buckwheat-whole', said: /\b(light|white|inner)\b/, to: 'buckwheat-light' },
    { from: 'water-room', said: /\b(boiling|boiled|scalding)\b/, to: 'water-hot' },
    { from: 'water-room', said: /\b(warm|lukewarm|tepid)\b/, to: 'water-warm' },
    { from: 'water-room', said: /\b(cold|chilled)\b/, to: 'water-cold' },
  ],
}
