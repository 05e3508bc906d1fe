// A form of selects that shows what is picked at once; without scripts it has a button.
export const picks = () => ({
  form: {
    'data-x-on:change'() {
      for (const one of this.$root.elements) if (one.value === '') one.disabled = true;
      this.$root.submit();
    },
  },
  go: { 'data-x-bind:hidden': () => true },
});
