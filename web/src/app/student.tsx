import './student.css'
import { QueryClientProvider } from '@tanstack/react-query'
import { lazy, StrictMode, Suspense } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { useFocusKeeper } from '@/lib/focus'
import { FRAME, FRAMED_WORK } from '@/lib/framed'
import { applyTheme } from '@/lib/theme'
import { Boundary } from '@/ui/Boundary'
import { Loading } from '@/ui/States'
import { Said } from '@/ui/Said'
import { Toasts } from '@/ui/Toasts'
import { tellFaults } from './faults'
import { queryClient } from './queries'

const Join = lazy(() => import('@/features/sitting/Join'))
const MyWork = lazy(() => import('@/features/sitting/MyWork'))
const OwnQuestions = lazy(() => import('@/features/peers/OwnQuestions'))
const ToQuestions = lazy(() => import('@/features/peers/ToQuestions'))
const OwnAccount = lazy(() => import('@/features/sitting/OwnAccount'))
const OwnSkills = lazy(() => import('@/features/sitting/OwnSkills'))
const Sit = lazy(() => import('@/features/sitting/Sit'))

/** Around all screens. */
function FocusKept() {
  useFocusKeeper()
  return null
}

applyTheme()
tellFaults()

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <Boundary>
        <Suspense fallback={<Loading />}>
          <BrowserRouter basename={FRAME}>
            <Routes>
              <Route path="/join" element={<Join />} />
              <Route
                path="/my"
                element={
                  <MyWork>
                    <Suspense>
                      <ToQuestions />
                      <OwnSkills />
                    </Suspense>
                  </MyWork>
                }
              />
              <Route path="/my/to/:only" element={<MyWork />} />
              <Route path="/my/questions" element={<OwnQuestions />} />
              <Route path="/my/account" element={<OwnAccount />} />
              <Route path="/my/:id" element={<Sit />} />
              <Route path="*" element={<Navigate to={FRAMED_WORK ? `/my/to/${FRAMED_WORK}` : '/join'} replace />} />
            </Routes>
          </BrowserRouter>
        </Suspense>
        <Said />
        <Toasts />
        <FocusKept />
      </Boundary>
    </QueryClientProvider>
  </StrictMode>,
)
