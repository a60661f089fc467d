import Button from '@mui/material/Button'
import { lazy, Suspense } from 'react'
import { Choice } from '../../kit/Choice'
import { Figures } from '../../kit/Figures'
import { Field } from '../../kit/Field'
import { useFaultCode } from '../../kit/faults'
import { Section } from '../../kit/Section'
import { useVolumeUnit } from '../../kit/units'
import type { Change } from '../draft'
import type { DribbleDraft } from './draft'
import { nameIn, powder as shared } from '../text'
import { text } from './text'

const CardEditor = lazy(() => import('./CardEditor'))

/** What the keeper holds: crystals, packets, tablets, or a bought liquid. */
export function HoldPanel({ draft, change }: { draft: DribbleDraft; change: Change<DribbleDraft> }) {
  const { hold } = draft
  const millilitres = useVolumeUnit()
  return (
    <Section title={text.hold} brief={nameIn(text.holdKinds, hold.kind)}>
      <Choice
        label={text.hold}
        value={hold.kind}
        options={text.holdKinds}
        path="hold.kind"
        onChange={(kind) =>
          change((d) => {
            d.hold.kind = kind
            if (kind !== 'packet' && d.aim.by === 'packet') d.aim.by = 'protocol'
          })
        }
      />
      {hold.kind === 'crystals' || hold.kind === 'packet' || hold.kind === 'tablets' ? (
        <PowderFields draft={draft} kind={hold.kind} change={change} />
      ) : (
        <Field
          label={text.volumeInHand}
          unit={millilitres}
          path="hold.volume_ml"
          value={hold.volume}
          onChange={(v) => change((d) => void (d.hold.volume = v))}
        />
      )}
      {hold.kind === 'packet' && (
        <Field
          label={text.madeUpTo}
          unit={millilitres}
          path="hold.made_up_to_ml"
          hint={text.madeUpToHint}
          value={hold.madeUpTo}
          onChange={(v) => change((d) => void (d.hold.madeUpTo = v))}
        />
      )}
      {hold.kind === 'ready_mix' && <StockFields draft={draft} change={change} />}
      {hold.kind === 'ready_to_use' && (
        <Suspense>
          <CardEditor card={hold.card} change={change} />
        </Suspense>
      )}
    </Section>
  )
}

function PowderFields({
  draft,
  kind,
  change,
}: {
  draft: DribbleDraft
  kind: 'crystals' | 'packet' | 'tablets'
  change: Change<DribbleDraft>
}) {
  const powder = draft.hold.powder[kind]
  const basisAsked = useFaultCode('hold.oad_percent') === 'basis_share'
  return (
    <>
      <Figures
        part={powder}
        set={(key, v) => change((d) => void (d.hold.powder[kind][key] = v))}
        rows={[
          { of: 'grams', label: text.holdAmount[kind], unit: 'g', path: 'hold.grams' },
          {
            of: 'oadPercent',
            label: powder.anhydrous ? text.acidShare : text.oadShare,
            unit: '%',
            path: 'hold.oad_percent',
            hint: kind === 'packet' && powder.oadPercent === '' ? text.packetShareHint : undefined,
          },
        ]}
      />
      {basisAsked && (
        <div>
          <Button
            size="small"
            variant="outlined"
            onClick={() => change((d) => void (d.hold.powder[kind].oadPercent = '100'))}
            data-share-pure
          >
            {text.sharePure}
          </Button>
          <Button
            size="small"
            onClick={() => change((d) => void (d.hold.powder[kind].sureShare = powder.oadPercent))}
            data-share-real
          >
            {text.shareReal(powder.oadPercent)}
          </Button>
        </div>
      )}
      {kind === 'crystals' && (
        <>
          <Choice
            label={shared.powderBasis}
            value={powder.anhydrous ? 'anhydrous' : ''}
            options={shared.powderBases}
            path="hold.basis"
            onChange={(v) => change((d) => void (d.hold.powder[kind].anhydrous = v === 'anhydrous'))}
          />
          {powder.anhydrous && <p className="quiet">{shared.anhydrousHint}</p>}
        </>
      )}
      {kind !== 'crystals' && (
        <Field
          label={text.count[kind]}
          path="hold.count"
          value={powder.count}
          onChange={(v) => change((d) => void (d.hold.powder[kind].count = v))}
        />
      )}
    </>
  )
}

function StockFields({ draft, change }: { draft: DribbleDraft; change: Change<DribbleDraft> }) {
  const { stock } = draft.hold
  return (
    <>
      <Field
        label={text.stockStrength}
        path="hold.stock.value"
        value={stock.value}
        onChange={(v) => change((d) => void (d.hold.stock.value = v))}
      />
      <Choice
        label={text.form}
        columns={3}
        value={stock.form}
        options={text.stockForms}
        path="hold.stock.form"
        onChange={(v) => change((d) => void (d.hold.stock.form = v))}
      />
      <Choice
        label={text.basis}
        value={stock.basis}
        options={text.bases}
        path="hold.stock.basis"
        onChange={(v) => change((d) => void (d.hold.stock.basis = v))}
      />
      <Field
        label={text.stockSugar}
        unit="%"
        path="hold.stock.sugar_percent_ww"
        value={stock.sugar}
        onChange={(v) => change((d) => void (d.hold.stock.sugar = v))}
      />
      <Field
        label={text.thinSugar}
        unit="%"
        path="sugar_percent_ww"
        value={draft.thinSugar}
        onChange={(v) => change((d) => void (d.thinSugar = v))}
      />
    </>
  )
}
