import { useQuery } from '@tanstack/react-query'
import { useParams, useSearchParams } from 'react-router'
import { ask } from '@/lib/queries'
import { isByHand } from '@/answers/registry'
import MarkingDesk from '@/features/marking/MarkingDesk'
import { Failed, Loading } from '@/ui/States'

/** Brings the answers to one question to the marking desk. */
export default function MarkingRoute() {
  const { id = '', entry = '' } = useParams()
  const [params, setParams] = useSearchParams()
  const session = useQuery(ask.session())
  const second = params.get('second') === '1'
  const desk = useQuery({
    ...ask.desk(id, entry, second),
    refetchOnWindowFocus: false,
  })
  if (desk.isPending) return <Loading what="Laying out the answers" />
  if (!desk.data) return <Failed error={desk.error} retry={() => void desk.refetch()} />
  return (
    <MarkingDesk
      key={`${id}-${entry}-${second}`}
      desk={desk.data}
      startWithKey={params.get('key') === '1' && !isByHand(desk.data.item.type)}
      onKeyShut={() => setParams({}, { replace: true })}
      mayChangeKey={session.data?.staff?.role !== 'marker'}
    />
  )
}
