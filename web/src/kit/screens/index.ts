export { useNotices } from '../notices.ts';
export { FootedForm, FormSheet } from './FormSheet.tsx';
export { Notices } from './Notices.tsx';
export { NotThere } from './NotThere.tsx';
export { Paths } from './Paths.tsx';
export { Screen, Title, usePlaceName } from './Screen.tsx';
export { Sheet } from './Sheet.tsx';
export { Bare, Loaded, Waiting } from './states.tsx';
export { useInAddress } from './useInAddress.ts';
