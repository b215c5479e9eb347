// A thread does not inherit how TypeScript is read.
import { register } from 'tsx/esm/api';

register();
const { default: work } = await import('./worker.ts');
export default work;
