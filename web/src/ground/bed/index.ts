export { BedForm, BedSheet } from './BedSheet.tsx';
export { freeName, RowFields, useRowTyped } from './rowOfBeds.tsx';
