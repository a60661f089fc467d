import GlobalStyles from '@mui/material/GlobalStyles'
import { dark, light } from './palette'
import { space, type } from './sizes'

const variables = (colours: typeof light) =>
  Object.fromEntries(
    Object.entries(colours).map(([name, value]) => [
      '--' + name.replace(/[A-Z]/g, (c) => '-' + c.toLowerCase()),
      value,
    ]),
  )

const sizes = Object.fromEntries([
  ...Object.entries(type).map(([name, px]) => [`--t-${name}`, `${px}px`]),
  ...space.map((px) => [`--s-${px}`, `${px}px`]),
]) as Record<string, string>

/** Puts the palette and the sizes of type and of distances into CSS variables, for the drawings and the docket; paper is always light. */
export function Schemes() {
  return (
    <GlobalStyles
      styles={{
        ':root': { ...variables(light), ...sizes },
        // No type is smaller under a thumb: it is read in the yard.
        '@media (pointer: coarse)': {
          ':root': { '--t-tiny': sizes['--t-note'], '--t-small': sizes['--t-note'] },
        },
        '[data-scheme="dark"]': variables(dark),
        '@media print': { ':root, [data-scheme]': variables(light) },
      }}
    />
  )
}
