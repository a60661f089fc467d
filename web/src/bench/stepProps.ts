import type { Act, Happening, Run } from './useBench'
import type { Instrument, Readings } from './useInstruments'

/** What a step of the work is drawn from. */
export interface StepProps {
  run: Run
  act: Act
  at: Happening
  readings: Readings
  instruments: Instrument[]
  /** Why nothing goes on from here: it would not come out as wanted, and nobody said what to do. */
  held: string | undefined
  onBack: () => void
  onNext: () => void
}
