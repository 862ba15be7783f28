// npm run bench: benchmarks that print ratios measured side by side.
import { installPackages, must } from './setUp.mjs';

installPackages();
for (const bench of ['harvestList', 'seasonDates', 'placement', 'bands', 'rota'])
  must('npx', ['tsx', `bench/src/${bench}.ts`]);
