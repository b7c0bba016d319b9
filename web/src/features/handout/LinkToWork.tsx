import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { QrCode } from '@/ui/QrCode'
import { toast } from '@/ui/toast'

/** The address of one piece of work, as a link and as a QR code, for a board, a page or a slide. */
export function LinkToWork({ handout, onClose }: { handout: { id: string; title: string }; onClose: () => void }) {
  const address = `${location.origin}/my/to/${handout.id}`
  const copy = async () => {
    try {
      // Without TLS a browser has no clipboard to offer.
      await navigator.clipboard.writeText(address)
      toast('The link is copied.')
    } catch {
      toast('This browser does not let it be copied. Mark it and copy it by hand.', { bad: true })
    }
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Link to “${handout.title}”`}
      foot={
        <Button kind="do" onClick={() => void copy()}>
          Copy the link
        </Button>
      }
    >
      <div className="flex flex-col items-center gap-4">
        <QrCode of={address} label={`QR code of the link to ${handout.title}`} className="size-64 rounded p-3" />
        <p className="font-mono text-[15px] break-all select-all">{address}</p>
        <p className="text-[15px] text-quiet">
          It leads a student to this work, after class code, name and PIN where they are not signed in yet. To anybody
          else it says nothing, and it gives the work to nobody who has not been handed it.
        </p>
      </div>
    </Dialog>
  )
}
