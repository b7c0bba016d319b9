import { Dialog as Radix } from 'radix-ui'
import { useEffect, useRef, useState } from 'react'
import { api, take } from '@/lib/api/client'
import { Button } from '@/ui/Button'

const AGAIN = 5000

/** One time that the student was away: told when it begins and, with how long it was, when it ends. */
type Away = { id: string; from: number; until: number | null; told: 'no' | 'begun' | 'all' }

const isWhole = () => !document.fullscreenEnabled || document.fullscreenElement !== null
const isThere = () => isWhole() && document.visibilityState === 'visible'

/**
 * Work in full screen: without it the questions are covered, and leaving is told to the teacher, which the student knows beforehand.
 * Where a device has no full screen, leaving the page is told instead.
 */
export function FullScreen({ sitting }: { sitting: string }) {
  const [there, setThere] = useState(isThere)
  const [entered, setEntered] = useState(isThere)
  const aways = useRef<Away[]>([])
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    const tell = async () => {
      clearTimeout(timer)
      for (const away of aways.current) {
        const over = away.until !== null
        if (away.told === 'all' || (away.told === 'begun' && !over)) continue
        const seconds = Math.round(((away.until ?? away.from) - away.from) / 1000)
        const path = { id: sitting, leave: away.id }
        try {
          await take(api.PUT('/api/me/sittings/{id}/left/{leave}', { params: { path }, body: { seconds } }))
          away.told = over ? 'all' : 'begun'
        } catch {
          timer = setTimeout(() => void tell(), AGAIN)
          return
        }
      }
      aways.current = aways.current.filter((away) => away.told !== 'all')
    }
    const look = () => {
      const now = isThere()
      setThere(now)
      if (now) setEntered(true)
      const last = aways.current.at(-1)
      const away = last?.until === null ? last : undefined
      if (now && away) away.until = Date.now()
      else if (!now && !away && entered)
        aways.current.push({ id: crypto.randomUUID(), from: Date.now(), until: null, told: 'no' })
      void tell()
    }
    document.addEventListener('fullscreenchange', look)
    document.addEventListener('visibilitychange', look)
    return () => {
      clearTimeout(timer)
      document.removeEventListener('fullscreenchange', look)
      document.removeEventListener('visibilitychange', look)
    }
  }, [sitting, entered])
  // Whoever goes on to something else has the screen as it was.
  useEffect(() => () => void (document.fullscreenElement && document.exitFullscreen().catch(() => undefined)), [])
  if (there) return null
  return (
    <Radix.Root open>
      <Radix.Portal>
        <Radix.Content
          role="alertdialog"
          aria-describedby={undefined}
          className="fixed inset-0 z-40 flex flex-col items-center justify-center gap-4 bg-ground p-6 text-center text-[18px]"
        >
          <span aria-hidden className="mb-2 h-[5px] w-16 bg-rung" />
          <Radix.Title className="font-head text-3xl font-semibold">
            {entered ? 'You have left the full screen' : 'This work is done in full screen'}
          </Radix.Title>
          <p className="max-w-md text-quiet">
            {entered
              ? 'Your teacher is told, and for how long. What you have entered is kept.'
              : 'Your teacher is told when you leave it, and for how long.'}
          </p>
          <Button
            kind="do"
            size="large"
            onClick={() => void document.documentElement.requestFullscreen().catch(() => undefined)}
          >
            {entered ? 'Back to full screen' : 'Go to full screen'}
          </Button>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
