import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { api, take } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { ask } from '@/lib/queries'
import { useTerms } from '@/lib/terms'
import { Button } from '@/ui/Button'
import { Menu } from '@/ui/Menu'
import { later } from '@/ui/later'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'
import { folderActs, foldersAsked } from './folderActs'

const SameDialog = later(() => import('./SameDialog').then((it) => it.SameDialog))
const FolderDialog = later(() => import('./FolderDialog').then((it) => it.FolderDialog))

/** What can be done with the chosen questions at one stroke: to all of them or to none, and taken back again. */
export function ManyBar({
  ids,
  archived,
  folder = '',
  onDone,
}: {
  ids: readonly string[]
  archived: boolean
  /** the one that is looked into */
  folder?: string
  onDone: () => void
}) {
  const client = useQueryClient()
  const navigate = useNavigate()
  const papers = useQuery(ask.papers())
  const terms = useTerms()
  const folders = useQuery(foldersAsked).data?.folders ?? []
  const lookedInto = folders.find((one) => one.id === folder)
  const [making, setMaking] = useState(false)
  const [same, setSame] = useState(false)
  const body = { ids: [...ids] }
  // The same choice, asked for again, is copied once.
  const choice = ids.join()
  const request = useMemo(() => (choice === '' ? '' : crypto.randomUUID()), [choice])
  const many = plural(ids.length, 'question')
  const seen = () => {
    for (const stale of ['items', 'item', 'terms', 'folders']) void client.invalidateQueries({ queryKey: [stale] })
  }
  /** An act, what is said of it, and what takes it back. */
  const act = async <T,>(does: Promise<T>, says: string, undo: (done: T) => Promise<unknown>) => {
    try {
      const done = await does
      seen()
      onDone()
      toast(says, {
        undo: () => void undo(done).then(seen).catch(sorry),
      })
    } catch (error) {
      sorry(error)
    }
  }
  const archive = (some: typeof body) => take(api.POST('/api/items/many/archive', { body: some }))
  const restore = (some: typeof body) => take(api.POST('/api/items/many/restore', { body: some }))
  const setSkills = (skills: Record<string, string | null>) =>
    take(api.POST('/api/items/many/skills', { body: { skills } }))
  return (
    <div
      role="group"
      aria-label="With the chosen questions"
      className="sticky bottom-0 z-10 mt-auto flex flex-wrap items-center gap-2 border-t bg-sheet px-6 py-2.5"
    >
      <b className="mr-1">{ids.length} chosen</b>
      {archived ? (
        <Button onClick={() => void act(restore(body), `${many} back in the bank.`, () => archive(body))}>
          Back into the bank
        </Button>
      ) : (
        <>
          <Menu
            face="Take into a paper"
            side="top"
            align="start"
            head="Which paper?"
            acts={(papers.data?.papers ?? []).map((paper) => ({
              id: paper.id,
              label: paper.title,
              run: () => void navigate(`/papers/${paper.id}?take=${ids.join(',')}`),
            }))}
          />
          <Menu
            face="Skill"
            side="top"
            align="start"
            head="They are evidence of"
            acts={[{ id: '', name: 'no skill' }, ...(terms.data?.skills ?? [])].map(({ id, name }) => ({
              id,
              label: name,
              run: () =>
                void act(
                  setSkills(Object.fromEntries(ids.map((one) => [one, id === '' ? null : id]))),
                  `${many}: ${name}.`,
                  ({ before }) => setSkills(before),
                ),
            }))}
          />
          <Menu
            face="Folder"
            side="top"
            align="start"
            head="Put into"
            acts={[
              ...folders.map((one) => ({
                id: one.id,
                label: one.own ? `${one.name} (own)` : one.name,
                run: () =>
                  void act(folderActs.change(one.id, [...ids], []), `${many} in “${one.name}”.`, ({ put }) =>
                    folderActs.change(one.id, [], put),
                  ),
              })),
              { id: '', label: 'New folder …', run: () => setMaking(true) },
            ]}
          />
          {lookedInto ? (
            <Button
              onClick={() =>
                void act(
                  folderActs.change(lookedInto.id, [], [...ids]),
                  `${many} no longer in “${lookedInto.name}”.`,
                  () => folderActs.change(lookedInto.id, [...ids], []),
                )
              }
            >
              Take out of the folder
            </Button>
          ) : null}
          <Button
            onClick={() =>
              void act(
                take(api.POST('/api/items/many/copy', { body: { ...body, requestId: request } })),
                `${many} copied. The copies stand first.`,
                ({ ids: copies }) => archive({ ids: copies }),
              )
            }
          >
            Copy
          </Button>
          {ids.length === 2 ? <Button onClick={() => setSame(true)}>The same …</Button> : null}
          <Button onClick={() => void act(archive(body), `${many} archived. Papers keep them.`, () => restore(body))}>
            Archive
          </Button>
        </>
      )}
      <Button kind="quiet" onClick={onDone}>
        Choose none
      </Button>
      {same && ids[0] && ids[1] ? (
        <SameDialog
          ids={[ids[0], ids[1]]}
          onClose={() => setSame(false)}
          onSame={(does, gone, kept) =>
            void act(does, `“${gone.title}” is part of “${kept}” now.`, () => restore({ ids: [gone.id] }))
          }
        />
      ) : null}
      {making ? (
        <FolderDialog
          folder={null}
          items={ids}
          onClose={() => setMaking(false)}
          onMade={({ made }, name) =>
            void act(Promise.resolve(made), `${many} in “${name}”.`, (id) => folderActs.drop(id ?? ''))
          }
        />
      ) : null}
    </div>
  )
}
