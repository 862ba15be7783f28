// npm run handbook: writes docs/handbook.*.md from the words that the screens say of themselves.
import { installPackages, must } from './setUp.mjs';

installPackages();
must('npx', ['tsx', 'web/handbook.ts']);
