// <gastfreund-panel>: a house's booking inside somebody else's page. Without this script the link inside it stays.
const HASH = /^#gastfreund=([\w-]{20,60})$/;
const PASSED = ['look', 'accent', 'font', 'ground', 'corners', 'lang', 'without', 'from'];
const CHOSEN = ['length', 'staff', 'place', 'party'];
const VIEWS = ['agenda', 'mine'];
// How long a page that was loaded may take to say that it is one of ours, and how long one may be on its way, in milliseconds.
const SILENCE = 4000;
const WAY = 20000;
const WORDS = {
  en: { away: 'Booking cannot be shown here just now.', open: 'Book', close: 'Close' },
  de: { away: 'Buchen ist hier gerade nicht möglich.', open: 'Buchen', close: 'Schließen' },
};
const STYLE = `
  :host { display: block !important; min-width: 0; max-width: 100%; }
  :host([as="button"]) { display: inline-block !important; }
  :host([hidden]) { display: none !important; }
  iframe { display: block; width: 100%; border: 0; background: transparent; }
  :host(:not([ground="none"])) iframe { border-radius: 1rem; }
  p { font: inherit; opacity: .75; margin: .25em 0; }
  .hidden { display: none; }
  button { font: inherit; cursor: pointer; }
  .open { padding: .7em 1.4em; border-radius: 99em; border: 0; background: var(--accent, #b5482f); color: #fff; font-weight: 600; }
  dialog { width: min(64rem, 100%); max-width: 100%; height: min(56rem, 100%); max-height: 100%; padding: 0; border: 0; border-radius: 1rem; overflow: hidden; box-shadow: 0 1rem 4rem #0006; background: #fbf7f1; }
  dialog::backdrop { background: #0008; }
  dialog div { display: flex; flex-direction: column; height: 100%; }
  dialog .close { align-self: flex-end; margin: .4rem; width: 2.75rem; height: 2.75rem; border: 0; border-radius: 99rem; background: transparent; color: #2a1f2d; font-size: 1.5rem; line-height: 1; }
  dialog iframe { flex: 1; min-height: 0; }
  @media (width < 40rem) { dialog { width: 100%; height: 100%; border-radius: 0; } }
`;

// How light what lies behind an element is, from 0 to 1.
const lightBehind = (element) => {
  for (let one = element; one; one = one.parentElement || one.getRootNode().host) {
    const [r, g, b, a = 1] = (getComputedStyle(one).backgroundColor.match(/[\d.]+/g) || [0, 0, 0, 0]).map(Number);
    if (a > 0.5) return (0.2126 * r + 0.7152 * g + 0.0722 * b) / 255;
  }
  return matchMedia('(prefers-color-scheme: dark)').matches && getComputedStyle(document.documentElement).colorScheme.includes('dark') ? 0 : 1;
};

// A guest who comes back from paying is led on in the first panel of the page.
let back = (location.hash.match(HASH) || [])[1];
if (back) history.replaceState(history.state, '', location.pathname + location.search);

class Panel extends HTMLElement {
  #root = this.attachShadow({ mode: 'open' });
  #frame = null;
  #house = null;
  #told = new Set();
  #timer = 0;
  #owed = 0;
  #sight = null;
  #words = WORDS.en;
  #heard = (event) => this.#hear(event);

  connectedCallback() {
    if (this.#frame) return;
    this.#words = WORDS[(this.getAttribute('lang') || this.closest('[lang]')?.lang || navigator.language).slice(0, 2)] || WORDS.en;
    this.#root.replaceChildren(document.createElement('slot'));
    this.#dress();
    try {
      this.#house = new URL(this.getAttribute('house'));
      if (!/^https?:$/.test(this.#house.protocol)) throw new Error();
    } catch {
      console.warn('gastfreund-panel: “house” is no address.');
      this.#away();
      return;
    }
    window.addEventListener('message', this.#heard);
    this.#begin();
  }

  disconnectedCallback() {
    window.removeEventListener('message', this.#heard);
    this.#end();
    this.#frame = null;
  }

  // Styles that no policy of the page forbids, and that nothing of the page reaches.
  #dress() {
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(STYLE);
    this.#root.adoptedStyleSheets = [sheet];
  }

  #address() {
    const base = this.#house.href.replace(/\/$/, '');
    if (back) {
      const ticket = back;
      back = undefined;
      return this.#asked(new URL(`${base}/embed/back/${ticket}`));
    }
    const offer = this.getAttribute('offer');
    const view = this.getAttribute('view') || '';
    const address = new URL(`${base}/embed/${offer ? `offers/${encodeURIComponent(offer)}` : VIEWS.includes(view) ? view : ''}`);
    if (view && !VIEWS.includes(view)) console.warn('gastfreund-panel: not as it can be had: view.');
    if (!offer && this.hasAttribute('category')) address.searchParams.set('category', this.getAttribute('category'));
    if (offer) for (const name of CHOSEN) if (this.hasAttribute(name)) address.searchParams.set(name, this.getAttribute(name));
    return this.#asked(address);
  }

  #asked(address) {
    const ask = (name, value) => address.searchParams.set(name, value);
    for (const name of PASSED) if (this.hasAttribute(name)) ask(name, this.getAttribute(name));
    const scheme = lightBehind(this) < 0.4 ? 'dark' : 'light';
    const shown = this.getAttribute('as') === 'button' ? 'light' : scheme;
    ask('scheme', shown);
    // A frame of another scheme than its page is never transparent.
    this.#frame.style.colorScheme = shown;
    if (this.getAttribute('font') === 'page') ask('family', getComputedStyle(this).fontFamily.slice(0, 200));
    ask('page', location.href.split('#')[0]);
    return address.href;
  }

  #begin() {
    this.#owed = 0;
    this.#told.delete('ready');
    this.#frame = document.createElement('iframe');
    this.#frame.title = this.textContent.trim() || this.#words.open;
    this.#frame.addEventListener('load', () => this.#loaded());
    // Nothing is on its way before the guest comes near.
    this.#sight = new IntersectionObserver((seen) => {
      if (!seen.some((one) => one.isIntersecting)) return;
      this.#sight.disconnect();
      if (!this.#told.has('ready')) this.#expect(WAY);
    });
    this.#sight.observe(this.#frame);
    if (this.getAttribute('as') === 'button') this.#button();
    else this.#inline();
  }

