import { Mic, Square, Video } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { say } from '@/lib/say'
import { Button } from '@/ui/Button'
import { Progress } from '@/ui/Progress'
import { clock } from './words'

type Medium = 'sound' | 'film'
type State =
  | { kind: 'idle' }
  | { kind: 'asking' }
  | { kind: 'recording'; since: number }
  | { kind: 'heard'; blob: Blob; url: string; seconds: number }

const TYPES: Record<Medium, string[]> = {
  sound: ['audio/webm;codecs=opus', 'audio/mp4', 'audio/ogg;codecs=opus'],
  film: ['video/webm;codecs=vp8,opus', 'video/mp4', 'video/webm'],
}

/** Why a device gives no sound or picture, and what to do about it. */
function whyNot(thrown: unknown, medium: Medium): string {
  const device = medium === 'sound' ? 'microphone' : 'camera and microphone'
  const name = thrown instanceof DOMException ? thrown.name : ''
  if (name === 'NotAllowedError' || name === 'SecurityError')
    return `This browser does not let the page use your ${device}. Allow it beside the address above, or give a file instead.`
  if (name === 'NotFoundError' || name === 'OverconstrainedError')
    return `This device has no ${device}. Give a file instead, or use another device.`
  if (name === 'NotReadableError') return `Another program is using your ${device}. Close it and try again.`
  return `This browser cannot record here. Give a file instead, or use another browser.`
}

/** Records up to a bound; it is heard before it is sent. */
export function Recorder({
  medium,
  seconds,
  onRecorded,
  children,
}: {
  medium: Medium
  seconds: number
  onRecorded: (blob: Blob, name: string) => void
  /** another way, while nothing is being recorded */
  children?: React.ReactNode
}) {
  const [state, setState] = useState<State>({ kind: 'idle' })
  const [now, setNow] = useState(0)
  const [fault, setFault] = useState('')
  const recorder = useRef<MediaRecorder | null>(null)
  const stream = useRef<MediaStream | null>(null)
  const mirror = useRef<HTMLVideoElement>(null)
  const release = () => {
    stream.current?.getTracks().forEach((track) => track.stop())
    stream.current = null
  }
  useEffect(
    () => () => {
      if (recorder.current?.state === 'recording') recorder.current.stop()
      release()
    },
    [],
  )
  const since = state.kind === 'recording' ? state.since : null
  useEffect(() => {
    if (since === null) return
    if (mirror.current) mirror.current.srcObject = stream.current
    const timer = setInterval(() => {
      const gone = (Date.now() - since) / 1000
      setNow(gone)
      if (gone >= seconds) recorder.current?.stop()
    }, 200)
    return () => clearInterval(timer)
  }, [since, seconds])

  const begin = async () => {
    setFault('')
    setState({ kind: 'asking' })
    try {
      stream.current = await navigator.mediaDevices.getUserMedia({
        audio: true,
        video: medium === 'film' ? { width: { ideal: 640 }, height: { ideal: 480 } } : false,
      })
      const mimeType = TYPES[medium].find((type) => MediaRecorder.isTypeSupported(type))
      const parts: Blob[] = []
      const made = new MediaRecorder(stream.current, {
        mimeType,
        audioBitsPerSecond: 48_000,
        videoBitsPerSecond: 600_000,
      })
      const started = Date.now()
      made.ondataavailable = (e) => e.data.size > 0 && parts.push(e.data)
      made.onstop = () => {
        release()
        const blob = new Blob(parts, { type: (made.mimeType || mimeType || '').split(';')[0] })
        const length = Math.min(seconds, (Date.now() - started) / 1000)
        setState({ kind: 'heard', blob, url: URL.createObjectURL(blob), seconds: length })
        say(`Recorded, ${clock(length)}. Listen, then give it or record again.`)
      }
      recorder.current = made
      made.start(1000)
      setNow(0)
      setState({ kind: 'recording', since: started })
      say('Recording.')
    } catch (thrown) {
      release()
      setState({ kind: 'idle' })
      setFault(whyNot(thrown, medium))
    }
  }
  const again = () => {
    if (state.kind === 'heard') URL.revokeObjectURL(state.url)
    setState({ kind: 'idle' })
  }
  const Icon = medium === 'sound' ? Mic : Video
  return (
    <div className="flex flex-col gap-3">
      {state.kind === 'idle' || state.kind === 'asking' ? (
        <div className="flex flex-wrap items-center gap-3">
          <Button kind="do" size="large" disabled={state.kind === 'asking'} onClick={() => void begin()}>
            <Icon aria-hidden className="size-5" /> {state.kind === 'asking' ? 'Waiting for the device' : 'Record'}
          </Button>
          <span className="text-[0.85em] text-quiet">at most {clock(seconds)}</span>
        </div>
      ) : null}
      {state.kind === 'recording' ? (
        <>
          {medium === 'film' ? (
            // One's own picture while it is recorded; its sound would come back into the microphone.
            <video ref={mirror} autoPlay muted playsInline className="max-h-72 max-w-full -scale-x-100 rounded" />
          ) : null}
          <div className="flex flex-wrap items-center gap-3">
            <Button kind="do" size="large" onClick={() => recorder.current?.stop()}>
              <Square aria-hidden className="size-5" /> Stop
            </Button>
            <Progress label="Time that is used" share={now / seconds} />
            <span className="tabular-nums" role="timer">
              {clock(now)} of {clock(seconds)}
            </span>
          </div>
        </>
      ) : null}
      {state.kind === 'heard' ? (
        <>
          {medium === 'sound' ? (
            <audio controls src={state.url} aria-label="What you recorded" className="w-full max-w-lg" />
          ) : (
            <video controls src={state.url} aria-label="What you recorded" className="max-h-72 max-w-full rounded" />
          )}
          <div className="flex flex-wrap items-center gap-3">
            <Button
              kind="do"
              size="large"
              onClick={() => {
                onRecorded(state.blob, `${medium === 'sound' ? 'my recording' : 'my film'}, ${clock(state.seconds)}`)
                again()
              }}
            >
              Give this, {clock(state.seconds)}
            </Button>
            <Button className="min-h-12" onClick={again}>
              Record again
            </Button>
          </div>
        </>
      ) : null}
      {state.kind === 'idle' ? children : null}
      {fault ? (
        <p role="alert" className="font-semibold text-bad">
          ✕ {fault}
        </p>
      ) : null}
    </div>
  )
}
