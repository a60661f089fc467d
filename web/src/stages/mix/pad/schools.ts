import { useQuery } from '@tanstack/react-query'
import { client, type Schemas } from '../../../api/client'
import { plain } from '../../../units/format'
import { text } from './text'

/** The established way of this id, once it is known. */
export function usePadSchool(id: string): Schemas['PadSchool'] | undefined {
  const schools = useQuery({
    queryKey: ['schools', 'pad'],
    queryFn: async ({ signal }) => (await client.GET('/api/pad/schools', { signal })).data,
    staleTime: Infinity,
  })
  return schools.data?.find((s) => s.id === id)
}

/** Its rule in a line. */
export function ruleOf(school: Schemas['PadSchool'] | undefined): string {
  if (!school) return ''
  const [one, more] = school.g_per_day ?? []
  if (one !== undefined && more !== undefined)
    return text.ruleOfDay(plain(one), plain(more), school.days ?? 0)
  return text.rule(plain(school.ml ?? 0), plain(school.at_percent ?? 0), school.per, school.from)
}
