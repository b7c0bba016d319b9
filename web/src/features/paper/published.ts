import type { QueryClient } from '@tanstack/react-query'
import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { ask } from '@/lib/queries'
import { toast } from '@/ui/toast'

/** That an edition is published, and what is to be known of those who sit an earlier one now. */
export async function sayPublished(client: QueryClient, { id, edition }: Schemas['PaperPaperView']) {
  const done = `Edition ${edition ?? ''} is published.`
  // Asked anew: what stood here may be older than the bell.
  const handouts = await client.fetchQuery({ ...ask.handouts(), staleTime: 0 }).catch(() => null)
  const working = (handouts?.handouts ?? [])
    .filter((h) => h.paperId === id && h.closedAt === null && h.latest > h.edition)
    .reduce((sum, h) => sum + h.open, 0)
  toast(
    working === 0
      ? `${done} It can be handed out.`
      : `${done} ${plural(working, 'student')} at work have an earlier one; the Lookout can give them this.`,
  )
}
