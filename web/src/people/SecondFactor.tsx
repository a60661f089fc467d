import { useQuery } from '@tanstack/react-query'
import { QRCodeSVG } from 'qrcode.react'
import { client, data, type Schemas } from '../api/client'
import { ask, Form, type Panel, Press, Said, stale, useSaving, useTyped } from '../kit'
import styles from './PeoplePage.module.css'
import { text } from './text'

const CODE: Panel<'code'> = {
  title: '',
  entries: [{ of: 'code', as: 'words', label: text.second, autoComplete: 'one-time-code' }],
}

/** A code beside the password: offered, proven, and turned off again. */
export function SecondFactor() {
  const factor = useQuery(ask(['second-factor'], '/api/second-factor'))
  const form = useTyped(CODE)
  const body = form.body as Schemas['ProveSecond']
  const done = () => {
    form.clear()
    stale('second-factor')
  }
  const offering = useSaving(() => data(client.POST('/api/second-factor/offer')))
  const turningOn = useSaving(() => data(client.POST('/api/second-factor', { body })), done)
  const turningOff = useSaving(() => data(client.POST('/api/second-factor/off', { body })), done)
  const on = factor.data?.on
  const codes = turningOn.out?.recovery_codes
  return (
    <details data-second-factor={on ? 'on' : 'off'}>
      <summary>{on ? text.secondOn(factor.data?.codes_left ?? 0) : text.secondOff}</summary>
      <p className="quiet">{text.secondWhy}</p>
      {codes && (
        <>
          <p>{text.recovery}</p>
          <pre className={styles.link} data-recovery>
            {codes.join('\n')}
          </pre>
        </>
      )}
      {!on && !offering.out && (
        <Press outlined says={text.secondBegin} onPress={() => offering.save(undefined)} />
      )}
      <Said message={offering.message} />
      {!on && offering.out && (
        <div className={styles.inline}>
          <QRCodeSVG value={offering.out.uri} size={168} marginSize={2} title={text.secondScan} />
          <div>
            <p>{text.secondScan}</p>
            <p className={styles.link} data-secret>
              {offering.out.secret}
            </p>
          </div>
        </div>
      )}
      {(on || offering.out) && (
        <Form
          className={styles.form}
          form={form}
          saving={on ? turningOff : turningOn}
          save={on ? text.secondTurnOff : text.secondTurnOn}
          mark="second-factor"
          quiet
          unfinished={!form.typed.code}
          onSave={() => (on ? turningOff : turningOn).save(undefined)}
        />
      )}
    </details>
  )
}
