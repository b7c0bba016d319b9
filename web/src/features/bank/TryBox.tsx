import { useEffect, useState } from 'react'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { plain } from '@/lib/format'
import { Bar, barOf } from '@/ui/Bar'
import { AreaField, TextField } from '@/ui/Field'
import { useTerms } from './terms'
import type { Item } from './types'

const WAIT = 250

/** Enter a response, see what the rule makes of it as it stands in the editor. */
export function TryBox({ item }: { item: Item }) {
  const [text, setText] = useState('')
  const [options, setOptions] = useState<string[]>([])
  const [result, setResult] = useState<Schemas['BankTryView'] | null>(null)
  const [fault, setFault] = useState('')
  const terms = useTerms()
  const given = item.type === 'choice' ? options.length > 0 : text.trim() !== ''
  useEffect(() => {
    if (!given) return
    let current = true
    const timer = setTimeout(() => {
      take(
        api.POST('/api/items/try', { body: { item, response: item.type === 'choice' ? { options } : { text } } }),
      ).then(
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
  }, [item, text, options, given])
  const ideas =
    result?.misconceptions.map((id) => terms.data?.misconceptions.find((m) => m.id === id)?.name).filter(Boolean) ?? []
  return (
    <section>
      <h2 className="text-lg">Try it out</h2>
      <div className="mt-2">
        {item.type === 'choice' ? (
          <div role="group" aria-label="Options to try" className="flex flex-col gap-1">
            {item.rule.options.map((option, i) => (
              <label key={option.id} className="flex gap-2">
                <input
                  type={item.rule.several ? 'checkbox' : 'radio'}
                  name="try"
                  className="mt-1 size-4 accent-rust"
                  checked={options.includes(option.id)}
                  onChange={(e) =>
                    setOptions(
                      item.rule.several
                        ? e.target.checked
                          ? [...options, option.id]
                          : options.filter((o) => o !== option.id)
                        : [option.id],
                    )
                  }
                />
                <span>
                  {String.fromCharCode(65 + i)} {plain(option.text).slice(0, 40)}
                </span>
              </label>
            ))}
          </div>
        ) : item.type === 'open' ? (
          <AreaField
            label="A response"
            hideLabel
            rows={3}
            value={text}
            onChange={(e) => setText(e.target.value)}
            placeholder="as a student would write it"
          />
        ) : (
          <TextField
            label="A response"
            hideLabel
            value={text}
            onChange={(e) => setText(e.target.value)}
            placeholder={item.type === 'number' ? 'such as 3.65 m or 7/2' : 'as a student would write it'}
          />
        )}
      </div>
      <div role="status" className="mt-2 min-h-12 text-[15px]">
        {fault ? <p className="text-bad">✕ {fault}</p> : null}
        {given && result && !fault ? (
          <>
            <p>
              <Bar code={barOf(result.verdict)} /> <b>{result.verdict}</b>
              {result.credit === null ? '' : `, credit ${result.credit}`}
              {result.line && item.type !== 'choice' ? ` · ${result.line}` : ''}
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
            {result.feedback ? <p className="italic">“{result.feedback}”</p> : null}
            {ideas.length > 0 ? <p className="text-blue">{ideas.join(', ')}</p> : null}
          </>
        ) : null}
        {!given ? <p className="text-quiet">Nothing entered yet.</p> : null}
      </div>
    </section>
  )
}
