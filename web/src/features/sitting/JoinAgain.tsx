import { Door } from '@/ui/Door'
import { JoinForm } from './Join'

/**
 * Laid over the work when a student is signed out in the middle of it. Their answers are on the device; once they are
 * back the page is opened anew, which sends them and goes on where it was.
 */
export default function JoinAgain() {
  return (
    <Door says="Your answers are kept on this device. Join again to go on where you were.">
      <JoinForm code="" onJoined={() => location.reload()} />
    </Door>
  )
}
