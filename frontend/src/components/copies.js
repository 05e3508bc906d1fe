// Copies the lines beside a button. Where the browser does not let it, they are selected, so that a key copies them.
export const copies = () => ({
  area: {
    'data-x-on:click'(event) {
      const button = event.target.closest('[data-copy]');
      if (button) this.copy(button);
    },
  },

  async copy(button) {
    const lines = document.getElementById(button.dataset.copy);
    try {
      await navigator.clipboard.writeText(lines.textContent);
      const words = button.textContent;
      button.textContent = button.dataset.done;
      this.$root.querySelector('[data-said]').textContent = button.dataset.done;
      setTimeout(() => {
        button.textContent = words;
      }, 2000);
    } catch {
      window.getSelection().selectAllChildren(lines);
    }
  },
});
