import { useEffect, useState } from 'react'
import { toString as qrSvg } from 'qrcode'
import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { Thing } from '@/ui/Thing'

/** Slips to cut apart: address, class code, name and PIN. */
export function Slips({ slips, onClose }: { slips: Schemas['RosterSlipsView']; onClose: () => void }) {
  const [code, setCode] = useState('')
  const address = `${location.origin}/join`
  useEffect(() => {
    void qrSvg(`${address}?code=${slips.code}`, {
      type: 'svg',
      margin: 0,
      color: { dark: '#000000', light: '#ffffff00' },
    }).then(setCode)
  }, [address, slips.code])
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
            <div
              className="size-20 shrink-0 rounded bg-white p-1"
              aria-label="QR code of the join page"
              role="img"
              dangerouslySetInnerHTML={{ __html: code }}
            />
          </li>
        ))}
      </ul>
    </>
  )
}
