import { Hub, type Wanted } from './hub'

/** From a tab: what it wants to be told of, or nothing any more. */
export type Asked = { id: string; wanted?: Wanted }

const hub = new Hub()

declare const self: { onconnect: (e: MessageEvent) => void }

self.onconnect = ({ ports: [port] }) => {
  port!.onmessage = ({ data: { id, wanted } }: MessageEvent<Asked>) => {
    if (wanted) hub.listen(id, wanted, (told) => port!.postMessage({ id, told }))
    else hub.leave(id)
  }
}
