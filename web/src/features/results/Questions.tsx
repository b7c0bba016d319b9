import { Fragment } from 'react'
import { isByHand } from '@/answers/registry'
import { Link } from 'react-router'
import type { Schemas } from '@/lib/api/client'
import { duration, percent, plural, SURE, typeset } from '@/lib/format'
import { Explained } from '@/ui/Explained'
import { Word } from '@/ui/Word'
import { OptionLines } from './Charts'
import { Whisker } from '@/ui/chart/small'
import { two } from './figures'

type Question = Schemas['ResultsQuestionView']

export function QuestionTable({
  questions,
  chosen,
  onChoose,
}: {
  questions: Question[]
  chosen: Question | undefined
  onChoose: (q: Question) => void
}) {
  return (
    <table className="w-full text-[15px]">
      <caption className="sr-only">Questions and their figures</caption>
      <thead>
        <tr className="border-b text-left text-sm text-quiet">
          <th scope="col" className="py-1.5 pl-4 font-medium">
            #
          </th>
          <th scope="col" className="px-2 font-medium">
            Question
          </th>
          <th scope="col" className="px-2 font-medium">
            <Word of="facility">Facility</Word>, with 95 %
          </th>
          <th scope="col" className="px-2 text-right font-medium">
            <Word of="item–rest r">r</Word>
          </th>
          <th scope="col" className="px-2 text-right font-medium">
            Blank
          </th>
          <th scope="col" className="px-2 text-right font-medium">
            <Word of="median time">Time</Word>
          </th>
          <th scope="col" className="px-2 font-medium">
            <Word of="to look at">To look at</Word>
          </th>
        </tr>
      </thead>
      <tbody>
        {questions.map((q) => (
          <tr
            key={q.entry}
            className={`cursor-pointer border-b ${q === chosen ? 'bg-sheet' : 'hover:bg-pale'}`}
            onClick={() => onChoose(q)}
          >
            <td className={`py-1.5 pl-4 tabular-nums ${q === chosen ? 'rung-row' : ''}`}>{q.number}</td>
            <td className="px-2">
              <button className={`text-left hover:underline ${q === chosen ? 'font-bold' : ''}`}>{q.title}</button>
            </td>
            <td className="px-2 whitespace-nowrap">
              <Whisker figure={q.facility} />{' '}
              {q.facility.value === null ? (
                <span className="text-quiet">–</span>
              ) : (
                <Explained figure={q.facility} label={`Facility of question ${q.number}`} show={two}>
                  <span className="tabular-nums">{two(q.facility.value)}</span>
                </Explained>
              )}
              {q.facility.note === 'few' ? <span className="text-quiet"> few</span> : null}
            </td>
            <td className="px-2 text-right">
              {q.itemRest.value === null ? (
                <span className="text-quiet">–</span>
              ) : (
                <Explained figure={q.itemRest} label={`Item–rest correlation of question ${q.number}`} show={two}>
                  <span className="tabular-nums">{two(q.itemRest.value)}</span>
                </Explained>
              )}
            </td>
            <td className="px-2 text-right tabular-nums">{q.omitted || ''}</td>
            <td className="px-2 text-right whitespace-nowrap">
              {q.medianTime.value === null ? (
                <span className="text-quiet">–</span>
              ) : (
                <Explained figure={q.medianTime} label={`Median time of question ${q.number}`} show={duration}>
                  <span className="tabular-nums">{duration(q.medianTime.value)}</span>
                </Explained>
              )}
            </td>
            <td className="px-2">
              {q.flags.map((f) => (
                <span
                  key={f.kind}
                  className={`mr-3 font-semibold ${f.kind === 'perhaps mis-keyed' ? 'text-bad' : 'text-blue'}`}
                >
                  {f.kind}
                </span>
              ))}
              {q.waiting > 0 ? <span className="font-semibold text-blue">{q.waiting} wait for a marker</span> : null}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

export function QuestionPanel({ q, handoutId }: { q: Question; handoutId: string }) {
  const link = 'rounded border border-edge bg-sheet px-3 py-1.5 text-[15px] font-semibold hover:border-ink'
  return (
    <section className="flex flex-col gap-3">
      <div>
        <h2 className="text-lg">
          {q.number} · {q.title}
        </h2>
        <p className="text-sm text-quiet">
          {q.options.length > 0
            ? 'Which options rival the key, and among whom?'
            : isByHand(q.type)
              ? 'Marked by hand'
              : 'What did they answer?'}
        </p>
      </div>
      {q.options.length > 0 ? (
        <>
          <OptionLines options={q.options} />
          <table className="w-full text-sm">
            <caption className="sr-only">Options and who took them</caption>
            <thead>
              <tr className="border-b text-left text-quiet">
                <th scope="col" className="font-medium">
                  Option
                </th>
                <th scope="col" className="px-1 text-right font-medium">
                  All
                </th>
                <th scope="col" className="px-1 text-right font-medium">
                  Low
                </th>
                <th scope="col" className="px-1 text-right font-medium">
                  Mid
                </th>
                <th scope="col" className="pl-1 text-right font-medium">
                  Up
                </th>
              </tr>
            </thead>
            <tbody>
              {q.options.map((o) => (
                <tr key={o.id} className="border-b align-top">
                  <td className="py-1 pr-1">
                    <b>{o.letter}</b> {o.text}
                    {o.key ? <span className="text-good"> ✓ key</span> : null}
                    {o.misconception ? <span className="block text-blue">{o.misconception}</span> : null}
                    {!o.key && o.works === false && o.count === 0 ? (
                      <span className="block text-quiet">idle: nobody took it</span>
                    ) : null}
                  </td>
                  <td className="px-1 text-right whitespace-nowrap tabular-nums">
                    {percent(o.share)}
                    <span className="block text-quiet">{o.count}</span>
                  </td>
                  <td className="px-1 text-right whitespace-nowrap tabular-nums">{percent(o.lower)}</td>
                  <td className="px-1 text-right whitespace-nowrap tabular-nums">{percent(o.middle)}</td>
                  <td className="pl-1 text-right whitespace-nowrap tabular-nums">{percent(o.upper)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      ) : q.lines.length > 0 ? (
        <ul className="text-[15px]">
          {q.lines.map((line) => (
            <li key={line.answer + line.verdict} className="flex gap-2 border-b py-1">
              <span className="min-w-0 flex-1 break-words">{line.answer}</span>
              <span className={line.verdict === 'right' ? 'text-good' : 'text-quiet'}>
                {line.verdict === 'right' ? '✓ ' : ''}
                {line.verdict}
              </span>
              <b className="w-8 text-right tabular-nums">{line.count}</b>
            </li>
          ))}
        </ul>
      ) : null}
      {q.flags.map((f) => (
        <p key={f.kind} className="text-[15px]">
          <b className={f.kind === 'perhaps mis-keyed' ? 'text-bad' : ''}>
            {f.kind.charAt(0).toUpperCase() + f.kind.slice(1)}?
          </b>{' '}
          {typeset(f.evidence)}
        </p>
      ))}
      <dl className="grid grid-cols-[1fr_auto] gap-x-4 text-[15px]">
        {(
          [
            ['Highest less lowest 27 %', q.upperLower],
            ['Reliability α without it', q.alphaIfDropped],
          ] as const
        ).map(([label, figure]) =>
          figure.value === null ? null : (
            <Fragment key={label}>
              <dt className="text-quiet">{label}</dt>
              <dd className="text-right">
                <Explained figure={figure} label={`${label}, question ${q.number}`} show={two}>
                  <span className="tabular-nums">{two(figure.value)}</span>
                </Explained>
              </dd>
            </Fragment>
          ),
        )}
      </dl>
      {q.confidence.length > 0 ? <HowRight q={q} /> : null}
      {q.notReached > 0 ? <p className="text-[15px]">{plural(q.notReached, 'student')} did not reach it.</p> : null}
      <div className="no-print flex flex-wrap gap-2">
        <Link className={link} to={`/marking/${handoutId}/${q.entry}`}>
          {isByHand(q.type) ? 'Mark the answers' : 'See the answers'}
        </Link>
        {!isByHand(q.type) ? (
          <Link className={link} to={`/marking/${handoutId}/${q.entry}?key=1`}>
            Change key
          </Link>
        ) : null}
      </div>
      {q.options.length > 0 ? (
        <p className="text-sm text-quiet">
          How was this computed? Thirds by the share of marks on the other questions; ties are split fairly. First tries
          count.
        </p>
      ) : null}
    </section>
  )
}

/** Were they right when they were sure? A line a level; the values stand beside it. */
function HowRight({ q }: { q: Question }) {
  return (
    <div>
      <h3 className="font-head font-semibold">Were they right when they were sure?</h3>
      <table className="w-full text-[15px]">
        <caption className="sr-only">Right by how sure</caption>
        <thead className="sr-only">
          <tr>
            <th scope="col">How sure</th>
            <th scope="col">Mean credit, with 95 %</th>
            <th scope="col">n</th>
          </tr>
        </thead>
        <tbody>
          {q.confidence.map(({ level, credit }) => (
            <tr key={level} className="border-b">
              <td className="py-1">{SURE[level - 1]}</td>
              <td className="px-2 whitespace-nowrap">
                <Whisker figure={credit} />{' '}
                {credit.value === null ? null : (
                  <Explained figure={credit} label={`Mean credit, ${SURE[level - 1]}`} show={two}>
                    <span className="tabular-nums">{two(credit.value)}</span>
                  </Explained>
                )}
              </td>
              <td className="text-right text-sm whitespace-nowrap text-quiet tabular-nums">n = {credit.n}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {q.sureAndWrong && q.sureAndWrong.value !== null ? (
        <p className="mt-1 text-[15px]">
          Sure and wrong:{' '}
          <Explained figure={q.sureAndWrong} label={`Sure and wrong, question ${q.number}`} show={percent}>
            <b className="tabular-nums">{percent(q.sureAndWrong.value)}</b>
          </Explained>{' '}
          of {q.sureAndWrong.n}
          {q.sureAndWrong.note === 'few' ? ', few' : ''}
        </p>
      ) : null}
    </div>
  )
}
