import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from './schema'
import { PAGE } from './names'
import { serverHas } from './updated'

export type Schemas = components['schemas']

/** A refusal or failure that the server told in words, with the field each part is about. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly faults: Record<string, string>,
    /** What is wrong, as a code, by the same fields. */
    readonly codes: Record<string, string> = {},
  ) {
    super(message)
  }
}

const telling: Middleware = {
  async onResponse({ response }) {
    serverHas(response.headers.get(PAGE))
    if (response.ok) return response
    const document = (await response.json().catch(() => ({}))) as Partial<Schemas['ErrorModel']>
    const faults: Record<string, string> = {}
    const codes: Record<string, string> = {}
    for (const e of document.errors ?? []) {
      const field = (e.location ?? '').replace(/^body\.?/, '')
      faults[field] ??= e.message ?? ''
      if (typeof e.value === 'string') codes[field] ??= e.value
    }
    throw new Problem(response.status, document.detail ?? response.statusText, faults, codes)
  },
}

/** The header in which a page says for whom it asks. */
export const FOR_WHOM = 'Keeler-Me'

let me: string | undefined

/** From now on the page asks for this person: what another has signed in for since is not done. */
export const speakFor = (who: string | undefined) => (me = who)

const speaking: Middleware = {
  onRequest({ request }) {
    if (me !== undefined && !request.headers.has(FOR_WHOM)) request.headers.set(FOR_WHOM, me)
    return request
  },
}

/** The data of an answer: what is not one was thrown as a Problem. */
export const data = async <T>(answer: Promise<{ data?: T }>) => (await answer).data as T

export const client = createClient<paths>({ baseUrl: '/' })
client.use(speaking, telling)
