import { useQueryClient } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'
import type { Row } from './rows'

/** A line of words, or what was spoken. */
export type Said = { words: string; file: string | null }

/** What a teacher does in the room while students are at work; each act can be taken back. */
export function useRoom(handoutId: string) {
  const client = useQueryClient()
  const path = { id: handoutId }
  const anew = () => client.invalidateQueries({ queryKey: ['lookout', handoutId] })
  const release = async (students: string[] | null, whom: string) => {
    try {
      await take(api.POST('/api/handouts/{id}/release', { params: { path }, body: { students } }))
      toast(`${whom} can go on.`)
      await anew()
    } catch (thrown) {
      sorry(thrown)
    }
  }
  const helpOf = (id: string) => ({ params: { path: { id } } })
  const helps = async (does: Parameters<typeof take>[0]) => {
    try {
      await take(does)
      await client.invalidateQueries({ queryKey: ['helps', handoutId] })
      return true
    } catch (thrown) {
      sorry(thrown)
      return false
    }
  }
  return {
    /** @param students ids; null for all */
    async hold(students: string[] | null, words: string, whom: string) {
      await take(api.POST('/api/handouts/{id}/hold', { params: { path }, body: { students, words } }))
      toast(`${whom} ${students?.length === 1 ? 'is' : 'are'} held.`, { undo: () => void release(students, whom) })
      await anew()
    },
    release,
    /**
     * The same to each.
     *
     * @param students ids; null among them stands for all
     */
    async write(students: (string | null)[], { words, file }: Said, whom: string, entry: string | null = null) {
      const notes = students.map((student) => ({ id: crypto.randomUUID(), student, words, entry, file }))
      await Promise.all(notes.map((body) => take(api.POST('/api/handouts/{id}/notes', { params: { path }, body }))))
      toast(`${whom} can ${file ? 'hear' : 'read'} it now.`, {
        undo: () =>
          void Promise.all(
            notes.map(({ id }) => take(api.DELETE('/api/notes/{id}', { params: { path: { id } } }))),
          ).catch(sorry),
      })
    },
    /** A student is asked to help another with a question. */
    async askToHelp(sitting: string, entry: string, helper: { id: string; name: string }) {
      const id = crypto.randomUUID()
      const body = { id, entry, helper: helper.id }
      await take(api.POST('/api/sittings/{id}/helps', { params: { path: { id: sitting } }, body }))
      toast(`${helper.name} is asked to help.`, { undo: () => void helps(api.DELETE('/api/helps/{id}', helpOf(id))) })
      await client.invalidateQueries({ queryKey: ['helps', handoutId] })
    },
    async stopHelp(id: string) {
      if (await helps(api.DELETE('/api/helps/{id}', helpOf(id))))
        toast('The help is stopped.', { undo: () => void helps(api.POST('/api/helps/{id}/resume', helpOf(id))) })
    },
    letThrough: (id: string, line: string) =>
      helps(api.POST('/api/helps/{id}/lines/{line}/let', { params: { path: { id, line } } })),
    /** Their call has been seen to. */
    async settle(row: Row, name: string) {
      if (!row.sittingId || !row.call) return
      const call = { id: row.sittingId, call: row.call.id }
      try {
        await take(api.POST('/api/sittings/{id}/calls/{call}/settle', { params: { path: call } }))
        toast(`The call of ${name} is seen to.`, {
          undo: () =>
            void take(api.POST('/api/sittings/{id}/calls/{call}/unsettle', { params: { path: call } })).then(
              anew,
              sorry,
            ),
        })
        await anew()
      } catch (thrown) {
        sorry(thrown)
      }
    },
  }
}

export type Room = ReturnType<typeof useRoom>
