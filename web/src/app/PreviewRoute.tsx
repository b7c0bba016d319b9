import { useParams } from 'react-router'
import Preview from '@/features/sitting/Preview'

export default function PreviewRoute() {
  const { id = '' } = useParams()
  return (
    <div className="min-h-0 flex-1 overflow-auto">
      <Preview paperId={id} />
    </div>
  )
}
