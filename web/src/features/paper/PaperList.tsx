import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Link, useNavigate } from 'react-router'
import { api, problemOf, take } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { Empty, Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/Toasts'

export default function PaperList() {
  const navigate = useNavigate()
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['papers'], queryFn: () => take(api.GET('/api/papers')) })
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
    onError: (thrown) => toast(problemOf(thrown).message, { bad: true }),
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
  useKeys({ n: { label: 'New paper', run: start } })
  return (
    <>
      <Head title="Papers" note={list.data ? plural(list.data.papers.length, 'paper') : ''}>
        <Button kind="do" hint="n" disabled={create.isPending} onClick={start}>
          New paper
        </Button>
      </Head>
      <div className="min-h-0 flex-1 overflow-auto">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data?.papers.length === 0 ? (
          <Empty title="No paper yet">
            <p>A paper puts questions in order. Start one; it saves itself.</p>
          </Empty>
        ) : null}
        {list.data && list.data.papers.length > 0 ? (
          <table className="w-full max-w-5xl text-[15px]">
            <caption className="sr-only">The team’s papers</caption>
            <thead>
              <tr className="border-b text-left text-sm text-quiet">
                <th scope="col" className="py-2 pl-6 font-medium">
                  Paper
                </th>
                <th scope="col" className="px-2 font-medium max-md:hidden">
                  Sections
                </th>
                <th scope="col" className="px-2 font-medium max-md:hidden">
                  Questions
                </th>
                <th scope="col" className="px-2 font-medium">
                  Edition
                </th>
                <th scope="col" className="px-2 font-medium max-md:hidden">
                  Last saved
                </th>
                <th scope="col" className="px-2 pr-6">
                  <span className="sr-only">Acts</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {list.data.papers.map((paper) => (
                <tr key={paper.id} className="border-b hover:bg-pale">
                  <td className="py-2.5 pl-6">
                    <Link className="font-semibold hover:underline" to={`/papers/${paper.id}`}>
                      {paper.title || 'Untitled'}
                    </Link>
                  </td>
                  <td className="px-2 tabular-nums max-md:hidden">{paper.sections}</td>
                  <td className="px-2 tabular-nums max-md:hidden">{paper.questions}</td>
                  <td className="px-2 py-2">
                    {paper.edition === null ? (
                      <span className="text-quiet">not published</span>
                    ) : (
                      `${paper.edition}, ${plural(paper.handouts, 'handout')}`
                    )}
                    {paper.ahead ? <span className="text-blue"> · draft is ahead</span> : null}
                  </td>
                  <td className="px-2 text-quiet max-md:hidden">
                    {moment(paper.updatedAt)} by {paper.updatedBy}
                  </td>
                  <td className="px-2 pr-6 text-right whitespace-nowrap">
                    {paper.editionId ? (
                      <Link
                        className="mr-4 font-semibold text-blue underline"
                        to={`/handouts/new?edition=${paper.editionId}`}
                      >
                        Hand out
                      </Link>
                    ) : null}
                    <Button
                      kind="quiet"
                      size="small"
                      aria-label={`Archive ${paper.title}`}
                      onClick={() => void archive(paper.id, paper.title)}
                    >
                      Archive
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : null}
      </div>
    </>
  )
}
