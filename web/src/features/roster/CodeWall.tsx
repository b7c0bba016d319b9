import { useQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useParams } from 'react-router'
import { ask } from '@/lib/queries'
import { applyTheme } from '@/lib/theme'
import { QrCode } from '@/ui/QrCode'
import { Failed, Loading } from '@/ui/States'
import './codeWall.css'

/** For a projector: how one joins a class, readable from the back row. No names. */
export default function CodeWall() {
  const { id = '' } = useParams()
  const roster = useQuery(ask.roster(id))
  const address = `${location.origin}/join`
  const code = roster.data?.code ?? ''
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
        <QrCode of={`${address}?code=${code}`} label="QR code of the join page" className="code-wall-qr" />
      </div>
      <p className="code-wall-quiet">Then your name and your own PIN, from your slip.</p>
    </main>
  )
}
