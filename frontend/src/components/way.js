import { pageFrom } from '../page.js';

// A part of another page that opens in its place: the link alone leads there.
export const opens = () => ({
  area: {
    async 'data-x-on:click'(event) {
      const link = event.target.closest('a[data-part]');
      if (!link || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
      event.preventDefault();
      const address = new URL(link.href);
      address.searchParams.set('fragment', link.dataset.part);
      try {
        const part = (await pageFrom(await fetch(address))).body.firstElementChild;
        link.replaceWith(part);
        part.querySelector('textarea, input:not([type=hidden])').focus();
      } catch {
        window.location.assign(link.href);
      }
    },
  },
});

// How far it is: asked for where the form stands. The address stays in this tab, so that it is not to be written twice.
const KEPT = 'address';

export const way = () => ({
  area: {
    async 'data-x-on:submit'(event) {
      event.preventDefault();
      const form = event.target;
      const fields = new URLSearchParams(new FormData(form));
      sessionStorage.setItem(KEPT, fields.get('address'));
      const address = new URL(form.action);
      address.searchParams.set('fragment', 'way');
      try {
        const answer = await fetch(address, { method: 'POST', body: fields });
        this.$root.replaceChildren(...(await pageFrom(answer)).body.firstElementChild.childNodes);
      } catch {
        form.submit();
      }
    },
  },
});

export const whereabouts = () => ({
  area: {
    'data-x-init'() {
      const field = this.$el.querySelector('[name=address]');
      if (field && !field.value) field.value = sessionStorage.getItem(KEPT) ?? '';
    },
  },
});
