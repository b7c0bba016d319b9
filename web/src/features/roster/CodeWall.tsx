import { useQuery } from '@tanstack/react-query'
import { toString as qrSvg } from 'qrcode'
import { useEffect } from 'react'
import { useParams } from 'react-router'
import { ask } from '@/lib/queries'
import { applyTheme } from '@/lib/theme'
import { Failed, Loading } from '@/ui/States'
import './codeWall.css'

/** For a projector: how one joins a class, readable from the back row. No names. */
export default function CodeWall() {
  const { id = '' } = useParams()
  const roster = useQuery(ask.roster(id))
  const address = `${location.origin}/join`
  const code = roster.data?.code ?? ''
  const qr = useQuery({
    queryKey: ['qr', code],
    queryFn: () =>
      qrSvg(`${address}?code=${code}`, {
        type: 'svg',
        margin: 2,
        color: { dark: '#000000', light: '#ffffff' },
      }),
    enabled: code !== '',
  })
  useEffect(() => {
    document.title = 'Code · Chalk Ladder'
    // Chalk on slate, as on every wall.
    applyTheme('dark')
    return () => applyTheme()
  }, [])
  if (roster.isPending) return <Loading what="Setting the wall up" />
  if (!roster.data) return <Failed error={roster.error} retry={() => void roster.refetch()} />
  return (
    <main className="code-wall">
      <h1>{roster.data.name}</h1>
      <div className="code-wall-in">
        <div>
          <p className="code-wall-quiet">Open</p>
          <p className="code-wall-address">{address.replace(/^https?:\/\//, '')}</p>
          <p className="code-wall-quiet">Class code</p>
          <p className="code-wall-code">{code}</p>
        </div>
        <div
          className="code-wall-qr"
          role="img"
          aria-label="QR code of the join page"
          dangerouslySetInnerHTML={{ __html: qr.data ?? '' }}
        />
      </div>
      <p className="code-wall-quiet">Then your name and your own PIN, from your slip.</p>
    </main>
  )
}
