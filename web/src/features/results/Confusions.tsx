import type { Schemas } from '@/lib/api/client'
import { percent } from '@/lib/format'

type Confusion = Schemas['ResultsConfusionView']

/** What rivals the key? The closest first; choosing one opens its question beside the list. */
export function Confusions({
  confusions,
  onChoose,
  chosen,
}: {
  confusions: Confusion[]
  onChoose: (entry: string) => void
  chosen: string | undefined
}) {
  if (confusions.length === 0)
    return (
      <p className="py-4 text-quiet">In no question did a tenth of the students give one and the same wrong answer.</p>
    )
  return (
    <>
      <p className="py-3 text-[15px] text-quiet">
        What was given most often beside the key, where it has a tenth of the answers or more: a distractor, or the same
        wrong answer in a part of the question. Those that come closest to half and half stand first.
      </p>
      <ol>
        {confusions.map((c) => (
          <li key={`${c.entry} ${c.part}`} className="border-t py-3">
            <button
              className={`text-left font-semibold hover:underline ${chosen === c.entry ? 'font-bold' : ''}`}
              onClick={() => onChoose(c.entry)}
            >
              {c.number} · {c.title}
              {c.part ? <span className="font-normal text-quiet">, {c.part}</span> : null}
            </button>
            <Side letter={c.key} text={c.keyText} count={c.keyCount} n={c.n} key_ upper={c.upperKey} />
            <Side letter={c.rival} text={c.rivalText} count={c.rivalCount} n={c.n} upper={c.upperRival} />
            <p className="text-[15px] text-quiet">
              {c.p > 0.05
                ? `Not to be told from an even split (exact binomial test, p = ${c.p.toFixed(2)}, n = ${c.keyCount + c.rivalCount}${c.few ? ', few' : ''}).`
                : c.rivalCount > c.keyCount
                  ? `${c.rival ? 'The distractor' : 'The wrong answer'} is ahead of the key.`
                  : 'The key is ahead.'}
              {c.misconception ? <span className="text-blue"> {c.misconception}</span> : null}
            </p>
          </li>
        ))}
      </ol>
    </>
  )
}

function Side({
  letter,
  text,
  count,
  n,
  upper,
  key_ = false,
}: {
  letter: string
  text: string
  count: number
  n: number
  upper: number
  key_?: boolean
}) {
  return (
    <div className="mt-1 grid grid-cols-[minmax(0,14rem)_minmax(0,1fr)_13.5rem] items-center gap-3 text-[15px]">
      <span className="line-clamp-2">
        <b>{letter}</b> {text}
        {key_ ? <span className="text-good"> ✓ key</span> : null}
      </span>
      <span aria-hidden className="h-2.5 bg-line/50">
        <span
          className={`block h-full ${key_ ? 'bg-r3' : 'bg-rung'}`}
          style={{ width: `${n > 0 ? (100 * count) / n : 0}%` }}
        />
      </span>
      <span className="text-right whitespace-nowrap tabular-nums">
        {n > 0 ? percent(count / n) : '–'} of {n}, {upper} in the upper third
      </span>
    </div>
  )
}
