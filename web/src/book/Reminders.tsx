import { useQuery } from '@tanstack/react-query'
import { client } from '../api/client'
import { canRemind, Press, Said, stale, subscribe, subscription, unsubscribe, useSaving } from '../kit'
import page from '../kit/page.module.css'
import { text } from './text'

/** Reminders of this browser: on mornings with something to do, also while Keeler is closed. */
export function Reminders() {
  const at = useQuery({ queryKey: ['reminders'], queryFn: subscription })
  const turningOn = useSaving(subscribe, () => stale('reminders'))
  const turningOff = useSaving(unsubscribe, () => stale('reminders'))
  const trying = useSaving(async () =>
    client.POST('/api/reminders/test', { body: { endpoint: at.data?.endpoint ?? '' } }),
  )
  const refused = canRemind() && Notification.permission === 'denied'
  return (
    <section className={page.panel} data-reminders={at.data ? 'on' : 'off'}>
      <h2>{text.reminders}</h2>
      <p className="quiet">{text.remindersWhy}</p>
      {!canRemind() && <p>{text.remindersUnable}</p>}
      {refused && <p>{text.remindersDenied}</p>}
      <Said message={turningOn.message && !refused ? text.remindersFailed : undefined} />
      <Said message={turningOff.message ?? trying.message} />
      {canRemind() && (
        <p className={page.bar}>
          {at.data ? (
            <>
              <Press
                outlined
                says={trying.busy ? text.remindersTrying : text.remindersTry}
                off={trying.busy}
                onPress={() => trying.save()}
                data-try-reminder
              />
              <Press says={text.remindersOff} off={turningOff.busy} onPress={() => turningOff.save()} />
            </>
          ) : (
            <Press
              main
              says={text.remindersOn}
              off={turningOn.busy || refused}
              onPress={() => turningOn.save()}
              data-remind
            />
          )}
        </p>
      )}
      {trying.done && <p role="status">{text.remindersTried}</p>}
    </section>
  )
}
