// Under tsx a worker must register it by itself before it can load TypeScript.
import { register } from 'tsx/esm/api';

register();
const { default: parse } = await import('./parseWorker.ts');
export default parse;
