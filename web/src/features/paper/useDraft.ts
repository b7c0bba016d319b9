import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState } from 'react'
import { api, Problem, problemOf, take, type Schemas } from '@/lib/api/client'
import { useOnResume } from '@/lib/session'
import { dropUnsaved, keepUnsaved, unsaved } from '@/lib/unsaved'
import { began, changed, redone, undone, type Paper } from './draft'

const SAVE_AFTER = 700
const RETRY_FIRST = 1000
const RETRY_MOST = 30_000

/** A draft that the server does not have yet, and the version it was made from; kept on the device meanwhile. */
type Unsaved = { paper: Paper; version: number }

export type SaveState =
  { kind: 'saved'; at: Date | null } | { kind: 'saving' } | { kind: 'unsaved' } | { kind: 'failed'; problem: Problem }

/** A draft that saves itself, one save at a time, and never over somebody else's. */
export function useDraft(stored: Schemas['PaperPaperView']) {
  const place = `paper.${stored.id}`
  // What was not sent when the desk was left is one change on top of what the server has, and can be undone.
  const [back, setBack] = useState(() => {
    const kept = unsaved<Unsaved>(place)
    return kept && JSON.stringify(kept.paper) !== JSON.stringify(stored.paper) ? kept : null
  })
  const [history, setHistory] = useState(() => (back ? changed(began(stored.paper), back.paper) : began(stored.paper)))
  const [view, setView] = useState(stored)
  const [save, setSave] = useState<SaveState>({ kind: 'saved', at: null })
  const state = useRef({
    paper: stored.paper,
    sent: stored.paper,
    // Made from an older one, it must not go over what was saved since: the server refuses it, and both are at hand.
    version: back?.version ?? stored.version,
    busy: false,
    stopped: false,
    wait: RETRY_FIRST,
  })
  const client = useQueryClient()

  const flush = useCallback(async (): Promise<boolean> => {
    const s = state.current
    if (s.busy || s.stopped || s.paper === s.sent) return s.paper === s.sent
    s.busy = true
    setSave({ kind: 'saving' })
    const sending = s.paper
    try {
      const answer = await take(
        api.PUT('/api/papers/{id}', {
          params: { path: { id: stored.id } },
          body: { paper: sending, version: s.version },
        }),
      )
      s.version = answer.version
      s.sent = sending
      s.wait = RETRY_FIRST
      if (s.paper === sending) dropUnsaved(place)
      else keepUnsaved(place, { paper: s.paper, version: s.version })
      setView(answer)
      client.setQueryData(['paper', stored.id], answer)
      void client.invalidateQueries({ queryKey: ['papers'] })
      setSave({ kind: 'saved', at: new Date() })
    } catch (thrown) {
      const problem = problemOf(thrown)
      // Another's newer draft must not be overwritten: stop, and let the teacher decide.
      if (problem.status === 409) s.stopped = true
      setSave({ kind: 'failed', problem })
      s.busy = false
      return false
    }
    s.busy = false
    return s.paper === s.sent ? true : flush()
  }, [client, stored.id, place])

  // What did not reach the server is sent again by itself, with growing pauses; a refusal waits for the teacher.
  useEffect(() => {
    if (save.kind !== 'failed' || (save.problem.status !== 0 && save.problem.status < 500)) return
    const timer = setTimeout(() => void flush(), state.current.wait)
    state.current.wait = Math.min(RETRY_MOST, state.current.wait * 2)
    const now = () => void flush()
    window.addEventListener('online', now)
    return () => {
      clearTimeout(timer)
      window.removeEventListener('online', now)
    }
  }, [save, flush])
  useOnResume(useCallback(() => void flush(), [flush]))

  useEffect(() => {
    state.current.paper = history.now
    if (history.now === state.current.sent) return
    keepUnsaved(place, { paper: history.now, version: state.current.version })
    setSave((old) => (old.kind === 'failed' && old.problem.status === 409 ? old : { kind: 'unsaved' }))
    const timer = setTimeout(() => void flush(), SAVE_AFTER)
    return () => clearTimeout(timer)
  }, [history.now, flush, place])

  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (state.current.paper !== state.current.sent) event.preventDefault()
    }
    window.addEventListener('beforeunload', warn)
    return () => {
      window.removeEventListener('beforeunload', warn)
      void flush()
    }
  }, [flush])

  const change = useCallback(
    (next: Paper | ((old: Paper) => Paper)) =>
      setHistory((h) => changed(h, typeof next === 'function' ? next(h.now) : next)),
    [],
  )
  /** Takes up somebody else's newer draft as one more change: undoing it brings one's own back, to be saved over theirs. */
  const takeNewer = async () => {
    const newer = await take(api.GET('/api/papers/{id}', { params: { path: { id: stored.id } } }))
    const s = state.current
    s.version = newer.version
    s.sent = newer.paper
    s.stopped = false
    dropUnsaved(place)
    setView(newer)
    client.setQueryData(['paper', stored.id], newer)
    setHistory((h) => changed(h, newer.paper))
    setSave({ kind: 'saved', at: null })
  }
  const publish = async () => {
    if (!(await flush())) throw new Problem(0, 'The draft is not saved yet.', 'Wait for "saved", then publish.')
    const answer = await take(
      api.POST('/api/papers/{id}/publish', {
        params: { path: { id: stored.id } },
        body: { version: state.current.version },
      }),
    )
    setView(answer)
    client.setQueryData(['paper', stored.id], answer)
    void client.invalidateQueries({ queryKey: ['papers'] })
    return answer
  }
  return {
    paper: history.now,
    /** what had not reached the server when the desk was left is here again */
    back: back !== null,
    view,
    save,
    change,
    flush,
    publish,
    takeNewer,
    undo: () => {
      setBack(null)
      setHistory(undone)
    },
    redo: () => setHistory(redone),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  }
}
