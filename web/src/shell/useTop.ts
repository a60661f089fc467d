import { useEffect } from 'react'
import { NavigationType, useLocation, useNavigationType } from 'react-router'

/** A page that is gone to opens at its top; one that is gone back to where it was left. */
export function useTop() {
  const { pathname } = useLocation()
  const back = useNavigationType() === NavigationType.Pop
  useEffect(() => {
    if (!back) scrollTo(0, 0)
  }, [pathname, back])
}
