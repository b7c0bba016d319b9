import { Answer } from '@/answers/Answer'
import { isBlank } from '@/answers/parts/values'
import { Rich } from '@/lib/Rich'
import { Button } from '@/ui/Button'
import { later } from '@/ui/later'
import type { Driver } from './SitScreen'
import { keyOf, type Step, type Value } from './store'

// Fetched where some question has it, and then before it is reached.
export const parts = {
  working: () => import('@/answers/Working').then((it) => it.Working),
  page: () => import('@/ui/ToGoBackTo').then((it) => it.ToGoBackTo),
  howSure: () => import('./HowSure').then((it) => it.HowSure),
  told: () => import('@/answers/Told').then((it) => it.Told),
}
const Working = later(parts.working)
const ToGoBackTo = later(parts.page)
const HowSure = later(parts.howSure)
const Told = later(parts.told)
const Mended = later(() => import('./atWork').then((it) => it.Mended))
const LooksAt = later(() => import('@/media/LooksAt').then((it) => it.LooksAt))

/** One question in front of a student: what is asked, their answer, and what is shown, opened and told with it. */
export function Question({
  driver,
  step,
  value,
  titleOf,
  onLook,
}: {
  driver: Driver
  step: Step
  value: Value | null
  titleOf: (source: string) => string
  /** brings what the question looks at to the eye */
  onLook: () => void
}) {
  const { face } = step
  if (!face) return null
  const key = keyOf(driver.view.id, step.entry, step.try)
  const disabled = !step.open || driver.busy
  const heading = `question ${step.number}`
  return (
    <div className="mt-2 flex flex-col gap-5" data-reads="question">
      <div>
        <Rich html={face.prompt} className="text-[1.1em]" />
        {step.looksAt ? (
          <LooksAt at={step.looksAt} number={step.number} title={titleOf(step.looksAt.source)} onLook={onLook} />
        ) : null}
        {face.goBack ? <ToGoBackTo page={face.goBack} /> : null}
      </div>
      <Answer
        key={`${step.entry}-${step.try}`}
        face={face}
        heading={heading}
        value={value}
        disabled={disabled}
        onChange={(next) => driver.answer(step, next)}
      />
      {face.asksConfidence && !isBlank(value) ? (
        <HowSure
          level={driver.sure.get(key) ?? step.confidence}
          disabled={disabled}
          onSay={(level) => driver.saySure(step, level)}
        />
      ) : null}
      {face.asksWorking ? (
        <Working
          key={`working-${step.entry}-${step.try}`}
          value={driver.workings.get(key) ?? step.working}
          disabled={disabled}
          heading={heading}
          onChange={(working) => driver.showWorking(step, working)}
        />
      ) : null}
      {step.hints.map((hint, i) => (
        <div key={i} className="rounded border border-blue p-3">
          <b className="text-blue">{face.hints.length > 1 ? `Hint ${i + 1}` : 'Hint'}</b> <Rich html={hint} />
        </div>
      ))}
      {step.mended || step.corrected !== null ? <Mended corrected={step.corrected} /> : null}
      {step.told ? <Told step={step} /> : null}
    </div>
  )
}

/** Opens the next hint of a question, where there is one, and says what it costs. */
export function HintButton({ driver, step }: { driver: Driver; step: Step }) {
  const cost = step.open ? step.face?.hints[step.hints.length] : undefined
  if (cost === undefined) return null
  return (
    <Button className="min-h-12" disabled={driver.busy} onClick={() => void driver.hint(step)}>
      {step.hints.length > 0 ? 'Another hint' : 'Hint'}
      {cost === '0' ? '' : `, costs ${cost} ${cost === '1' ? 'mark' : 'marks'}`}
    </Button>
  )
}
