export { FrostChart } from './FrostChart.tsx';
export { SunChart } from './SunChart.tsx';
