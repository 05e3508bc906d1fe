// What scripts add to pages that work without them: one file for each component. They are registered by name, since the
// policy allows no expressions to be evaluated.
import { agenda } from './components/agenda.js';
import { board } from './components/board.js';
import { calendarFile } from './components/calendar-file.js';
import { checkout, once } from './components/forms.js';
import { copies } from './components/copies.js';
import { countdown } from './components/countdown.js';
import { desk } from './components/desk.js';
import { draft } from './components/draft.js';
import { explainer } from './components/explainer.js';
import { finder } from './components/finder.js';
import { here } from './components/here.js';
import { hours } from './components/hours.js';
import { ordered } from './components/ordered.js';
import { panel } from './components/panel.js';
import { passkey } from './components/passkey.js';
import { picks } from './components/picks.js';
import { sieve } from './components/sieve.js';
import { theirs, theirsSwitch } from './components/theirs.js';
import { waits } from './components/waits.js';
import { opens, way, whereabouts } from './components/way.js';

document.addEventListener('alpine:init', () => {
  const { Alpine } = window;

  // Its attributes are data of our own, so that a page is plain HTML.
  Alpine.prefix('data-x-');
  for (const [name, component] of Object.entries({ agenda, board, calendarFile, checkout, copies, countdown, desk, draft, explainer, finder, here, hours, once, opens, ordered, panel, passkey, picks, sieve, theirs, theirsSwitch, waits, way, whereabouts })) {
    Alpine.data(name, component);
  }
});
