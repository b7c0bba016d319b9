import { useQuery } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'
import { marks, plural } from '@/lib/format'
import { Ladder } from '@/ui/Ladder'

/** What a student can do by now, by skill, from what they have been told; nothing while nothing has been told. */
export default function OwnSkills() {
  const own = useQuery({ queryKey: ['own skills'], queryFn: () => take(api.GET('/api/me/skills')) })
  const skills = own.data?.skills ?? []
  if (!own.data || skills.length === 0) return null
  return (
    <section className="mb-6">
      <h2 className="text-lg">What you can do now</h2>
      <p className="text-[15px] text-quiet">
        By your last {own.data.latest} marked answers on each, from work that has come back to you.
      </p>
      <ul className="mt-2 border-t">
        {skills.map((skill) => (
          <li key={skill.name} className="flex min-h-12 items-center gap-3 border-b py-2">
            <span className="w-6 shrink-0">
              <Ladder reached={skill.rung} of={own.data.rungs} name={skill.rungName} />
            </span>
            <span className="min-w-0 flex-1">
              <b>{skill.name}</b>
              <span className="block text-[15px] text-quiet">
                {skill.rung === 0
                  ? `${plural(skill.n, 'answer')} so far: too few to tell`
                  : `${skill.rungName} · ${marks(skill.credit)} of ${skill.n} right`}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
