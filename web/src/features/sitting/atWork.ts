// Fetched as one, once there is any of it: most students meet none, and each name of a part weighs on everybody's first question.
export { AskDialog } from './AskDialog'
export { call } from './calling'
export { FullScreen } from './FullScreen'
export { Helping } from './Helping'
export { InTheRoom } from './InTheRoom'
export { Mended } from './Mended'
export { Notes } from './Notes'
export { Turn } from './Turn'
