import { z } from '../../zod.ts'
import { benchEventSchema } from '../benchEvent.ts'
import { kindOf } from './kind.ts'
import { each, one, together, upgradesOf, type Upgrade } from '../loose.ts'
import { planReferences, planSchema, planUpgrades } from '../plan.ts'
import { under } from '../reference.ts'
import { trayEventAt11, trayEventAt9 } from '../tray.ts'
import { idSchema } from '../text.ts'

/** What the book of one batch takes. */
export const MAX_EVENTS = 20_000

export const batchSchema = z.lazy(() =>
  z.strictObject({
    id: idSchema,
    plan: planSchema,
    events: z.array(benchEventSchema).check(z.maxLength(MAX_EVENTS)),
  }),
)

export type Batch = z.infer<typeof batchSchema>

/** A browser keeps the events of an open batch apart. */
const ofEvents =
  (upgrade: Upgrade): Upgrade =>
  (batch) =>
    'events' in batch ? { ...batch, events: each(batch['events'], upgrade) } : batch

export const batchKind = kindOf({
  home: 'batches',
  one: false,
  held: false,
  // Open ones have their events a row each: see the store's own tables.
  table: { name: 'closedBatches', keys: 'id' },
  schema: batchSchema,
  references: [
    ...under('plan', planReferences),
    // Both parts of a dough that was split name each other.
    { at: 'events.*.other', to: 'batch', partOf: true },
    { at: 'events.*.shape', to: 'shape' },
    { at: 'events.*.roller.id', to: 'roller' },
    { at: 'events.*.pot.id', to: 'pot' },
  ],
  upgrades: together(
    upgradesOf(planUpgrades, (upgrade) => (batch) => ({ ...batch, plan: one(batch['plan'], upgrade) })),
    { 9: ofEvents(trayEventAt9), 11: ofEvents(trayEventAt11) },
  ),
  since: 1,
  nameOf: ({ plan }) => plan.sheet.name,
})
