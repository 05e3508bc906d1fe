import { proofOf } from '../proof.js';

// A page that is shown again as it was left, on its way, is asked for anew: what has become of it, only the house knows.
export const anewWhenPutBack = () =>
  window.addEventListener('pageshow', (event) => {
    if (event.persisted) window.location.reload();
  });

// Sends a form once its proof is there.
export async function sendWith(proof, form) {
  form.elements.namedItem('proof').value = await proof;
  form.submit();
}

const form = {
  'data-x-on:submit'(event) {
    this.send(event);
  },
};

// The checkout works a little for its proof while the guest writes.
export const checkout = () => ({
  sent: false,
  proof: null,
  form,

  init() {
    this.proof = proofOf(this.$el.dataset.seal, Number(this.$el.dataset.bits));
  },

  send(event) {
    // More time is asked for without any work.
    if (event.submitter?.name === 'longer') return;
    event.preventDefault();
    if (this.sent) return;
    this.sent = true;
    anewWhenPutBack();
    sendWith(this.proof, event.target);
  },
});

// A form that is on its way is not sent twice, and says so. One that carries a seal works for its proof first.
export const once = () => ({
  sent: false,
  form,

  send(event) {
    if (this.sent) {
      event.preventDefault();
      return;
    }
    this.sent = true;
    anewWhenPutBack();
    const seal = event.target.elements.namedItem('seal');
    if (!seal || !seal.dataset.bits) return;
    event.preventDefault();
    event.target.setAttribute('aria-busy', 'true');
    sendWith(proofOf(seal.value, Number(seal.dataset.bits)), event.target);
  },
});
