import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useState } from 'react'
import { api, Problem, take, type Schemas } from '@/lib/api/client'
import { keepUnsaved, unsaved } from '@/lib/drafts/device'
import { Draft } from '@/lib/drafts/draft'
import { useDraft as useKept } from '@/lib/drafts/useDraft'
import { toast } from '@/ui/toast'
import { began, changed, rebased, redone, undone, upgraded, type History, type Paper } from './draft'

type View = Schemas['PaperPaperView']
/** What can be undone and redone from a version that is saved; for a reload. */
type Steps = { version: number; past: Paper[]; future: Paper[] }
/** So many steps each way outlast a reload. */
const KEPT = 30

/** A paper's draft with its history: what is undone or redone is saved like any change. */
export function useDraft(stored: View) {
  const path = { id: stored.id }
  const client = useQueryClient()
  const [view, setView] = useState(stored)
  const took = (answer: View) => {
    setView(answer)
    client.setQueryData(['paper', stored.id], answer)
    void client.invalidateQueries({ queryKey: ['papers'] })
    return { value: answer.paper, version: answer.version }
  }
  const draft = useKept(
    () =>
      new Draft<Paper>({
        place: `paper.${stored.id}`,
        stored: { value: stored.paper, version: stored.version },
        send: async (paper, version) =>
          took(await take(api.PUT('/api/papers/{id}', { params: { path }, body: { paper, version } }))),
        newest: async () => took(await take(api.GET('/api/papers/{id}', { params: { path } }))),
        byItself: true,
        onMerged: (paper) => {
          setHistory((h) => changed(h, paper))
          toast('What was changed meanwhile is in this paper too.', { undo: () => setHistory(undone) })
        },
      }),
  )
  // What was not sent when the desk was left is one change on top of what the server has, and can be undone.
  const [back, setBack] = useState(draft.back)
  const steps = `steps.paper.${stored.id}`
  const [history, setHistory] = useState((): History => {
    const kept = unsaved<Steps>(steps)
    // Steps lead back from the version they were made up to, and from no other: what a colleague has changed is not undone by them.
    const start =
      kept?.version === stored.version
        ? { past: kept.past.map(upgraded), now: stored.paper, future: kept.future.map(upgraded) }
        : began(stored.paper)
    return draft.back ? changed(start, upgraded(draft.value)) : start
  })
  useEffect(() => draft.change(history.now), [draft, history.now])
  useEffect(() => {
    if (draft.line.kind !== 'saved') return
    const { past, future } = history
    const kept: Steps = { version: draft.version, past: past.slice(-KEPT), future: future.slice(0, KEPT) }
    keepUnsaved(steps, kept)
  }, [draft, draft.line.kind, history, steps])

  const change = useCallback(
    (next: Paper | ((old: Paper) => Paper)) =>
      setHistory((h) => changed(h, typeof next === 'function' ? next(h.now) : next)),
    [],
  )
  const publish = async () => {
    if (!(await draft.flush())) throw new Problem(0, 'The draft is not saved yet.', 'Wait for "saved", then publish.')
    const answer = await take(
      api.POST('/api/papers/{id}/publish', { params: { path }, body: { version: draft.version } }),
    )
    took(answer)
    return answer
  }
  return {
    paper: history.now,
    /** what had not reached the server when the desk was left is here again */
    back,
    view,
    draft,
    save: draft.line,
    change,
    flush: () => draft.flush(),
    /** a colleague has saved, up to this version */
    catchUp: (version: number) =>
      void draft.catchUp(version).then(
        (took) => took && setHistory((h) => rebased(h, took.from, took.to)),
        // The next word of it tries again.
        () => undefined,
      ),
    publish,
    undo: () => {
      setBack(false)
      setHistory(undone)
    },
    redo: () => setHistory(redone),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  }
}
