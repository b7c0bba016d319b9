import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { CountField } from '@/ui/CountField'

type One = Schemas['LookoutOneQuestionView']
type Counts = Record<string, number>

/** Raised hands instead of devices: typed by the teacher, option by option, before and after a talk. */
export function HandsCount({
  one,
  busy,
  onRaise,
  onLower,
}: {
  one: One
  busy: boolean
  onRaise: (hands: { first: Counts; now: Counts | null }) => void
  onLower: () => void
}) {
  const [typing, setTyping] = useState<'first' | 'now' | null>(null)
  const [typed, setTyped] = useState<Counts>({})
  const letters = one.groups.flatMap((g) => (g.letter === '' ? [] : [g.letter]))
  const { hands } = one
  const begin = (which: 'first' | 'now') => {
    setTyped(
      (which === 'first' ? hands?.first : hands?.now) ?? Object.fromEntries(letters.map((letter) => [letter, 0])),
    )
    setTyping(which)
  }
  const keep = () => {
    onRaise(typing === 'now' && hands ? { first: hands.first, now: typed } : { first: typed, now: hands?.now ?? null })
    setTyping(null)
  }
  if (typing) {
    return (
      <form
        className="flex flex-col gap-3 pt-3 text-[15px]"
        onSubmit={(e) => {
          e.preventDefault()
          keep()
        }}
      >
        <p className="font-semibold">{typing === 'first' ? 'Hands before the talk' : 'Hands after the talk'}</p>
        <div className="grid grid-cols-4 gap-2">
          {letters.map((letter) => (
            <CountField
              key={letter}
              label={letter}
              least={0}
              most={500}
              value={typed[letter] ?? 0}
              onChange={(n) => setTyped({ ...typed, [letter]: n })}
            />
          ))}
        </div>
        <p className="flex gap-2">
          <Button size="small" type="submit" disabled={busy}>
            Keep the count
          </Button>
          <Button size="small" kind="quiet" onClick={() => setTyping(null)}>
            Leave it
          </Button>
        </p>
      </form>
    )
  }
  return (
    <div className="pt-3 text-[15px]">
      {hands ? (
        <table className="mb-2">
          <caption className="text-left text-sm text-quiet">Raised hands</caption>
          <thead>
            <tr className="text-sm text-quiet">
              <td />
              <th scope="col" className="px-3 text-right font-medium">
                at first
              </th>
              <th scope="col" className="px-3 text-right font-medium">
                after the talk
              </th>
            </tr>
          </thead>
          <tbody className="tabular-nums">
            {letters.map((letter) => (
              <tr key={letter} className="border-t">
                <th scope="row" className="pr-3 text-left">
                  {letter}
                </th>
                <td className="px-3 text-right">{hands.first[letter] ?? 0}</td>
                <td className="px-3 text-right">{hands.now ? (hands.now[letter] ?? 0) : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      <p className="flex flex-wrap gap-2">
        <Button size="small" disabled={busy} onClick={() => begin('first')}>
          {hands ? 'Change the first count' : 'Count raised hands'}
        </Button>
        {hands ? (
          <>
            <Button size="small" disabled={busy} onClick={() => begin('now')}>
              {hands.now ? 'Change the second count' : 'Count after the talk'}
            </Button>
            <Button size="small" kind="quiet" disabled={busy} onClick={onLower}>
              Forget the hands
            </Button>
          </>
        ) : null}
      </p>
    </div>
  )
}
