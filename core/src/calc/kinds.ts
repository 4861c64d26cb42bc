/** The kinds of request the port answers: for each its schema and the function of the core behind it. */
import { alkaliKinds } from './alkaliKinds.ts'
import { formulaKinds } from './formulaKinds.ts'
import { geometryKinds } from './geometryKinds.ts'
import { heatKinds } from './heatKinds.ts'
import { transportKinds } from './transportKinds.ts'
import { evenness } from '../bench/index.ts'
import { CUP_ML, readQuantity } from '../quantity/index.ts'
import { decode, REGIONS } from '../recipe/index.ts'
import { z } from '../zod.ts'
import { contradictionMessage } from './messages.ts'
import { kind, notNegative, plain, positive, type Kind } from './kind.ts'

const MOST_PIECES = 100_000
/** What is longer than a field is refused by the reader itself. */
const LONGEST_TEXT = 100_000
const LONGEST_RECIPE = 2_000_000

export const kinds: Readonly<Record<string, Kind>> = {
  ...formulaKinds,
  ...alkaliKinds,
  ...heatKinds,
  ...transportKinds,
  ...geometryKinds,
  pieces: kind(
    z.strictObject({
      kind: z.literal('pieces'),
      grams: z.array(positive).check(z.minLength(1), z.maxLength(MOST_PIECES)),
      targetG: positive,
      tolerancePercent: notNegative,
      sigmaG: z.optional(notNegative),
    }),
    (request) => plain(evenness(request)),
  ),
  decode: kind(
    z.strictObject({
      kind: z.literal('decode'),
      text: z.string().check(z.maxLength(LONGEST_RECIPE)),
      region: z.optional(z.enum(REGIONS)),
    }),
    ({ text, region }, { recipes }) => {
      const { rows, hydration, contradictions, unread } = decode(text, recipes, { region })
      return plain({
        rows: rows.map(({ id, name, grams, low, high, flour, read }) => ({ id, name, grams, low, high, flour, read })),
        hydration,
        contradictions: contradictions.map((each) => ({ code: each.code, message: contradictionMessage(each) })),
        unread: unread.map(({ text: words }) => words),
      })
    },
  ),
  'read-quantity': kind(
    z.strictObject({
      kind: z.literal('read-quantity'),
      text: z.string().check(z.maxLength(LONGEST_TEXT)),
      as: z.enum(['g', '%', 'mm', '°C', 'min', 'count']),
      gPerMl: z.optional(positive),
      cupMl: z._default(positive, CUP_ML.metric),
      each: z.optional(z.record(z.string(), positive)),
    }),
    ({ text, as, gPerMl, cupMl, each }) => {
      const read = readQuantity(text, as, { filled: gPerMl === undefined ? undefined : { gPerMl, cupMl }, each })
      return read.ok ? plain({ value: read.value }) : read
    },
  ),
}
