import names from '../../../words/names/drawing.json'

export const text = {
  ...names,
  uncounted: 'not counted',
  board: (name: string) => `${name}, seen from above`,
  gap: (n: number) => `gap ${n}`,
  gapHolds: (seam: string, ml: string) => (ml && ml !== '·' ? `${seam} seam, ${ml} mL` : `${seam} seam`),
  comb: (n: number) => `sealed brood on comb ${n}`,
  stripIn: (n: number, seam: string) => `strip in gap ${n}, ${seam} seam`,
  vessel: (kind: string, figure: string, unit: string) => `a ${kind} with ${figure} ${unit}`,
  vesselOf: (ml: number, kind: string) => `${ml >= 1000 ? `${ml / 1000} L` : `${ml} mL`} ${kind}`.trim(),
  ladder: 'strength compared with the standard recipes',
}
