import GlobalStyles from '@mui/material/GlobalStyles'
import { dark, light } from './palette'

const variables = (colours: typeof light) =>
  Object.fromEntries(
    Object.entries(colours).map(([name, value]) => [
      '--' + name.replace(/[A-Z]/g, (c) => '-' + c.toLowerCase()),
      value,
    ]),
  )

/** Puts the palette into CSS variables, for the drawings and the docket; paper is always light. */
export function Schemes() {
  return (
    <GlobalStyles
      styles={{
        ':root': variables(light),
        '[data-scheme="dark"]': variables(dark),
        '@media print': { ':root, [data-scheme]': variables(light) },
      }}
    />
  )
}
