import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import {
  arrayMove,
  rectSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable'
import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { HiveFront } from '../drawing/HiveFront'
import { Mark } from '../drawing/Mark'
import { MiteGauge } from '../drawing/MiteGauge'
import { text } from './text'
import styles from './StandLine.module.css'

type Stand = Schemas['ColonyRecord']

interface Props {
  stands: readonly Stand[]
  /** Puts the hives in another order; left out where nobody may. */
  arrange?: ((ids: string[]) => void) | undefined
}

/** A yard as its hives stand: stacks to scale on the ground, what is in them, and their mites. */
export function StandLine({ stands, arrange }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const ids = stands.map((s) => s.id)
  if (!arrange)
    return (
      <div className={styles.line}>
        {stands.map((s) => (
          <Link key={s.id} to={`/colonies/${s.id}`} className={styles.stand} data-stand={s.name}>
            <Hive stand={s} />
          </Link>
        ))}
      </div>
    )
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && active.id !== over.id)
          arrange(arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))))
      }}
    >
      <SortableContext items={ids} strategy={rectSortingStrategy}>
        <div className={styles.line}>
          {stands.map((s) => (
            <Sortable key={s.id} stand={s} />
          ))}
        </div>
      </SortableContext>
    </DndContext>
  )
}

function Sortable({ stand }: { stand: Stand }) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id: stand.id })
  return (
    <div
      ref={setNodeRef}
      className={styles.stand}
      data-stand={stand.name}
      data-dragging={isDragging}
      style={{
        transform: transform ? `translate3d(${transform.x}px, ${transform.y}px, 0)` : undefined,
        transition,
      }}
      {...listeners}
    >
      <button
        ref={setActivatorNodeRef}
        type="button"
        className={styles.grip}
        {...attributes}
        aria-label={text.moveAlong(stand.name)}
        data-grip
      >
        ↔
      </button>
      <Hive stand={stand} to={`/colonies/${stand.id}`} />
    </div>
  )
}

function Hive({ stand, to }: { stand: Stand; to?: string }) {
  return (
    <>
      <span className={styles.marks}>
        {stand.in?.map(
          (t) => t.method !== 'other' && t.method !== 'vapour' && <Mark key={t.id} method={t.method} />,
        )}
      </span>
      <HiveFront boxes={stand.boxes} seams={stand.seen.seams} forHoney={stand.for_honey} />
      <span className={styles.ground} />
      <b>{to ? <Link to={to}>{stand.name}</Link> : stand.name}</b>
      <MiteGauge standing={stand.count} />
      <small className={stand.need === 'treat' ? `${styles.need} ${styles.treat}` : styles.need}>
        {text.need[stand.need]}
      </small>
    </>
  )
}
