import { useMemo, useState } from 'react'
import { Answer, Given } from '@/answers/Answer'
import type { Item, Value } from '@/answers/kinds'
import { OnPaper } from '@/answers/OnPaper'
import { faceOf } from '@/answers/registry'
import { Told } from '@/answers/Told'
import { inMarks, plural } from '@/lib/format'
import { hintsOf } from '@/lib/hints'
import { Rich } from '@/lib/Rich'
import { MediaProvider, placeOf } from '@/media/place'
import { Button } from '@/ui/Button'
import { Switch } from '@/ui/Switch'
import { ToGoBackTo } from '@/ui/ToGoBackTo'
import { filled } from './filled'
import { useDraws } from './useDraws'
import { useTried } from './useTried'

export const FACES = [
  { value: 'write', label: 'write' },
  { value: 'student', label: 'as a student' },
  { value: 'marked', label: 'marked' },
  { value: 'paper', label: 'on paper' },
] as const
/** What is given here stays in this page. */
const PLACE = placeOf('/api/files', null, null)

export type Face = (typeof FACES)[number]['value']

/** What was tried in the editor: the draw that is looked at, by its place, and what was answered to it. */
export type Attempt = { at: number; value: Value | null }

type Shown = { item: Item; attempt: Attempt; onAttempt: (attempt: Attempt) => void }

/** A question as others meet it, in one draw after the other if it has variables; answering here counts nowhere. */
export function OtherFace({
  face,
  onFace,
  ...shown
}: Shown & { face: Exclude<Face, 'write'>; onFace: (face: Face) => void }) {
  const { item, attempt, onAttempt } = shown
  const { asked, view } = useDraws(item)
  const good = view?.draws.filter((d) => d.faults.length === 0) ?? []
  const draw = (item.variables ?? []).length === 0 ? undefined : good[attempt.at % Math.max(1, good.length)]
  const one = useMemo(() => (draw ? filled(asked, draw) : item), [asked, draw, item])
  return (
    <>
      {draw ? (
        <p className="mb-3 flex flex-wrap items-center gap-3 text-sm text-quiet">
          with{' '}
          {Object.entries(draw.numbers)
            .map(([name, value]) => `${name} = ${value}`)
            .join(', ')}
          <Button size="small" onClick={() => onAttempt({ at: attempt.at + 1, value: null })}>
            Next draw
          </Button>
        </p>
      ) : null}
      <MediaProvider value={PLACE}>
        <div className={face === 'paper' ? undefined : 'text-lg'}>
          <div className="flex gap-6">
            <Rich html={one.prompt} className="min-w-0 flex-1" />
            <span className="text-[15px] whitespace-nowrap text-quiet">{inMarks(one.points)}</span>
          </div>
          {face === 'student' ? <OnScreen key={attempt.at} {...shown} item={one} /> : null}
          {face === 'marked' ? <Marked item={one} value={attempt.value} onAnswer={() => onFace('student')} /> : null}
          {face === 'paper' ? <OnSheet item={one} /> : null}
        </div>
      </MediaProvider>
    </>
  )
}

function OnScreen({ item, attempt, onAttempt }: Shown) {
  return (
    <>
      <ToGoBackTo page={item.goBack ?? null} />
      <div className="mt-4">
        <Answer
          face={faceOf(item)}
          value={attempt.value}
          onChange={(value) => onAttempt({ at: attempt.at, value })}
          disabled={false}
          heading="as a student"
        />
      </div>
      {hintsOf(item).length > 0 ? (
        <p className="mt-3 text-[15px] text-blue">{plural(hintsOf(item).length, 'hint')}, on asking</p>
      ) : null}
    </>
  )
}

/** The answer that was tried, with all that a student may be told of it once it is returned. */
function Marked({ item, value, onAnswer }: { item: Item; value: Value | null; onAnswer: () => void }) {
  const { given, fault, result } = useTried(item, value)
  if (!given)
    return (
      <div className="mt-4 border-t pt-3 text-base">
        <p className="mb-2 text-quiet">Nothing is answered yet. Answer it as a student would, and it is marked here.</p>
        <Button onClick={onAnswer}>Answer it</Button>
      </div>
    )
  return (
    <div className="mt-4">
      <p className="text-[15px] text-quiet">Your answer</p>
      <Given face={faceOf(item)} value={value} />
      {fault ? <p className="mt-3 text-bad">✕ {fault}</p> : null}
      {result ? (
        <div className="mt-3">
          <Told
            step={{
              points: item.points,
              hints: [],
              hintsCost: '0',
              told: {
                picture: null,
                verdict: result.verdict,
                feedback: result.feedback,
                key: result.key,
                explanation: item.explanation,
                marks: result.marks,
                comment: '',
                levels: [],
              },
            }}
          />
        </div>
      ) : null}
    </div>
  )
}

function OnSheet({ item }: { item: Item }) {
  const [withKey, setWithKey] = useState(false)
  return (
    <>
      <OnPaper item={item} withKey={withKey} />
      <div className="mt-4 border-t pt-2">
        <Switch label="With the key" on={withKey} onChange={setWithKey} />
      </div>
    </>
  )
}
