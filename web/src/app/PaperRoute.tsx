import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { ask } from '@/lib/queries'
import { ItemCard } from '@/features/bank/ItemCard'
import { PaperPdf } from '@/features/exchange/PaperPdf'
import PaperDesk from '@/features/paper/PaperDesk'
import { Failed, Loading } from '@/ui/States'

/** Joins rooms: the paper's desk shows questions as the bank draws them, and has the paper printed. */
export default function PaperRoute() {
  const { id = '' } = useParams()
  const stored = useQuery({ ...ask.paper(id), refetchOnWindowFocus: false })
  if (stored.isPending) return <Loading what="Opening the paper" />
  if (!stored.data) return <Failed error={stored.error} />
  return (
    <PaperDesk
      key={id}
      stored={stored.data}
      printing={(title, flush) => <PaperPdf id={id} title={title} before={flush} />}
      card={(item) => <ItemCard item={item} showKey />}
      question={(item, itemId) => (
        <>
          <ItemCard item={item} showKey />
          <Link to={`/bank/${itemId}`} className="mt-3 inline-block font-semibold text-blue underline">
            Edit in the bank
          </Link>
        </>
      )}
    />
  )
}
