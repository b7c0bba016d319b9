import { useEffect, useRef, useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { say } from '@/lib/say'

type Visitor = Schemas['PaperVisitorView']
/** Seconds between two words of an open desk; three of them unheard, and it counts as left (server: Paper/ReadModel/Visits). */
const EVERY = 5

/**
 * Colleagues at the same paper, and where; says where one is oneself. Tells of each version that somebody has saved.
 *
 * @param onVersion what the draft on the server has come to
 */
export function useCompany(
  paperId: string,
  part: string | null,
  onVersion: (version: number) => void,
): readonly Visitor[] {
  const [others, setOthers] = useState<readonly Visitor[]>([])
  const latest = useRef(onVersion)
  useEffect(() => {
    latest.current = onVersion
  })
  useEffect(() => {
    let over = false
    const tell = () => {
      if (document.visibilityState === 'hidden') return
      take(api.PUT('/api/papers/{id}/here', { params: { path: { id: paperId } }, body: { part: part ?? '' } })).then(
        (here) => {
          if (over) return
          setOthers((old) => (JSON.stringify(old) === JSON.stringify(here.others) ? old : here.others))
          latest.current(here.version)
        },
        // Whoever cannot be reached is not seen; that alone is worth no word.
        () => over || setOthers([]),
      )
    }
    tell()
    const timer = setInterval(tell, EVERY * 1000)
    document.addEventListener('visibilitychange', tell)
    return () => {
      over = true
      clearInterval(timer)
      document.removeEventListener('visibilitychange', tell)
    }
  }, [paperId, part])
  const names = others.map((o) => o.name).join(', ')
  const before = useRef('')
  useEffect(() => {
    if (names && names !== before.current) say(`Also at this paper: ${names}.`)
    before.current = names
  }, [names])
  return others
}
