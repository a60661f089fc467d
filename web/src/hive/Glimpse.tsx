import { useMutation, useQuery } from '@tanstack/react-query'
import { client, data, type Schemas } from '../api/client'
import { ask, Press, Said, stale, useSaving, useStart } from '../kit'
import page from '../kit/page.module.css'
import styles from './Glimpse.module.css'
import { text } from './text'

/** Whether the hives here are made up, and there is something to be seen in them. */
export function useUnreal() {
  const { demo, me } = useStart()
  return me !== undefined && (demo || me.practice !== undefined)
}

const glimpseQuery = (id: string) =>
  ask(['colonies', id, 'glimpse'], '/api/colonies/{id}/glimpse', { path: { id } })

const changed = () => stale('colonies', 'yards', 'decide', 'check')

/** What there is to be seen today in a hive that is not real, to be written down as if it were. */
export function Glimpse({ id, name }: { id: string; name: string }) {
  const unreal = useUnreal()
  const asked = useQuery({
    ...glimpseQuery(id),
    enabled: unreal,
  })
  if (!unreal || !asked.data) return null
  return <Told key={asked.data.day} id={id} name={name} seen={asked.data} />
}

/** The same in a sentence, where the real forms are filled in. */
export function Seen({ id, board }: { id: string; board?: boolean }) {
  const unreal = useUnreal()
  const asked = useQuery({ ...glimpseQuery(id), enabled: unreal })
  if (!unreal || !asked.data) return null
  const { words, board: fallen, board_days: days = 0 } = asked.data
  return (
    <p className={styles.seen} data-you-see>
      {text.youSee} {board ? (fallen === undefined ? text.noBoard : text.onBoard(fallen, days)) : words}
    </p>
  )
}

function Told({ id, name, seen }: { id: string; name: string; seen: Schemas['Glimpse'] }) {
  const looking = useSaving(() => {
    const { typed, eggs, larvae } = seen
    const brood = seen.brood
    const inspection = { id: crypto.randomUUID(), colony_id: id, typed, brood, eggs, larvae }
    return client.POST('/api/inspections', { body: { inspections: [inspection] } })
  }, changed)
  const counting = useSaving((count: Pick<Schemas['MiteCount'], 'kind' | 'mites' | 'days' | 'bees'>) => {
    const body = { counts: [{ id: crypto.randomUUID(), colony_id: id, ...count }] }
    return client.POST('/api/counts', { body })
  }, changed)
  const board = useMutation({
    mutationFn: () =>
      data(
        client.POST('/api/colonies/{id}/board', {
          params: { path: { id } },
          body: { id: crypto.randomUUID() },
        }),
      ),
    onSuccess: changed,
  })
  const { wash, board: fallen, board_days: days = 0 } = seen
  return (
    <section className={`${page.panel} ${styles.glimpse}`} data-glimpse>
      <h2>{text.glimpse(name)}</h2>
      <p className="quiet">{text.madeUp}</p>
      <p data-seen>{seen.words}</p>
      <Press
        outlined
        says={looking.done ? text.noted : text.noteIt}
        off={looking.busy || looking.done}
        onPress={() => looking.save()}
        data-note-look
      />
      <p data-on-board>{fallen === undefined ? text.noBoard : text.onBoard(fallen, days)}</p>
      {fallen === undefined ? (
        <Press
          outlined
          says={board.isSuccess ? text.boardIsIn : text.putBoard}
          off={board.isPending || board.isSuccess}
          onPress={() => board.mutate()}
          data-put-board
        />
      ) : (
        <Press
          outlined
          says={text.noteBoard}
          off={counting.busy}
          onPress={() => counting.save({ kind: 'board', mites: fallen, days })}
          data-note-board
        />
      )}
      {wash !== undefined && (
        <>
          <p>{counting.done && counting.tried?.kind === 'wash' ? text.washed(wash) : text.washHint}</p>
          <Press
            outlined
            says={text.wash}
            off={counting.busy || (counting.done && counting.tried?.kind === 'wash')}
            onPress={() => counting.save({ kind: 'wash', mites: wash, bees: 300 })}
            data-note-wash
          />
        </>
      )}
      <Said message={looking.message ?? counting.message ?? board.error?.message} />
    </section>
  )
}
