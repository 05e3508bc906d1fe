// The scripts of guests' pages.
import { start } from './alpine.js';
import { guests } from './guests.js';

start(guests);
