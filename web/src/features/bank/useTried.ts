import { useEffect, useState } from 'react'
import { faultsNamed } from '@/answers/faultNamed'
import type { Item, Value } from '@/answers/kinds'
import { isBlank } from '@/answers/parts/values'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'

const WAIT = 250

/** What the rule makes of an answer to a question as it stands in the editor; nothing while nothing is answered. */
export function useTried(item: Item, value: Value | null) {
  const [result, setResult] = useState<Schemas['BankTryView'] | null>(null)
  const [fault, setFault] = useState('')
  const given = value !== null && !isBlank(value)
  useEffect(() => {
    if (!value || isBlank(value)) return
    let current = true
    const timer = setTimeout(() => {
      take(api.POST('/api/items/try', { body: { item, response: value } })).then(
        (answer) => {
          if (!current) return
          setResult(answer)
          setFault('')
        },
        (thrown) => {
          if (!current) return
          const { message, detail, fields } = problemOf(thrown)
          setFault(faultsNamed(fields).join(' ') || detail || message)
        },
      )
    }, WAIT)
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [item, value])
  return { given, fault: given ? fault : '', result: given && !fault ? result : null }
}
