import { Problem } from '@/lib/api/client'
import { toast } from '@/ui/toast'

/**
 * The net under every act: a refusal that no screen took up is told, so that nothing fails in silence. Screens that can
 * say it at the place where it happened do so themselves.
 */
export function tellFaults() {
  window.addEventListener('unhandledrejection', (event) => {
    const fault: unknown = event.reason
    if (!(fault instanceof Problem)) return
    event.preventDefault()
    toast([fault.message, fault.detail].filter(Boolean).join(' '), { bad: true })
  })
}
