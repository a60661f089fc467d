/** The colours of the bench: limewash, slate, verdigris; madder for acid and harm only. */
export const light = {
  paper: '#f1efe9',
  panel: '#ffffff',
  slip: '#fffdf7',
  ink: '#1b2a2e',
  soft: '#536063',
  line: '#d8d3c8',
  act: '#1c6b5f',
  actSoft: '#dfece8',
  acid: '#9c2f27',
  acidSoft: '#f6e4e1',
  drop: '#2b5d80',
  syrup: '#e7d9a8',
  wood: '#8d7b57',
  inside: '#f6f1e4',
  comb: '#cbb994',
  bee: '#4a3a22',
}

export const dark: typeof light = {
  paper: '#141c1e',
  panel: '#1c2629',
  slip: '#232c2c',
  ink: '#eef0ea',
  soft: '#aab5b3',
  line: '#39464a',
  act: '#6cc5b2',
  actSoft: '#20413c',
  acid: '#f0a197',
  acidSoft: '#4a2622',
  drop: '#8cbfe3',
  syrup: '#8a7636',
  wood: '#a5936c',
  inside: '#2a2a22',
  comb: '#6d6145',
  bee: '#d9bd85',
}

export type Ink = keyof typeof light
