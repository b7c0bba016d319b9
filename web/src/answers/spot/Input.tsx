import { useState } from 'react'
import { Rich } from '@/lib/Rich'
import { say } from '@/lib/say'
import { Pins, type Pin } from '@/media/Pins'
import { Button } from '@/ui/Button'
import type { InputProps } from '../kinds'
import { plainOf } from '../parts/values'
import { pinsOf, valueOf } from './marks'

/** A picture to point at, ring, or lay labels on. */
export default function Input({ face, value, onChange, disabled, heading }: InputProps<'spot'>) {
  const [held, setHeld] = useState<string | null>(null)
  const pins = pinsOf(face, value)
  const set = (next: Pin[]) => onChange(valueOf(face.mode, next))
  const left = face.labels.filter((l) => !pins.some((p) => p.id === l.id))
  const next = face.mode === 'labels' ? (left.find((l) => l.id === held) ?? left[0]) : undefined
  const full = face.mode !== 'labels' && pins.length >= face.asked
  if (!face.picture) return <p className="text-quiet">There is no picture yet.</p>
  const add = (at: { x: number; y: number; rx?: number; ry?: number }) => {
    if (face.mode === 'labels') {
      if (!next) {
        say('Every label is on the picture.')
        return
      }
      set([...pins, { ...at, id: next.id, text: '', said: '' }])
      setHeld(null)
      say(`${plainOf(next.text)} is on the picture.`)
      return
    }
    // With one to set, another press moves it; of several, the first has to be taken away.
    const mark = { ...at, id: String(pins.length), text: '', said: '' }
    if (full && face.asked > 1) {
      say(`All ${face.asked} are set. Take one away first.`)
      return
    }
    set(full ? [mark] : [...pins, mark])
    say(`${face.mode === 'rings' ? 'Ring' : 'Mark'} ${full ? 1 : pins.length + 1} of ${face.asked} is set.`)
  }
  const what = face.mode === 'rings' ? 'ring' : 'mark'
  return (
    <div className="flex flex-col gap-3">
      <p className="text-[0.85em] text-quiet">
        {face.mode === 'labels'
          ? 'Press a label, then the place where it belongs. What lies there can be dragged.'
          : face.mode === 'rings'
            ? `Draw ${face.asked === 1 ? 'a ring' : `${face.asked} rings`} round it, from the middle outwards.`
            : `Press the place${face.asked === 1 ? '' : `s, ${face.asked} of them`}. A mark can be dragged.`}
      </p>
      {face.mode === 'labels' && !disabled ? (
        <div role="group" aria-label="Labels to place" className="flex flex-wrap gap-2">
          {left.map((label) => (
            <button
              key={label.id}
              type="button"
              aria-pressed={label.id === next?.id}
              onClick={() => setHeld(label.id)}
              className={`relative min-h-11 rounded border-2 bg-sheet px-3 ${label.id === next?.id ? 'border-ink' : 'border-edge hover:border-ink'}`}
            >
              {label.id === next?.id ? (
                <span aria-hidden className="absolute -top-[5px] left-3 h-2 w-6 bg-rung" />
              ) : null}
              <Rich html={label.text} inline />
            </button>
          ))}
          {left.length === 0 ? <p className="text-quiet">All are placed.</p> : null}
        </div>
      ) : null}
      <Pins
        label={`Picture of ${heading}`}
        picture={face.picture}
        pins={pins}
        mode={face.mode === 'rings' ? 'rings' : 'points'}
        disabled={disabled}
        onAdd={add}
        onChange={(id, to) => set(pins.map((p) => (p.id === id ? { ...p, ...to } : p)))}
        onRemove={(id) => set(pins.filter((p) => p.id !== id))}
      />
      {pins.length > 0 && !disabled ? (
        <div className="flex flex-wrap items-center gap-2">
          {pins.map((pin, i) => (
            <Button
              key={pin.id}
              className="min-h-11"
              aria-label={`Take ${face.mode === 'labels' ? pin.text : `${what} ${i + 1}`} away`}
              onClick={() => set(pins.filter((p) => p.id !== pin.id))}
            >
              Take {face.mode === 'labels' ? pin.text : face.asked > 1 ? `${what} ${i + 1}` : `the ${what}`} away
            </Button>
          ))}
          {face.asked > 1 ? (
            <span className="text-quiet tabular-nums">
              {pins.length} of {face.mode === 'labels' ? face.labels.length : face.asked}
            </span>
          ) : null}
        </div>
      ) : null}
    </div>
  )
}
