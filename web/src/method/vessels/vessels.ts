import { useQuery } from '@tanstack/react-query'
import type { Schemas } from '../../api/client'
import { ask, useStart } from '../../kit'

export type OwnVessel = Schemas['Vessel']

export const vesselsQuery = ask(['vessels'], '/api/vessels')

/** The jars, bottles and pots of the operation; none for who is not signed in. */
export function useVessels(): readonly OwnVessel[] {
  const { me } = useStart()
  return useQuery({ ...vesselsQuery, enabled: me !== undefined }).data?.vessels ?? []
}
