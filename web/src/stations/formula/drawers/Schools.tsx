/** Where makers disagree: the positions, their reasons, and what taking one would change on this sheet. */
import {
  applySchool,
  computeSheet,
  diffSheets,
  formatPercent,
  type Position,
  type School,
  type Worked,
} from '@harina/core'
import { changeGear } from '#web/state/gear.ts'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { changeWords, restWords, type Worded } from '#web/words/index.ts'

/** What changes in the work itself, where no row does: heat, rest, hold-back, the pot. */
function practiceChanges(from: Worked, to: Worked, { temperature, mass }: Worded): string[] {
  const [a, b] = [from.practice, to.practice]
  return [
    ...(a.waterC !== b.waterC && b.waterC !== null ? [`water at about ${temperature(b.waterC)}`] : []),
    ...(a.restMin !== b.restMin ? [`rest ${restWords(b)}${b.restCold ? ' in the fridge' : ''}`] : []),
    ...(a.potSaltGPerL !== b.potSaltGPerL ? [`${b.potSaltGPerL} g of salt a litre in the pot`] : []),
    ...(from.water.holdBackG !== to.water.holdBackG ? [`${mass(to.water.holdBackG)} held back`] : []),
  ]
}

function PositionLine({
  school,
  position,
  chosen,
  worked,
  kitchen,
}: Omit<DrawerProps, 'onClose'> & { school: School; position: Position; chosen: boolean }) {
  const { edit } = useSheet()
  const words = useUnits()
  const next = applySchool(worked, school.id, position, kitchen)
  const computed = computeSheet(next, kitchen)
  const rows = diffSheets(worked.sheet, next, kitchen).filter(
    (change) => change.code !== 'school' && change.code !== 'heat',
  )
  const changes = [
    ...rows.map((change) => changeWords(change, words)),
    ...(computed.ok ? practiceChanges(worked, computed.value, words) : []),
  ]
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
            onClick={() => edit(() => next)}
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
      {!chosen && (
        <p className="text-label leading-snug">
          {changes.length > 0
            ? `Would change: ${changes.join('; ')}.`
            : position.sets
              ? 'Changes nothing here: it is so already, or this dough’s table allows no more.'
              : 'Changes nothing in the figures: it is in the hand.'}
        </p>
      )}
    </li>
  )
}

export default function Schools({ worked, kitchen, onClose }: DrawerProps) {
  const chosen = { ...kitchen.gear.schools, ...worked.sheet.schools }
  const apt = kitchen.schools.filter((school) => school.families.includes(worked.dough.family))
  return (
    <SidePanel title="Schools" onClose={onClose}>
      <p className="mb-3 leading-snug">
        Good makers disagree. <em>Here</em> makes this formula so; <em>always</em> makes it your way for every dough
        that has no way of its own. Salt stands at {formatPercent(worked.batch.saltPercent)} % of the flour now.
      </p>
      {apt.map((school) => (
        <section key={school.id} className="mb-4 border-t border-line pt-2">
          <h3 className="head text-lg">{school.question}</h3>
          <ul>
            {school.positions.map((position) => (
              <PositionLine
                key={position.id}
                school={school}
                position={position}
                chosen={chosen[school.id] === position.id}
                worked={worked}
                kitchen={kitchen}
              />
            ))}
          </ul>
        </section>
      ))}
    </SidePanel>
  )
}
