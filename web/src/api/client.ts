import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from './schema'

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

/** The data of an answer: what is not one was thrown as a Problem. */
export const data = async <T>(answer: Promise<{ data?: T }>) => (await answer).data as T

export const client = createClient<paths>({ baseUrl: '/' })
client.use(telling)
