import { createTheme } from '@mui/material/styles'
import { dark, light } from './palette'
import { type } from './sizes'

const scheme = (c: typeof light, contrast: string) => ({
  palette: {
    primary: { main: c.act, contrastText: contrast },
    error: { main: c.acid },
    info: { main: c.act },
    background: { default: c.paper, paper: c.panel },
    text: { primary: c.ink, secondary: c.soft },
    divider: c.line,
  },
})

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: { light: scheme(light, '#ffffff'), dark: scheme(dark, '#10201d') },
  shape: { borderRadius: 8 },
  typography: {
    fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif",
    fontSize: type.body,
    button: { textTransform: 'none', fontWeight: 650 },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: { defaultProps: { disableElevation: true } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          color: 'var(--ink)',
          background: 'var(--panel)',
          fontWeight: 400,
          lineHeight: 1.2,
          padding: '9px 10px',
          justifyContent: 'flex-start',
          '&.Mui-selected, &.Mui-selected:hover': {
            color: 'var(--act)',
            background: 'var(--act-soft)',
            fontWeight: 650,
          },
        },
      },
    },
    MuiFormHelperText: {
      styleOverrides: { root: { marginInline: 0, fontSize: type.small, lineHeight: 1.3 } },
    },
  },
})
