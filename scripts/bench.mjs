// npm run bench: benchmarks that print ratios measured side by side. With --small each only shows that it runs.
import { installPackages, must } from './setUp.mjs';

installPackages();
const benches = ['harvestList', 'largeGarden', 'seasonDates', 'placement', 'bands', 'map', 'board', 'rota'];
for (const bench of benches) must('npx', ['tsx', `bench/src/${bench}.ts`, ...process.argv.slice(2)]);
