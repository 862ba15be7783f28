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
  /** what is held, and over what */
  dragged: { taskId: string; overSessionId: string | null } | null;
}

const Still = ({ children }: Wrapping) => children;
const still: Dragging = { Handle: Still, Target: Still, dragged: null };

export const DraggingContext = createContext<Dragging>(still);
export const useDragging = (): Dragging => useContext(DraggingContext);
