import { AlertDialog } from 'radix-ui'
import { JoinForm } from './Join'

/**
 * Laid over the work when a student is signed out in the middle of it. Their answers are on the device; once they are
 * back the page is opened anew, which sends them and goes on where it was.
 */
export default function JoinAgain() {
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-60 bg-ink/45" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-60 flex max-h-[92vh] w-[94vw] max-w-md -translate-x-1/2 -translate-y-1/2 flex-col gap-4 overflow-auto rounded border border-line bg-ground p-5 text-lg shadow-float">
          <AlertDialog.Title className="text-xl">You are no longer signed in</AlertDialog.Title>
          <AlertDialog.Description>
            Your answers are kept on this device. Join again to go on where you were.
          </AlertDialog.Description>
          <JoinForm code="" onJoined={() => location.reload()} />
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}
