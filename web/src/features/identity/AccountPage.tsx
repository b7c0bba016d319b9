import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, take, type Schemas } from '@/lib/api/client'
import { decimal, moment, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { SelectField } from '@/ui/Select'
import { Failed, FaultLine, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { Colleagues } from './Colleagues'
import { LEAST, PasswordForm } from './PasswordForm'
import { Rungs } from './Rungs'

type View = Schemas['IdentityAccountView']

/** Where one is signed in, one's password; for a lead, who belongs to the team, and its smallest mark. */
export default function AccountPage() {
  const account = useQuery({ queryKey: ['account'], queryFn: () => take(api.GET('/api/account')), staleTime: 0 })
  if (account.isPending) return <Loading what="Opening your account" />
  if (!account.data) return <Failed error={account.error} retry={() => void account.refetch()} />
  return (
    <>
      <Head title="Account" note={`signed in at ${plural(account.data.sessions.length, 'place')}`} />
      <div className="min-h-0 flex-1 overflow-auto">
        <div className="grid max-w-5xl gap-x-12 gap-y-10 px-6 py-5 lg:grid-cols-[3fr_2fr]">
          <div className="flex flex-col gap-10">
            <SessionLines sessions={account.data.sessions} />
            {account.data.maySet ? <Colleagues colleagues={account.data.colleagues} /> : null}
          </div>
          <div className="flex flex-col gap-10">
            <OwnPassword />
            <MarkStep view={account.data} />
            <Rungs view={account.data} />
            {account.data.maySet ? <SearchLanguage view={account.data} /> : null}
          </div>
        </div>
      </div>
    </>
  )
}

function SessionLines({ sessions }: { sessions: View['sessions'] }) {
  const client = useQueryClient()
  const end = useMutation({
    mutationFn: (id: string) => take(api.DELETE('/api/account/sessions/{id}', { params: { path: { id } } })),
    onSuccess: () => toast('That device is signed out.'),
    onSettled: () => client.invalidateQueries({ queryKey: ['account'] }),
  })
  return (
    <section aria-labelledby="sessions">
      <h2 id="sessions" className="border-b pb-2 text-lg">
        Where you are signed in
      </h2>
      <ul>
        {sessions.map((one) => (
          <li key={one.id} className="flex items-center gap-3 border-b py-2.5">
            <p className="min-w-0 flex-1">
              <span className="font-semibold">{device(one.device)}</span>
              <span className="block text-sm text-quiet">
                since {moment(one.openedAt)} · last used {moment(one.seenAt)}
              </span>
            </p>
            {one.here ? (
              <span className="text-sm font-semibold text-good">✓ this one</span>
            ) : (
              <Button
                size="small"
                disabled={end.isPending}
                aria-label={`Sign out ${device(one.device)}`}
                onClick={() => end.mutate(one.id)}
              >
                Sign out
              </Button>
            )}
          </li>
        ))}
      </ul>
      <FaultLine error={end.error} />
    </section>
  )
}

/** What a browser says of itself, in two words. */
export function device(agent: string): string {
  const browser =
    (
      [
        ['Edg', 'Edge'],
        ['Firefox', 'Firefox'],
        ['Chrom', 'Chromium'],
        ['Safari', 'Safari'],
      ] as const
    ).find(([mark]) => agent.includes(mark))?.[1] ?? 'A browser'
  const system = (
    [
      ['Android', 'Android'],
      ['iPhone', 'iPhone'],
      ['iPad', 'iPad'],
      ['Windows', 'Windows'],
      ['Mac OS', 'macOS'],
      ['Linux', 'Linux'],
    ] as const
  ).find(([mark]) => agent.includes(mark))?.[1]
  return system ? `${browser} on ${system}` : browser
}

function OwnPassword() {
  const client = useQueryClient()
  return (
    <section aria-labelledby="password">
      <h2 id="password" className="border-b pb-2 text-lg">
        Your password
      </h2>
      <PasswordForm
        send={(body) => take(api.PUT('/api/account/password', { body }))}
        done={() => {
          toast('The password is changed. Every other device is signed out.')
          void client.invalidateQueries({ queryKey: ['account'] })
        }}
        act="Change the password"
        note={`At least ${LEAST} characters. Every other device is then signed out.`}
      />
    </section>
  )
}

function MarkStep({ view }: { view: View }) {
  const client = useQueryClient()
  const set = useMutation({
    mutationFn: (markStep: string) => take(api.PUT('/api/account/team', { body: { markStep } })),
    onSuccess: (next, markStep) => {
      client.setQueryData(['account'], next)
      toast(`Marks go in steps of ${decimal(markStep)} from now on.`, {
        undo: view.markStep === markStep ? undefined : () => set.mutate(view.markStep),
      })
    },
  })
  return (
    <section aria-labelledby="step">
      <h2 id="step" className="border-b pb-2 text-lg">
        Marks of the team
      </h2>
      <div className="mt-3 max-w-sm">
        {view.maySet ? (
          <SelectField
            label="Marks go in steps of"
            value={view.markStep}
            disabled={set.isPending}
            onChange={(value) => set.mutate(value)}
            note="Part credit is rounded to this step, though never up to full marks or down to none."
            options={[...view.steps.map((step) => ({ value: step, label: decimal(step) }))]}
          />
        ) : (
          <p>
            Marks go in steps of <b>{decimal(view.markStep)}</b>.{' '}
            <span className="text-quiet">A lead of the team can change that.</span>
          </p>
        )}
        <FaultLine error={set.error} />
      </div>
    </section>
  )
}

const languageName = (language: string) =>
  language === 'simple' ? 'Another: words as they are written' : `${language[0]?.toUpperCase()}${language.slice(1)}`

function SearchLanguage({ view }: { view: View }) {
  const client = useQueryClient()
  const set = useMutation({
    mutationFn: (searchLanguage: string) => take(api.PUT('/api/account/team', { body: { searchLanguage } })),
    onSuccess: (next, language) => {
      client.setQueryData(['account'], next)
      void client.invalidateQueries({ queryKey: ['items'] })
      toast(`Questions are found by the words of this language now: ${languageName(language)}.`, {
        undo: view.searchLanguage === language ? undefined : () => set.mutate(view.searchLanguage),
      })
    },
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
          options={view.languages.map((language) => ({ value: language, label: languageName(language) }))}
        />
        <FaultLine error={set.error} />
      </div>
    </section>
  )
}
