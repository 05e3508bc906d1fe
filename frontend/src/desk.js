// The scripts of the desk, where a host sees guests' panels, too.
import { start } from './alpine.js';
import { guests } from './guests.js';
import { board } from './components/board.js';
import { calendarFile } from './components/calendar-file.js';
import { copies } from './components/copies.js';
import { desk } from './components/desk.js';
import { draft } from './components/draft.js';
import { explainer } from './components/explainer.js';
import { finder } from './components/finder.js';
import { hours } from './components/hours.js';
import { ordered } from './components/ordered.js';
import { picks } from './components/picks.js';
import { waits } from './components/waits.js';

start({ ...guests, board, calendarFile, copies, desk, draft, explainer, finder, hours, ordered, picks, waits });
