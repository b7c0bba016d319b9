import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, take } from '@/lib/api/client'
import { codeToFrame } from '@/lib/framed'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { QrCode } from '@/ui/QrCode'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'

type Work = { id: string; title: string }

const copy = async (what: 'link' | 'code', text: string) => {
  try {
    // Without TLS a browser has no clipboard to offer.
    await navigator.clipboard.writeText(text)
    toast(`The ${what} is copied.`)
  } catch {
    toast('This browser does not let it be copied. Mark it and copy it by hand.', { bad: true })
  }
}

/** The address of one piece of work, as a link and as a QR code, for a board, a page or a slide; and the code for a frame. */
export function LinkToWork({ handout, onClose }: { handout: Work; onClose: () => void }) {
  const address = `${location.origin}/my/to/${handout.id}`
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Link to “${handout.title}”`}
      foot={
        <Button kind="do" onClick={() => void copy('link', address)}>
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
        <InAFrame handout={handout} />
      </div>
    </Dialog>
  )
}

function InAFrame({ handout }: { handout: Work }) {
  const account = useQuery({ queryKey: ['account'], queryFn: () => take(api.GET('/api/account')) })
  const pages = account.data?.framedBy
  const code = codeToFrame(location.origin, handout)
  if (!pages) return <FaultLine error={account.error} />
  return (
    <section aria-labelledby="in-a-frame" className="w-full border-t pt-4">
      <h3 id="in-a-frame" className="text-base">
        In a frame of another page
      </h3>
      {pages.length === 0 ? (
        <p className="mt-1 text-[15px] text-quiet">
          No other page may show your team’s work yet. A lead of the team names those that may, under{' '}
          <Link to="/account" className="text-blue underline">
            Account
          </Link>
          .
        </p>
      ) : (
        <div className="mt-2 flex flex-col items-start gap-2 text-[15px]">
          <code className="rounded border bg-pale p-2 font-mono text-sm break-all select-all">{code}</code>
          <Button size="small" onClick={() => void copy('code', code)}>
            Copy the code
          </Button>
          <p className="text-quiet">
            It works on {pages.join(', ')}. Students sign in within the frame, apart from any other page they have open.
          </p>
        </div>
      )}
    </section>
  )
}
