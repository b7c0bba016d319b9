import { Fragment, useState, type ReactNode } from 'react'
import { Answer } from '@/answers/Answer'
import type { Item, Value } from '@/answers/kinds'
import { OnPaper } from '@/answers/OnPaper'
import { faceOf } from '@/answers/registry'
import { inMarks, plural } from '@/lib/format'
import { hintsOf } from '@/lib/hints'
import { Rich } from '@/lib/Rich'
import { MediaProvider, placeOf } from '@/media/place'
import { Button } from '@/ui/Button'
import { Switch } from '@/ui/Switch'
import { ToGoBackTo } from '@/ui/ToGoBackTo'
import { filled } from './filled'
import { useDraws } from './useDraws'

export const FACES = [
  { value: 'write', label: 'write' },
  { value: 'student', label: 'as a student' },
  { value: 'paper', label: 'on paper' },
] as const
/** What is given here stays in this page. */
const PLACE = placeOf('/api/files', null, null)

export type Face = (typeof FACES)[number]['value']

/** One draw of a question with variables after the other; a question without is as it is written. */
function Drawn({ item, children }: { item: Item; children: (item: Item) => ReactNode }) {
  const { asked, view } = useDraws(item)
  const [at, setAt] = useState(0)
  const good = view?.draws.filter((d) => d.faults.length === 0) ?? []
  const draw = good[at % Math.max(1, good.length)]
  if ((item.variables ?? []).length === 0 || !draw) return children(item)
  return (
    <>
      <p className="mb-3 flex flex-wrap items-center gap-3 text-sm text-quiet">
        with{' '}
        {Object.entries(draw.numbers)
          .map(([name, value]) => `${name} = ${value}`)
          .join(', ')}
        <Button size="small" onClick={() => setAt(at + 1)}>
          Next draw
        </Button>
      </p>
      <Fragment key={at}>{children(filled(asked, draw))}</Fragment>
    </>
  )
}

/** A question as a student meets it on a screen; answering here counts nowhere. */
export function AsStudent({ item }: { item: Item }) {
  return <Drawn item={item}>{(one) => <OnScreen item={one} />}</Drawn>
}

function OnScreen({ item }: { item: Item }) {
  const [value, setValue] = useState<Value | null>(null)
  return (
    <div className="text-lg">
      <div className="flex gap-6">
        <Rich html={item.prompt} className="min-w-0 flex-1" />
        <Worth item={item} />
      </div>
      <ToGoBackTo page={item.goBack ?? null} />
      <div className="mt-4">
        <MediaProvider value={PLACE}>
          <Answer face={faceOf(item)} value={value} onChange={setValue} disabled={false} heading="as a student" />
        </MediaProvider>
      </div>
      {hintsOf(item).length > 0 ? (
        <p className="mt-3 text-[15px] text-blue">{plural(hintsOf(item).length, 'hint')}, on asking</p>
      ) : null}
    </div>
  )
}

/** A question as it is printed. */
export function Printed({ item }: { item: Item }) {
  return <Drawn item={item}>{(one) => <OnSheet item={one} />}</Drawn>
}

function OnSheet({ item }: { item: Item }) {
  const [withKey, setWithKey] = useState(false)
  return (
    <div>
      <div className="flex gap-6">
        <Rich html={item.prompt} className="min-w-0 flex-1" />
        <Worth item={item} />
      </div>
      <OnPaper item={item} withKey={withKey} />
      <div className="mt-4 border-t pt-2">
        <Switch label="With the key" on={withKey} onChange={setWithKey} />
      </div>
    </div>
  )
}

function Worth({ item }: { item: Item }) {
  return <span className="text-[15px] whitespace-nowrap text-quiet">{inMarks(item.points)}</span>
}
