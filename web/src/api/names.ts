/** Where the worker keeps what a round needs without signal. */
export const ROUND_CACHE = 'keeler.round'

/** What the browser is asked to wake the worker for, and how pages call each other. */
export const TAG = 'keeler.outbox'

/** The browser's side of the worker; none where the page did not come safely. */
export const workers = 'serviceWorker' in navigator ? navigator.serviceWorker : undefined

/** The header in which the server says which page it has. */
export const PAGE = 'Keeler-Page'
