import { client, data } from '../api/client'
import { workers } from '../api/names'

/** Whether a browser can be reminded at all. */
export const canRemind = () =>
  workers !== undefined && 'PushManager' in globalThis && 'Notification' in globalThis

/** How this browser subscribed to reminders, where it did. */
export async function subscription() {
  if (!canRemind()) return null
  const registration = await workers?.getRegistration()
  return (await registration?.pushManager.getSubscription()) ?? null
}

/** Asks the browser to be reminded, and tells the server where. */
export async function subscribe() {
  if ((await Notification.requestPermission()) !== 'granted') throw new Error('it was not allowed')
  const { key } = await data(client.GET('/api/reminders'))
  await workers!.register('/sw.js')
  const registration = await workers!.ready
  const made = await registration.pushManager.subscribe({ userVisibleOnly: true, applicationServerKey: key })
  const { endpoint = '', keys } = made.toJSON()
  await client.POST('/api/reminders', {
    body: { endpoint, p256dh: keys?.p256dh ?? '', auth: keys?.auth ?? '' },
  })
}

/** No more reminders in this browser, for whoever is signed in. */
export async function unsubscribe() {
  const is = await subscription()
  if (!is) return
  await client.POST('/api/reminders/end', { body: { endpoint: is.endpoint } })
  await is.unsubscribe()
}
