import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { QrCode } from '@/ui/QrCode'
import { Thing } from '@/ui/Thing'

/** Slips to cut apart: address, class code, name and PIN. */
export function Slips({ slips, onClose }: { slips: Schemas['RosterSlipsView']; onClose: () => void }) {
  const address = `${location.origin}/join`
  return (
    <>
      <Head title={`Slips for ${slips.class}`} note={`${slips.slips.length} slips, to cut apart`}>
        <Button onClick={onClose}>Back to the class</Button>
        <Button kind="do" onClick={() => window.print()}>
          Print
        </Button>
      </Head>
      <ul className="grid min-h-0 flex-1 grid-cols-1 content-start overflow-auto p-6 sm:grid-cols-2 xl:grid-cols-3 print:block print:columns-2 print:overflow-visible print:p-0">
        {slips.slips.map((slip) => (
          <li
            key={slip.name}
            className="flex break-inside-avoid items-center gap-4 border border-dashed border-edge bg-sheet p-4"
          >
            <div className="min-w-0 flex-1">
              <p className="font-head text-lg font-semibold">{slip.name}</p>
              <p className="text-sm">{address.replace(/^https?:\/\//, '')}</p>
              <p>
                Class code <b className="font-mono">{slips.code}</b>
              </p>
              <p>
                PIN <b className="font-mono text-lg">{slip.pin}</b>
              </p>
              {slip.pictures.length > 0 ? (
                <p className="mt-1 flex gap-2">
                  {slip.pictures.map((name, i) => (
                    <Thing key={i} name={name} size={36} />
                  ))}
                </p>
              ) : null}
            </div>
            <QrCode
              of={`${address}?code=${slips.code}`}
              label="QR code of the join page"
              className="size-20 shrink-0 rounded p-1"
            />
          </li>
        ))}
      </ul>
    </>
  )
}
