import Divider from '@mui/material/Divider'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { useColorScheme } from '@mui/material/styles'
import { useNavigate } from 'react-router'
import { client, data } from '../api/client'
import { enter, keepUnits, Said, stale, type System, useSaving, useStart, useWays } from '../kit'
import { useSignOut } from '../people/useSignOut'
import { text } from './text'

interface Props {
  anchor: HTMLElement
  onClose: () => void
  onKeys: () => void
  onFind: () => void
}

/** What belongs to the operation and to whoever is signed in. */
export default function OperationMenu({ anchor, onClose, onKeys, onFind }: Props) {
  const { me } = useStart()
  const { units } = useWays()
  const { colorScheme, setMode } = useColorScheme()
  const { waiting, leaving } = useSignOut()
  const navigate = useNavigate()
  const going = useSaving(
    (operation: number) => data(client.POST('/api/session/operation', { body: { operation } })),
    (start) => {
      enter(start)
      onClose()
      void navigate('/')
    },
  )
  const measuring = useSaving(
    (own: System) => client.PUT('/api/settings/own', { body: { ...me?.own, units: own } }),
    () => stale('start', 'settings'),
  )
  const choose = (other: System) => (me ? measuring.save(other) : keepUnits(other))
  const does = (act: () => void) => () => {
    onClose()
    act()
  }
  return (
    <Menu
      open
      anchorEl={anchor}
      onClose={onClose}
      slotProps={{ paper: { component: 'nav', 'aria-label': me?.operation ?? text.signIn } }}
    >
      {me && <MenuItem onClick={does(onFind)}>{text.find}</MenuItem>}
      {me?.others?.map((o) => (
        <MenuItem key={o.id} onClick={() => going.save(o.id)} data-operation={o.name}>
          {text.toOperation(o.name)}
        </MenuItem>
      ))}
      <MenuItem onClick={does(() => void navigate('/people'))}>{me ? text.people : text.signIn}</MenuItem>
      {me && <MenuItem onClick={does(() => void navigate('/settings'))}>{text.pages.settings}</MenuItem>}
      <Divider />
      <MenuItem onClick={does(() => choose(units === 'us' ? 'metric' : 'us'))} data-units>
        {units === 'us' ? text.toMetric : text.toUS}
      </MenuItem>
      <MenuItem onClick={does(() => setMode(colorScheme === 'dark' ? 'light' : 'dark'))} data-scheme-switch>
        {colorScheme === 'dark' ? text.daylight : text.dusk}
      </MenuItem>
      <MenuItem onClick={does(() => void navigate('/help'))}>{text.pages.help}</MenuItem>
      <MenuItem onClick={does(onKeys)}>{text.keys}</MenuItem>
      {me && <Divider />}
      {/* What waits on this phone is said where the account stands, before anybody leaves. */}
      {me && (
        <MenuItem
          onClick={() => (waiting > 0 ? does(() => void navigate('/people'))() : leaving.save())}
          data-leave
        >
          {text.signOut}
        </MenuItem>
      )}
      <Said message={leaving.message ?? going.message} />
    </Menu>
  )
}
