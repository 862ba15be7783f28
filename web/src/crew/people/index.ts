export { AvailabilityField } from './AvailabilityField.tsx';
export { listsOf, Strains, type WillingBy, willingOf } from './Strains.tsx';
