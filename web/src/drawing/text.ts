export const text = {
  board: (name: string) => `${name}, seen from above`,
  gap: (n: number) => `gap ${n}`,
  gapHolds: (seam: string, ml: string) => (ml && ml !== '·' ? `${seam} seam, ${ml} mL` : `${seam} seam`),
  jar: (figure: string, unit: string) => `a jar with ${figure} ${unit}`,
  jarOf: (ml: number) => (ml >= 1000 ? `${ml / 1000} L jar` : `${ml} mL jar`),
  ladder: 'strength among the schools',
  rung: (name: string, gPerL: string) => `${name}, ${gPerL} g per litre`,
}
