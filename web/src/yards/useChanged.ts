import { useQueryClient } from '@tanstack/react-query'

/** Has all that depends on hives, inspections and counts read again. */
export function useChanged() {
  const queries = useQueryClient()
  return () => {
    for (const what of ['yards', 'colonies', 'decide']) void queries.invalidateQueries({ queryKey: [what] })
  }
}
