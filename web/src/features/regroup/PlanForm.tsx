import { useState } from 'react'
import { Button } from '@/ui/Button'
import { Combobox } from '@/ui/Combobox'
import { Slider } from '@/ui/Slider'
import { Tick } from '@/ui/Tick'
import { evenSizes, type Plan } from './groups'

type Person = { studentId: string; name: string }

/** How many groups, how large, and who must or must not be together. */
export function PlanForm({ plan, people, onChange }: { plan: Plan; people: Person[]; onChange: (plan: Plan) => void }) {
  const name = (id: string) => people.find((p) => p.studentId === id)?.name ?? '?'
  const even = evenSizes(people.length, plan.groups)
  const isEven = plan.least === even.least && plan.most === even.most
  return (
    <div className="flex flex-col gap-4">
      <div>
        <Slider
          label="Groups"
          least={1}
          most={Math.max(1, Math.ceil(people.length / 2))}
          value={plan.groups}
          onChange={(groups) => onChange({ ...plan, groups, ...(isEven ? evenSizes(people.length, groups) : {}) })}
          note={
            people.length > 0
              ? `${people.length} students: ${even.least === even.most ? even.least : `${even.least} or ${even.most}`} each when even.`
              : undefined
          }
        />
        <Tick
          label="Sizes as even as can be"
          checked={isEven}
          onChange={(on) => onChange({ ...plan, ...(on ? even : { least: 1, most: 0 }) })}
        />
        <Tick
          label="Each group holds the classes like the whole"
          checked={plan.classes}
          onChange={(on) => onChange({ ...plan, classes: on })}
        />
      </div>
      <Pairs
        title="Apart"
        empty="Nobody is kept apart."
        pairs={plan.apart}
        people={people}
        name={name}
        onChange={(apart) => onChange({ ...plan, apart })}
      />
      <Pairs
        title="Together"
        empty="Nobody must be together."
        pairs={plan.together}
        people={people}
        name={name}
        onChange={(together) => onChange({ ...plan, together })}
      />
    </div>
  )
}

function Pairs({
  title,
  empty,
  pairs,
  people,
  name,
  onChange,
}: {
  title: string
  empty: string
  pairs: string[][]
  people: Person[]
  name: (id: string) => string
  onChange: (pairs: string[][]) => void
}) {
  const [one, setOne] = useState('')
  const [other, setOther] = useState('')
  const pick = (label: string, value: string, set: (id: string) => void) => (
    <Combobox
      hideLabel
      label={label}
      value={value}
      onChange={set}
      options={[{ value: '', label: 'student' }, ...people.map((p) => ({ value: p.studentId, label: p.name }))]}
    />
  )
  return (
    <fieldset>
      <legend className="font-head text-base font-semibold">{title}</legend>
      {pairs.length === 0 ? <p className="text-sm text-quiet">{empty}</p> : null}
      <ul>
        {pairs.map((pair, i) => (
          <li key={i} className="flex items-baseline gap-2 border-b py-1 text-[15px]">
            <span className="flex-1">{pair.map(name).join(' and ')}</span>
            <Button
              kind="quiet"
              size="small"
              aria-label={`${title}: drop ${pair.map(name).join(' and ')}`}
              onClick={() => onChange(pairs.filter((_, j) => j !== i))}
            >
              Drop
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-1.5 flex flex-col gap-1.5">
        {pick(`${title}: first student`, one, setOne)}
        {pick(`${title}: second student`, other, setOther)}
        <Button
          size="small"
          disabled={!one || !other || one === other}
          onClick={() => {
            onChange([...pairs, [one, other]])
            setOne('')
            setOther('')
          }}
        >
          Keep {title.toLowerCase()}
        </Button>
      </div>
    </fieldset>
  )
}
