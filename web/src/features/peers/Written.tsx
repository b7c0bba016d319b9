import { letter } from '@/answers/parts/letter'
import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Share } from '@/ui/Share'

/** A student's question as it is read: options, the right one, why others would be taken, and how many took each. */
export function Written({ question, taken }: { question: Schemas['ProposedQuestion']; taken: readonly number[] }) {
  const answers = taken.reduce((sum, n) => sum + n, 0)
  return (
    <div>
      <p className="text-lg break-words whitespace-pre-wrap">{question.prompt}</p>
      <ol className="mt-4 border-t">
        {question.options.map((option, i) => {
          const right = i === question.key
          return (
            <li key={i} className="flex items-start gap-3 border-b py-2.5">
              <span
                aria-hidden
                className={`inline-block size-7 shrink-0 rounded border text-center leading-7 font-bold ${right ? 'border-ink bg-ink text-ground' : 'border-edge'}`}
              >
                {letter(i)}
              </span>
              <span className="min-w-0 flex-1">
                <b className="font-semibold break-words">{option.text}</b>
                {right ? <span className="ml-2 text-sm text-good">✓ right</span> : null}
                {option.why ? <span className="block break-words text-quiet italic">{option.why}</span> : null}
              </span>
              {answers > 0 ? (
                <span className="w-32 shrink-0">
                  <Share n={taken[i] ?? 0} of={answers} />
                </span>
              ) : null}
            </li>
          )
        })}
      </ol>
      {question.because ? (
        <p className="mt-3 break-words whitespace-pre-wrap">
          <b className="font-semibold">Why it is right: </b>
          {question.because}
        </p>
      ) : null}
      {answers > 0 ? (
        <p className="mt-3 text-[15px] text-quiet">{plural(answers, 'answer')} from the class, first answers only.</p>
      ) : null}
    </div>
  )
}
