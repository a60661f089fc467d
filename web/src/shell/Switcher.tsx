import Autocomplete from '@mui/material/Autocomplete'
import Dialog from '@mui/material/Dialog'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import type { Schemas } from '../api/client'
import { ask } from '../kit'
import { NEAR, PAGES } from './pages'
import styles from './Switcher.module.css'
import { text } from './text'

interface Target {
  to: string
  name: string
  where: string
  kind: keyof typeof text.kinds
}

const MOST = 40

/** Goes to a hive, yard, batch, job or page by a few letters of its name. */
export default function Switcher({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate()
  const names = useQuery(ask(['names'], '/api/names'))
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      className={styles.switcher ?? ''}
      slotProps={{ paper: { 'aria-label': text.finding } }}
      data-switcher
    >
      <Autocomplete
        open
        autoHighlight
        loading={!names.data}
        options={targets(names.data)}
        filterOptions={(all, { inputValue }) => found(all, inputValue).slice(0, MOST)}
        getOptionLabel={(t) => t.name}
        getOptionKey={(t) => t.to}
        noOptionsText={text.nothingFound}
        loadingText={text.loading}
        onClose={(_, why) => why === 'escape' && onClose()} // its list is what the dialog is
        onChange={(_, target) => {
          if (!target) return
          onClose()
          void navigate(target.to)
        }}
        slotProps={{ popper: { disablePortal: true, className: styles.list ?? '' } }}
        renderOption={({ key, ...props }, t) => (
          <li key={key} {...props} data-target={t.name}>
            <b>{t.name}</b> <span className="quiet">{t.where}</span>
          </li>
        )}
        renderInput={(props) => <TextField {...props} autoFocus label={text.finding} />}
      />
    </Dialog>
  )
}

function targets(names: Schemas['Names'] | undefined): Target[] {
  const of = (kind: Target['kind'], all: Schemas['Name'][] | undefined, to: string) =>
    (all ?? []).map(({ id, name, where }) => ({
      kind,
      name,
      to: `${to}/${id}`,
      where: where ?? text.kinds[kind],
    }))
  return [
    ...[...NEAR, ...PAGES].map(({ to, name, sub }) => ({ kind: 'page' as const, to, name, where: sub })),
    ...of('yard', names?.yards, '/yards'),
    ...of('hive', names?.hives, '/colonies'),
    ...of('job', names?.jobs, '/jobs'),
    ...of('batch', names?.batches, '/batches'),
  ]
}

/** What holds all the words typed, in its name or where it is; names that begin so come first. */
function found(all: Target[], typed: string) {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return all.filter((t) => t.kind === 'page' || t.kind === 'yard')
  const first = words[0] ?? ''
  return all
    .filter((t) => words.every((word) => `${t.name} ${t.where}`.toLowerCase().includes(word)))
    .sort(
      (a, b) =>
        Number(!a.name.toLowerCase().startsWith(first)) - Number(!b.name.toLowerCase().startsWith(first)),
    )
}
