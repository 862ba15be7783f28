export { AllotmentsPast } from './AllotmentsPast.tsx';
export { usePlotApplications } from './usePlotApplications.ts';
