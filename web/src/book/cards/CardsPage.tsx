import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { cardsQuery, may, Press, useStart, Waiting } from '../../kit'
import page from '../../kit/page.module.css'
import { CardForm } from './CardForm'
import styles from './CardsPage.module.css'
import { LabelSheet } from './LabelSheet'
import { text } from './text'
import { partOf, typed, type Card } from './typed'

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
      <div className={styles.cards}>
        {cards.data.cards
          .filter((c) => c.id !== editing?.id)
          .map((c) => (
            <section key={c.id} data-card={c.name}>
              <LabelSheet
                card={c}
                typed={typed(c).asked}
                table={c.notes?.map((n) => (
                  <p
                    key={n.code + n.text}
                    className={n.warn ? page.harm : 'quiet'}
                    data-card-note={n.warn ? 'warn' : 'info'}
                  >
                    {n.text}
                  </p>
                ))}
              >
                {keeper && <Press says={text.edit} onPress={() => setEditing(c)} />}
              </LabelSheet>
            </section>
          ))}
      </div>
    </main>
  )
}
