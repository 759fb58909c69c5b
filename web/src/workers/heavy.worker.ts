import { expose } from 'comlink';
import { heavy } from './heavy';

expose(heavy);
