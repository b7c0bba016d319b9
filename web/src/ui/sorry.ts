import { problemOf } from '@/lib/api/client'
import { toast } from './toast'

/** Says what was refused or failed, and what to do. */
export function sorry(thrown: unknown) {
  const { message, detail } = problemOf(thrown)
  toast(`${message} ${detail}`.trim(), { bad: true })
}
