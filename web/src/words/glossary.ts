/** The words of the craft and of this board, each in a sentence or two; and what each station is for. */

export const stationWords: readonly (readonly [string, string])[] = [
  ['Formula', 'Think a dough out: what goes in, how wet it is, how much of it.'],
  ['Shape', 'See what the dough can be made into, how, and how many pieces.'],
  ['Bench', 'Make it, one step at a time, with the clocks and the scale.'],
  ['Dry', 'See how far the trays on the rack are, by the scale, and when each may be packed.'],
  ['Pot', 'Water, salt and baskets: when each goes in, and how to have them up together.'],
  ['Log', 'Look back: what was planned, poured and eaten, and start again from it.'],
  ['Gear', 'Say once what you have: scale, places, machines, sacks, units. Files too.'],
]

export const glossary = [
  ['draft', 'The formula being worked on. It stays until another is opened; keep it in the book to have it for good.'],
  ['hydration', 'Water on 100 of flour, by weight: 48 means 48 g of water to 100 g of flour.'],
  ['point', 'One on 100 of flour. On 500 g of flour a point of water is 5 g.'],
  ['poured, effective', 'Poured is plain water. Effective counts the water in egg, milk and purée as well.'],
  [
    'at standard 14 % flour moisture',
    'Flour holds water of its own, more in damp air. To be compared, doughs are told as if their flour held 14 %.',
  ],
  [
    'free at once',
    'What is left of the water when egg and fibre have kept theirs: what the dough feels like at first.',
  ],
  ['window', 'From where to where a dough or a shape works, and where it is best: the bars over the rule.'],
  ['solved', 'This figure follows from the others. Type another one, and it follows again.'],
  ['hold', 'Keeps one line at its grams; everything else is scaled to it.'],
  ['hold back', 'Water (or flour) that waits in a cup until the dough has been felt. It goes in only if asked for.'],
  ['include past batches', 'What this sack has drunk more or less than paper says, from its own batches in the log.'],
  ['left on bowl and board', 'Dough that never becomes pieces. So much more is made.'],
  ['base', 'What the flour of gnocchi is counted on: cooked potato, squash, curd or milk.'],
  ['school', 'One way of doing it where good makers differ. Yours are in Gear; a formula may follow another.'],
  ['first pour', 'The water that goes in before the dough is first felt. What is held back stays out.'],
  ['crumb', 'A dough so stiff that it stays in grains until a screw or rollers press it.'],
  ['die', 'The plate with holes that a press pushes dough through.'],
  [
    'middle lags',
    'The middle of a piece is wetter than its surface. As the surface sets, a thick piece with a wet middle may crack, a thin one seldom does.',
  ],
  [
    'warm and wet',
    'Out of the fridge and above about 17 % water, where germs can grow; the warmer, the faster. The shorter, the better.',
  ],
  [
    'water activity',
    'How much of the water in a piece is free for what grows in it: 1 in a wet dough, 0.60 where even moulds stop.',
  ],
  ['give or take', 'Nine times out of ten the answer lies within so much to either side, or nearly.'],
] as const satisfies readonly (readonly [string, string])[]

export type Term = (typeof glossary)[number][0]
