import { useQuery } from '@tanstack/react-query'
import type { Schemas } from '../../api/client'
import { ask, plain } from '../../kit'
import { text } from './text'

/** The established way of this id, once it is known. */
export function usePadProtocol(id: string): Schemas['PadProtocol'] | undefined {
  const protocols = useQuery({ ...ask(['protocols', 'pad'], '/api/pad/protocols'), staleTime: Infinity })
  return protocols.data?.find((s) => s.id === id)
}

/** Its rule in a line. */
export function ruleOf(protocol: Schemas['PadProtocol'] | undefined): string {
  if (!protocol) return ''
  const [one, more] = protocol.g_per_day ?? []
  if (one !== undefined && more !== undefined)
    return text.ruleOfDay(plain(one), plain(more), protocol.days ?? 0)
  return text.rule(plain(protocol.ml ?? 0), plain(protocol.at_percent ?? 0), protocol.per, protocol.from)
}
