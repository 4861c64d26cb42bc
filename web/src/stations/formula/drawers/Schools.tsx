/** Where makers disagree: the positions, their reasons, and what taking one would change on this sheet. */
import {
  formatPercent,
  planBatch,
  saltAsCounted,
  tryPositions,
  whyOf,
  type Family,
  type Kitchen,
  type School,
  type TriedPosition,
  type Worked,
} from '@harina/core'
import { useMemo } from 'react'
import { changeGear } from '#web/state/gear.ts'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import {
  changedLines,
  changeWords,
  listed,
  planLines,
  refusalWords,
  restWords,
  type StepLine,
  type Worded,
} from '#web/words/index.ts'
import { Term } from '#web/ui/Term.tsx'

/** When it is planned has no say in its words. */
const AT = '2000-01-01T00:00:00Z'

/** So many lines of the steps are read out; the rest is seen at the bench. */
const MOST_LINES = 3

/** What taking it would change here: rows, then heat, rest, hold-back and the pot, then the lines that are read at the bench. */
function changesOf(from: Worked, now: readonly StepLine[], tried: TriedPosition, words: Worded): readonly string[] {
  const told = tried.rows.map((change) => changeWords(change, words))
  const { worked: to, plan } = tried
  if (!to) return told
  const [a, b] = [from.practice, to.practice]
  const practice = [
    ...(a.restMin !== b.restMin || a.restCold !== b.restCold
      ? [`rest ${restWords(b)}${b.restCold ? ' in the fridge' : ''}, in place of ${restWords(a)}`]
      : []),
  ]
  const lines = plan ? changedLines(now, planLines(plan, to.shape, words)) : []
  return [
    ...told,
    ...practice,
    ...lines.slice(0, MOST_LINES).map(({ at, text }) => `${at}: ${text.replace(/\.$/, '')}`),
  ]
}

interface Taken extends TriedPosition {
  readonly changes: readonly string[]
}

function PositionLine({
  school,
  taken: { position, sheet, changes },
  chosen,
  kitchen,
  family,
}: {
  school: School
  taken: Taken
  chosen: boolean
  kitchen: Kitchen
  family: Family
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
      <p className="small leading-snug">{whyOf(position, family).join('; ')}.</p>
      {changes.length > 0 && !chosen && <p className="text-label leading-snug">Would change: {changes.join('; ')}.</p>}
    </li>
  )
}

/** One question and who answers it how; nothing where no answer would change this sheet. */
function OneSchool({ school, worked, kitchen }: Omit<DrawerProps, 'onClose'> & { school: School }) {
  const words = useUnits()
  const chosen = { ...kitchen.gear.schools, ...worked.sheet.schools }[school.id]
  const all = useMemo(() => {
    const now = planLines(planBatch(worked, kitchen, AT, null), worked.shape, words)
    return tryPositions(worked, school, kitchen).map((tried): Taken => ({
      ...tried,
      changes: changesOf(worked, now, tried, words),
    }))
  }, [worked, school, kitchen, words])
  const isOffered = ({ position, plan, refused }: Taken) =>
    refused === null && (plan !== null || position.id === chosen)
  const offered = all.filter(isOffered)
  const isSo = all.filter((each) => each.refused === null && !isOffered(each))
  const reasons = [...new Set(all.flatMap(({ refused }) => refused ?? []))]
  if (!offered.some(({ plan }) => plan)) return null
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
            family={worked.dough.family}
          />
        ))}
      </ul>
      {isSo.length > 0 && (
        <p className="small pl-4 leading-snug">So already: {listed(isSo.map(({ position }) => position.name))}.</p>
      )}
      {reasons.map((why) => (
        <p key={why} className="small pl-4 leading-snug">
          Not here: {listed(all.filter(({ refused }) => refused === why).map(({ position }) => position.name))};{' '}
          {refusalWords[why]}.
        </p>
      ))}
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
