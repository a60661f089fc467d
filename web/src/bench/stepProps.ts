import type { BarProps } from './Bar'
import type { Act, Happening, Run } from './useBench'
import type { Instrument, Readings } from './useInstruments'

/** What a step of the work is drawn from. */
export interface StepProps {
  run: Run
  act: Act
  at: Happening
  readings: Readings
  instruments: Instrument[]
  /** Of its bar: the way back, and why nothing goes on from here: it would not come out as wanted. */
  foot: Pick<BarProps, 'onBack' | 'first' | 'busy' | 'held'>
  onNext: () => void
}
