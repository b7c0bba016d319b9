import { useParams } from 'react-router'
import { InDesk } from '@/features/sitting/Main'
import Preview from '@/features/sitting/Preview'

export default function PreviewRoute() {
  const { id = '' } = useParams()
  return (
    <div className="min-h-0 flex-1 overflow-auto">
      <InDesk>
        <Preview paperId={id} />
      </InDesk>
    </div>
  )
}
