import { QRCodeSVG } from 'qrcode.react'
import type { Schemas } from '../api/client'
import { date, plain, temperature, tenths, three, useStart } from '../kit'
import { HazardMark } from './HazardMark'
import shared from './label.module.css'
import styles from './Label.module.css'
import { text } from './text'
import { useFit } from './useFit'

interface Props {
  label: Schemas['Label']
  /** The vessel that it goes onto; the batch's own when left out. */
  portion?: Schemas['Portion']
}

/** What stands on the jar: what is in it, how strong in both bases, until when, and what to do after a splash. */
export function Label({ label, portion }: Props) {
  const start = useStart()
  const { is } = label
  const { frame, content } = useFit<HTMLElement, HTMLDivElement>()
  const use = label.use_by ? text.useBy(date(label.use_by)) : label.keeping === 'closed' ? text.asStock : ''
  const amount = `${plain(Math.round(portion?.amount ?? label.amount))} ${text.units[label.unit]}`
  return (
    <article ref={frame} className={shared.label} data-label={portion?.id ?? label.batch_id}>
      <div ref={content} className={styles.content}>
        <header>
          <div className={styles.marks}>
            {label.hazards.map((h) => (
              <HazardMark key={h} mark={h} />
            ))}
          </div>
          <div className={styles.head}>
            <strong>{text.poison}</strong>
            <h2>{text.kinds[label.kind]}</h2>
          </div>
          <div className={styles.number}>
            <b>{text.number(label.number)}</b>
            <span>{amount}</span>
          </div>
        </header>
        <div className={styles.middle}>
          <QRCodeSVG
            className={styles.qr}
            value={`${start.public_url || location.origin}/batches/${label.batch_id}`}
            title={text.qr}
            level="M"
            marginSize={2}
          />
          {is && <Strength is={is} />}
          {label.oad_g_per_piece !== undefined && (
            <p className={styles.strength}>{text.perPiece(three(label.oad_g_per_piece))}</p>
          )}
          {!label.weighed && <p>{text.planned}</p>}
          <p className={styles.dates}>
            {text.madeOn(date(label.made_on))}
            {use && (
              <>
                {' · '}
                <b>{use}</b>
              </>
            )}
            {label.keeping && label.use_by && ` ${text.keeping[label.keeping]}`}
          </p>
          <p>
            {label.name}
            {portion && ` · ${portion.vessel}`}
            {portion?.yard && ` ${text.forYard(portion.yard)}`}
          </p>
          <p>{text.uses[label.kind]}</p>
          {is?.clear_down_c !== undefined && is.clear_down_c > 0 && (
            <p>{text.cold(temperature(Math.ceil(is.clear_down_c)))}</p>
          )}
        </div>
        <footer>
          <p className={shared.firstAid} data-first-aid>
            {label.acids.includes('formic_acid') ? text.firstAid.formic : text.firstAid.oxalic}
          </p>
          <p>
            {text.locked} {label.rule_worked_under && text.rule(label.rule_worked_under)}
          </p>
        </footer>
      </div>
    </article>
  )
}

/** The strength in both bases, with how far it may be off. */
function Strength({ is }: { is: Schemas['BenchMade'] }) {
  const percent = (100 * is.strength.off) / is.strength.value
  const off = percent >= 0.05 ? ` ${text.off(tenths(percent))}` : ''
  return (
    <p className={styles.strength}>
      {is.unit === 'percent_formic'
        ? text.formicWW(three(is.percent_ww))
        : is.unit === 'percent_oad'
          ? text.ww(three(is.percent_ww), three(is.percent_ww_oaa ?? 0))
          : text.wv(three(is.percent_wv_oad ?? 0), three(is.percent_wv_oaa ?? 0))}
      {off}
    </p>
  )
}
