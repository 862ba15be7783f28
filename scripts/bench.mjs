// npm run bench: benchmarks that print ratios measured side by side.
import { installPackages, must } from './setUp.mjs';

installPackages();
must('npx', ['tsx', 'bench/src/harvestList.ts']);
