import { type ComponentType, createContext, type ReactNode, useContext } from 'react';

interface Wrapping {
  id: string;
  children: ReactNode;
}

/** What lets work be dragged onto a session. Until it has been fetched, and on a phone, nothing can be. */
export interface Dragging {
  /** around what can be taken: the work of a task's id */
  Handle: ComponentType<Wrapping & { label: string }>;
  /** around what it can be put on: the session of an id */
  Target: ComponentType<Wrapping>;
}

/** What is held, and over what. */
export interface Dragged {
  taskId: string;
  overSessionId: string | null;
}

const Still = ({ children }: Wrapping) => children;
const still: Dragging = { Handle: Still, Target: Still };

export const DraggingContext = createContext<Dragging>(still);
export const useDragging = (): Dragging => useContext(DraggingContext);

/** Apart from the rest, since it changes with every move of the hand: only what shows it is drawn anew. */
export const DraggedContext = createContext<Dragged | null>(null);
export const useDragged = (): Dragged | null => useContext(DraggedContext);
