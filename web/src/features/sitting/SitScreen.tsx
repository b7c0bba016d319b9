import { useEffect, useMemo, useRef, useState, type ClipboardEvent, type DragEvent, type ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'
import { inMarks } from '@/lib/format'
import { useQuiet } from '@/lib/quiet'
import { onDevice } from '@/lib/remembered'
import { useSaid } from '@/lib/say'
import { Button } from '@/ui/Button'
import { later } from '@/ui/later'
import { toast } from '@/ui/toast'
import { isBlank } from '@/answers/parts/values'
import { MediaProvider, type MediaPlace } from '@/media/place'
import { isByHand, kindOf, loadInputs } from '@/answers/registry'
import { Main } from './Main'
import { HintButton, parts, Question } from './Question'
import { Rungs } from './Rungs'
import { keyOf, type Step, type Value, type Working as Shown } from './store'

// Fetched where some question has it, and then before it is reached.
const besides = () => import('./Beside').then((it) => it.Beside)
const source = () => import('@/media/SourcePage').then((it) => it.SourcePage)
const lookOver = () => import('./LookOver').then((it) => it.LookOver)
const wholePage = () => import('./WholePage').then((it) => it.WholePage)
const atWork = () => import('./atWork')
const InTheRoom = later(() => atWork().then((it) => it.InTheRoom))
const Notes = later(() => atWork().then((it) => it.Notes))
const Tools = later(() => import('./Tools').then((it) => it.Tools))
const Turn = later(() => atWork().then((it) => it.Turn))
const AskDialog = later(() => atWork().then((it) => it.AskDialog))
const LookOver = later(lookOver)
const WholePage = later(wholePage)
const Beside = later(besides)
const Instructions = later(() => import('./Instructions').then((it) => it.Instructions))
const SourcePage = later(source)
const Supported = later(() => import('./Supported').then((it) => it.Supported))

/** What a sitting can do; a student's goes to the server and device, a preview's to the server alone. */
export type Driver = {
  view: Schemas['SittingSittingView']
  values: Map<string, Value>
  /** How sure the student said they are, 1 to 3. */
  sure: Map<string, number>
  line: string
  busy: boolean
  /** Where files of this sitting come from and go to. */
  media: Omit<MediaPlace, 'scope'>
  answer: (step: Step, value: Value) => void
  saySure: (step: Step, level: number) => void
  /** what is shown beside the answers, where it is not as the server has it */
  workings: ReadonlyMap<string, Shown>
  showWorking: (step: Step, working: Shown) => void
  /** What is in front of the student now; null while they look over. */
  moveTo: (step: Step | null) => void
  settle: (step: Step) => Promise<void>
  hint: (step: Step) => Promise<void>
  goOn: () => Promise<void>
  handIn: () => Promise<void>
  /** Asks for the teacher at a question; without words, lets it be. In a preview there is nobody to ask. */
  call?: (step: Step, asked: { kind: 'stuck' | 'look'; words: string } | null) => Promise<void>
}

/** Where pasting is off, nothing that was copied elsewhere gets into what is typed. */
function refusePasting(e: ClipboardEvent | DragEvent) {
  if (!(e.target as Element).closest('input, textarea, [contenteditable]')) return
  e.preventDefault()
  e.stopPropagation()
  toast('Pasting is off in this work. Type your answer.', { bad: true })
}

const SIZES = [18, 21, 25]
const STORE = 'chalk.size'

/** One thing at a time: read, answer, go on; look over and hand in. */
export function SitScreen({ driver, head, help }: { driver: Driver; head?: ReactNode; help?: ReactNode }) {
  const { view, values } = driver
  const pass = view.steps.filter((s) => s.visit === view.visit)
  // A source that some question is read with stands beside it; one that stands alone is a step of its own.
  const read = new Set(pass.flatMap((s) => s.beside))
  const here = pass.filter((s) => !s.isSource || !read.has(s.entry))
  const [at, setAt] = useState(() => {
    const was = here.findIndex((s) => s.entry === view.at)
    // What was left for good is not come back to.
    const left = view.inOrder && here[was]?.settled
    if (!left) return Math.max(0, was)
    const next = here.findIndex((s) => s.open)
    return next < 0 ? here.length - 1 : next
  })
  /** where the student wants to be on a page of many questions; counted, so that the same place can be wanted again */
  const [jump, setJump] = useState(0)
  const [leaves, setLeaves] = useState<string | null>(null)
  const [over, setOver] = useState(false)
  const [asking, setAsking] = useState(false)
  const [wanted, setWanted] = useState(0)
  const [size, setSize] = useState(
    () => Number(onDevice.getItem(STORE)) || (view.support?.largerText ? SIZES.length - 1 : 0),
  )
  // A paper that is mended meanwhile leaves the student where they are.
  const keys = here.map((s) => `${s.entry} ${s.try}`)
  const [known, setKnown] = useState(keys)
  if (keys.join() !== known.join()) {
    const same = keys.indexOf(known[at] ?? '')
    setKnown(keys)
    setAt(same < 0 ? Math.min(at, Math.max(0, keys.length - 1)) : same)
  }
  const top = useRef<HTMLHeadingElement>(null)
  const visit = useRef(view.visit)
  useEffect(() => {
    if (visit.current === view.visit) return
    visit.current = view.visit
    setAt(0)
    setOver(false)
  }, [view.visit])
  const types = [...new Set(view.steps.flatMap((s) => (s.face ? [s.face.type] : [])))].sort().join(' ')
  const shows = here.some((s) => s.face?.asksWorking)
  const pages = here.some((s) => s.face?.goBack)
  const reads = view.sources.length > 0
  useEffect(() => {
    if (shows) void parts.working().catch(() => undefined)
    if (pages) void parts.page().catch(() => undefined)
    if (reads) void Promise.all([besides(), source()]).catch(() => undefined)
  }, [shows, pages, reads])
  // What the questions after the first are answered with, and what comes after an answer: here before they are reached, also where the
  // network goes meanwhile. What cannot be fetched now is asked for again when it is shown.
  const quiet = useQuiet()
  useEffect(() => {
    if (!quiet) return
    for (const part of [() => loadInputs(types.split(' ')), lookOver, parts.told, parts.howSure])
      part().catch(() => undefined)
  }, [quiet, types])
  const step = here[Math.min(at, here.length - 1)]
  const standing = view.skills.find((skill) => step !== undefined && skill.entries.includes(step.entry))
  const looking = over || view.ended || !step
  useEffect(() => {
    driver.moveTo(looking ? null : step)
    // Only a change of place is told.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [step?.entry, step?.try, looking])
  const sourceOf = (entry: string) => view.sources.find((s) => s.entry === entry)
  const alone = step?.isSource ? sourceOf(step.entry) : undefined
  const beside = looking ? [] : (step?.beside ?? []).flatMap((entry) => sourceOf(entry) ?? [])
  const turn = (to: number) => {
    setAt(to)
    top.current?.focus()
    window.scrollTo(0, 0)
  }
  const valueOf = (s: Step) => values.get(keyOf(view.id, s.entry, s.try)) ?? s.value
  const questions = here.filter((s) => s.face)
  const blank = questions.filter((s) => isBlank(valueOf(s)))
  const last = at >= here.length - 1
  const mustSettle = Boolean(
    step?.face && view.settles && step.open && !isByHand(step.face.type) && !isBlank(valueOf(step)),
  )
  const back = at > 0 && !over && !view.inOrder
  const isLeftBlank = Boolean(step?.open && step.face && isBlank(valueOf(step)))
  const keyOfStep = step ? `${step.entry} ${step.try}` : ''
  // Whoever goes on cannot come back: where anything could still be changed, that is said first.
  const end = () => (view.mayGoOn && !questions.some((s) => s.open) ? void driver.goOn() : setOver(true))
  const forward = () => (last ? end() : turn(at + 1))
  // In order, an answer is settled first; the student goes on when it is.
  const leaving = useRef<string | null>(null)
  useEffect(() => {
    if (leaving.current !== keyOfStep || step?.open) return
    leaving.current = null
    forward()
  })
  const leave = (one: Step) => {
    leaving.current = keyOfStep
    void driver.settle(one)
  }
  const next = () => {
    if (!view.inOrder || !step?.open) return forward()
    if (isLeftBlank && leaves !== keyOfStep) return setLeaves(keyOfStep)
    leave(step)
  }
  const notes = (
    <>
      {help}
      {view.notes.length > 0 ? (
        <Notes view={view} numberOf={(entry) => questions.find((s) => s.entry === entry)?.number} />
      ) : null}
    </>
  )
  const ask = driver.call && (() => setAsking(true))
  /** the questions stand together */
  const together = view.wholePage && !looking
  // Every keystroke is sent and kept; only what is not so is worth a word.
  useSaid(/^(sending|kept( \d|$))/.test(driver.line) ? '' : driver.line)
  const resize = (next: number) => {
    setSize(next)
    onDevice.setItem(STORE, String(next))
  }
  const place = useMemo(
    () => ({
      ...driver.media,
      scope: step ? keyOf(view.id, step.entry, step.try) : view.id,
      // Where nothing is sent, what is played is counted nowhere.
      plays: driver.media.uploads && view.id,
      wordNotes: view.support?.wordNotes,
    }),
    [driver.media, view.id, view.support, step],
  )
  return (
    <MediaProvider value={place}>
      <div
        className="flex min-h-dvh flex-col bg-sheet"
        style={{ fontSize: SIZES[size] ?? 18 }}
        onPasteCapture={view.pasting ? undefined : refusePasting}
        onDropCapture={view.pasting ? undefined : refusePasting}
      >
        <header className="flex flex-wrap items-center gap-x-3 border-b px-4 py-2 text-[15px] text-quiet">
          <span className="min-w-20 flex-1 truncate">{view.title}</span>
          <span className="shrink-0">{head}</span>
          <span className="text-right leading-tight text-balance">{driver.line}</span>
          <button
            className="min-h-11 min-w-11 shrink-0 rounded border border-edge font-semibold text-ink"
            aria-label={size === SIZES.length - 1 ? 'Smallest text' : 'Larger text'}
            onClick={() => resize((size + 1) % SIZES.length)}
          >
            A{size === SIZES.length - 1 ? '−' : '+'}
          </button>
        </header>
        {view.hold !== null || view.secondsLeft !== null || view.climbs !== null ? <InTheRoom view={view} /> : null}
        {view.turn && step?.open && step.face && !looking ? (
          <Turn
            key={keyOfStep}
            turn={view.turn}
            entry={step.entry}
            stands={view.hold !== null}
            onOver={() => leave(step)}
          />
        ) : null}
        {view.tools.length > 0 ? <Tools tools={view.tools} sitting={view.id} /> : null}
        {view.support ? (
          <Supported support={view.support} step={looking ? '' : step.entry} withSource={beside.length > 0} />
        ) : null}
        {together ? (
          <WholePage
            driver={driver}
            here={here}
            step={step}
            jump={jump}
            wanted={wanted}
            place={place}
            progress={
              <Rungs
                steps={questions}
                at={step}
                valueOf={valueOf}
                onGo={(s) => {
                  setAt(here.indexOf(s))
                  setJump((n) => n + 1)
                }}
              />
            }
            notes={notes}
            valueOf={valueOf}
            onAt={(s) => setAt(here.indexOf(s))}
            onLook={() => setWanted((n) => n + 1)}
            onAsk={ask}
            onEnd={end}
            end={view.mayGoOn ? 'Go on' : 'Look over'}
          />
        ) : (
          <>
            <Main
              className={`mx-auto flex w-full flex-1 px-4 py-4 ${beside.length > 0 ? 'max-w-6xl flex-col lg:flex-row lg:items-start lg:gap-8' : 'max-w-2xl flex-col'}`}
            >
              {beside.length > 0 ? (
                <Beside
                  key={step?.beside.join(' ')}
                  sources={beside}
                  steps={here}
                  step={step}
                  wanted={wanted}
                  valueOf={valueOf}
                  busy={driver.busy}
                  kindOf={kindOf}
                  onAnswer={driver.answer}
                  onAt={(s) => setAt(here.indexOf(s))}
                  onStop={(s) => turn(here.indexOf(s))}
                />
              ) : null}
              <div className="flex w-full min-w-0 flex-1 flex-col">
                {looking ? (
                  <LookOver
                    driver={driver}
                    questions={questions}
                    blank={blank.length}
                    valueOf={valueOf}
                    onBack={
                      view.ended || view.inOrder
                        ? undefined
                        : (i) => (setOver(false), turn(here.indexOf(questions[i] as Step)))
                    }
                    heading={top}
                  />
                ) : (
                  <>
                    <Rungs
                      steps={questions}
                      at={step}
                      valueOf={valueOf}
                      onGo={view.inOrder ? undefined : (s) => turn(here.indexOf(s))}
                    />
                    {view.instructions ? (
                      <Instructions key={view.visit} html={view.instructions} first={at === 0} />
                    ) : null}
                    <div className="mt-3 flex items-baseline gap-4">
                      <h1 ref={top} tabIndex={-1} className="font-head text-[1.4em] font-semibold outline-none">
                        {step.isSource ? sourceOf(step.entry)?.title : step.number}
                        {step.try > 1 ? (
                          <span className="ml-3 text-[0.6em] font-normal text-quiet">once more, try {step.try}</span>
                        ) : null}
                      </h1>
                      <span className="flex-1 text-[0.85em] text-quiet">{view.section}</span>
                      {step.face ? (
                        <span className="text-[0.85em] whitespace-nowrap text-quiet">{inMarks(step.points)}</span>
                      ) : null}
                    </div>
                    {standing ? (
                      <p className="mt-1 text-[0.85em]">
                        <span className="text-quiet">{standing.name}:</span> {standing.wanted}
                      </p>
                    ) : null}
                    {alone ? (
                      <div className="mt-2" data-reads="question">
                        <SourcePage source={alone} />
                      </div>
                    ) : null}
                    {step.face ? (
                      <Question
                        driver={driver}
                        step={step}
                        value={valueOf(step)}
                        titleOf={(entry) => sourceOf(entry)?.title ?? ''}
                        onLook={() => setWanted((n) => n + 1)}
                      />
                    ) : null}
                  </>
                )}
              </div>
            </Main>
            {/* What is written to a student comes from below, so that the question does not move. */}
            <div className="sticky bottom-0">
              {notes}
              {looking ? null : (
                <footer className="border-t bg-sheet">
                  <div
                    className={`mx-auto flex flex-wrap items-center gap-2 px-4 py-3 ${beside.length > 0 ? 'max-w-6xl' : 'max-w-2xl'}`}
                  >
                    {view.inOrder ? null : (
                      <Button className="min-h-12" disabled={!back} onClick={() => turn(at - 1)}>
                        Back
                      </Button>
                    )}
                    <HintButton driver={driver} step={step} />
                    {ask ? (
                      <Button className="min-h-12" onClick={ask}>
                        {view.call ? 'Asked' : 'Ask'}
                        <span className="sr-only"> your teacher</span>
                      </Button>
                    ) : null}
                    <span className="flex-1" />
                    {mustSettle ? (
                      <Button kind="do" size="large" disabled={driver.busy} onClick={() => void driver.settle(step)}>
                        Check
                      </Button>
                    ) : !last || (view.inOrder && step.open) ? (
                      <Button kind={isLeftBlank ? 'plain' : 'do'} size="large" disabled={driver.busy} onClick={next}>
                        {!isLeftBlank
                          ? 'Next'
                          : !view.inOrder
                            ? 'Leave for now'
                            : leaves === keyOfStep
                              ? 'Leave it for good'
                              : 'Leave it'}
                      </Button>
                    ) : (
                      <Button kind="do" size="large" disabled={driver.busy} onClick={end}>
                        {view.mayGoOn ? 'Go on' : 'Look over'}
                      </Button>
                    )}
                  </div>
                </footer>
              )}
            </div>
          </>
        )}
        {asking && driver.call && step ? (
          <AskDialog
            number={step.number}
            call={view.call}
            busy={driver.busy}
            onAsk={(kind, words) => driver.call?.(step, { kind, words }) ?? Promise.resolve()}
            onNeverMind={() => driver.call?.(step, null) ?? Promise.resolve()}
            onClose={() => setAsking(false)}
          />
        ) : null}
      </div>
    </MediaProvider>
  )
}
