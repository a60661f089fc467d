import { useQuery } from '@tanstack/react-query'
import { cardsQuery, named, Pick } from '../kit'
import { adopt, inUnits } from './begin'
import type { Workplace } from './workplace'
import { text } from './text'

/** A saved label card in place of a standard recipe: its figures go where they can be seen and changed. */
export function CardChoice({ start, draft, replace }: Workplace) {
  const cards = useQuery({ ...cardsQuery, enabled: start.me !== undefined })
  const fitting = cards.data?.cards.filter((c) => c.method === draft.method && c.recipe) ?? []
  if (fitting.length === 0) return null
  return (
    <Pick
      label={text.byCard}
      none={text.noCard}
      value=""
      options={named(fitting)}
      onChange={(id) => {
        const card = fitting.find((c) => c.id === id)
        if (!card?.recipe) return
        // From the usual figures on: none of another card stays beside those of this one. What the
        // keeper said to work by stays, but not the name of another card.
        const said = fitting.some((c) => c.name === draft.rule) ? '' : draft.rule
        const by = inUnits(adopt(card.recipe, start.usual, draft.place, said || card.name), draft.units)
        replace({ ...draft, rule: by.rule, label: by.label, [draft.method]: by[draft.method] })
      }}
    />
  )
}
