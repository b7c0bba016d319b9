import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, take, type Schemas } from '@/lib/api/client'
import { moment, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Head } from '@/ui/Desk'
import { Failed, FaultLine, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { Colleagues } from './Colleagues'
import { FramedBy } from './FramedBy'
import { MarkStep } from './MarkStep'
import { LEAST, PasswordForm } from './PasswordForm'
import { Rungs } from './Rungs'
import { SearchLanguage } from './SearchLanguage'

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
            {account.data.maySet ? (
              <>
                <SearchLanguage view={account.data} />
                <FramedBy view={account.data} />
              </>
            ) : null}
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
