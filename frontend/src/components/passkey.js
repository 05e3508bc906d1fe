// Passkeys: the browser makes one, or signs with one. The page works without; where the browser knows none, nothing is shown.
const known = () => typeof window.PublicKeyCredential?.parseCreationOptionsFromJSON === 'function';

const post = async (address, body) => {
  const answer = await fetch(address, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body });
  if (!answer.ok) throw new Error(answer.statusText);
  return answer;
};

export const passkey = () => ({
  failed: false,
  busy: false,

  here: {
    'data-x-init'() {
      this.$el.hidden = !known();
    },
  },
  wrong: {
    'data-x-bind:hidden'() {
      return !this.failed;
    },
  },
  enter: {
    'data-x-on:click'() {
      return this.work((options) => navigator.credentials.get({ publicKey: window.PublicKeyCredential.parseRequestOptionsFromJSON(options) }), '');
    },
    'data-x-bind:disabled'() {
      return this.busy;
    },
  },
  make: {
    'data-x-on:click'() {
      const label = this.$root.querySelector('input').value;
      return this.work((options) => navigator.credentials.create({ publicKey: window.PublicKeyCredential.parseCreationOptionsFromJSON(options) }), `?label=${encodeURIComponent(label)}`);
    },
    'data-x-bind:disabled'() {
      return this.busy;
    },
  },

  async work(use, query) {
    const { ask, send, to } = this.$root.dataset;
    this.failed = false;
    this.busy = true;
    try {
      const options = await (await post(ask)).json();
      const credential = await use(options);
      await post(send + query, JSON.stringify({ challenge: options.challenge, credential: credential.toJSON() }));
      window.location.assign(to);
    } catch {
      this.failed = true;
    } finally {
      this.busy = false;
    }
  },
});
