import { plural } from '@/lib/format'
import { waiting } from '@/media/waiting'
import { toast } from '@/ui/toast'

/** Whether files of a sitting are still on this device alone; where they are, that is said. */
export async function someAreNotSent(sitting: string): Promise<boolean> {
  const left = await waiting()
    .count(sitting)
    .catch(() => 0)
  if (left > 0)
    toast(`${plural(left, 'file')} not sent yet. Go back to the question: it is sent there, or can be given up.`, {
      bad: true,
    })
  return left > 0
}
