import { expose } from 'comlink';
import { CALENDARS } from './calendars';

expose(CALENDARS);
