// Sentences of an editor that are dragged into order by their grips; by keys and touch the arrows beside them serve.
// A sentence that stands alone in its part takes the part along.
const listOf = (grip) => grip.dataset.moves.slice(0, grip.dataset.moves.lastIndexOf('/'));

const thing = (grip) => {
  const part = grip.closest('.part');
  return part.querySelectorAll('[data-moves]').length === 1 ? part : grip.closest('.clause');
};

const like = (grip, root) =>
  [...root.querySelectorAll('[data-moves]')].filter((other) => listOf(other) === listOf(grip));

let dragged = null;

export const grips = {
  'data-x-on:dragstart'(event) {
    dragged = event.target.closest?.('[data-moves]');
    if (!dragged) return;
    event.dataTransfer.effectAllowed = 'move';
    event.dataTransfer.setDragImage(thing(dragged), 8, 8);
    dragged.classList.add('taken');
  },
  'data-x-on:dragover'(event) {
    if (!dragged) return;
    event.preventDefault();
    const over = like(dragged, this.$root)
      .filter((other) => other !== dragged)
      .map(thing)
      .find((one) => one.contains(event.target));
    if (!over) return;
    const { top, height } = over.getBoundingClientRect();
    if (event.clientY < top + height / 2) over.before(thing(dragged));
    else over.after(thing(dragged));
  },
  'data-x-on:drop'(event) {
    if (dragged) event.preventDefault();
  },
  'data-x-on:dragend'() {
    if (!dragged) return;
    const all = like(dragged, this.$root);
    const form = this.$root.querySelector('#one');
    for (const [name, grip] of [
      ['moved', dragged],
      ['before', all[all.indexOf(dragged) + 1]],
    ]) {
      const field = document.createElement('input');
      field.type = 'hidden';
      field.name = name;
      field.value = grip?.dataset.moves ?? '';
      form.append(field);
    }
    dragged = null;
    form.submit();
  },
};
