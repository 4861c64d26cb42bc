/** English. Names of ingredients and units in other languages are understood with it. */
import type { Grammar, Party, RelationPattern } from './grammar.ts'

const wordsOf = (text: string): ReadonlySet<string> => new Set(text.trim().split(/\s+/))

const said = (
  says: RegExp,
  over: Party,
  figure: RelationPattern['figure'],
  under: Party,
  more: Pick<RelationPattern, 'plain' | 'divides' | 'hydration'> = {},
): RelationPattern => ({ says, over, figure, under, ...more })

const I = '(‹i\\d+›)'
const A = '(‹a\\d+›|twice|double|triple)'
const THE = '(?:the |its |their |that |of |this )*'
const WEIGHT = '(?:weight|mass|own weight)'

export const english: Grammar = {
  headings: {
    ingredients:
      /^(the )?(ingredients?|you need|what you need|dough|for the (dough|pasta|noodles|batter|gnocchi)|impasto|per l['’]impasto|ingredienti|ingredientes|masa|para la masa)\b/i,
    method:
      /^(the )?(method|directions?|instructions?|steps?|preparation|procedimento|preparazione|preparaci[oó]n|how to|making|what to do)\b/i,
  },
  serves: (people) => `serves ${people}`,
  totalTime: (minutes) => `Total time ${minutes} minutes.`,
  shortForms: wordsOf('tbsp tsp tbs oz lb lbs approx ca c t no pt qt fl q b dsp temp st nr vs incl e i'),
  symbols: wordsOf('g kg ml cl dl l min mins sec hr hrs cm mm dag h s'),

  to: wordsOf('to or a o'),
  plus: wordsOf('plus and piu mas e y'),
  of: wordsOf('of di de the a an some good any d della del'),
  orAbout: wordsOf('about or circa ca'),
  or: 'or',
  and: 'and',
  each: 'each',
  every: wordsOf('every per each'),
  parts: wordsOf('part parte'),
  breaks: wordsOf(`
    with in into and to on onto for from at over until then plus or by mix add knead stir pour work sieve sift rub
    dissolve mash make roll is are con per em en y e nel nella che as than rest boil cook but if when
  `),
  bridges: wordsOf('and is at for e y in are to'),
  noThing: wordsOf(`
    batter mixture mass dough pieces piece balls ball lumps lump portions portion nests nest each ropes rope strands
    holes die dice cubes people person persons servings serving sheets tray sheet batch more less humidity moisture
    protein hydration litre salted time times go turn turns passes pass setting settings goes it them this that
    total in per long thick wide high across apart deep later ago old pan pot bowl head all or so at a the to for
    and lots of parts part weight is cut blocks block now then makes gives sacks sack bag bags with by
  `),
  noName: wordsOf(`
    about total serve yield make give day step recipe version no weigh use take need want have which you i we
  `),
  describes: /(ed|ly)$/,
  notMeant: wordsOf('sized size shaped bath ricer level temperature bag mill free'),
  without: /\b(free (of|from)|without|no|senza|sin|sans)$/,
  withoutGluten:
    /\b(gluten free|free (?:of|from) gluten|gf|without gluten|no gluten|senza glutine|sin gluten|sans gluten|glutenfrei)\b/,
  states: wordsOf('raw cooked dry dried fresh cold warm hot wet'),
  sizes: wordsOf('small medium large big extra jumbo little'),
  small: wordsOf('small little'),
  large: wordsOf('large big'),
  extraLarge: wordsOf('extra jumbo'),
  anyFlour: /^(flour|white flour|wheat flour|farina|harina|the flour)$/,
  flour: /\bflour\b/,
  otherPercent: /\b(protein|humidity|moisture|fat|extraction|solution|ash)\b/,
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

  notTheDough:
    /\b(sauce|dressing|filling|stuffing|topping|to serve|for serving|to finish|garnish|broth|soup|for the pot|for cooking|for boiling|cooking water|pasta water|to cook|condimento|ripieno|salsa|relleno|sugo|dip|seasoning for|for the table)\b/,
  theDough: /\b(dough|ingredients|pasta|noodles?|batter|gnocchi|impasto|masa|ingredienti|ingredientes|flour)\b/,
  notFromHere:
    /\b(serve(?! (?:‹›|two|three|four|five|six|eight|ten|up|a ))|served|toss|dress|dressed|top with|garnish|finish with|sauce|for the sauce|for the filling|fill with|brush|fry in|brown in|to serve|drizzle over)\b/,
  pot: /\b(boil|boiled|boils|cook|cooked|cooks|simmer|poach|blanch|pot|pan|saucepan|cuoci|cuocere|lessa|hierve|cuece|drop them|drop the|lower|steam)\b/,
  potIs:
    /\b(pot|pan|saucepan|cooking water|pasta water|pot water|for cooking|for boiling|per litre|a litre|per liter|a liter|to the litre|each litre)\b/,
  into: wordsOf('in with into en con'),
  dusting:
    /\b(dusting|to dust|for the board|on the board|for rolling|for flouring|bench flour|for sprinkling|flour the|dust with|dust the|dusted|spolverare|espolvorear|to roll)\b/,
  dust: /\b(dust|dusting|sprinkle)\b/,
  again:
    /\b(of the|of this|of that|remaining|rest of|the rest|last|reserved|held back|hold back|half the|the other|del totale)\b/,
  more: /\b(another|more|extra|further|additional|a second|again)\b/,
  per: /\b(per person|a person|per head|a head|each person|per portion|per serving|each serving|a serving|for each person|for one person|apiece|a plate|per plate|a testa|por persona|a persona|per persona)\b/,
  people:
    /\b(?:for|serve|feed|serving|per|para)\s+(‹a\d+›)(?=\s*(?:people|person|eater|portion|serving|persone|persona|of us|guest|hungry|,|:|$))/,
  perOther:
    /\b(each|apiece|per (?:piece|nest|ball|lump|rope|portion|sheet|litre|liter)|a (?:litre|liter|piece|nest|rope|ball|portion)|every|lumps?|pieces?|nests?|balls?|portions?|ropes?|logs?)\b/,

  relations: [
    // half as much water as flour
    said(
      new RegExp(
        `${A} (?:time )?(?:as much|as many|the (?:amount|quantity|weight|mass) of) ${THE}${I} (?:as|of|than) ${THE}(?:\\w+ )?${I}`,
      ),
      2,
      1,
      3,
      { plain: true },
    ),
    // half as much water (of the flour before it)
    said(
      new RegExp(`${A} (?:as much|that much|that|the amount|its weight) (?:of |in )?(?:\\w+ )?${I}(?! as)`),
      2,
      1,
      'flour',
    ),
    // water, half as much
    said(
      new RegExp(
        `${I} (?:[:,(=-] |is |at |and |about )*${A} (?:as much|that much|that|the amount|the quantity)\\b(?! of ‹)(?! as)`,
      ),
      1,
      2,
      'flour',
    ),
    // water: half the weight of the flour; water is always 45 % of the flour
    said(
      new RegExp(`${I} (?:[:,(=-] |\\w+ ){0,4}?${A} (?:of |the )(?:the |its |total |whole )*(?:${WEIGHT} )?${THE}${I}`),
      1,
      2,
      3,
    ),
    // half the flour's weight in water; 45 % of the flour in water
    said(new RegExp(`${A} ${THE}(?:${WEIGHT} )?${THE}${I} ?(?:${WEIGHT} )?(?:in|of|as) ${I}`), 3, 1, 2),
    // half its weight of water
    said(new RegExp(`${A} (?:its|the|their) (?:own )?${WEIGHT} (?:in|of) ${THE}${I}`), 2, 1, 'flour'),
    // the same weight of water as flour; equal weights of potato and flour
    said(
      new RegExp(`(?:same|equal) (?:weight|amount|mass|quantity|measure) of ${THE}${I} (?:as|and) ${THE}${I}`),
      1,
      'same',
      2,
    ),
    // the water weighs half as much as the flour
    said(new RegExp(`${I} (?:\\w+ ){0,4}?${A} (?:time )?as (?:much|heavy) as ${THE}${I}`), 1, 2, 3, { plain: true }),
    // water = 0.48 × semolina
    said(new RegExp(`${I} (?:[:=] )${A} (?:×|x|\\*|time) ${THE}${I}`), 1, 2, 3, { plain: true }),
    // divide the flour by 2.5
    said(new RegExp(`divide ${THE}(?:weight of )?${THE}${I}(?: \\w+)? by (‹a\\d+›)`), 'liquid', 2, 1, {
      plain: true,
      divides: true,
    }),
    // take the flour, multiply by 0.46
    said(new RegExp(`${I} (?:[\\w,]+ ){0,3}?(?:multiply|multiplied|times) (?:it )?(?:by )?(‹a\\d+›)`), 'liquid', 2, 1, {
      plain: true,
    }),
    said(new RegExp(`${I}(?: \\w+)? divided by (‹a\\d+›)`), 'liquid', 2, 1, { plain: true, divides: true }),
    // 48 % hydration; a hydration of 48 %
    said(/(‹a\d+›) (?:\w+ )?(?:hydration|hydrated)/, 'liquid', 1, 'flour', { hydration: true }),
    said(/(?:hydration|hydrated) (?:\w+ |[:=(] ?){0,3}(‹a\d+›)/, 'liquid', 1, 'flour', { hydration: true }),
  ],
  factors: { twice: 2, double: 2, triple: 3 },
  ratio: /\bratio\b|‹i\d+› (?:to|:|\/) ‹i\d+›/,
  byWeight: /\b(weight|by weight|weighed|mass|gram|scale)\b/,

  doings: [
    ['chill', /\b(chill|fridge|refrigerat\w*|freez\w*)\b/],
    ['boil', /\b(boil\w*|cook\w*|simmer\w*|poach\w*|pot|blanch\w*|float\w*|drop\w*|dente|shave)\b/],
    [
      'knead',
      /\b(knead\w*|work\w*|mix\w*|beat\w*|stir\w*|massage\w*|push\w*|slap\w*|impasta\w*|amasa\w*|tread\w*|smooth)\b/,
    ],
    ['bake', /\b(bake\w*|roast\w*|oven|grill\w*)\b/],
    ['dry', /\b(dry|dries|dried|drying|hang\w*|rack)\b/],
    [
      'rest',
      /\b(rest\w*|wait\w*|leave\w*|stand\w*|relax\w*|sit|sits|cover\w*|wrap\w*|bag|soak\w*|hydrate|sleep\w*|riposa\w*|reposa\w*|ripos\w*|drink|later|swell)\b/,
    ],
  ],
  wholeTime: /\b(ready|total|altogether|everything|finish\w*|overall)\b/,
  readyIn: /(?:ready|done|table|finished|plate) in (?:about |under )?$/,
  cookedFirst: /\b(potato|squash|pumpkin|beet\w*|spinach|curd|ricotta|soda|egg)\b/,
  thickness: /\b(thick\w*|thin\w*|roll\w*|sheet|rope|strand)\b/,
  // “Makes 800 g of dough”, “dough weight 760 g”, “820 g in all”.
  totals: [
    /(‹a\d+›) (?:of )?(?:the |finished |raw |fresh |firm |soft |stiff |smooth |ready )*(?:dough|batter|pasta|gnocchi|noodle|mixture|mass)\b/,
    /\b(?:dough|batter|mixture|lump|block|mass|batch) (?:\w+ |[:=,(] ?){0,4}?(‹a\d+›)/,
    /\b(?:make|yield|give|total|weigh|come|sum)\w* (?:(?!a )\w+ |[:=(] ?){0,3}?(‹a\d+›)/,
    /(‹a\d+›) (?:in all|in total|altogether|all told|all together|total|overall)\b/,
  ],
  notATotal:
    /\b(each|per|apiece|portion|serving|piece|nest|ball|lump of|lumps|rope|person|flour weight|every|plate|sheet|strand|divide)\b/,

  methods: [
    ['extrude', /\b(extru\w*|hopper|nozzle|barrel)\b/i],
    ['drop', /\b(batter|drops?|dropped|scrap\w+|push(ed)? (it |them )?through|through (the )?(\w+ )?holes|slack)\b/i],
    ['pull', /\b(pull(ed|s|ing)?|stretch(ed)?)\b/i],
  ],
  stiff: /\b(knead\w*|roll(ed|ing)?|rolling pin|rope\w*|sheet\w*|block|shape\w*|stiff|firm|elastic)\b/i,
  regions: [
    ['jp', /\bjapan\w*\b|\b(kyorikiko|churikiko|hakurikiko|oosaji|kosaji|kappu|hitotsumami|katakuriko)\b/i],
    ['au', /\baustralia\w*\b/i],
    ['uk', /\bimperial\b|\b(uk|british) (pint|cup|spoon|recipe|measure)|\bhalf a pint\b.*\bplain flour\b/i],
    ['metric', /\bmetric (cup|spoon|measure)/i],
    ['us', /\b(us|american) (cup|pint|spoon|measure)|\ball[- ]purpose\b|\bkosher\b/i],
  ],
}
