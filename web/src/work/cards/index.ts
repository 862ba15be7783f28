export { BringList } from './BringList.tsx';
export { stateLook, WorkCard } from './WorkCard.tsx';
