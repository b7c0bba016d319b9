import { useEffect, useMemo, useRef, type ReactNode } from 'react'
import { isBlank } from '@/answers/parts/values'
import { isByHand, kindOf } from '@/answers/registry'
import { inMarks } from '@/lib/format'
import { MediaProvider, type MediaPlace } from '@/media/place'
import { SourcePage } from '@/media/SourcePage'
import { Button } from '@/ui/Button'
import { Beside } from './Beside'
import { Instructions } from './Instructions'
import { Main } from './Main'
import { HintButton, Question } from './Question'
import type { Driver } from './SitScreen'
import { keyOf, type Step, type Value } from './store'
import { groupsOf, pagesOf } from './pages'

/** The questions of a part as on a worksheet, page by page; each is answered where it stands. */
export function WholePage({
  driver,
  here,
  step,
  jump,
  wanted,
  place,
  progress,
  notes,
  valueOf,
  onAt,
  onLook,
  onAsk,
  onEnd,
  end,
}: {
  driver: Driver
  /** all that stands in this part */
  here: Step[]
  /** the one that has the student's attention */
  step: Step
  /** counts how often the student wants to be at the question */
  jump: number
  /** counts how often a source was asked for */
  wanted: number
  place: Omit<MediaPlace, 'scope'>
  progress: ReactNode
  notes: ReactNode
  valueOf: (step: Step) => Value | null
  onAt: (step: Step) => void
  onLook: () => void
  onAsk: (() => void) | undefined
  /** leaves the last page */
  onEnd: () => void
  end: string
}) {
  const { view } = driver
  const pages = useMemo(() => pagesOf(here), [here])
  const page = Math.max(
    0,
    pages.findIndex((p) => p.includes(step)),
  )
  const shown = pages[page] ?? []
  const top = useRef<HTMLHeadingElement>(null)
  const sourceOf = (entry: string) => view.sources.find((s) => s.entry === entry)
  useEffect(() => {
    // Also whoever comes back to their work stands where they were.
    if (jump > 0 || step !== shown[0]) document.getElementById(idOf(step))?.scrollIntoView({ block: 'start' })
    // From then on the student scrolls.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [jump])
  const turn = (to: number) => {
    const next = pages[to]?.[0]
    if (!next) return
    onAt(next)
    window.scrollTo(0, 0)
    top.current?.focus()
  }
  return (
    <>
      <Main className="mx-auto flex w-full max-w-6xl flex-1 flex-col px-4 py-4">
        {progress}
        <h1 ref={top} tabIndex={-1} className="mt-2 mb-3 text-[0.9em] font-normal text-quiet outline-none">
          {view.section}
          {pages.length > 1 ? `${view.section ? ' · ' : ''}page ${page + 1} of ${pages.length}` : ''}
        </h1>
        {view.instructions && page === 0 ? <Instructions key={view.visit} html={view.instructions} first /> : null}
        {groupsOf(shown).map((group) => {
          const sources = (group[0]?.beside ?? []).flatMap((entry) => sourceOf(entry) ?? [])
          const inGroup = group.includes(step) ? step : undefined
          return (
            <div
              key={group[0] && idOf(group[0])}
              className={sources.length > 0 ? 'flex flex-col lg:flex-row lg:items-start lg:gap-8' : ''}
            >
              {sources.length > 0 ? (
                <Beside
                  sources={sources}
                  steps={here}
                  step={inGroup}
                  whole
                  wanted={inGroup ? wanted : 0}
                  valueOf={valueOf}
                  busy={driver.busy}
                  kindOf={kindOf}
                  onAnswer={driver.answer}
                  onAt={onAt}
                  onStop={(s) => {
                    onAt(s)
                    document.getElementById(idOf(s))?.scrollIntoView({ block: 'center' })
                  }}
                />
              ) : null}
              <div className="min-w-0 flex-1">
                {group.map((s) => (
                  <Standing
                    key={idOf(s)}
                    driver={driver}
                    step={s}
                    current={s === step}
                    place={place}
                    value={valueOf(s)}
                    source={s.isSource ? sourceOf(s.entry) : undefined}
                    titleOf={(entry) => sourceOf(entry)?.title ?? ''}
                    onAt={() => onAt(s)}
                    onLook={onLook}
                  />
                ))}
              </div>
            </div>
          )
        })}
      </Main>
      <div className="sticky bottom-0">
        {notes}
        <footer className="border-t bg-sheet">
          <div className="mx-auto flex max-w-6xl flex-wrap items-center gap-2 px-4 py-3">
            {pages.length > 1 ? (
              <Button className="min-h-12" disabled={page === 0} onClick={() => turn(page - 1)}>
                {page === 0 ? 'Back' : `Page ${page}`}
              </Button>
            ) : null}
            {onAsk ? (
              <Button className="min-h-12" onClick={onAsk}>
                {view.call ? 'Asked' : 'Ask'}
                <span className="sr-only"> your teacher</span>
              </Button>
            ) : null}
            <span className="flex-1" />
            {page < pages.length - 1 ? (
              <Button kind="do" size="large" onClick={() => turn(page + 1)}>
                Page {page + 2}
              </Button>
            ) : (
              <Button kind="do" size="large" disabled={driver.busy} onClick={onEnd}>
                {end}
              </Button>
            )}
          </div>
        </footer>
      </div>
    </>
  )
}

/** One question, or something to read, in its place on the page. */
function Standing({
  driver,
  step,
  current,
  place,
  value,
  source,
  titleOf,
  onAt,
  onLook,
}: {
  driver: Driver
  step: Step
  current: boolean
  place: Omit<MediaPlace, 'scope'>
  value: Value | null
  source: Driver['view']['sources'][number] | undefined
  titleOf: (source: string) => string
  onAt: () => void
  onLook: () => void
}) {
  const { view } = driver
  const scope = keyOf(view.id, step.entry, step.try)
  const media = useMemo(() => ({ ...place, scope }), [place, scope])
  const mayCheck = view.settles && step.face && step.open && !isByHand(step.face.type) && !isBlank(value)
  const label = `${idOf(step)}-n`
  return (
    <MediaProvider value={media}>
      <article
        id={idOf(step)}
        aria-labelledby={label}
        className="relative scroll-mt-4 border-t py-5 first:border-t-0"
        onFocusCapture={onAt}
        onPointerDownCapture={onAt}
      >
        {current ? <span aria-hidden className="absolute -top-1 left-0 h-[7px] w-8 bg-rung" /> : null}
        {source ? (
          <>
            <h2 id={label} className="font-head text-[1.15em] font-semibold">
              {source.title || 'To read'}
            </h2>
            <div className="mt-2" data-reads="question">
              <SourcePage source={source} />
            </div>
          </>
        ) : (
          <div className="sm:flex sm:gap-3">
            <div className="flex items-baseline gap-4 sm:w-10">
              <h2 id={label} className="flex-1 font-head text-[1.3em] font-semibold">
                <span className="sr-only">Question </span>
                {step.number}
              </h2>
              <Worth step={step} className="sm:hidden" />
            </div>
            <div className="min-w-0 flex-1">
              <Question driver={driver} step={step} value={value} titleOf={titleOf} onLook={onLook} />
              <div className="mt-3 flex flex-wrap items-center gap-2">
                <HintButton driver={driver} step={step} />
                {mayCheck ? (
                  <Button className="min-h-12" disabled={driver.busy} onClick={() => void driver.settle(step)}>
                    Check
                  </Button>
                ) : null}
                <Worth step={step} className="flex-1 text-right max-sm:hidden" />
              </div>
            </div>
          </div>
        )}
      </article>
    </MediaProvider>
  )
}

function Worth({ step, className }: { step: Step; className: string }) {
  return (
    <span className={`text-[0.85em] whitespace-nowrap text-quiet ${className}`}>
      {step.try > 1 ? `once more, try ${step.try} · ` : ''}
      {inMarks(step.points)}
    </span>
  )
}

const idOf = (step: Step) => `q-${step.entry}-${step.try}`
