import { useEffect, useState } from 'react'
import { toString as drawn } from 'qrcode'

/** An address to be read by a camera: dark on light, whatever the theme. */
export function QrCode({ of, label, className }: { of: string; label: string; className: string }) {
  const [svg, setSvg] = useState('')
  useEffect(() => {
    void drawn(of, { type: 'svg', margin: 0, color: { dark: '#000000', light: '#ffffff00' } }).then(setSvg)
  }, [of])
  return (
    <div role="img" aria-label={label} className={`bg-white ${className}`} dangerouslySetInnerHTML={{ __html: svg }} />
  )
}
