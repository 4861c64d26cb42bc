/** What a finished piece looks like, in the figures its drawing is made from. Lengths in mm, angles in degrees. */
import { z } from '../zod.ts'
import { between, whole } from './ranges.ts'

const mm = z.lazy(() => between(0.01, 2000))
const few = z.lazy(() => whole(1, 60))
const size = { lengthMm: mm, widthMm: mm }
const yes = z.lazy(() => z.optional(z.literal(true)))

export const formSchema = z.lazy(() =>
  z.discriminatedUnion('kind', [
    // Pressed and dragged from a cut of rope.
    z.strictObject({ kind: z.literal('ear'), ...size }),
    z.strictObject({ kind: z.literal('hollow'), ...size, dents: z.optional(few) }),
    z.strictObject({ kind: z.literal('ridged-pip'), ...size }),
    z.strictObject({ kind: z.literal('scroll'), ...size }),
    z.strictObject({ kind: z.literal('leaf'), ...size, pointed: yes }),
    z.strictObject({ kind: z.literal('shaving'), ...size }),
    // Rolled under the palm or round a rod.
    z.strictObject({ kind: z.literal('twist'), ...size }),
    z.strictObject({ kind: z.literal('spindle'), ...size, pieces: z.optional(few) }),
    z.strictObject({ kind: z.literal('coil'), ...size, turns: between(0.01, 20) }),
    z.strictObject({ kind: z.literal('screw'), ...size, turns: between(0.01, 20) }),
    z.strictObject({ kind: z.literal('rolled-strip'), ...size, turns: between(0.01, 20) }),
    z.strictObject({ kind: z.literal('corkscrew'), ...size, turns: between(0.01, 20) }),
    z.strictObject({ kind: z.literal('twin'), ...size, turns: between(0.01, 20) }),
    z.strictObject({ kind: z.literal('braid'), ...size }),
    // Long strands; a few of them, and where they are longer than can be shown, a part. `heightMm` makes the section flat.
    z.strictObject({ kind: z.literal('strand'), ...size }),
    z.strictObject({
      kind: z.literal('hank'),
      ...size,
      heightMm: z.optional(mm),
      boreMm: z.optional(mm),
      strands: few,
      folded: yes,
    }),
    z.strictObject({ kind: z.literal('nest'), ...size, heightMm: mm, strands: few, folded: yes }),
    z.strictObject({ kind: z.literal('tangle'), ...size, heightMm: z.optional(mm), strands: few, frizz: yes }),
    z.strictObject({ kind: z.literal('wavy'), ...size, heightMm: mm, strands: few, rough: yes }),
    z.strictObject({ kind: z.literal('skein'), ...size, strands: few }),
    z.strictObject({ kind: z.literal('rods'), ...size, strands: few }),
    z.strictObject({ kind: z.literal('lattice'), ...size, strands: few }),
    z.strictObject({ kind: z.literal('mat'), ...size, strands: few }),
    // Cut from a sheet.
    z.strictObject({ kind: z.literal('band'), ...size, pieces: few }),
    z.strictObject({ kind: z.literal('ruffle'), ...size }),
    z.strictObject({ kind: z.literal('bow'), ...size }),
    z.strictObject({ kind: z.literal('quill'), ...size, sideMm: mm }),
    z.strictObject({ kind: z.literal('scrap'), ...size, torn: yes }),
    z.strictObject({ kind: z.literal('scatter'), ...size, torn: yes }),
    z.strictObject({ kind: z.literal('drape'), ...size }),
    z.strictObject({ kind: z.literal('sheets'), ...size, pieces: few }),
    z.strictObject({ kind: z.literal('rounds'), ...size, pieces: few }),
    z.strictObject({ kind: z.literal('coin'), ...size }),
    // Pressed through a die.
    z.strictObject({
      kind: z.literal('tube'),
      ...size,
      ridges: z.optional(few),
      slantDeg: z.optional(between(0, 60)),
      bendDeg: z.optional(between(0, 170)),
      /** Of its height, how much it sinks as it lies. */
      slack: z.optional(between(0, 0.6)),
      seam: yes,
      pieces: z.optional(few),
    }),
    z.strictObject({ kind: z.literal('spiral'), ...size, turns: between(0.01, 20) }),
    z.strictObject({ kind: z.literal('s-roll'), ...size }),
    z.strictObject({ kind: z.literal('shell'), ...size, ridges: few }),
    z.strictObject({ kind: z.literal('snail'), ...size, ridges: few }),
    z.strictObject({ kind: z.literal('crest'), ...size, heightMm: mm }),
    z.strictObject({ kind: z.literal('radiator'), ...size, fins: few }),
    z.strictObject({ kind: z.literal('stars'), ...size, points: few }),
    // Filled and closed.
    z.strictObject({ kind: z.literal('half-moon'), ...size, heightMm: mm, crimps: few, rolled: yes }),
    z.strictObject({
      kind: z.literal('crescent'),
      ...size,
      heightMm: mm,
      folds: few,
      bendDeg: between(0, 170),
    }),
    z.strictObject({ kind: z.literal('wheat-ear'), ...size, heightMm: mm, folds: few }),
    z.strictObject({ kind: z.literal('purse'), ...size, heightMm: mm, folds: few }),
    z.strictObject({ kind: z.literal('ring-pocket'), ...size }),
    z.strictObject({ kind: z.literal('parcel'), ...size, heightMm: mm }),
    z.strictObject({ kind: z.literal('square-pocket'), ...size, heightMm: mm, teeth: few }),
    // Dropped, and the soft doughs.
    z.strictObject({ kind: z.literal('drop'), ...size, pieces: z.optional(few) }),
    z.strictObject({ kind: z.literal('fish'), ...size }),
    z.strictObject({ kind: z.literal('buttons'), ...size, rough: yes }),
    z.strictObject({ kind: z.literal('quenelle'), ...size, facets: z.optional(few) }),
    z.strictObject({ kind: z.literal('pillow'), ...size, ridges: few }),
    z.strictObject({ kind: z.literal('cushion'), ...size }),
    z.strictObject({ kind: z.literal('slant'), ...size, heightMm: mm, scored: yes }),
    z.strictObject({ kind: z.literal('ball'), ...size }),
  ]),
)

export type Form = z.infer<typeof formSchema>
export type FormKind = Form['kind']
export type FormOf<Kind extends FormKind> = Extract<Form, { kind: Kind }>
