// What scripts add to guests' pages, which work without them: one file for each component.
import { agenda } from './components/agenda.js';
import { checkout, once } from './components/forms.js';
import { countdown } from './components/countdown.js';
import { here } from './components/here.js';
import { panel } from './components/panel.js';
import { passkey } from './components/passkey.js';
import { sieve } from './components/sieve.js';
import { theirs, theirsSwitch } from './components/theirs.js';
import { opens, way, whereabouts } from './components/way.js';

export const guests = { agenda, checkout, countdown, here, once, opens, panel, passkey, sieve, theirs, theirsSwitch, way, whereabouts };
