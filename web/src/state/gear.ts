/** Changes of Gear, and of what it keeps in lists. */
import { gearParts, type Gear, type GearPart, type PartOf } from '@harina/core'
import { change, say, type Change } from './workspace.ts'

export const changeGear = (edit: (gear: Gear) => Gear): Change => change('gear', 'gear', edit)

/** Figures and choices of Gear, each by its name. */
export const setGear = (part: Partial<Gear>): Change => changeGear((gear) => ({ ...gear, ...part }))

function changeList<P extends GearPart>(part: P, edit: (list: readonly PartOf<P>[]) => readonly PartOf<P>[]): Change {
  const list = gearParts[part].list
  return changeGear((gear) => ({ ...gear, [list]: edit(gear[list] as readonly unknown[] as readonly PartOf<P>[]) }))
}

export const addPart = <P extends GearPart>(part: P, made: PartOf<P>): Change =>
  changeList(part, (list) => [...list, made])

export const changePart = <P extends GearPart>(part: P, id: string, edit: (made: PartOf<P>) => PartOf<P>): Change =>
  changeList(part, (list) => list.map((each) => (each.id === id ? edit(each) : each)))

export const removePart = <P extends GearPart>(part: P, gone: PartOf<P>): void =>
  void say(
    `${gone.name} is removed`,
    changeList(part, (list) => list.filter((each) => each.id !== gone.id)),
  )
