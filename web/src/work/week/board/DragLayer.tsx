import {
  DndContext,
  type DragOverEvent,
  DragOverlay,
  KeyboardSensor,
  PointerSensor,
  pointerWithin,
  rectIntersection,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { GripVertical } from 'lucide-react';
import { type KeyboardEventHandler, type PointerEventHandler, type ReactNode, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { type Dragged, DraggedContext, type Dragging, DraggingContext } from './dragging.ts';

/** What is pressed is taken only once the pointer has moved so far, px: a press alone opens it. */
const BEGINS_AFTER = 4;

function Handle({ id, label, children }: { id: string; label: string; children: ReactNode }) {
  const { t } = useTranslation('week');
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, isDragging } = useDraggable({
    ...{ id, data: { label } },
  });
  // By hand it is taken anywhere; for the keyboard and for those who hear it there is a grip.
  return (
    <div
      ref={setNodeRef}
      onPointerDown={listeners?.onPointerDown as PointerEventHandler}
      className={`relative h-full cursor-grab touch-none ${isDragging ? 'opacity-50' : ''}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        onKeyDown={listeners?.onKeyDown as KeyboardEventHandler}
        aria-label={t('board.drag.grip', { task: label })}
        className="absolute inset-y-0 right-full grid w-6 cursor-grab place-items-center text-ink-soft hover:text-ink"
      >
        <GripVertical aria-hidden size={15} />
      </button>
      {children}
    </div>
  );
}

function Target({ id, children }: { id: string; children: ReactNode }) {
  const { setNodeRef } = useDroppable({ id });
  return (
    <div ref={setNodeRef} className="h-full">
      {children}
    </div>
  );
}

const parts: Dragging = { Handle, Target };

/** Lets work be taken by hand or by the keyboard and put onto a session. */
export function DragLayer({
  children,
  onPut,
}: {
  children: ReactNode;
  onPut(taskId: string, sessionId: string): void;
}) {
  const { t } = useTranslation('week');
  const [dragged, setDragged] = useState<(Dragged & { label: string }) | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: BEGINS_AFTER } }),
    useSensor(KeyboardSensor),
  );
  const labelOf = ({ active }: Pick<DragOverEvent, 'active'>) => String(active.data.current?.label ?? '');
  return (
    <DndContext
      sensors={sensors}
      // With a pointer it is what it points at; by keyboard, what the work lies over.
      collisionDetection={(found) => {
        const pointed = pointerWithin(found);
        return pointed.length > 0 ? pointed : rectIntersection(found);
      }}
      accessibility={{
        screenReaderInstructions: { draggable: t('board.drag.how') },
        announcements: {
          onDragStart: ({ active }) => t('board.drag.taken', { task: labelOf({ active }) }),
          onDragOver: ({ over }) => (over ? t('board.drag.over') : t('board.drag.nowhere')),
          onDragEnd: ({ over }) => (over ? t('board.drag.put') : t('board.drag.back')),
          onDragCancel: () => t('board.drag.back'),
        },
      }}
      onDragStart={({ active }) =>
        setDragged({ taskId: String(active.id), overSessionId: null, label: labelOf({ active }) })
      }
      onDragOver={({ active, over }) =>
        setDragged({
          taskId: String(active.id),
          overSessionId: over ? String(over.id) : null,
          label: labelOf({ active }),
        })
      }
      onDragCancel={() => setDragged(null)}
      onDragEnd={({ active, over }) => {
        setDragged(null);
        if (over) onPut(String(active.id), String(over.id));
      }}
    >
      <DraggingContext.Provider value={parts}>
        <DraggedContext.Provider value={dragged}>{children}</DraggedContext.Provider>
      </DraggingContext.Provider>
      <DragOverlay dropAnimation={null}>
        {dragged && (
          <span className="inline-block max-w-72 truncate rounded-sm border-2 border-ink bg-paper px-2 py-1 text-sm shadow-[0_4px_0_-1px_var(--line-strong)]">
            {dragged.label}
          </span>
        )}
      </DragOverlay>
    </DndContext>
  );
}
