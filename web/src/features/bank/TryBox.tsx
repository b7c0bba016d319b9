import { Quoted } from '@/ui/Quoted'
import { memo, useState } from 'react'
import { Bar, barOf } from '@/ui/Bar'
import { useTerms } from '@/lib/terms'
import { Answer } from '@/answers/Answer'
import type { Item, Value } from '@/answers/kinds'
import { lineNamed } from '@/answers/lineNamed'
import { faceOf, kindOf } from '@/answers/registry'
import { useSaid } from '@/lib/say'
import { MediaProvider, placeOf } from '@/media/place'
import { useTried } from './useTried'

/** What is tried stays in this page. */
const PLACE = placeOf('/api/files', null, null)

/** Enter a response, see what the rule makes of it as it stands in the editor. */
export const TryBox = memo(function TryBox({ item }: { item: Item }) {
  const [value, setValue] = useState<Value | null>(null)
  const { given, fault, result } = useTried(item, value)
  const terms = useTerms()
  // Where options are picked, how the answer was read names them already.
  const picked = kindOf(item.type)
    .keyLines(item.rule)
    .some((line) => line.shown)
  const ideas =
    result?.misconceptions.map((id) => terms.data?.misconceptions.find((m) => m.id === id)?.name).filter(Boolean) ?? []
  useSaid(result ? `${result.verdict}${result.credit === null ? '' : `, credit ${result.credit}`}` : '')
  return (
    <section>
      <h2 className="text-lg">Try it out</h2>
      <div className="mt-2">
        <MediaProvider value={PLACE}>
          <Answer face={faceOf(item)} value={value} onChange={setValue} disabled={false} heading="try out" />
        </MediaProvider>
      </div>
      <div className="mt-2 min-h-12 text-[15px]">
        {fault ? <p className="text-bad">✕ {fault}</p> : null}
        {result ? (
          <>
            <p>
              <Bar code={barOf(result.verdict)} /> <b>{result.verdict}</b>
              {result.credit === null ? '' : `, credit ${result.credit}`}
              {result.line && !picked ? ` · ${lineNamed(item, result.line)}` : ''}
            </p>
            {Object.keys(result.numbers).length > 0 ? (
              <p className="text-quiet">
                with{' '}
                {Object.entries(result.numbers)
                  .map(([name, value]) => `${name} = ${value}`)
                  .join(', ')}
              </p>
            ) : null}
            {result.readAs && !kindOf(item.type).asGiven ? (
              <p className="text-quiet">read as “{result.readAs}”</p>
            ) : null}
            {result.feedback ? <Quoted words={result.feedback} /> : null}
            {result.passedOver.map((said) => (
              <p key={said} className="text-quiet">
                {said}
              </p>
            ))}
            {ideas.length > 0 ? <p className="text-blue">{ideas.join(', ')}</p> : null}
          </>
        ) : null}
        {!given ? <p className="text-quiet">Nothing entered yet.</p> : null}
      </div>
    </section>
  )
})
