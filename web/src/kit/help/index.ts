export { HowThisWorks } from './HowThisWorks.tsx';
export { Term } from './Term.tsx';
