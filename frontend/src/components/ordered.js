// A list whose entries are dragged into order; by keys the arrows beside them serve.
export const ordered = () => ({
  moved: null,

  area: {
    'data-x-on:dragstart'(event) {
      this.moved = event.target.closest('[data-id]');
      event.dataTransfer.effectAllowed = 'move';
    },
    'data-x-on:dragover'(event) {
      if (!this.moved) return;
      event.preventDefault();
      const over = event.target.closest('[data-id]');
      if (!over || over === this.moved) return;
      const { top, height } = over.getBoundingClientRect();
      if (event.clientY < top + height / 2) over.before(this.moved);
      else over.after(this.moved);
    },
    'data-x-on:drop'(event) {
      event.preventDefault();
    },
    'data-x-on:dragend'() {
      const form = document.querySelector('#order');
      form.moved.value = this.moved.dataset.id;
      form.before.value = this.moved.nextElementSibling?.dataset.id ?? '';
      this.moved = null;
      form.submit();
    },
  },
});
