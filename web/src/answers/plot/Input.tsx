import { Button } from '@/ui/Button'
import type { InputProps } from '../kinds'
import { Board } from './Board'
import { shown } from './grid'
import { drawnOf, valueOf, type Drawn } from './values'

/** A grid or number line to plot on, and what stands on it, to be taken away. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'plot'>) {
  const drawn = drawnOf(value)
  const set = (next: Drawn) => onChange(valueOf(next))
  return (
    <div className="flex flex-col gap-3">
      <Board
        grid={face.ground}
        drawn={drawn}
        tools={face.tools}
        label={`Grid for ${heading}`}
        disabled={disabled}
        onDrawn={set}
      />
      {disabled ? null : <Marks drawn={drawn} flat={!face.ground.up} onChange={set} />}
    </div>
  )
}

/** Every mark in words, with a way to take it off. */
function Marks({ drawn, flat, onChange }: { drawn: Drawn; flat: boolean; onChange: (drawn: Drawn) => void }) {
  const point = (x?: string, y?: string) => (flat ? shown(x ?? '0') : `(${shown(x ?? '0')}, ${shown(y ?? '0')})`)
  const all = [
    ...drawn.points.map((m, i) => ({ list: 'points' as const, i, words: point(m[0], m[1]) })),
    ...drawn.lines.map((m, i) => ({
      list: 'lines' as const,
      i,
      words: `line through ${point(m[0], m[1])} and ${point(m[2], m[3])}`,
    })),
    ...drawn.intervals.map((m, i) => ({
      list: 'intervals' as const,
      i,
      words: `${shown(m[0] ?? '0')} to ${shown(m[1] ?? '0')}`,
    })),
  ]
  return all.length === 0 ? null : (
    <div className="flex flex-wrap gap-2">
      {all.map(({ list, i, words }) => (
        <Button
          key={`${list}${i}`}
          className="min-h-11"
          onClick={() => onChange({ ...drawn, [list]: drawn[list].filter((_, j) => j !== i) })}
        >
          Take {words} away
        </Button>
      ))}
    </div>
  )
}
