import type { Schemas } from '../../api/client'

export type Method = Schemas['SaveJob']['method']

/** The methods, in the order of a row's cells. */
export const METHODS: readonly Method[] = ['dribble', 'strip', 'pad']
