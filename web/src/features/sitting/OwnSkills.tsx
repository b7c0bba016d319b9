import { useQuery } from '@tanstack/react-query'
import { api, take } from '@/lib/api/client'
import { marks } from '@/lib/format'
import { Ladder } from '@/ui/Ladder'

/** What a student can do by now, by skill, from what they have been told; nothing while that is too little to say. */
export default function OwnSkills() {
  const own = useQuery({ queryKey: ['own skills'], queryFn: () => take(api.GET('/api/me/skills')) })
  const shown = own.data?.skills.filter((skill) => skill.rung > 0) ?? []
  const few = own.data?.skills.filter((skill) => skill.rung === 0) ?? []
  if (!own.data || shown.length === 0) return null
  return (
    <section className="mb-6">
      <h2 className="text-lg">What you can do now</h2>
      <p className="text-[15px] text-quiet">
        By your last {own.data.latest} marked answers on each, from work that has come back to you.
      </p>
      <ul className="mt-2 border-t">
        {shown.map((skill) => (
          <li key={skill.name} className="flex min-h-12 items-center gap-3 border-b py-2">
            <Ladder reached={skill.rung} of={own.data.rungs} name={skill.rungName} />
            <span className="min-w-0 flex-1">
              <b>{skill.name}</b>
              <span className="block text-[15px] text-quiet">
                {skill.rungName} · {marks(skill.credit)} of {skill.n} right
              </span>
            </span>
          </li>
        ))}
      </ul>
      {few.length > 0 ? (
        <p className="mt-2 text-[15px] text-quiet">
          Too few answers yet to say it of: {few.map((skill) => skill.name).join(', ')}.
        </p>
      ) : null}
    </section>
  )
}
