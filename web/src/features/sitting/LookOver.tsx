import { useEffect } from 'react'
import { isBlank } from '@/answers/parts/values'
import { plural } from '@/lib/format'
import { Bar, barOf } from '@/ui/Bar'
import { Button } from '@/ui/Button'
import type { Driver } from './SitScreen'
import { keyOf, type Step, type Value } from './store'

type LookProps = {
  driver: Driver
  questions: Step[]
  blank: number
  valueOf: (s: Step) => Value | null
  onBack?: (question: number) => unknown
  heading: React.RefObject<HTMLHeadingElement | null>
}

/** What has an answer and what has none, before a part is left or the work is handed in. */
export function LookOver({ driver, questions, blank, valueOf, onBack, heading }: LookProps) {
  const { view } = driver
  const leave = view.mayGoOn && !view.ended
  const lacksWorking = (s: Step) =>
    view.needsWorking &&
    s.open &&
    s.face?.asksWorking === true &&
    !isBlank(valueOf(s)) &&
    isBlank(driver.workings.get(keyOf(view.id, s.entry, s.try)) ?? s.working)
  const lacking = questions.filter(lacksWorking)
  useEffect(() => heading.current?.focus(), [heading])
  return (
    <section>
      <h1 ref={heading} tabIndex={-1} className="font-head text-[1.4em] font-semibold outline-none">
        {view.ended ? 'You have reached the end' : 'Look over'}
      </h1>
      <p className="mt-1">
        {blank === 0 ? 'Every question here has an answer.' : `${plural(blank, 'question')} without an answer.`}
        {leave ? ' You cannot come back to this part once you go on.' : ''}
      </p>
      {view.skills.length > 0 ? (
        <section aria-label="What you have shown" className="mt-4">
          <p className="text-[0.9em] text-quiet">{view.rules}</p>
          <ul className="mt-2 border-t">
            {view.skills.map((skill) => (
              <li key={skill.name} className="flex gap-3 border-b py-2">
                <span className="flex-1">{skill.name}</span>
                <span className={skill.isShown ? 'font-semibold' : ''}>
                  {skill.isShown ? '✓ ' : ''}
                  {skill.wanted}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {onBack ? (
        <ol className="mt-4 border-t">
          {questions.map((s, i) => (
            <li key={`${s.entry}-${s.try}`} className="border-b">
              <button className="flex min-h-12 w-full items-center gap-3 text-left" onClick={() => onBack(i)}>
                <b className="w-8 text-right">{s.number}</b>
                <span className="flex-1">
                  {isBlank(valueOf(s)) ? <span className="text-quiet">no answer yet</span> : 'answered'}
                  {lacksWorking(s) ? <b className="ml-2 font-semibold">working is missing</b> : null}
                </span>
                {s.told?.verdict ? <Bar code={barOf(s.told.verdict)} /> : null}
                <span className="text-blue underline">{s.open ? 'change' : 'see'}</span>
              </button>
            </li>
          ))}
        </ol>
      ) : null}
      {lacking.length > 0 ? (
        <p className="mt-4">
          Your teacher wants to see your working: it is still missing at question{' '}
          {lacking.map((s) => s.number).join(', ')}. Draw it or take a photo of it, below your answer.
        </p>
      ) : null}
      <div className="mt-6 flex gap-3">
        {onBack ? (
          <Button className="min-h-12" onClick={() => onBack(0)}>
            Back to the questions
          </Button>
        ) : null}
        <Button
          kind="do"
          size="large"
          disabled={driver.busy || lacking.length > 0}
          onClick={() => void (leave ? driver.goOn() : driver.handIn())}
        >
          {leave ? 'Go on' : 'Hand in'}
        </Button>
      </div>
    </section>
  )
}
