import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { Empty, Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/Toasts'
import { TimesDialog, useWindow } from './TimesDialog'

type Handout = Schemas['HandoutHandoutView']

const toWhom = (h: Handout) =>
  h.group ? `group “${h.group}”` : h.classes.length > 0 ? h.classes.join(', ') : plural(h.expected, 'student')

/** What was handed out, how far it is, and whose turn it is. */
export default function HandoutList() {
  const navigate = useNavigate()
  const list = useQuery({
    queryKey: ['handouts'],
    queryFn: () => take(api.GET('/api/handouts')),
    refetchInterval: 15_000,
  })
  const [timing, setTiming] = useState<Handout | null>(null)
  useKeys({ n: { label: 'Hand out', run: () => void navigate('/handouts/new') } })
  return (
    <>
      <Head title="Handouts" note={list.data ? plural(list.data.handouts.length, 'handout') : ''}>
        <Button kind="do" hint="n" onClick={() => void navigate('/handouts/new')}>
          Hand out
        </Button>
      </Head>
      <div className="min-h-0 flex-1 overflow-auto">
        {list.isPending ? <Loading /> : null}
        {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
        {list.data?.handouts.length === 0 ? (
          <Empty title="Nothing has been handed out">
            <p>Publish a paper, then hand it to a class.</p>
          </Empty>
        ) : null}
        {list.data && list.data.handouts.length > 0 ? (
          <table className="w-full text-[15px]">
            <caption className="sr-only">Handouts, the latest first</caption>
            <thead>
              <tr className="border-b text-left text-sm text-quiet">
                <th scope="col" className="py-2 pl-6 font-medium">
                  Paper
                </th>
                <th scope="col" className="px-2 font-medium max-md:hidden">
                  To
                </th>
                <th scope="col" className="px-2 font-medium">
                  Status
                </th>
                <th scope="col" className="px-2 font-medium">
                  Work
                </th>
                <th scope="col" className="px-2 font-medium max-md:hidden">
                  Handed out
                </th>
                <th scope="col" className="px-2 pr-6">
                  <span className="sr-only">Where to go</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {list.data.handouts.map((h) => (
                <tr key={h.id} className="border-b hover:bg-pale">
                  <td className="py-2.5 pl-6 font-semibold">
                    {h.title} <span className="text-sm font-normal text-quiet">edition {h.edition}</span>
                    <span className="block text-sm font-normal text-quiet md:hidden">{toWhom(h)}</span>
                  </td>
                  <td className="px-2 max-md:hidden">{toWhom(h)}</td>
                  <td className="px-2 md:whitespace-nowrap">
                    {h.status === 'open' ? <b className="text-good">✓ open</b> : h.status}
                    {h.closesAt && h.status === 'open' ? (
                      <span className="text-quiet"> until {moment(h.closesAt)}</span>
                    ) : null}
                    {h.opensAt && h.status === 'scheduled' ? (
                      <span className="text-quiet"> for {moment(h.opensAt)}</span>
                    ) : null}
                  </td>
                  <td className="px-2 md:whitespace-nowrap">
                    {h.handedIn} of {h.expected} in
                    {h.open > 0 ? `, ${h.open} at work` : ''}
                    {h.waiting > 0 ? (
                      <span className="text-rung"> · {h.waiting} wait for marking</span>
                    ) : h.handedIn > 0 && h.returned === h.handedIn ? (
                      <span className="text-quiet"> · returned</span>
                    ) : h.handedIn > h.returned ? (
                      <>
                        {' · '}
                        <Link className="font-semibold text-blue underline" to={`/marking?return=${h.id}`}>
                          {h.handedIn - h.returned} to return
                        </Link>
                      </>
                    ) : null}
                  </td>
                  <td className="px-2 whitespace-nowrap text-quiet max-md:hidden">{moment(h.madeAt)}</td>
                  <td className="px-2 py-2 pr-6 text-right md:whitespace-nowrap">
                    <Ways handout={h} onTimes={() => setTiming(h)} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : null}
      </div>
      {timing ? <TimesDialog handout={timing} onClose={() => setTiming(null)} /> : null}
    </>
  )
}

/** Where a handout leads, and what can be changed about when it is there. */
function Ways({ handout, onTimes }: { handout: Handout; onTimes: () => void }) {
  const { set, before } = useWindow(handout)
  const show = async () => {
    await set({ ...before, visible: true })
    toast(`Students see “${handout.title}” now.`, { undo: () => void set(before) })
  }
  const link = 'font-semibold text-blue underline'
  return (
    <span className="inline-flex items-baseline gap-x-4 gap-y-2 max-md:flex-col max-md:items-end">
      {handout.status === 'hidden' ? (
        <Button size="small" onClick={() => void show()}>
          Show to students
        </Button>
      ) : (
        <Link className={link} to={`/lookout/${handout.id}`}>
          Lookout
        </Link>
      )}
      {handout.handedIn > 0 ? (
        <Link className={link} to={`/results/${handout.id}`}>
          Results
        </Link>
      ) : null}
      {handout.status === 'closed' ? null : (
        <Button kind="quiet" size="small" aria-label={`Times of ${handout.title}`} onClick={onTimes}>
          Times
        </Button>
      )}
    </span>
  )
}
