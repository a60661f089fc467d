import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { ask, Waiting } from '../kit'
import page from '../kit/page.module.css'
import { AtHand } from './AtHand'
import { Erasing } from './Erasing'
import { Everything } from './Everything'
import { OfOperation } from './OfOperation'
import { Own } from './Own'
import { vesselsQuery } from '../method/vessels/vessels'
import { settingsQuery } from './query'
import styles from './settings.module.css'
import { VesselsAtHand } from './VesselsAtHand'
import { text } from './text'

/** How an operation, and each person in it, would have figures, days and the weather. */
export default function SettingsPage() {
  const settings = useQuery(settingsQuery)
  const balances = useQuery(ask(['balances'], '/api/balances'))
  const vessels = useQuery(vesselsQuery)
  if (!settings.data) return <Waiting query={settings} />
  return (
    <main className={page.page}>
      <h1>{text.title}</h1>
      <div className={styles.columns}>
        <div className={styles.column}>
          <Own settings={settings.data} />
          <Link to="/people">{text.people}</Link>
          {vessels.data && <VesselsAtHand vessels={vessels.data.vessels} />}
          {balances.data && <AtHand balances={balances.data.balances} />}
        </div>
        <div className={styles.column}>
          <OfOperation settings={settings.data} />
          <Everything />
          <Erasing />
        </div>
      </div>
    </main>
  )
}
