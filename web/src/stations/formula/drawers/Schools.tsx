/** Where makers disagree: the positions, their reasons, and what taking one would change on this sheet. */
import {
  applySchool,
  computeSheet,
  diffSheets,
  formatPercent,
  planSteps,
  saltAsCounted,
  type Kitchen,
  type Position,
  type School,
  type Sheet,
  type Worked,
} from '@harina/core'
import { changeGear } from '#web/state/gear.ts'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { changeWords, listed, restWords, type Worded } from '#web/words/index.ts'
import { Term } from '#web/ui/Term.tsx'

/** What changes in the work itself, where no row does: heat, rest, hold-back, the pot, and the steps at the bench. */
function practiceChanges(from: Worked, to: Worked, kitchen: Kitchen, { temperature, mass }: Worded): string[] {
  const [a, b] = [from.practice, to.practice]
  const told = [
    ...(a.waterC !== b.waterC && b.waterC !== null ? [`water at about ${temperature(b.waterC)}`] : []),
    ...(a.restMin !== b.restMin || a.restCold !== b.restCold
      ? [`rest ${restWords(b)}${b.restCold ? ' in the fridge' : ''}`]
      : []),
    ...(a.potSaltGPerL !== b.potSaltGPerL ? [`${b.potSaltGPerL} g of salt a litre in the pot`] : []),
    ...(from.water.holdBackG !== to.water.holdBackG ? [`${mass(to.water.holdBackG)} held back`] : []),
  ]
  if (told.length > 0) return told
  const steps = (worked: Worked) => JSON.stringify(planSteps(worked, kitchen))
  return steps(from) === steps(to) ? [] : ['the steps at the bench']
}

interface Taken {
  readonly position: Position
  readonly sheet: Sheet
  /** What taking it would change here, in words. */
  readonly changes: readonly string[]
}

function takenHere({ worked, kitchen }: Omit<DrawerProps, 'onClose'>, school: School, words: Worded): readonly Taken[] {
  return school.positions.map((position) => {
    const sheet = applySchool(worked, school.id, position, kitchen)
    const computed = computeSheet(sheet, kitchen)
    const rows = diffSheets(worked.sheet, sheet, kitchen).filter(({ code }) => code !== 'school' && code !== 'heat')
    return {
      position,
      sheet,
      changes: [
        ...rows.map((change) => changeWords(change, words)),
        ...(computed.ok ? practiceChanges(worked, computed.value, kitchen, words) : []),
      ],
    }
  })
}

function PositionLine({
  school,
  taken: { position, sheet, changes },
  chosen,
  kitchen,
}: {
  school: School
  taken: Taken
  chosen: boolean
  kitchen: Kitchen
}) {
  const { edit } = useSheet()
  return (
    <li className={`border-l-5 py-1.5 pl-3 ${chosen ? 'border-family' : 'border-transparent'}`}>
      <div className="flex items-baseline gap-3">
        <span className="flex-1 font-semibold">
          {position.name}
          <span className="small font-normal">: {position.stance}</span>
        </span>
        {chosen ? (
          <span className="small">this sheet’s</span>
        ) : (
          <button
            type="button"
            className="quiet"
            aria-label={`${school.topic}: ${position.name}, here`}
            onClick={() => edit(() => sheet)}
          >
            here
          </button>
        )}
        {kitchen.gear.schools[school.id] === position.id ? (
          <span className="small">yours</span>
        ) : (
          <button
            type="button"
            className="quiet"
            aria-label={`${school.topic}: ${position.name}, always`}
            onClick={() =>
              void changeGear((gear) => ({ ...gear, schools: { ...gear.schools, [school.id]: position.id } }))
            }
          >
            always
          </button>
        )}
      </div>
      <p className="small leading-snug">{position.why.join('; ')}.</p>
      {changes.length > 0 && !chosen && <p className="text-label leading-snug">Would change: {changes.join('; ')}.</p>}
    </li>
  )
}

/** One question and who answers it how; nothing where no answer would change this sheet. */
function OneSchool({ school, worked, kitchen }: Omit<DrawerProps, 'onClose'> & { school: School }) {
  const words = useUnits()
  const chosen = { ...kitchen.gear.schools, ...worked.sheet.schools }[school.id]
  const all = takenHere({ worked, kitchen }, school, words)
  const offered = all.filter(({ position, changes }) => changes.length > 0 || position.id === chosen)
  const idle = all.filter((each) => !offered.includes(each))
  if (!offered.some(({ changes }) => changes.length > 0)) return null
  return (
    <section className="mb-4 border-t border-line pt-2">
      <h3 className="head text-lg">{school.question}</h3>
      <ul>
        {offered.map((taken) => (
          <PositionLine
            key={taken.position.id}
            school={school}
            taken={taken}
            chosen={chosen === taken.position.id}
            kitchen={kitchen}
          />
        ))}
      </ul>
      {idle.length > 0 && (
        <p className="small pl-4 leading-snug">
          So already, or not for this dough: {listed(idle.map(({ position }) => position.name))}.
        </p>
      )}
    </section>
  )
}

export default function Schools({ worked, kitchen, onClose }: DrawerProps) {
  const apt = kitchen.schools.filter((school) => school.families.includes(worked.dough.family))
  return (
    <SidePanel title="Schools" onClose={onClose}>
      <p className="mb-3 leading-snug">
        Good makers disagree, in <Term of="school">schools</Term>. <em>Here</em> makes this formula so; <em>always</em>{' '}
        makes it your way for every dough that has no way of its own. Salt stands at{' '}
        {formatPercent(saltAsCounted(worked))} % of the{' '}
        {worked.dough.saltOn === 'base' && worked.control.by === 'base' ? worked.control.base : 'flour'} now.
      </p>
      {apt.map((school) => (
        <OneSchool key={school.id} school={school} worked={worked} kitchen={kitchen} />
      ))}
    </SidePanel>
  )
}
