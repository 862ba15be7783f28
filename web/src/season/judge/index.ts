export { Findings } from './Findings.tsx';
