export { BedForm, BedSheet } from './BedSheet.tsx';
