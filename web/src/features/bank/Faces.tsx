import { useState } from 'react'
import { Answer } from '@/answers/Answer'
import type { Item, Value } from '@/answers/kinds'
import { OnPaper } from '@/answers/OnPaper'
import { faceOf } from '@/answers/registry'
import { decimal } from '@/lib/format'
import { Rich } from '@/lib/Rich'
import { Tick } from '@/ui/Tick'

export const FACES = [
  { value: 'write', label: 'write' },
  { value: 'student', label: 'as a student' },
  { value: 'paper', label: 'on paper' },
] as const
export type Face = (typeof FACES)[number]['value']

/** A question as a student meets it on a screen; answering here counts nowhere. */
export function AsStudent({ item }: { item: Item }) {
  const [value, setValue] = useState<Value | null>(null)
  return (
    <div className="text-lg">
      <div className="flex gap-6">
        <Rich html={item.prompt} className="min-w-0 flex-1" />
        <Worth item={item} />
      </div>
      <div className="mt-4">
        <Answer face={faceOf(item)} value={value} onChange={setValue} disabled={false} heading="as a student" />
      </div>
      {item.hint ? <p className="mt-3 text-[15px] text-blue">Hint, on asking</p> : null}
    </div>
  )
}

/** A question as it is printed. */
export function Printed({ item }: { item: Item }) {
  const [withKey, setWithKey] = useState(false)
  return (
    <div>
      <div className="flex gap-6">
        <Rich html={item.prompt} className="min-w-0 flex-1" />
        <Worth item={item} />
      </div>
      <OnPaper item={item} withKey={withKey} />
      <div className="mt-4 border-t pt-2">
        <Tick label="With the key" checked={withKey} onChange={setWithKey} />
      </div>
    </div>
  )
}

function Worth({ item }: { item: Item }) {
  return (
    <span className="text-[15px] whitespace-nowrap text-quiet">
      {decimal(item.points)} {decimal(item.points) === '1' ? 'mark' : 'marks'}
    </span>
  )
}
