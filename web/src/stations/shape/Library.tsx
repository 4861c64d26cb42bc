/** Every shape there is, looked through by words and by what one has and wants. */
import {
  anyShape,
  FAMILIES,
  findShapes,
  GROUPS,
  MACHINES,
  plainWords,
  textOf,
  type Kitchen,
  type Shape,
  type ShapeQuery,
} from '@harina/core'
import { memo, useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { useLocation, useNavigate, useSearchParams } from 'react-router'
import { familyName } from '../../ui/family.tsx'
import { ShapeThumb } from '../../ui/ShapeEngraving.tsx'
import { tables } from '../../state/tables.ts'
import { difficultyWords, groupWords, machineWords, shapeSynonyms } from '../../words/index.ts'
import { Choice } from '../../ui/Choice.tsx'
import { PrintButton } from '../../ui/PrintButton.tsx'
import { LookAt } from './LookAt.tsx'

interface SelectProps {
  readonly label: string
  readonly value: string
  readonly any: string
  readonly options: readonly (readonly [string, string])[]
  readonly onChange: (value: string | null) => void
}

const Select = ({ label, value, any, options, onChange }: SelectProps) => (
  <label className="flex flex-col">
    <span className="small">{label}</span>
    <Choice
      label={label}
      className="box max-w-50"
      value={value}
      none={any}
      options={options}
      onChange={(chosen) => onChange(chosen || null)}
    />
  </label>
)

/** For a hundred pieces, strands or portions in practised hands. */
const TIMES: readonly (readonly [string, string])[] = [
  ['3', 'under 3 min'],
  ['6', 'under 6 min'],
  ['12', 'under 12 min'],
  ['30', 'under half an hour'],
]

function Filters({ query, onChange }: { query: ShapeQuery; onChange: (query: ShapeQuery) => void }) {
  const set = (part: Partial<ShapeQuery>) => onChange({ ...query, ...part })
  return (
    <form
      data-screen-only
      className="flex flex-wrap items-end gap-x-4 gap-y-2"
      role="search"
      onSubmit={(event) => event.preventDefault()}
    >
      <label className="flex flex-col">
        <span className="small">Name, place, tool or dough</span>
        <input
          type="search"
          className="box w-52.5"
          value={query.words}
          maxLength={100}
          onChange={(event) => set({ words: event.target.value })}
        />
      </label>
      <Select
        label="Dough"
        value={query.family ?? ''}
        any="any family"
        options={FAMILIES.map((family) => [family, familyName[family]])}
        onChange={(family) => set({ family: family as ShapeQuery['family'] })}
      />
      <Select
        label="Made"
        value={query.group ?? ''}
        any="any way"
        options={GROUPS.map((group) => [group, groupWords[group]])}
        onChange={(group) => set({ group: group as ShapeQuery['group'] })}
      />
      <Select
        label="For"
        value={query.sauce ?? ''}
        any="any sauce"
        options={tables().sauces.map(({ id, name }) => [id, name])}
        onChange={(sauce) => set({ sauce: sauce as ShapeQuery['sauce'] })}
      />
      <Select
        label="Time for 100 pieces"
        value={query.minutesPer100 === null ? '' : String(query.minutesPer100)}
        any="any time"
        options={TIMES}
        onChange={(minutes) => set({ minutesPer100: minutes === null ? null : Number(minutes) })}
      />
      <Select
        label="No harder than"
        value={query.difficulty === null ? '' : String(query.difficulty)}
        any="anything"
        options={[1, 2, 3, 4].map((level) => [String(level), difficultyWords[level]!])}
        onChange={(level) => set({ difficulty: level === null ? null : Number(level) })}
      />
      <fieldset className="flex flex-wrap gap-3 pb-1">
        <legend className="small">Without</legend>
        {MACHINES.map((machine) => (
          <label key={machine} className="flex items-center gap-1 whitespace-nowrap">
            <input
              type="checkbox"
              checked={query.without.includes(machine)}
              onChange={(event) =>
                set({
                  without: event.target.checked
                    ? [...query.without, machine]
                    : query.without.filter((each) => each !== machine),
                })
              }
            />
            {machineWords[machine]}
          </label>
        ))}
      </fieldset>
    </form>
  )
}

interface TileProps {
  readonly shape: Shape
  readonly shown: boolean
  readonly onOpen: (shape: Shape) => void
}

/** All tiles stay; those that are not wanted are hidden, so a filter costs a class and no drawing. */
const Tile = memo(({ shape, shown, onOpen }: TileProps) => (
  <li hidden={!shown} className="[contain-intrinsic-size:auto_148px] [content-visibility:auto]">
    <button
      type="button"
      data-printed
      className="flex h-full w-full flex-col items-center gap-1 border-b border-line px-1 py-2 text-center hover:bg-ground"
      onClick={() => onOpen(shape)}
    >
      <ShapeThumb shape={shape} width={128} height={84} />
      <span className="head text-base leading-tight">{shape.name}</span>
      <span className="small leading-tight">{shape.otherNames[0] ?? groupWords[shape.group]}</span>
    </button>
  </li>
))
Tile.displayName = 'Tile'

/** Which shape is looked at stands in the address, so that the browser's own way back leads back too. */
function useLooking(shapes: Kitchen['shapes']) {
  const [search, setSearch] = useSearchParams()
  const { key } = useLocation()
  const navigate = useNavigate()
  const looked = shapes.get(search.get('look') ?? '') ?? null
  const stoodAt = useRef(0)
  const isLooking = looked !== null
  // The list is found again where it was left.
  useLayoutEffect(() => {
    const work = document.getElementById('work')
    work?.scrollTo(0, isLooking ? 0 : stoodAt.current)
  }, [isLooking])
  const look = useCallback(
    (shape: Shape) => {
      stoodAt.current = document.getElementById('work')?.scrollTop ?? 0
      setSearch({ look: shape.id })
    },
    [setSearch],
  )
  // To where it was looked at from: the list, a sauce, the find panel.
  const back = () => (key === 'default' ? setSearch({}) : void navigate(-1))
  return { looked, look, back }
}

export default function Library({ kitchen }: { kitchen: Kitchen }) {
  const [query, setQuery] = useState<ShapeQuery>(anyShape)
  const { doughs, shapes } = kitchen
  const all = useMemo(() => [...shapes.values()], [shapes])
  const texts = useMemo(
    () =>
      new Map(all.map((shape) => [shape.id, `${textOf(shape, doughs)} ${plainWords(shapeSynonyms[shape.id] ?? '')}`])),
    [all, doughs],
  )
  const found = useMemo(() => new Set(findShapes(all, query, { texts, doughs })), [all, query, texts, doughs])
  const { looked, look, back } = useLooking(shapes)
  if (looked) return <LookAt shape={looked} kitchen={kitchen} onBack={back} />
  return (
    <div>
      <h1 className="sr-only">All shapes</h1>
      <Filters query={query} onChange={setQuery} />
      <p className="small mt-1" role="status">
        {found.size === all.length ? `${all.length} shapes` : `${found.size} of ${all.length} shapes`}
        {found.size === 0 && ': loosen a filter, or make your own from one that comes near. '}
        {found.size < all.length && (
          <button type="button" className="quiet ml-2" onClick={() => setQuery(anyShape)}>
            Show all
          </button>
        )}
        <span className="ml-4">
          <PrintButton />
        </span>
      </p>
      <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(140px,1fr))] gap-x-2" aria-label="Shapes">
        {all.map((shape) => (
          <Tile key={shape.id} shape={shape} shown={found.has(shape)} onOpen={look} />
        ))}
      </ul>
    </div>
  )
}