  #expect(time) {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.#away(), time);
  }

  // Each page says once that it is there, before all of it is loaded or a little later. The empty one that a frame begins with says nothing.
  #loaded() {
    if (!this.#frame.src) return;
    this.#owed = this.#owed < 0 ? 0 : 1;
    if (this.#owed) this.#expect(SILENCE);
  }

  #inline() {
    this.#frame.loading = back ? 'eager' : 'lazy';
    this.#frame.scrolling = 'no';
    // As high as it will be at least, from the start: what stands below does not move.
    this.#frame.style.height = `${Math.max(480, Math.min(760, innerHeight))}px`;
    const slot = this.#root.querySelector('slot');
    slot.className = 'hidden';
    this.#frame.src = this.#address();
    this.#root.append(this.#frame);
  }

  #button() {
    const open = document.createElement('button');
    open.className = 'open';
    open.type = 'button';
    open.textContent = this.textContent.trim() || this.#words.open;
    const accent = this.getAttribute('accent');
    if (accent && CSS.supports('color', accent)) this.style.setProperty('--accent', accent);
    const dialog = document.createElement('dialog');
    dialog.setAttribute('aria-label', open.textContent);
    const inside = document.createElement('div');
    const close = document.createElement('button');
    close.className = 'close';
    close.type = 'button';
    close.textContent = '×';
    close.setAttribute('aria-label', this.#words.close);
    close.addEventListener('click', () => dialog.close());
    dialog.addEventListener('click', (event) => {
      if (event.target === dialog) dialog.close();
    });
    inside.append(close, this.#frame);
    dialog.append(inside);
    const show = () => {
      if (!this.#frame.src) this.#frame.src = this.#address();
      dialog.showModal();
    };
    open.addEventListener('click', show);
    this.#root.querySelector('slot').className = 'hidden';
    this.#root.append(open, dialog);
    if (back) show();
  }

  #end() {
    clearTimeout(this.#timer);
    this.#sight?.disconnect();
    this.#frame?.remove();
  }

  // The link stays, with one quiet sentence; never a hole.
  #away() {
    this.#end();
    this.#root.querySelector('dialog')?.remove();
    this.#root.querySelector('.open')?.remove();
    const slot = this.#root.querySelector('slot');
    slot.className = '';
    if (this.#root.querySelector('p')) return;
    const said = document.createElement('p');
    said.textContent = this.#words.away;
    slot.after(said);
  }

  #hear({ origin, source, data }) {
    if (origin !== this.#house.origin || source !== this.#frame?.contentWindow || data?.gastfreund !== 1) return;
    clearTimeout(this.#timer);
    if (data.happened === 'gone') {
      this.#away();
      return;
    }
    if (data.wrong) console.warn(`gastfreund-panel: not as it can be had: ${data.wrong}.`);
    // A page that is not drawn yet is no height at all, and is there all the same.
    if ('ready' in data) {
      if (this.#frame.getBoundingClientRect().top < 0 && this.#told.has('ready')) this.scrollIntoView({ block: 'start' });
      this.#owed = this.#owed > 0 ? 0 : -1;
      this.#told.add('ready');
    }
    if (data.ready || data.height) this.#grow(Number(data.ready || data.height));
    if (data.happened) this.#happen(data);
    if (data.onward && /^https?:/.test(data.onward)) location.assign(data.onward);
  }

  // It grows as it must; it shrinks where nobody sees what stands below.
  #grow(height) {
    if (!(height > 0 && height < 20000)) return;
    if (this.#frame.closest('dialog')) return;
    const now = this.#frame.getBoundingClientRect();
    if (height > now.height || now.top + height >= innerHeight) {
      this.#frame.style.height = `${height}px`;
      this.dispatchEvent(new CustomEvent('gastfreund:height', { bubbles: true, detail: { height } }));
    }
  }

  #happen({ happened, number, total, currency }) {
    const once = `${happened} ${number || ''}`;
    if (this.#told.has(once)) return;
    this.#told.add(once);
    const detail = happened === 'booked' ? { number, total: Number(total), currency } : {};
    if (happened === 'booked' || happened === 'kept') {
      this.dispatchEvent(new CustomEvent(`gastfreund:${happened}`, { bubbles: true, detail }));
    }
  }
}

if (!customElements.get('gastfreund-panel')) customElements.define('gastfreund-panel', Panel);
