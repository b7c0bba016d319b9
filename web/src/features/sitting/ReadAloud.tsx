import { useEffect, useRef, useState } from 'react'
import { say } from '@/lib/say'
import { Button } from '@/ui/Button'
import { stretchesOf, wordAt } from './reading'

const MARK = 'read'
let styled = false
/** The word that is being said is lit, where the browser can light words without touching the page. */
function light(word: Range | null) {
  if (typeof Highlight === 'undefined' || !CSS.highlights) return
  if (!styled) {
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(`::highlight(${MARK}) { background-color: var(--color-rust); color: var(--color-on-rust); }`)
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet]
    styled = true
  }
  if (word) CSS.highlights.set(MARK, new Highlight(word))
  else CSS.highlights.delete(MARK)
}

/**
 * Reads what is in front of the student with the device's own voices, word by word.
 *
 * @param step changes when something else is in front of them, which ends the reading
 */
export function ReadAloud({ step, withSource }: { step: string; withSource: boolean }) {
  const [reading, setReading] = useState<'question' | 'source' | null>(null)
  const [fault, setFault] = useState('')
  const round = useRef(0)
  const stop = () => {
    round.current++
    window.speechSynthesis?.cancel()
    light(null)
    setReading(null)
  }
  const latest = useRef(stop)
  useEffect(() => {
    latest.current = stop
  })
  useEffect(() => () => latest.current(), [step])
  const read = (what: 'question' | 'source') => {
    stop()
    const voice = window.speechSynthesis
    if (!voice) {
      setFault('This device has no voice to read with. Ask your teacher.')
      return
    }
    setFault('')
    const mine = ++round.current
    const stretches = stretchesOf([...document.querySelectorAll(`[data-reads="${what}"]`)])
    const next = (i: number) => {
      const stretch = stretches[i]
      if (round.current !== mine) return
      if (!stretch) {
        stop()
        return
      }
      const said = new SpeechSynthesisUtterance(stretch.text)
      said.lang = document.documentElement.lang || 'en-GB'
      said.onboundary = (event) => {
        if (round.current === mine && event.name === 'word') light(wordAt(stretch, event.charIndex))
      }
      said.onend = () => next(i + 1)
      said.onerror = (event) => {
        if (round.current !== mine || event.error === 'interrupted' || event.error === 'canceled') return
        stop()
        setFault('The voice of this device did not answer. Try again, or ask your teacher.')
      }
      voice.speak(said)
    }
    setReading(what)
    next(0)
  }
  useEffect(() => {
    if (fault) say(fault)
  }, [fault])
  const button = (what: 'question' | 'source', words: string) => (
    <Button
      className="min-h-11"
      aria-pressed={reading === what}
      onClick={() => (reading === what ? stop() : read(what))}
    >
      {reading === what ? 'Stop reading' : words}
    </Button>
  )
  return (
    <>
      {button('question', 'Read it to me')}
      {withSource ? button('source', 'Read the source to me') : null}
      {fault ? <span className="text-[15px] font-semibold">{fault}</span> : null}
    </>
  )
}
