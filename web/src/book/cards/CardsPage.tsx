import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { cardsQuery, may, Press, useStart, Waiting } from '../../kit'
import { Mark } from '../../drawing/Mark'
import page from '../../kit/page.module.css'
import { CardForm } from './CardForm'
import { text } from './text'
import { partOf, type Card } from './typed'

/** What the keeper copied from labels. */
export default function CardsPage() {
  const keeper = may(useStart().me?.role, 'keeper')
  const [editing, setEditing] = useState<Card>()
  const cards = useQuery(cardsQuery)
  if (!cards.data) return <Waiting query={cards} />
  return (
    <main className={page.page}>
      <h1>{text.title}</h1>
      <p className="quiet">{text.hint}</p>
      {keeper && !editing && (
        <div className={page.bar}>
          {text.blank}
          {cards.data.blank.map((b) => (
            <Press
              key={b.name}
              outlined
              says={b.name}
              onPress={() => setEditing({ ...b, id: crypto.randomUUID(), name: '', version: 0 })}
              data-blank={partOf(b.content)}
            />
          ))}
        </div>
      )}
      {editing && <CardForm key={editing.id} card={editing} onClose={() => setEditing(undefined)} />}
      {cards.data.cards.length === 0 && <p>{text.none}</p>}
      {cards.data.cards.map((c) => (
        <section key={c.id} className={page.panel} data-card={c.name}>
          <div className={page.head}>
            <Mark method={c.method} />
            <h2>{c.name}</h2>
            <span className="quiet">{text.range(c.content.min_c, c.content.max_c)}</span>
            {keeper && (
              <span className={page.actions}>
                <Press says={text.edit} onPress={() => setEditing(c)} />
              </span>
            )}
          </div>
          {c.notes?.map((n) => (
            <p
              key={n.code + n.text}
              className={n.warn ? page.harm : 'quiet'}
              data-card-note={n.warn ? 'warn' : 'info'}
            >
              {n.text}
            </p>
          ))}
          {c.content.contents && <p>{c.content.contents}</p>}
          {c.content.preparation && <p className="quiet">{c.content.preparation}</p>}
        </section>
      ))}
    </main>
  )
}
