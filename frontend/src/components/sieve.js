// What the house offers, sifted as words are typed: a card stays that has them all.
const plain = (text) => text.toLowerCase().replaceAll('ß', 'ss').normalize('NFD').replace(/\p{M}/gu, '');

export const sieve = () => ({
  area: {
    'data-x-on:input'(event) {
      if (event.target.matches('[name=q]')) this.sift(event.target.value);
    },
    'data-x-on:submit'(event) {
      if (this.whole) event.preventDefault();
    },
  },

  // Where the server has left something out, it is asked again.
  whole: !new URLSearchParams(window.location.search).get('q'),

  init() {
    if (this.whole) this.$root.querySelector('.sieve button')?.setAttribute('hidden', '');
  },

  sift(asked) {
    if (!this.whole) return;
    const words = plain(asked).split(/\s+/).filter(Boolean);
    let found = 0;
    for (const shelf of this.$root.querySelectorAll('.offers')) {
      let any = false;
      for (const card of shelf.querySelectorAll('.offer')) {
        const text = plain(`${card.textContent} ${shelf.dataset.category}`);
        card.hidden = !words.every((word) => text.includes(word));
        any = any || !card.hidden;
        found += card.hidden ? 0 : 1;
      }
      shelf.hidden = !any;
      const head = shelf.previousElementSibling;
      if (head?.matches('.shelf')) head.hidden = !any;
    }
    const said = this.$root.querySelector('[data-found]');
    said.textContent = found ? '' : said.dataset.none;
  },
});
