// Looks at pages with Lighthouse as a telephone would see them, several times each, and prints the medians. The neighbour's
// article is looked at with the panel in it and without, turn by turn, so that both have the same machine.
import { launch } from 'chrome-launcher';
import lighthouse from 'lighthouse';
import puppeteer from 'puppeteer-core';

const [house, neighbour, runs = '3'] = process.argv.slice(2);
const PAGES = {
  house: `${house}/`,
  agenda: `${house}/agenda`,
  offer: `${house}/offers/private-lesson`,
  'neighbour without the panel': `${neighbour}/none`,
  'neighbour with the panel': `${neighbour}/gift-ideas`,
};
const CATEGORIES = ['performance', 'accessibility', 'best-practices', 'seo'];
const COLUMNS = ['performance', 'the lowest', ...CATEGORIES.slice(1), 'kB'];

const chrome = await launch({
  chromePath: '/usr/bin/chromium',
  chromeFlags: ['--headless=new', '--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run', '--disable-quic'],
});

// A guest's way as far as a page of their booking: what only somebody has who has kept a place can be looked at, too.
const browser = await puppeteer.connect({ browserURL: `http://localhost:${chrome.port}` });
const guest = await browser.newPage();
const go = (press) => Promise.all([guest.waitForNavigation(), press()]);
await guest.goto(`${house}/offers/private-lesson?party=1`);
await go(() => guest.click('.slot'));
PAGES.basket = guest.url();
await guest.goto(`${PAGES.basket}/checkout`);
PAGES.checkout = guest.url();
const fill = async () => {
  await guest.type('[name=name]', 'Tilde Rehn');
  await guest.type('[name=email]', 'tilde.rehn@post.example');
  await guest.type('[name=phone]', '+49 30 5550 177');
  await guest.$$eval('fieldset:has([type=radio])', (groups) => groups.forEach((group) => group.querySelectorAll('input')[1].click()));
  await guest.$$eval('[name=agree]', (boxes) => boxes.forEach((box) => box.click()));
};
const another = await browser.newPage();
await another.goto(`${house}/offers/private-lesson?party=1`);
await Promise.all([another.waitForNavigation(), another.click('.slot')]);
await guest.goto(`${another.url().replace(/[?#].*/, '')}/checkout`);
await another.close();
await fill();
await go(() => guest.click('#checkout .button.main'));
if (guest.url().includes('/pay/')) await go(() => guest.click('button[type=submit]'));
await guest.waitForFunction(() => window.location.pathname.startsWith('/bookings/'));
PAGES.booking = guest.url();
await guest.close();
await browser.disconnect();

// What moved is said, and how far: that something did helps nobody.
const moved = ({ id, details }) => (id === 'layout-shifts' ? details.items.map(({ node, score }) => `${score.toFixed(3)} ${node?.snippet}`) : []);
const median = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];
const found = Object.fromEntries(Object.keys(PAGES).map((name) => [name, []]));
const bytes = Object.fromEntries(Object.keys(PAGES).map((name) => [name, []]));
const failed = new Map();
for (let run = 0; run < Number(runs); run += 1) {
  for (const [name, address] of Object.entries(PAGES)) {
    const { lhr } = await lighthouse(address, { port: chrome.port, onlyCategories: CATEGORIES, logLevel: 'error' });
    found[name].push(CATEGORIES.map((category) => Math.round(lhr.categories[category].score * 100)));
    bytes[name].push(lhr.audits['total-byte-weight']?.numericValue ?? NaN);
    for (const audit of Object.values(lhr.audits)) {
      if (audit.score !== null && audit.score < 0.9 && audit.scoreDisplayMode !== 'informative') failed.set(`${name}: ${audit.id}`, [audit.displayValue, ...moved(audit)].join(' '));
    }
  }
}
await chrome.kill();
console.log(`\n${'page'.padEnd(30)}${COLUMNS.map((c) => c.padStart(16)).join('')}   (medians of ${runs})`);
for (const [name, scores] of Object.entries(found)) {
  const medians = CATEGORIES.map((_, i) => median(scores.map((s) => s[i])));
  const columns = [medians[0], Math.min(...scores.map((s) => s[0])), ...medians.slice(1), (median(bytes[name]) / 1000).toFixed(1)];
  console.log(name.padEnd(30) + columns.map((column) => String(column).padStart(16)).join(''));
}
const performance = (name) => median(found[name].map((s) => s[0]));
console.log(`\nwith the panel ${performance('neighbour without the panel') - performance('neighbour with the panel')} points below without it`);
console.log(`\nbelow 90 somewhere:\n${[...failed].map(([audit, said]) => `  ${audit} ${said}`).join('\n') || '  nothing'}`);
