import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState } from 'react'
import { api, Problem, problemOf, take, type Schemas } from '@/lib/api/client'
import { began, changed, redone, undone, type Paper } from './draft'

const SAVE_AFTER = 700

export type SaveState =
  { kind: 'saved'; at: Date | null } | { kind: 'saving' } | { kind: 'unsaved' } | { kind: 'failed'; problem: Problem }

/** A draft that saves itself, one save at a time, and never over somebody else's. */
export function useDraft(stored: Schemas['PaperPaperView']) {
  const [history, setHistory] = useState(() => began(stored.paper))
  const [view, setView] = useState(stored)
  const [save, setSave] = useState<SaveState>({ kind: 'saved', at: null })
  const state = useRef({
    paper: stored.paper,
    sent: stored.paper,
    version: stored.version,
    busy: false,
    stopped: false,
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
  }, [client, stored.id])

  useEffect(() => {
    state.current.paper = history.now
    if (history.now === state.current.sent) return
    setSave((old) => (old.kind === 'failed' && old.problem.status === 409 ? old : { kind: 'unsaved' }))
    const timer = setTimeout(() => void flush(), SAVE_AFTER)
    return () => clearTimeout(timer)
  }, [history.now, flush])

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
    view,
    save,
    change,
    flush,
    publish,
    takeNewer,
    undo: () => setHistory(undone),
    redo: () => setHistory(redone),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  }
}
