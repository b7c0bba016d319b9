import { useCallback, useEffect, useRef, useState } from 'react'
import { keepLocal } from './local'
import { useMedia, type FileAbout } from './place'
import { Sending } from './sending'
import { waiting } from './waiting'

export type OnItsWay = { key: string; name: string; sending: Sending }

type Waits = Parameters<ReturnType<typeof waiting>['put']>[0]

// A device that refuses the store still sends; only a reload would lose it.
const keep = (scope: string | null, file: Omit<Waits, 'scope'>) =>
  scope === null
    ? undefined
    : void waiting()
        .put({ ...file, scope })
        .catch(() => undefined)
const forget = (scope: string | null, key: string) =>
  scope === null
    ? undefined
    : void waiting()
        .drop(key)
        .catch(() => undefined)

/**
 * The files of one place that are on their way. Where the place has a scope, what was chosen is on the device at once and
 * goes on after a reload; each that has arrived is handed over once.
 */
export function useSendings(onSent: (file: FileAbout) => void) {
  const { uploads, scope } = useMedia()
  const [all, setAll] = useState<OnItsWay[]>([])
  const [, draw] = useState(0)
  const sent = useRef(onSent)
  useEffect(() => {
    sent.current = onSent
  })

  const begin = useCallback(
    (key: string, name: string, kinds: string[], blob: Blob, upload: string | null) => {
      if (uploads === null) return
      const drop = () => {
        setAll((old) => old.filter((one) => one.key !== key))
        forget(scope, key)
      }
      const sending: Sending = new Sending(
        uploads,
        { blob, name, kinds },
        upload,
        () => {
          if (sending.state.kind === 'sent') {
            sent.current(sending.state.file)
            drop()
          } else draw((n) => n + 1)
          if (sending.state.kind === 'refused') forget(scope, key)
        },
        (id) => keep(scope, { key, name, kinds, blob, upload: id }),
      )
      setAll((old) => [...old.filter((one) => one.key !== key), { key, name, sending }])
    },
    [uploads, scope],
  )

  useEffect(() => {
    let over = false
    if (uploads !== null && scope !== null)
      waiting()
        .of(scope)
        .then((files) => {
          if (!over) for (const f of files) begin(f.key, f.name, f.kinds, f.blob, f.upload)
        })
        .catch(() => undefined)
    return () => {
      over = true
      setAll((old) => {
        for (const one of old) one.sending.stop()
        return []
      })
    }
  }, [uploads, scope, begin])

  const add = (blob: Blob, name: string, kinds: string[]) => {
    if (uploads === null) {
      sent.current(keepLocal(blob, name))
      return
    }
    const key = crypto.randomUUID()
    keep(scope, { key, name, kinds, blob, upload: null })
    begin(key, name, kinds, blob, null)
  }
  const giveUp = (key: string) => {
    all.find((one) => one.key === key)?.sending.giveUp()
    setAll((old) => old.filter((one) => one.key !== key))
    forget(scope, key)
  }
  return { all, add, giveUp }
}
