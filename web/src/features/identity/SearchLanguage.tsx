import { useQueryClient } from '@tanstack/react-query'
import type { Schemas } from '@/lib/api/client'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'
import { useTeamSetting } from './useTeamSetting'

const nameOf = (language: string) =>
  language === 'simple' ? 'Another: words as they are written' : `${language[0]?.toUpperCase()}${language.slice(1)}`

/** By whose words questions are found. */
export function SearchLanguage({ view }: { view: Schemas['IdentityAccountView'] }) {
  const client = useQueryClient()
  const set = useTeamSetting('searchLanguage', view.searchLanguage, (language) => {
    void client.invalidateQueries({ queryKey: ['items'] })
    return `Questions are found by the words of this language now: ${nameOf(language)}.`
  })
  return (
    <section aria-labelledby="language">
      <h2 id="language" className="border-b pb-2 text-lg">
        Finding questions
      </h2>
      <div className="mt-3 max-w-sm">
        <SelectField
          label="Language of the questions"
          value={view.searchLanguage}
          disabled={set.isPending}
          onChange={(value) => set.mutate(value)}
          note="The bank finds a word also where another form of it stands: tides by tide."
          options={view.languages.map((language) => ({ value: language, label: nameOf(language) }))}
        />
        <FaultLine error={set.error} />
      </div>
    </section>
  )
}
