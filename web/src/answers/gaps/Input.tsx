import type { ReactNode } from 'react'
import { InlineSelect } from '@/ui/InlineSelect'
import { later } from '@/ui/later'
import type { InputProps } from '../kinds'
import { gapsOf, plainOf } from '../parts/values'
import { Passage } from './Passage'

// Most gaps are typed into; what drags is fetched where a passage has it.
const Bank = later(
  () => import('./Bank').then((it) => it.Bank),
  ({ children }) => children((gap, label) => <Unready key={gap} label={label} />),
)

const LONGEST = 500
const LEAST_WIDE = 6
const MOST_WIDE = 28

/** Gaps where they stand, each as wide as what is typed into it. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'gaps'>) {
  const given = gapsOf(value)
  const fill = (id: string, text: string) => onChange({ gaps: { ...given, [id]: text } })
  const passage = (slot?: (gap: string, label: string) => ReactNode) => (
    <Passage passage={face.passage} gaps={face.gaps}>
      {(id, place) => {
        const gap = face.gaps[place]
        if (!gap) return null
        const label = `Gap ${place + 1} of ${face.gaps.length}`
        const text = given[id] ?? ''
        if (slot && gap.type === 'text') return slot(id, label)
        return gap.options ? (
          <span className="mx-1 inline-block align-middle leading-normal">
            <InlineSelect
              label={label}
              disabled={disabled}
              value={text}
              onChange={(option) => fill(id, option)}
              options={[
                { value: '', label: 'choose' },
                ...gap.options.map((o) => ({ value: o.id, label: plainOf(o.text) })),
              ]}
            />
          </span>
        ) : (
          <span className="mx-1 whitespace-nowrap">
            <input
              aria-label={label}
              className="field my-1 inline-block min-h-11 w-auto px-2 text-center leading-normal"
              size={Math.max(LEAST_WIDE, Math.min(MOST_WIDE, text.length + 2))}
              disabled={disabled}
              value={text}
              maxLength={LONGEST}
              autoComplete="off"
              autoCapitalize="off"
              spellCheck={false}
              enterKeyHint="next"
              onChange={(e) => fill(id, e.target.value)}
            />
            {gap.unit && gap.unitUse !== 'none' ? <span className="pl-1 text-quiet">{gap.unit}</span> : null}
          </span>
        )
      }}
    </Passage>
  )
  return (
    <div role="group" aria-label={`Gaps of ${heading}`}>
      {face.bank ? (
        <Bank words={face.bank} placed={given} disabled={disabled} onPut={fill}>
          {passage}
        </Bank>
      ) : (
        passage()
      )}
    </div>
  )
}

/** Where a gap will be, until what fills it is here. */
function Unready({ label }: { label: string }) {
  return (
    <span
      role="img"
      aria-label={`${label}, on its way`}
      className="mx-1 inline-block min-h-11 min-w-24 rounded border-2 border-dashed align-middle"
    />
  )
}
