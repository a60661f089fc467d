import Button from '@mui/material/Button'
import { produce } from 'immer'
import { client } from '../api/client'
import { Board } from '../drawing/Board'
import { newColony } from '../hive/hive'
import { gapsOf, setSeam } from '../hive/seams'
import { Faults, Field, plain, Reader, tenths, useKept, useStart } from '../kit'
import { withDoses } from '../method/dribble/gaps'
import { read } from '../method/dribble/request'
import { emptyDraft } from '../method/begin'
import { useAnswer } from '../method/useAnswer'
import { text } from './text'
import { usePour } from './usePour'
import shared from './treat.module.css'
import styles from './PracticePage.module.css'

/** A box as it is begun with: six seams in the middle. */
function practiceBox() {
  const colony = newColony('single10', text.practiceHive)
  colony.boxes[0]!.seams = [0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0]
  return colony
}

/** A dry run with plain syrup: the box fills seam by seam, as fast as one doses. Nothing is recorded. */
export default function PracticePage() {
  const { usual } = useStart()
  const form = useKept('practice.box', () => ({ seconds: '3', colonies: [practiceBox()] }))
  const { colonies } = form.value
  const reader = new Reader('metric')
  const seconds = reader.needed('seconds', form.value.seconds)
  const box = colonies[0]!.boxes[0]!
  const { answer } = useAnswer('dribble', read({ ...emptyDraft(usual), colonies }), (body, signal) =>
    client.POST('/api/dribble/plan', { body, signal }),
  )
  const dose = answer?.doses[0]?.boxes[0]
  const gaps = withDoses(gapsOf(box), dose)
  const pour = usePour(gaps.map((g) => (seconds > 0 ? g.seam * seconds : 0)))
  const bees = gaps.flatMap((g, i) => (g.seam > 0 ? [i] : []))
  const ready = seconds > 0 && bees.length > 0
  const ml = (i: number) => dose?.gaps[i]?.ml ?? 0
  const poured = gaps.reduce((sum, _, i) => sum + pour.done[i]! * ml(i), 0)
  return (
    <main data-gloves className={shared.page} data-practice={pour.running ? 'running' : 'still'}>
      <h1>{text.practiceTitle}</h1>
      <p className="quiet">{text.practiceIntro}</p>
      <Board
        name={text.practiceHive}
        depth={box.depth}
        slots={box.slots}
        gaps={gaps.map((g, i) => ({ ...g, done: pour.done[i]! }))}
        touch={
          pour.running ? undefined : setSeam((recipe) => form.update((v) => produce(v, recipe)), 0, 0, gaps)
        }
      />
      <p className={styles.figure} data-poured>
        {pour.at !== undefined
          ? text.nowSeam(bees.indexOf(pour.at) + 1, bees.length, dose ? plain(ml(pour.at)) : '')
          : pour.finished
            ? text.allPoured(tenths(seconds * gaps.reduce((sum, g) => sum + g.seam, 0)))
            : bees.length === 0
              ? text.seamsAsk
              : text.practiceHint}
      </p>
      {dose && (
        <p className="quiet" data-poured-ml>
          {text.poured(tenths(poured), plain(dose.ml))} · {text.paceHint}
        </p>
      )}
      <Button
        size="large"
        disabled={!ready}
        variant="contained"
        onClick={pour.running ? pour.stop : pour.start}
        data-pace
        sx={{ minHeight: 72, minWidth: 200, fontSize: 'var(--t-title)' }}
      >
        {pour.running ? text.stop : text.begin}
      </Button>
      <Faults value={reader.faults}>
        <Field
          label={text.seconds}
          unit="s"
          path="seconds"
          value={form.value.seconds}
          onChange={(v) => form.set({ ...form.value, seconds: v })}
        />
      </Faults>
    </main>
  )
}
