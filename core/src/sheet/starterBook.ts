/** A first book for a maker who has none: one or more formulas a family, from the tables and by the maker's own schools. */
import type { Formula } from '../model/index.ts'
import type { Kitchen } from './kitchen.ts'
import { startSheet } from './startSheet.ts'

/** A dough, a shape it is known for, and what it is for. */
const STARTERS = [
  ['sw-hand', 'one-dent-shells', 'by hand'],
  ['sw-hand', 'little-ears', 'by hand'],
  ['soft-hand', 'hand-rolled-strand', 'by hand'],
  ['sw-crumb', 'ridged-tubes', 'extruder'],
  ['gf-hot', 'pressed-spirals', 'without gluten'],
  ['salted-sheeted', 'flat-white', 'noodles'],
  ['wrapper-cold', 'boiled-wrapper', 'skins'],
  ['pulled-soft', 'fold-pulled', 'noodles'],
  ['alk-low', 'alk-thin', 'noodles'],
  ['batter-board', 'board-scraped', 'drops'],
  ['gn-potato', 'potato-ridged', 'gnocchi'],
  ['gn-curd', 'curd-gnocchi', 'gnocchi'],
  ['gn-semolina-disc', 'baked-discs', 'gnocchi'],
] as const

/** What the tables at hand have of them. `at` is now, ISO 8601; `newId` gives an identifier nobody has. */
export function starterBook(kitchen: Kitchen, at: string, newId: () => string): readonly Formula[] {
  return STARTERS.flatMap(([doughId, shapeId, tag]) => {
    const [dough, shape] = [kitchen.doughs.get(doughId), kitchen.shapes.get(shapeId)]
    if (!dough || !shape) return []
    const sheet = { ...startSheet(dough, shape, kitchen), name: shape.name }
    return [{ id: newId(), sheet, tags: [tag], archived: false, versions: [], createdAt: at, updatedAt: at }]
  })
}
