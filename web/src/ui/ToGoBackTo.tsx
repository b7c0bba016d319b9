import { Rich } from '@/lib/Rich'
import { Fold } from './Fold'

/** A page of an earlier lesson, opened beside the question by whoever wants to look again. */
export function ToGoBackTo({ page }: { page: { title: string; text: string } | null }) {
  if (!page || page.text === '') return null
  return (
    <div className="mt-2">
      <Fold label={`Go back to ${page.title || 'what was read before'}`}>
        <div className="rounded border bg-pale p-3">
          <Rich html={page.text} />
        </div>
      </Fold>
    </div>
  )
}
