/**
 * The words of a recipe in English, as data: another language is a second table of this form. Patterns are of a sentence in
 * which ingredients stand as ‹iN› and amounts as ‹aN›, all else in small letters without accents.
 */

export const english = {
  /** Between two figures. */
  to: ['to', 'or', 'a', 'o'],
  plus: ['plus', 'and', 'piu', 'mas', 'e', 'y'],
  /** Between an amount and what it is of. */
  of: ['of', 'di', 'de', 'the', 'a', 'an', 'some', 'good', 'any', 'd', 'della', 'del'],
  /** After which a new thing begins: an amount does not reach over them. */
  breaks: new Set([
    ...['with', 'in', 'into', 'and', 'to', 'on', 'onto', 'for', 'from', 'at', 'over', 'until', 'then', 'plus', 'or', 'by'],
    ...['mix', 'add', 'knead', 'stir', 'pour', 'work', 'sieve', 'sift', 'rub', 'dissolve', 'mash', 'make', 'roll', 'is', 'are'],
    ...['con', 'per', 'em', 'en', 'y', 'e', 'nel', 'nella', 'che', 'as', 'than', 'rest', 'boil', 'cook', 'but', 'if', 'when'],
  ]),
  /** What an amount may be called without being an ingredient. */
  noThing: new Set([
    ...['dough', 'pieces', 'piece', 'balls', 'ball', 'lumps', 'lump', 'portions', 'portion', 'nests', 'nest', 'each', 'ropes'],
    ...['rope', 'strands', 'holes', 'die', 'dice', 'cubes', 'people', 'person', 'persons', 'servings', 'serving', 'sheets', 'tray'],
    ...['sheet', 'batch', 'more', 'less', 'humidity', 'moisture', 'protein', 'hydration', 'litre', 'salted', 'time', 'times', 'go'],
    ...['turn', 'turns', 'passes', 'pass', 'setting', 'settings', 'go', 'goes', 'it', 'them', 'this', 'that', 'total', 'in', 'per'],
    ...['long', 'thick', 'wide', 'high', 'across', 'apart', 'deep', 'later', 'ago', 'old', 'pan', 'pot', 'bowl', 'head', 'all'],
    ...['or', 'so', 'at', 'a', 'the', 'to', 'for', 'and', 'lots', 'of', 'parts', 'part', 'weight', 'is', 'cut', 'blocks', 'block'],
    ...['now', 'then', 'makes', 'gives', 'sacks', 'sack', 'bag', 'bags', 'with', 'by', 'raw', 'cooked', 'dry', 'dried', 'fresh'],
  ]),
  small: /^(small|little)$/,
  large: /^(large|big)$/,
  sizes: new Set(['small', 'medium', 'large', 'big', 'extra', 'jumbo', 'little']),
  /** A heading or a line after which what is named is not the dough's. */
  notTheDough:
    /\b(sauce|dressing|filling|stuffing|topping|to serve|for serving|to finish|garnish|broth|soup|for the pot|for cooking|for boiling|cooking water|pasta water|to cook|condimento|ripieno|salsa|relleno|sugo|dip|seasoning for|for the table)\b/,
  theDough: /\b(dough|ingredients|pasta|noodles?|batter|gnocchi|impasto|masa|ingredienti|ingredientes|flour)\b/,
  /** In one sentence: from there on it is not the dough's. */
  notFromHere:
    /\b(serve|served|toss|dress|dressed|top with|garnish|finish with|sauce|for the sauce|for the filling|fill with|brush|fry in|brown in|to serve|drizzle over)\b/,
  /** The pot: water and salt after one of these are for cooking in. */
  pot: /\b(boil|boiled|boils|cook|cooked|cooks|simmer|poach|blanch|pot|pan|saucepan|cuoci|cuocere|lessa|hierve|cuece|drop them|drop the|lower|steam)\b/,
  potIs: /\b(pot|pan|saucepan|cooking water|pasta water|pot water|for cooking|for boiling|per litre|a litre|per liter|a liter|to the litre|each litre)\b/,
  dusting: /\b(dusting|to dust|for the board|on the board|for rolling|for flouring|bench flour|for sprinkling|flour the|dust with|dust the|dusted|spolverare|espolvorear|to roll)\b/,
  /** Told again, not more of it. */
  again: /\b(of the|of this|of that|remaining|rest of|the rest|last|reserved|held back|hold back|half the|the other|del totale)\b/,
  more: /\b(another|more|extra|further|additional|a second|again)\b/,
  per: /\b(per person|a person|per head|a head|each person|per portion|per serving|each serving|a serving|for each person|for one person|apiece|a plate|per plate|a testa|por persona|a persona|per persona)\b/,
  people: /\b(?:for|serves|feeds|serving|per|para)\s+(‹a\d+›|two|three|four|five|six|eight|ten|twelve)(?=\s*(?:people|persons?|eaters|portions?|servings?|persone|personas|of us|guests|hungry|,|\.|:|;|$))/,
  perOther: /\b(each|apiece|per (?:piece|nest|ball|lump|rope|portion|sheet|litre|liter)|a (?:litre|liter|piece|nest|rope|ball|portion)|every|lumps?|pieces?|nests?|balls?|portions?|ropes?|logs?)\b/,
} as const
