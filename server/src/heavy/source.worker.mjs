// What the pool's threads begin with where the program runs from its sources: a thread has to be told of the developers' runner.
import { register } from 'tsx/esm/api';

register();
const { default: run } = await import('./heavy.worker.ts');
export default run;
