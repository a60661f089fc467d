import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import { useState } from 'react'
import { Choice, Press, readNumber, tenths, three } from '../kit'
import { Bar } from './Bar'
import shared from './bench.module.css'
import styles from './Finish.module.css'
import { Discard } from './Discard'
import { Band, bases, strengthOf } from './SoFar'
import { text } from './text'
import { TypedFigure } from './TypedFigure'
import type { Happening, Run } from './useBench'

interface Props {
  run: Run
  at: Happening
  onBack: () => void
}

/** The end: what it is, what strips took up, where it is kept. */
export function Finish({ run, at, onBack }: Props) {
  const [keeping, setKeeping] = useState(run.keepings.length === 1 ? (run.keepings[0]?.store ?? '') : '')
  const [sure, setSure] = useState(false)
  const [asIs, setAsIs] = useState(false)
  const [pieces, setPieces] = useState('')
  const [discarding, setDiscarding] = useState(false)
  const missing = run.acts.filter(
    (a) => !a.done && (a.kind === 'weigh' || a.kind === 'count' || a.kind === 'left') && a.added.length === 0,
  )
  const { uptake, off_by: off } = run
  if (discarding) return <Discard run={run} at={at} onKeep={() => setDiscarding(false)} />
  const number = pieces === '' ? undefined : readNumber(pieces)
  const finish = () =>
    void at.happen({
      kind: 'finished',
      keeping,
      sure,
      as_is: asIs,
      ...(number !== undefined && !Number.isNaN(number) ? { pieces: Math.round(number) } : {}),
    })
  return (
    <div className={shared.step} data-step="finish">
      <h1>{text.finishTitle}</h1>
      <div className={shared.body}>
        {missing.length > 0 && (
          <div className={shared.mend}>
            <h2>{text.missing}</h2>
            <p>{missing.map((a) => a.title).join(' · ')}</p>
          </div>
        )}
        {run.so_far && missing.length === 0 && (
          <>
            <p className={shared.target}>{strengthOf(run.so_far)}</p>
            <Band made={run.so_far} />
            <p className={shared.facts}>
              {text.stands[run.so_far.strength.stand]}
              {bases(run.so_far) && ` · ${bases(run.so_far)}`}
            </p>
          </>
        )}
        {off && missing.length === 0 && (
          <div className={shared.mend} data-off-recipe>
            <h2>{text.offBy(tenths(Math.abs(off.percent)), off.percent > 0)}</h2>
            <p>{text.offDose[off.dose](three(off.mg), three(off.meant_mg))}</p>
            <FormControlLabel
              control={<Checkbox checked={asIs} onChange={(e) => setAsIs(e.target.checked)} data-as-is />}
              label={text.asIs}
            />
          </div>
        )}
        {uptake && (
          <>
            <p className={shared.target} data-uptake>
              {text.uptake(three(uptake.each_g), three(uptake.off_g))}
            </p>
            <p className={shared.facts}>
              {text.uptakeAcid(three(uptake.oad_g))}
              {uptake.learnt && ` · ${text.learnt(three(uptake.learnt.each_g), uptake.learnt.pots)}`}
            </p>
            <TypedFigure
              label={text.soaked}
              path="pieces"
              unit=""
              value={pieces === '' ? String(uptake.pieces) : pieces}
              onChange={setPieces}
              fault={number !== undefined && Number.isNaN(number)}
              onEnter={() => undefined}
            />
            {uptake.strange && (
              <div className={shared.mend} data-strange>
                <p>{text.strange}</p>
                <FormControlLabel
                  control={<Checkbox checked={sure} onChange={(e) => setSure(e.target.checked)} />}
                  label={text.strangeYes}
                />
              </div>
            )}
          </>
        )}
        <h2 className={styles.asked}>{text.keptWhere}</h2>
        <Choice
          label={text.keptWhere}
          value={keeping}
          options={Object.fromEntries(run.keepings.map((k) => [k.store, text.keeping(k.store, k.days)]))}
          onChange={setKeeping}
        />
        <p>
          <Press harm says={text.discard} onPress={() => setDiscarding(true)} data-discard />
        </p>
      </div>
      <Bar
        onBack={onBack}
        busy={at.busy}
        idle={missing.length > 0 ? text.missing : off && !asIs ? text.offAsk : text.keptWhere}
        primary={
          missing.length === 0 && keeping && (!off || asIs)
            ? { words: text.finishYes, onPress: finish }
            : undefined
        }
      />
    </div>
  )
}
