import { Quoted } from '@/ui/Quoted'
import { memo, useEffect, useState } from 'react'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { Bar, barOf } from '@/ui/Bar'
import { useTerms } from '@/lib/terms'
import { Answer } from '@/answers/Answer'
import type { Item, Value } from '@/answers/kinds'
import { lineNamed } from '@/answers/lineNamed'
import { isBlank } from '@/answers/parts/values'
import { faceOf, kindOf } from '@/answers/registry'
import { useSaid } from '@/lib/say'
import { MediaProvider, placeOf } from '@/media/place'

const WAIT = 250
/** What is tried stays in this page. */
const PLACE = placeOf('/api/files', null, null)

/** Enter a response, see what the rule makes of it as it stands in the editor. */
export const TryBox = memo(function TryBox({ item }: { item: Item }) {
  const [value, setValue] = useState<Value | null>(null)
  const [result, setResult] = useState<Schemas['BankTryView'] | null>(null)
  const [fault, setFault] = useState('')
  const terms = useTerms()
  const given = value !== null && !isBlank(value)
  useEffect(() => {
    if (!value || isBlank(value)) return
    let current = true
    const timer = setTimeout(() => {
      take(api.POST('/api/items/try', { body: { item, response: value } })).then(
        (answer) => {
          if (!current) return
          setResult(answer)
          setFault('')
        },
        (thrown) => current && setFault(problemOf(thrown).detail || problemOf(thrown).message),
      )
    }, WAIT)
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [item, value])
  // Where options are picked, how the answer was read names them already.
  const picked = kindOf(item.type)
    .keyLines(item.rule)
    .some((line) => line.shown)
  const ideas =
    result?.misconceptions.map((id) => terms.data?.misconceptions.find((m) => m.id === id)?.name).filter(Boolean) ?? []
  useSaid(
    given && result && !fault ? `${result.verdict}${result.credit === null ? '' : `, credit ${result.credit}`}` : '',
  )
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
        {given && result && !fault ? (
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
            {result.readAs ? <p className="text-quiet">read as “{result.readAs}”</p> : null}
            {result.feedback ? <Quoted words={result.feedback} /> : null}
            {ideas.length > 0 ? <p className="text-blue">{ideas.join(', ')}</p> : null}
          </>
        ) : null}
        {!given ? <p className="text-quiet">Nothing entered yet.</p> : null}
      </div>
    </section>
  )
})
