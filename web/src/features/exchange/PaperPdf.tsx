import { useEffect, useRef, useState } from 'react'
import { api, take } from '@/lib/api/client'
import { useSaid } from '@/lib/say'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Menu } from '@/ui/Menu'
import { FaultLine } from '@/ui/States'

type Wanted = { key: boolean; version: string; large: boolean; sheet: boolean }
type Step = { said: string; error?: unknown }

const LOOK_EVERY = 1500
const PLAIN: Wanted = { key: false, version: '', large: false, sheet: false }
const VERSIONS = ['A', 'B']
const WANTED: Wanted[] = [
  PLAIN,
  { ...PLAIN, key: true },
  { ...PLAIN, sheet: true },
  { ...PLAIN, large: true },
  ...VERSIONS.flatMap((version) => [
    { ...PLAIN, version },
    { ...PLAIN, version, key: true },
  ]),
]
const named = ({ key, version, large, sheet }: Wanted) =>
  version
    ? key
      ? `Key of version ${version}`
      : `Version ${version}`
    : key
      ? 'PDF with key'
      : sheet
        ? 'Answer sheet'
        : large
          ? 'Large print'
          : 'PDF'

const inFileName = ({ key, version, large, sheet }: Wanted) => [
  ...(version ? [`version ${version}`] : []),
  ...(key ? ['key'] : []),
  ...(large ? ['large print'] : []),
  ...(sheet ? ['answer sheet'] : []),
]

/** A paper as a PDF. Few are made at once, so the place in the queue is said and the wait can be given up. */
export function PaperPdf({ id, title, before }: { id: string; title: string; before?: () => Promise<unknown> }) {
  const [wanted, setWanted] = useState<Wanted | null>(null)
  return (
    <>
      <Menu face="PDF" acts={WANTED.map((one) => ({ id: named(one), label: named(one), run: () => setWanted(one) }))} />
      {wanted ? <Making id={id} title={title} wanted={wanted} before={before} onClose={() => setWanted(null)} /> : null}
    </>
  )
}

function Making({
  id,
  title,
  wanted,
  before,
  onClose,
}: {
  id: string
  title: string
  wanted: Wanted
  before: (() => Promise<unknown>) | undefined
  onClose: () => void
}) {
  const [step, setStep] = useState<Step>({ said: 'Asking for it …' })
  const [round, setRound] = useState(0)
  const close = useRef(onClose)
  useEffect(() => {
    close.current = onClose
  })
  useEffect(() => {
    let given = false
    let job: string | null = null
    let looking: ReturnType<typeof setInterval> | undefined
    const look = async (path: { id: string }) => {
      const now = await take(api.GET('/api/pdfs/{id}', { params: { path } }))
      if (given) return
      setStep({ said: now.state === 'waiting' && now.before > 0 ? `Waiting: ${now.before} before it.` : 'Printing …' })
    }
    const make = async () => {
      try {
        await before?.()
        if (given) return
        const asked = await take(api.POST('/api/papers/{id}/pdf', { params: { path: { id }, query: wanted } }))
        job = asked.id
        const path = { id: asked.id }
        if (given) {
          void take(api.DELETE('/api/pdfs/{id}', { params: { path } }))
          return
        }
        setStep({ said: asked.before > 0 ? `Waiting: ${asked.before} before it.` : 'Printing …' })
        // A look that fails says nothing about the print itself, which answers on its own.
        looking = setInterval(() => void look(path).catch(() => undefined), LOOK_EVERY)
        const file = await take(api.POST('/api/pdfs/{id}/file', { params: { path }, parseAs: 'blob' }))
        job = null
        if (given) return
        handOver(file as unknown as Blob, `${[title || 'Paper', ...inFileName(wanted)].join(' · ')}.pdf`)
        close.current()
      } catch (thrown) {
        if (!given) setStep({ said: '', error: thrown })
      } finally {
        clearInterval(looking)
      }
    }
    void make()
    return () => {
      given = true
      clearInterval(looking)
      if (job) void take(api.DELETE('/api/pdfs/{id}', { params: { path: { id: job } } })).catch(() => undefined)
    }
    // One print for each time it is asked for.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [round])
  useSaid(step.said)
  return (
    <Dialog
      open
      onClose={onClose}
      title={`${named(wanted)} of “${title || 'Untitled paper'}”`}
      foot={
        step.error ? (
          <Button
            kind="do"
            onClick={() => {
              setStep({ said: 'Asking for it …' })
              setRound((n) => n + 1)
            }}
          >
            Try again
          </Button>
        ) : (
          <Button onClick={onClose}>Cancel</Button>
        )
      }
    >
      <p>{step.said}</p>
      <FaultLine error={step.error} />
      {step.error ? null : <p className="mt-1 text-sm text-quiet">It is saved by your browser when it is ready.</p>}
    </Dialog>
  )
}

/** Lets the browser keep a file under its name. */
function handOver(file: Blob, name: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
