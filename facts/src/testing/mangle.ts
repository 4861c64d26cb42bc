/** Recipes as nobody would write them: cut, shuffled, doubled, with figures and signs thrown in. */

const PIECES = [
  ...[
    '500 g',
    '1/0',
    '½',
    '1e9 kg',
    '-3 g',
    '∞',
    'NaN',
    '0 cups',
    '9999999999999999999 tbsp',
    '%',
    '100 %',
    '1,250',
    '٣',
    '２００',
  ],
  ...[
    'flour',
    'water',
    'eggs',
    'half as much water as flour',
    'divide the flour by 0',
    'ratio 0:0',
    'per person',
    'for 0 people',
  ],
  ...[
    '\n',
    '\t',
    '\u0000',
    '\uD800',
    '|',
    '|---|',
    '# ',
    '- ',
    '(',
    ')',
    '<script>',
    '</script>',
    '{"@type":"Recipe"',
    ']',
    '}',
    '&#x110000;',
  ],
  ...[
    '&frac12;',
    '…',
    '’s',
    'd’',
    '“',
    '🥟',
    'a',
    'of',
    'to',
    'plus',
    'x',
    '/',
    '-',
    '–',
    '°C',
    'in 4 litres',
    'salt',
    'parts',
    '.',
  ],
]

/** @param even numbers from 0 up to 1 */
export function mangled(text: string, even: () => number): string {
  let made = text
  const times = 1 + Math.floor(6 * even())
  for (let n = 0; n < times; n += 1) {
    const at = Math.floor(even() * (made.length + 1))
    const to = Math.min(made.length, at + Math.floor(even() * 40))
    const piece = PIECES[Math.floor(even() * PIECES.length)]!
    const how = even()
    if (how < 0.25) made = made.slice(0, at) + made.slice(to)
    else if (how < 0.6) made = `${made.slice(0, at)} ${piece} ${made.slice(at)}`
    else if (how < 0.8)
      made = made.slice(0, at) + made.slice(at, to).repeat(2 + Math.floor(4 * even())) + made.slice(to)
    else if (how < 0.9) made = made.slice(at) + made.slice(0, at)
    else made = made.slice(0, at) + String.fromCharCode(Math.floor(even() * 0xffff)) + made.slice(at)
  }
  return made
}
