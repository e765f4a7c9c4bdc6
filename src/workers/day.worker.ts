import { expose } from 'comlink';
import { dayWork } from './dayWork';

expose(dayWork);
