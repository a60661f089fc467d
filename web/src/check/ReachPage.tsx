import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { client, data, type Schemas } from '../api/client'
import { Choice, Press, Said, useKept } from '../kit'
import page from '../kit/page.module.css'
import { Days } from './Days'
import { Reached } from './Reached'
import { text } from './text'

type Brood = Schemas['ReachRequest']['brood']

interface Asked {
  brood: Brood
  drones: 'no' | 'yes'
  how: keyof typeof text.hows
  days: number[]
}

/** Which mites any days of visits could meet: they are dragged, or moved by keys. */
export default function ReachPage() {
  const asked = useKept<Asked>('reach', () => ({
    brood: 'much',
    drones: 'no',
    how: 'sheet',
    days: [0, 5, 10, 15],
  }))
  const v = asked.value
  const change = (part: Partial<Asked>) => asked.set({ ...v, ...part })
  const days = [...v.days].sort((a, b) => a - b)
  const reach = useQuery({
    queryKey: ['reach', v.brood, v.drones, v.how, days],
    queryFn: ({ signal }) =>
      data(
        client.POST('/api/reach/visits', {
          body: { brood: v.brood, drones: v.drones === 'yes', way: v.how, days },
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
    retry: false,
  })
  return (
    <main className={page.page}>
      <div className={page.head}>
        <h1>{text.reach}</h1>
        <span className="quiet">{text.reachIntro}</span>
      </div>
      <section className={page.panel}>
        <div className={page.two}>
          <Choice
            label={text.broodAsk}
            value={v.brood}
            options={text.broodOptions}
            onChange={(brood) => change({ brood })}
          />
          <Choice
            label={text.dronesAsk}
            value={v.drones}
            options={text.yesNo}
            onChange={(drones) => change({ drones })}
          />
        </div>
        <Choice label={text.howAsk} value={v.how} options={text.hows} onChange={(how) => change({ how })} />
        <Days days={v.days} onDays={(days) => change({ days })} />
        <Press
          says={text.addVisit}
          off={v.days.length >= 15}
          onPress={() => change({ days: [...v.days, Math.min(28, Math.max(-5, ...v.days) + 5)] })}
          data-add-visit
        />
        <Said message={reach.error ? reach.error.message : undefined} />
        {reach.data && <Reached reach={reach.data} visits={reach.data.visits} />}
        <p className="quiet">{text.reachHint}</p>
      </section>
    </main>
  )
}
