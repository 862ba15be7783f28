export { AllotmentsPast } from './AllotmentsPast.tsx';
