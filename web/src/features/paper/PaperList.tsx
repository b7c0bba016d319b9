import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { ask } from '@/lib/queries'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { toWhom, useHandouts } from '@/lib/handouts'
import { Button } from '@/ui/Button'
import { ListDesk } from '@/ui/ListDesk'
import { Empty } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'
import { later } from '@/ui/later'
import { PaperAside } from './PaperAside'

const OnPaperDialog = later(() => import('./OnPaperDialog').then((it) => it.OnPaperDialog))

type Paper = Schemas['PaperPaperRowView']

const nameOf = (paper: Paper) => paper.title || 'Untitled'

export default function PaperList() {
  const navigate = useNavigate()
  const client = useQueryClient()
  const [onPaper, setOnPaper] = useState(false)
  const list = useQuery(ask.papers())
  const create = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/papers', {
          body: {
            paper: {
              version: 1,
              title: 'New paper',
              sections: [{ id: 's1', title: 'Section 1', entries: [], route: null }],
              mastery: null,
            },
            version: 0,
          },
        }),
      ),
    onSuccess: (paper) => void navigate(`/papers/${paper.id}`),
    onError: sorry,
  })
  const start = () => create.isPending || create.mutate()
  const archive = async (id: string, title: string) => {
    await take(api.DELETE('/api/papers/{id}', { params: { path: { id } } }))
    void client.invalidateQueries({ queryKey: ['papers'] })
    toast(`"${title}" is out of the list. Its handouts go on.`, {
      undo: () =>
        void take(api.POST('/api/papers/{id}/restore', { params: { path: { id } } })).then(() =>
          client.invalidateQueries({ queryKey: ['papers'] }),
        ),
    })
  }
  const uses = useHandouts()
  const of = (paper: Paper) => uses.data?.handouts.filter((h) => h.paperId === paper.id) ?? []
  return (
    <ListDesk
      title="Papers"
      note={list.data ? plural(list.data.papers.length, 'paper') : ''}
      label="The team’s papers"
      acts={
        <>
          <Button onClick={() => setOnPaper(true)}>Questions on paper …</Button>
          <Button kind="do" hint="n" disabled={create.isPending} onClick={start}>
            New paper
          </Button>
          {onPaper ? (
            <OnPaperDialog
              onMade={(edition) => {
                void client.invalidateQueries({ queryKey: ['papers'] })
                void navigate(`/handouts/new?edition=${edition}`)
              }}
              onClose={() => setOnPaper(false)}
            />
          ) : null}
        </>
      }
      keys={{ n: { label: 'New paper', run: start } }}
      list={{ ...list, data: list.data?.papers }}
      first={null}
      words={(p) => `${nameOf(p)} ${p.updatedBy}`}
      picks={[
        { value: 'open', label: 'Open now', of: (p) => of(p).some((h) => h.status === 'open') },
        { value: 'ahead', label: 'Draft is ahead', of: (p) => p.ahead },
        { value: 'new', label: 'Not published', of: (p) => p.edition === null },
      ]}
      to={(p) => `/papers/${p.id}`}
      columns={[
        {
          id: 'title',
          head: 'Paper',
          cell: nameOf,
          sort: nameOf,
          under: (p) => (p.remarks > 0 ? <span className="text-blue">{plural(p.remarks, 'remark')}</span> : null),
        },
        {
          id: 'questions',
          head: 'Questions',
          cell: (p) => p.questions,
          sort: (p) => p.questions,
          right: true,
          wide: true,
        },
        {
          id: 'edition',
          head: 'Edition',
          cell: (p) => (
            <>
              {p.edition === null ? <span className="text-quiet">not published</span> : p.edition}
              {p.ahead ? <span className="text-blue"> · draft is ahead</span> : null}
            </>
          ),
          sort: (p) => p.edition,
        },
        {
          id: 'used',
          head: 'Last used',
          cell: (p) => {
            const last = of(p)[0]
            return last ? `${moment(last.madeAt)}, ${toWhom(last)}` : <span className="text-quiet">never</span>
          },
          sort: (p) => of(p)[0]?.madeAt ?? null,
          wide: true,
        },
        {
          id: 'saved',
          head: 'Last saved',
          cell: (p) => (
            <span className="text-quiet">
              {moment(p.updatedAt)} by {p.updatedBy}
            </span>
          ),
          sort: (p) => p.updatedAt,
          wide: true,
        },
      ]}
      empty={
        <Empty title="No paper yet">
          <p>A paper puts questions in order. Start one; it saves itself.</p>
        </Empty>
      }
      panel={(p) => <PaperAside paper={p} uses={of(p)} onArchive={() => void archive(p.id, p.title)} />}
    />
  )
}
